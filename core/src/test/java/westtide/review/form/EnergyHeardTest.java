package westtide.review.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.file.audio.Bounce;
import westtide.file.audio.WavFormat;
import westtide.file.disk.UnusableFileException;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Song;
import westtide.sound.Mixdown;

/**
 * How well the energy of bars agrees with how loud they are heard: momentary loudness by the {@code
 * ebur128} meter of Debian's ffmpeg (EBU R 128), averaged over each bar, as a rank correlation
 * (Spearman). Passed over with a message where ffmpeg is not installed.
 */
class EnergyHeardTest {
  private static final List<String> STYLES =
      Samples.few(1, List.of("trap", "house", "boom-bap", "bass-house"));
  private static final double SILENT = -70;

  @TempDir Path folder;

  @Test
  @Sampled
  void barsOfMoreEnergyAreHeardLouder() throws Exception {
    List<String> table = new ArrayList<>();
    double sum = 0;
    for (String style : STYLES) {
      Score score = Score.of(Songs.draft(style, 5));
      List<Double> heard = heard(score);
      if (heard.isEmpty()) {
        System.out.println("ffmpeg is not installed; its reading is passed over");
        return;
      }
      double correlation = spearman(Energy.of(score).bars(), heard);
      assertThat(correlation).as(style).isGreaterThan(0.6);
      table.add(String.format(Locale.ROOT, "| %s | %d | %.2f |", style, heard.size(), correlation));
      sum += correlation;
    }
    if (STYLES.size() > 1) {
      assertThat(sum / STYLES.size()).isGreaterThan(0.75);
    }
    String report = System.getProperty("energy.report", "");
    if (!report.isEmpty()) {
      Path file = Path.of(report);
      String text = Files.readString(file);
      int at = text.indexOf("| draft | bars |");
      Files.writeString(
          file,
          text.substring(0, at)
              + "| draft | bars | rank correlation |\n|---|---|---|\n"
              + String.join("\n", table)
              + "\n");
    }
  }

  /** The mean momentary loudness of every bar in LUFS. */
  private List<Double> heard(Score score) throws IOException, InterruptedException {
    Path wav = folder.resolve("song.wav");
    try {
      Bounce.of(score, WavFormat.USUAL).mix(wav, Mixdown.Watch.NOBODY);
    } catch (UnusableFileException e) {
      throw new IllegalStateException(e);
    }
    String[] command = {
      "ffmpeg",
      "-nostats",
      "-i",
      wav.toString(),
      "-af",
      "ebur128=framelog=verbose",
      "-v",
      "verbose",
      "-f",
      "null",
      "-"
    };
    Process process;
    try {
      process = new ProcessBuilder(command).redirectErrorStream(true).start();
    } catch (IOException missing) {
      assertThat(System.getenv("CI")).as("CI installs ffmpeg").isNull();
      return List.of();
    }
    String log = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    process.waitFor();
    Song song = score.song();
    double bar = song.millis() / 1000 / song.form().bars();
    double[] sums = new double[song.form().bars()];
    int[] counts = new int[sums.length];
    Matcher line = Pattern.compile("t: *([0-9.]+) .*?M: *(-?[0-9.]+)").matcher(log);
    while (line.find()) {
      int at = (int) ((Double.parseDouble(line.group(1)) - 0.2) / bar);
      if (at >= 0 && at < sums.length) {
        sums[at] += Math.max(SILENT, Double.parseDouble(line.group(2)));
        counts[at]++;
      }
    }
    return IntStream.range(0, sums.length)
        .mapToObj(i -> counts[i] == 0 ? SILENT : sums[i] / counts[i])
        .toList();
  }

  /** Spearman's rank correlation: Pearson's of the ranks, ties at their mean rank. */
  private static double spearman(List<Double> one, List<Double> other) {
    double[] a = ranks(one);
    double[] b = ranks(other);
    double mean = (a.length - 1) / 2.0;
    double both = 0;
    double first = 0;
    double second = 0;
    for (int i = 0; i < a.length; i++) {
      both += (a[i] - mean) * (b[i] - mean);
      first += (a[i] - mean) * (a[i] - mean);
      second += (b[i] - mean) * (b[i] - mean);
    }
    return both / Math.sqrt(first * second);
  }

  private static double[] ranks(List<Double> values) {
    List<Integer> order =
        IntStream.range(0, values.size())
            .boxed()
            .sorted(Comparator.comparing(values::get))
            .toList();
    double[] out = new double[values.size()];
    for (int i = 0; i < order.size(); ) {
      int end = i;
      while (end < order.size() && values.get(order.get(end)).equals(values.get(order.get(i)))) {
        end++;
      }
      for (int j = i; j < end; j++) {
        out[order.get(j)] = (i + end - 1) / 2.0;
      }
      i = end;
    }
    return out;
  }
}
