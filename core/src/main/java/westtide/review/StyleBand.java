package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import westtide.sound.loudness.ThirdOctaves;

/**
 * The band the spectrum of a mix usually lies in: highest around its low end, then falling by about
 * 4.5 dB an octave (common practice); styles with an 808 have more below 80 Hz, old and soft styles
 * less above 5 kHz, club styles more.
 *
 * @param low the lower edge of each third of an octave, in dB against the mean of all
 * @param high the upper edge
 */
public record StyleBand(List<Double> low, List<Double> high) {
  private static final Set<String> DEEP =
      Set.of("trap", "bounce", "dark", "cloud", "drill", "future-bass", "amapiano");
  private static final Set<String> SOFT = Set.of("lo-fi", "boom-bap", "soul");
  private static final Set<String> CLUB =
      Set.of("house", "tech-house", "techno", "bass-house", "disco-pop");

  private static final double SLOPE_DB = 4.5;
  private static final double TURNS_HERTZ = 90;
  private static final double HALF_DB = 6;

  /** Copies the edges. */
  public StyleBand {
    low = List.copyOf(low);
    high = List.copyOf(high);
  }

  /** The band of a style, by its id. */
  public static StyleBand of(String style) {
    List<Double> middle = new ArrayList<>();
    for (int band = 0; band < ThirdOctaves.BANDS; band++) {
      double hertz = ThirdOctaves.hertz(band);
      double above = Math.max(0, Math.log(hertz / TURNS_HERTZ) / Math.log(2));
      double below = Math.max(0, Math.log(45 / hertz) / Math.log(2));
      middle.add(-SLOPE_DB * above - 14 * below + own(style, hertz));
    }
    double mean = mean(middle);
    return new StyleBand(
        middle.stream().map(level -> level - mean - HALF_DB).toList(),
        middle.stream().map(level -> level - mean + HALF_DB).toList());
  }

  private static double own(String style, double hertz) {
    double deep = DEEP.contains(style) && hertz < 80 ? 4 : 0;
    double soft = SOFT.contains(style) && hertz > 5000 ? -4 : 0;
    double club = CLUB.contains(style) && hertz > 5000 ? 2 : 0;
    return deep + soft + club;
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
