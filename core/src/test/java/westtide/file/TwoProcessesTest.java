package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two processes and one song: the second is told of the first, until the first has ended. */
class TwoProcessesTest {
  @TempDir private Path folder;

  @Test
  void whoHasASongIsToldAndACrashGivesItBack() throws Exception {
    Path song = folder.resolve("song.tide");
    Path link = Files.createSymbolicLink(folder.resolve("link.tide"), song);
    SongFile.write(westtide.Songs.draft("trap", 1), song);
    try (OtherProcess other = OtherProcess.start("hold", folder)) {
      assertThat(other.next()).isEqualTo("held");
      SongLock.Answer answer = SongLock.of(song, Clock.systemUTC());
      assertThat(answer.lock()).isEmpty();
      assertThat(answer.owner().orElseThrow()).contains("process " + other.number(), "since");
      assertThat(SongLock.of(link, Clock.systemUTC()).owner()).as("by way of a link").isPresent();
      Recovery mine = Recovery.in(folder.resolve("unsaved"), Clock.systemUTC());
      assertThat(mine.left().work()).as("work of a running process").isEmpty();
      other.kill();
      SongLock.Answer after = SongLock.of(song, Clock.systemUTC());
      assertThat(after.lock()).isPresent();
      after.lock().get().close();
      assertThat(folder.resolve(".song.tide.lock")).doesNotExist();
    }
  }

  @Test
  void workOfAProcessThatWasKilledIsOfferedOnce() throws Exception {
    try (OtherProcess other = OtherProcess.start("hold", folder)) {
      assertThat(other.next()).isEqualTo("held");
    }
    Recovery mine = Recovery.in(folder.resolve("unsaved"), Clock.systemUTC());
    assertThat(mine.left().work()).hasSize(1);
    mine.left().work().get(0).discard();
    assertThat(mine.left().work()).isEmpty();
  }

  /** Locks a crash left in a folder go when a song there is opened; those that are held do not. */
  @Test
  void locksNobodyHoldsGo() throws Exception {
    Path left = folder.resolve(".song.tide.lock");
    try (OtherProcess other = OtherProcess.start("hold", folder)) {
      assertThat(other.next()).isEqualTo("held");
      Path another = folder.resolve("another.tide");
      SongLock.of(another, Clock.systemUTC()).lock().orElseThrow().close();
      assertThat(left).as("held").exists();
      other.kill();
      Path notOurs = Files.writeString(folder.resolve(".notes.lock"), "milk, bread");
      SongLock.Answer mine = SongLock.of(another, Clock.systemUTC());
      assertThat(left).as("left by a crash").doesNotExist();
      assertThat(notOurs).exists();
      SongLock.of(folder.resolve("third.tide"), Clock.systemUTC()).lock().orElseThrow().close();
      assertThat(folder.resolve(".another.tide.lock")).as("this process's own").exists();
      mine.lock().orElseThrow().close();
    }
  }

  /** A name that leaves no room for the ending of a lock has one all the same. */
  @Test
  void aSongWithALongNameIsLocked() throws Exception {
    Path song = folder.resolve("x".repeat(250) + ".tide");
    SongLock.Answer first = SongLock.of(song, Clock.systemUTC());
    assertThat(first.lock()).isPresent();
    assertThat(first.unlocked()).isFalse();
    first.lock().orElseThrow().close();
    assertThat(folder.toFile().list()).isEmpty();
    assertThat(
            SongLock.of(folder.resolve("nowhere").resolve("a.tide"), Clock.systemUTC()).unlocked())
        .as("a place that cannot be locked is told")
        .isTrue();
  }
}
