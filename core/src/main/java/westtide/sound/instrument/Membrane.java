package westtide.sound.instrument;

import westtide.sound.voice.Strike;

/** The modes of a round skin above its fundamental, which strays a little from stroke to stroke. */
final class Membrane {
  /** Frequencies against the fundamental, of an ideal round membrane (handbook of acoustics). */
  private static final double[] RATIOS = {1.593, 2.136, 2.296, 2.653, 2.918, 3.156, 3.501, 4.06};

  private Membrane() {}

  /** Adds the upper modes of a drum tuned as the strike says, each shorter than the one below. */
  static void ring(Sample sample, Strike strike, double millis, double level) {
    double hertz = strike.get("tune") * strike.shift();
    double bright = 0.4 + 0.3 * strike.force();
    double loud = level;
    for (int i = 0; i < RATIOS.length; i++) {
      double strayed = strike.about(RATIOS[i] * hertz, 0.008, 40 + i);
      sample.mode(strayed, millis / (1 + 0.3 * i), loud * (1 + 0.5 * strike.stray(60 + i)));
      loud *= bright;
    }
  }
}
