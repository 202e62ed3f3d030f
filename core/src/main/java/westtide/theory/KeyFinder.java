package westtide.theory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/**
 * Ranks keys by how well they explain notes. The share of time each pitch class sounds is
 * correlated with the profiles of Krumhansl and Kessler (1982, from memory); a piece that ends on
 * the tonic, or on its triad, gains a little (our own weights). The best minor and major readings
 * are refined to a mode where the sixth or seventh degree asks for it.
 *
 * <p>How sure it is is our own measure: the share of the best reading among all, after a softmax.
 */
public final class KeyFinder {
  private static final double[] MAJOR = {
    6.35, 2.23, 3.48, 2.33, 4.38, 4.09, 2.52, 5.19, 2.39, 3.66, 2.29, 2.88
  };
  private static final double[] MINOR = {
    6.33, 2.68, 3.52, 5.38, 2.60, 3.53, 2.54, 4.75, 3.98, 2.69, 3.34, 3.17
  };
  private static final double ENDS_ON_TONIC = 0.2;
  private static final double ENDS_ON_TRIAD = 0.03;
  private static final double BASS_AT_HOME = 0.8;

  /** Most beats are in minor (common practice). */
  private static final double USUALLY_MINOR = 0.05;

  private static final double FOREIGN = 1.2;
  private static final double FLAT_SEVENTH = 0.5;
  private static final double WRONG_THIRD = 0.3;
  private static final double SHARPNESS = 11;

  private KeyFinder() {}

  /**
   * A note as it is heard.
   *
   * @param pitchClass 0 for C to 11 for B
   * @param length how long it sounds, in any unit
   */
  public record Heard(int pitchClass, double length) {}

  /**
   * A reading.
   *
   * @param key the key
   * @param sureness share among all readings, 0 to 1
   * @param inside share of the time that lies on notes of the key, 0 to 1
   * @param endsAtHome whether the last note is its tonic
   */
  public record Guess(Key key, double sureness, double inside, boolean endsAtHome) {
    /** Why, in a sentence. */
    public String reason() {
      String home = endsAtHome ? ", and it comes home to " + key.tonic() : "";
      return Math.round(100 * inside) + " % of the time lies in the scale" + home + ".";
    }
  }

  /**
   * All keys, the likeliest first.
   *
   * @throws IllegalArgumentException when nothing is heard
   */
  public static List<Guess> rank(List<Heard> notes) {
    if (notes.isEmpty()) {
      throw new IllegalArgumentException("no notes were given; a key needs at least one");
    }
    double[] time = new double[12];
    notes.forEach(note -> time[note.pitchClass()] += note.length());
    int last = notes.get(notes.size() - 1).pitchClass();
    return ranked(
        (tonic, minor) ->
            correlation(time, minor ? MINOR : MAJOR, tonic)
                + ending(last, tonic, minor)
                - FOREIGN * foreign(time, tonic, minor)
                - (wrongThird(time, tonic, minor) ? WRONG_THIRD : 0),
        reading -> scale(reading, time),
        time,
        last);
  }

  /**
   * All keys, the likeliest first, of a sound whose pitch classes are known by strength only: the
   * profiles' correlation, and how much its bass comes home to each tonic (our own weight).
   *
   * @param strengths twelve, C first, 0 or more
   * @param home how much each of the twelve is where the bass is at home; all add up to 1
   * @throws IllegalArgumentException when nothing is heard
   */
  public static List<Guess> rank(double[] strengths, double[] home) {
    if (mean(strengths) <= 0) {
      throw new IllegalArgumentException("no notes were given; a key needs at least one");
    }
    return ranked(
        (tonic, minor) ->
            correlation(strengths, minor ? MINOR : MAJOR, tonic)
                + BASS_AT_HOME * home[tonic]
                + (minor ? USUALLY_MINOR : 0),
        KeyFinder::plain,
        strengths,
        strongest(home));
  }

  private static int strongest(double[] values) {
    int best = 0;
    for (int i = 1; i < values.length; i++) {
      best = values[i] > values[best] ? i : best;
    }
    return best;
  }

  /** How well a key on a tonic explains what is heard, in no unit. */
  private interface Fitting {
    double of(int tonic, boolean minor);
  }

