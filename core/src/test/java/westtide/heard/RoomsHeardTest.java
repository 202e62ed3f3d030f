package westtide.heard;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.mix.Mix;
import westtide.song.mix.ReverbKind;
import westtide.song.pattern.Pattern;
import westtide.sound.Spectrum;

/** What the rooms answer to one stroke: the same bar rendered with and without them, apart. */
class RoomsHeardTest {
  private static final String HEADER =
      "| room | 250 Hz s | 1 kHz s | 4 kHz s | 8 kHz s | maxima a Hz | against Schroeder's |";
  private static final int RATE = Rendered.RATE;
  private static final Map<ReverbKind, Double> SECONDS =
      Map.of(ReverbKind.SMALL, 0.5, ReverbKind.PLATE, 1.4, ReverbKind.HALL, 2.6);

  private static Song stroke(ReverbKind room, int percent) {
    Pattern.Drums groove =
        new Pattern.Drums(
            1, List.of(DrumLane.of(DrumVoice.RIM, StepLane.parse("X..............."))));
    Mix mix = Mix.PLAIN.withReverb(percent);
    Part part =
        Songs.part("drums", Role.DRUMS, groove).withMix(mix.withSpace(mix.space().withRoom(room)));
    return Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, part);
  }

  private static float[] answer(ReverbKind room) {
    Rendered wet = Rendered.beforeLimiter(stroke(room, 100));
    Rendered dry = Rendered.beforeLimiter(stroke(room, 0));
    float[] out = new float[wet.left().length];
    for (int i = 0; i < out.length; i++) {
      out[i] = wet.left()[i] - dry.left()[i];
    }
    return out;
  }

  /** A band about an octave wide, by two two-pole filters in a row. */
  private static double[] band(float[] samples, double hertz) {
    double[] out = new double[samples.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = samples[i];
    }
    double turn = 2 * Math.PI * hertz / RATE;
    double alpha = Math.sin(turn) / 2.8;
    for (int pass = 0; pass < 2; pass++) {
      double x1 = 0;
      double x2 = 0;
      double y1 = 0;
      double y2 = 0;
      for (int i = 0; i < out.length; i++) {
        double in = out[i];
        double now = (alpha * (in - x2) + 2 * Math.cos(turn) * y1 - (1 - alpha) * y2) / (1 + alpha);
        x2 = x1;
        x1 = in;
        y2 = y1;
        y1 = now;
        out[i] = now;
      }
    }
    return out;
  }

  /**
   * The time in which a band falls by 60 dB, from what is still to come at −5 and −25 dB
   * (Schroeder's backward integration, ISO 3382-1's T20; from memory).
   */
  private static double seconds(float[] answer, double hertz) {
    double[] left = band(answer, hertz);
    double sum = 0;
    for (int i = left.length - 1; i >= 0; i--) {
      sum += left[i] * left[i];
      left[i] = sum;
    }
    int five = 0;
    while (left[five] > left[0] * Math.pow(10, -0.5)) {
      five++;
    }
    int more = five;
    while (left[more] > left[0] * Math.pow(10, -2.5)) {
      more++;
    }
    return 3.0 * (more - five) / RATE;
  }

  /** How many maxima a Hz the answer has between 500 Hz and 2 kHz. */
  private static double maxima(float[] answer) {
    int from = RATE / 10;
    float[] late = Arrays.copyOfRange(answer, from, from + (1 << 17));
    double[] powers = Spectrum.powers(late, late.length);
    double bin = (double) RATE / late.length;
    int count = 0;
    for (int i = (int) (500 / bin); i < 2000 / bin; i++) {
      count += powers[i] > powers[i - 1] && powers[i] > powers[i + 1] ? 1 : 0;
    }
    return count / 1500.0;
  }

  /**
   * Where so many modes overlap that none is heard by itself, maxima lie 3.9 Hz apart for each
   * second's hundredth of the decay: {@code 3.9 / T60} (Schroeder and Kuttruff 1962; from memory).
   * Fewer would ring as metal does.
   */
  @Test
  void roomsFallInTheirTimeHighsSoonerAndRingWithoutSingleTones() {
    List<String> rows = new ArrayList<>();
    for (ReverbKind room : ReverbKind.values()) {
      float[] answer = answer(room);
      double low = seconds(answer, 250);
      double middle = seconds(answer, 1000);
      double upper = seconds(answer, 4000);
      double high = seconds(answer, 8000);
      double dense = maxima(answer);
      double ratio = dense / (middle / 3.9);
      rows.add(
          String.format(
              Locale.ROOT,
              "| %s | %.2f | %.2f | %.2f | %.2f | %.2f | %.2f |",
              room.name().toLowerCase(Locale.ROOT),
              low,
              middle,
              upper,
              high,
              dense,
              ratio));
      assertThat(low)
          .as("%s, lows", room)
          .isBetween(0.7 * SECONDS.get(room), 1.3 * SECONDS.get(room));
      assertThat(high).as("%s, highs", room).isLessThan(upper).isLessThan(0.75 * low);
      assertThat(ratio).as("%s, maxima against a dense room's", room).isBetween(0.7, 1.6);
    }
    Report.table(HEADER, rows);
  }
}
