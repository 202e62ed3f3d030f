package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.compose.SongDraft;
import westtide.file.Recovery;
import westtide.file.SongFile;
import westtide.file.SongLock;
import westtide.file.SongVersions;
import westtide.style.StyleBook;

/** The real window, killed in the middle of writing its song: the file is whole, old or new. */
class KilledWhileSavingTest {
  private static final int MOST_TRIES = 12;

  @TempDir private Path folder;

  @Test
  void aSongIsWholeHoweverItsSavingEnds() throws Exception {
    killed(1);
  }

  @Test
  @Tag("check")
  void aSongIsWholeHoweverItsSavingEndsTenTimes() throws Exception {
    killed(10);
  }

  /** Until so many windows were killed while the file they wrote was not yet in its place. */
  private void killed(int wanted) throws Exception {
    Path song = folder.resolve("documents").resolve("song.tide");
    Files.createDirectories(song.getParent());
    SongFile.write(SongDraft.in(StyleBook.shipped().get("trap")).withTitle("Edit 0").song(), song);
    int inTheMiddle = 0;
    for (int i = 0; i < MOST_TRIES + wanted && inTheMiddle < wanted; i++) {
      int saved = untilItWrites(song);
      inTheMiddle += written(song.getParent()).isEmpty() ? 0 : 1;
      check(song, saved);
    }
    assertThat(inTheMiddle).isEqualTo(wanted);
  }

  /** Kills a window that saved twice as soon as it writes again; gives what it said it saved. */
  private int untilItWrites(Path song) throws IOException {
    Process window =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-Dprism.order=sw",
                "-Djava.awt.headless=true",
                "-Dwest.tide.home=" + folder.resolve("data"),
                "-cp",
                System.getProperty("java.class.path"),
                SavingWindow.class.getName(),
                folder.resolve("data").toString(),
                song.toString())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    try (BufferedReader said = window.inputReader()) {
      assertThat(said.readLine()).isEqualTo("saved 1");
      assertThat(said.readLine()).isEqualTo("saved 2");
      while (window.isAlive() && written(song.getParent()).isEmpty()) {
        Thread.onSpinWait();
      }
      window.toHandle().destroyForcibly();
      window.onExit().join();
      return said.lines().mapToInt(KilledWhileSavingTest::number).max().orElse(2);
    }
  }

  private void check(Path song, int saved) throws IOException {
    assertThat(number(SongFile.read(song).title())).isGreaterThanOrEqualTo(saved);
    Recovery.Found found =
        Recovery.in(folder.resolve("data").resolve("unsaved"), Clock.systemUTC()).left();
    assertThat(found.unreadable()).isEmpty();
    for (Recovery.Left left : found.work()) {
      left.discard();
    }
    for (SongVersions.Version version :
        new SongVersions(folder.resolve("data").resolve("versions"), Clock.systemUTC()).all(song)) {
      assertThat(version.song().title()).startsWith("Edit");
    }
    SongLock.Answer lock = SongLock.of(song, Clock.systemUTC());
    assertThat(lock.owner()).as("nobody has it any more").isEmpty();
    lock.lock().orElseThrow().close();
    for (Path part : written(song.getParent())) {
      Files.delete(part);
    }
  }

  private static List<Path> written(Path where) throws IOException {
    try (Stream<Path> files = Files.list(where)) {
      return files.filter(file -> file.getFileName().toString().endsWith(".part")).toList();
    }
  }

  private static int number(String title) {
    return Integer.parseInt(title.replaceAll("\\D", ""));
  }
}
