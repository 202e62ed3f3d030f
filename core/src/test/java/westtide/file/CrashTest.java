package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;

/**
 * A process that edits and saves without end is killed at moments drawn from a seed. Whatever it
 * said it had saved or kept is there, and every file is whole.
 */
class CrashTest {
  private static final int KILLS = Samples.count(5, 50);

  @TempDir private Path folder;

  @Test
  @Sampled
  void nothingThatWasSavedOrKeptIsLost() throws Exception {
    Random random = new Random(7);
    for (int i = 0; i < KILLS; i++) {
      try (OtherProcess editor = OtherProcess.start("edit", folder)) {
        assertThat(editor.next()).as("it began").isEqualTo("kept 1");
        Thread.sleep(random.nextInt(120));
        String last = editor.kill();
        int kept = last.isEmpty() ? 1 : number(last);
        boolean notYet = last.startsWith("kept") && kept % 3 == 0;
        int saved = kept / 3 * 3 - (notYet ? 3 : 0);
        check(saved, kept, "kill " + i);
      }
    }
  }

  private void check(int saved, int kept, String when) throws IOException {
    Path file = folder.resolve("song.tide");
    if (saved > 0) {
      assertThat(number(SongFile.read(file).title())).as(when).isGreaterThanOrEqualTo(saved);
    }
    if (Files.exists(file)) {
      SongFile.read(file);
    }
    Recovery next = Recovery.in(folder.resolve("unsaved"), Clock.systemUTC());
    Recovery.Found found = next.left();
    assertThat(found.unreadable()).as(when).isEmpty();
    int recovered =
        found.work().stream().mapToInt(left -> number(left.song().title())).max().orElse(0);
    int inFile = Files.exists(file) ? number(SongFile.read(file).title()) : 0;
    assertThat(Math.max(recovered, inFile)).as(when).isGreaterThanOrEqualTo(kept);
    for (SongVersions.Version version :
        new SongVersions(folder.resolve("versions"), Clock.systemUTC()).all(file)) {
      assertThat(version.song().title()).startsWith("Edit");
    }
    for (Recovery.Left left : found.work()) {
      left.discard();
    }
    Files.deleteIfExists(file);
    cleanedByTheNextFile();
  }

  private void cleanedByTheNextFile() throws IOException {
    for (Path part : parts()) {
      Files.setLastModifiedTime(part, FileTime.from(Instant.now().minusSeconds(3600)));
    }
    SongFile.write(westtide.Songs.draft("trap", 1), folder.resolve("other.tide"));
    assertThat(parts()).isEmpty();
  }

  private List<Path> parts() throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(f -> f.getFileName().toString().endsWith(".part")).toList();
    }
  }

  private static int number(String title) {
    return Integer.parseInt(title.replaceAll("\\D", ""));
  }
}
