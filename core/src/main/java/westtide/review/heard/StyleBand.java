package westtide.review.heard;

import java.util.ArrayList;
import java.util.List;
import westtide.sound.loudness.ThirdOctaves;
import westtide.style.SoundHabit;

/**
 * The band the spectrum of a mix usually lies in: highest around its low end, then falling by about
 * 4.5 dB an octave (common practice), and leaning as its style does.
 *
 * @param low the lower edge of each third of an octave, in dB against the mean of all
 * @param high the upper edge
 */
public record StyleBand(List<Double> low, List<Double> high) {
  private static final double SLOPE_DB = 4.5;
  private static final double TURNS_HERTZ = 90;
  private static final double HALF_DB = 6;
  private static final double DEEP_HERTZ = 80;
  private static final double BRIGHT_HERTZ = 5000;

  /** Copies the edges. */
  public StyleBand {
    low = List.copyOf(low);
    high = List.copyOf(high);
  }

  /** The band of a style. */
  public static StyleBand of(SoundHabit.Tilt tilt) {
    List<Double> middle = new ArrayList<>();
    for (int band = 0; band < ThirdOctaves.BANDS; band++) {
      double hertz = ThirdOctaves.hertz(band);
      double above = Math.max(0, Math.log(hertz / TURNS_HERTZ) / Math.log(2));
      double below = Math.max(0, Math.log(45 / hertz) / Math.log(2));
      middle.add(-SLOPE_DB * above - 14 * below + own(tilt, hertz));
    }
    double mean = mean(middle);
    return new StyleBand(
        middle.stream().map(level -> level - mean - HALF_DB).toList(),
        middle.stream().map(level -> level - mean + HALF_DB).toList());
  }

  private static double own(SoundHabit.Tilt tilt, double hertz) {
    return hertz < DEEP_HERTZ ? tilt.low() : hertz > BRIGHT_HERTZ ? tilt.high() : 0;
  }

  /** The mean of levels in dB, as they are drawn. */
  static double mean(List<Double> levels) {
    return levels.stream().mapToDouble(level -> level).average().orElse(0);
  }

  /** Levels brought to the mean the band counts from. */
  public static List<Double> against(List<Double> levels) {
    List<Double> heard = levels.stream().map(level -> Math.max(-90, level)).toList();
    double mean = mean(heard);
    return heard.stream().map(level -> level - mean).toList();
  }
}
