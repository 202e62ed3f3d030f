package westtide.heard;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.file.SongFile;
import westtide.file.audio.Bounce;
import westtide.file.audio.WavFormat;
import westtide.score.Score;
import westtide.song.Song;
import westtide.sound.Mixdown;

/** The demos as they are written to files, measured here and by ffmpeg. */
@Tag("check")
class MixesHeardTest {
  private static final Path DEMOS =
      Path.of("../desktop/src/main/resources/westtide/desktop/demo").toAbsolutePath().normalize();
  private static final String HEADER =
      "| song | 1.25–5 kHz dB | sides dB | sides below 100 Hz dB | clicks |";
  private static final String LOUDNESS = "| song | LUFS by ffmpeg | true peak dBTP by ffmpeg |";

  @TempDir Path folder;

  private static List<Path> demos() throws IOException {
    try (Stream<Path> files = Files.list(DEMOS)) {
      return files.filter(file -> file.toString().endsWith(".tide")).sorted().toList();
    }
  }

  /**
   * Fullness of the middle and width are common practice; a click is never meant. Debian's ffmpeg
   * reads loudness (EBU R 128) and true peak of the same written file.
   */
  @Test
  void demosAreFullWideWithoutClicksAndAsLoudAsFfmpegReads() throws Exception {
    List<String> rows = new ArrayList<>();
    List<String> loudness = new ArrayList<>();
    for (Path demo : demos()) {
      Song song = SongFile.read(demo);
      Path wav = folder.resolve("demo.wav");
      Bounce.of(Score.of(song), WavFormat.USUAL).mix(wav, Mixdown.Watch.NOBODY);
      rows.add(heard(song, Rendered.read(wav)));
      read(wav).ifPresent(log -> loudness.add(loudness(song, log)));
    }
    Report.table(HEADER, rows);
    if (loudness.isEmpty()) {
      System.out.println("ffmpeg is not installed; its reading is passed over");
    } else {
      Report.table(LOUDNESS, loudness);
    }
  }

  private static String heard(Song song, Rendered mix) {
    MixFigures heard = MixFigures.of(song.title(), mix);
    assertThat(heard.upper()).as(song.title()).isGreaterThan(-18);
    assertThat(heard.side()).as(song.title()).isBetween(-8.0, -4.0);
    assertThat(heard.lowSide()).as(song.title()).isLessThan(-25);
    assertThat(heard.clicks()).as(song.title()).isZero();
    return heard.row();
  }

  private static String loudness(Song song, String log) {
    double loudness = last(log, "I: +(-?[0-9.]+) LUFS");
    double peak = last(log, "Peak: +(-?[0-9.]+) dBFS");
    assertThat(peak).as(song.title()).isLessThanOrEqualTo(-1);
    assertThat(loudness).as(song.title()).isBetween(-15.0, -13.0);
    return String.format(Locale.ROOT, "| %s | %.1f | %.1f |", song.title(), loudness, peak);
  }

  private static double last(String log, String pattern) {
    Matcher matcher = Pattern.compile(pattern).matcher(log);
    double out = Double.NaN;
    while (matcher.find()) {
      out = Double.parseDouble(matcher.group(1));
    }
    return out;
  }

  private static Optional<String> read(Path wav) throws IOException, InterruptedException {
    try {
      Process process =
          new ProcessBuilder(
                  "ffmpeg",
                  "-nostats",
                  "-i",
                  wav.toString(),
                  "-af",
                  "ebur128=peak=true",
                  "-f",
                  "null",
                  "-")
              .redirectErrorStream(true)
              .start();
      String log = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      process.waitFor();
      return Optional.of(log);
    } catch (IOException missing) {
      assertThat(System.getenv("CI")).as("CI installs ffmpeg").isNull();
      return Optional.empty();
    }
  }
}
