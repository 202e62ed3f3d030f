package westtide.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.file.SongFile;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.found.Fit;

/** A loop on the command line: made, found out, brought in, its pieces written. */
class FoundCommandsTest {
  private record Result(int status, String out, String err) {}

  @TempDir private Path folder;

  private Result run(Object... words) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    String[] all = java.util.Arrays.stream(words).map(String::valueOf).toArray(String[]::new);
    int status = Main.run(new PrintWriter(out, true), new PrintWriter(err, true), all);
    return new Result(status, out.toString(), err.toString());
  }

  private Path loop() {
    Path file = folder.resolve("loop.wav");
    assertThat(run("crate", "--seed", 10, "-o", file).status()).isZero();
    return file;
  }

  @Test
  void whatIsFoundAgreesWithTheTruth() throws Exception {
    Path file = folder.resolve("loop.wav");
    JsonNode truth =
        new ObjectMapper().readTree(run("crate", "--seed", 10, "--truth", "-o", file).out());
    JsonNode found = new ObjectMapper().readTree(run("found", file, "--json").out());
    assertThat(found.get("tempo").asDouble()).isCloseTo(truth.get("tempo").asDouble(), within(0.1));
    assertThat(found.get("bars")).isEqualTo(truth.get("bars"));
    assertThat(found.get("key")).isEqualTo(truth.get("key"));
    assertThat(found.get("downbeat").asDouble())
        .isCloseTo(truth.get("downbeat").asDouble(), within(0.01));
    assertThat(found.get("rate")).isEqualTo(truth.get("rate"));
    assertThat(found.get("onsets").size()).isGreaterThan(10);
    assertThat(found.get("tempos").get(0).get("sure").asDouble()).isBetween(0.0, 1.0);
    assertThat(run("found", file).out()).contains("bars at").contains("onsets");
  }

  @Test
  void aSongIsBegunRoundALoop() throws Exception {
    Path song = folder.resolve("song.tide");
    Result made =
        run("new", "--style", "soul", "--seed", 3, "--found", loop(), "--lows", 140, "-o", song);
    assertThat(made.err()).isEmpty();
    assertThat(made.status()).isZero();
    Song read = SongFile.read(song);
    assertThat(read.parts(Role.FOUND)).hasSize(2);
    assertThat(read.brief().tempo()).isEqualTo(read.parts(Role.FOUND).get(0).found().get().tempo());
    assertThat(folder.resolve("song.tide.d")).isDirectory();
  }

  @Test
  void aLoopComesIntoASongAndItsPiecesAreWritten() throws Exception {
    Path song = folder.resolve("song.tide");
    run("new", "--style", "trap", "--parts", "core", "--seed", 2, "-o", song);
    Result added =
        run("add", song, "--found", loop(), "--fit", "slices", "--pieces", "A B ,C D+5 | A -");
    assertThat(added.status()).isZero();
    assertThat(added.out()).contains("pieces");
    Song read = SongFile.read(song);
    assertThat(read.parts(Role.FOUND).get(0).found().orElseThrow().fit().way())
        .isEqualTo(Fit.Way.SLICES);
    Path pieces = folder.resolve("pieces");
    assertThat(run("export", song, "--pieces", pieces).status()).isZero();
    try (var files = Files.list(pieces)) {
      List<String> names = files.map(file -> file.getFileName().toString()).sorted().toList();
      assertThat(names).anyMatch(name -> name.endsWith("036 A.wav"));
      assertThat(names).anyMatch(name -> name.endsWith("127 back C.wav"));
      assertThat(names).filteredOn(name -> name.endsWith("pieces.txt")).hasSize(1);
    }
  }

  @Test
  void whatIsNoSoundIsRefusedAndTheSongStays() throws Exception {
    Path song = folder.resolve("song.tide");
    run("new", "--style", "trap", "--parts", "core", "--seed", 2, "-o", song);
    byte[] before = Files.readAllBytes(song);
    Path text = Files.writeString(folder.resolve("text.wav"), "no sound");
    Result refused = run("add", song, "--found", text);
    assertThat(refused.status()).isEqualTo(2);
    assertThat(refused.err()).contains("no WAV, AIFF or FLAC").hasLineCount(1);
    Result wrong = run("add", song, "--found", loop(), "--pieces", "A ?");
    assertThat(wrong.status()).isEqualTo(2);
    assertThat(wrong.err()).contains("column 3").hasLineCount(1);
    assertThat(Files.readAllBytes(song)).isEqualTo(before);
  }
}