  private static List<Guess> ranked(
      Fitting fits, Function<Reading, Scale> scale, double[] time, int last) {
    List<Reading> readings = new ArrayList<>();
    double all = 0;
    for (int tonic = 0; tonic < 12; tonic++) {
      for (boolean minor : new boolean[] {false, true}) {
        double fit = fits.of(tonic, minor);
        readings.add(new Reading(tonic, minor, fit));
        all += Math.exp(SHARPNESS * fit);
      }
    }
    double sum = all;
    return readings.stream()
        .sorted(Comparator.comparingDouble(Reading::fit).reversed())
        .map(reading -> guess(reading, scale.apply(reading), time, last, sum))
        .toList();
  }

  private record Reading(int tonic, boolean minor, double fit) {}

  /** Strengths tell major from minor, and modes too little to be sure of. */
  private static Scale plain(Reading reading) {
    return reading.minor() ? Scale.MINOR : Scale.MAJOR;
  }

  private static Guess guess(Reading reading, Scale scale, double[] time, int last, double all) {
    Key key = Key.usual(reading.tonic(), scale);
    double inside = 0;
    double total = 0;
    for (int pitchClass = 0; pitchClass < 12; pitchClass++) {
      total += time[pitchClass];
      inside += key.contains(pitchClass) ? time[pitchClass] : 0;
    }
    double sureness = Math.exp(SHARPNESS * reading.fit()) / all;
    return new Guess(key, sureness, inside / total, last == reading.tonic());
  }

  /** The mode the sixth and seventh degrees ask for. */
  private static Scale scale(Reading reading, double[] time) {
    double sixth = time[(reading.tonic() + 9) % 12];
    double flatSixth = time[(reading.tonic() + 8) % 12];
    double seventh = time[(reading.tonic() + 11) % 12];
    double flatSeventh = time[(reading.tonic() + 10) % 12];
    if (!reading.minor()) {
      return flatSeventh > 2 * seventh ? Scale.MIXOLYDIAN : Scale.MAJOR;
    }
    if (sixth > 0 && flatSixth == 0 && seventh == 0) {
      return Scale.DORIAN;
    }
    return seventh > 2 * flatSeventh && sixth == 0 ? Scale.HARMONIC_MINOR : Scale.MINOR;
  }

  private static double ending(int last, int tonic, boolean minor) {
    int height = Math.floorMod(last - tonic, 12);
    if (height == 0) {
      return ENDS_ON_TONIC;
    }
    return height == 7 || height == (minor ? 3 : 4) ? ENDS_ON_TRIAD : 0;
  }

  /**
   * The share of the time that no scale of the reading holds: minor may raise its sixth and
   * seventh.
   */
  private static double foreign(double[] time, int tonic, boolean minor) {
    int[] outside = minor ? new int[] {1, 4, 6} : new int[] {1, 3, 6, 8};
    double lost = 0;
    double total = 0;
    for (double each : time) {
      total += each;
    }
    for (int degree : outside) {
      lost += time[(tonic + degree) % 12];
    }
    lost += minor ? 0 : FLAT_SEVENTH * time[(tonic + 10) % 12];
    return lost / total;
  }

  /** Whether only the third of the other mode is heard, never its own. */
  private static boolean wrongThird(double[] time, int tonic, boolean minor) {
    double own = time[(tonic + (minor ? 3 : 4)) % 12];
    double other = time[(tonic + (minor ? 4 : 3)) % 12];
    return own == 0 && other > 0;
  }

  private static double correlation(double[] time, double[] profile, int tonic) {
    double timeMean = mean(time);
    double profileMean = mean(profile);
    double both = 0;
    double timeSquares = 0;
    double profileSquares = 0;
    for (int degree = 0; degree < 12; degree++) {
      double t = time[(tonic + degree) % 12] - timeMean;
      double p = profile[degree] - profileMean;
      both += t * p;
      timeSquares += t * t;
      profileSquares += p * p;
    }
    return timeSquares == 0 ? 0 : both / Math.sqrt(timeSquares * profileSquares);
  }

  private static double mean(double[] values) {
    double sum = 0;
    for (double value : values) {
      sum += value;
    }
    return sum / values.length;
  }
}
