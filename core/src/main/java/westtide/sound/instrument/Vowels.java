package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.PitchPath;
import westtide.sound.voice.Saw;
import westtide.sound.voice.Strike;

/** Voices without words: a choir and a chop. A pulse like the vocal folds' through a vowel. */
final class Vowels {
  /** Formants in Hz of "oo", "oh", "ah" and "eh" (handbook of phonetics; from memory). */
  private static final double[][] FORMANTS = {
    {320, 800, 2400, 3300}, {450, 850, 2500, 3400}, {760, 1180, 2700, 3600}, {560, 1780, 2600, 3700}
  };

  private static final double[] LEVELS = {1, 0.6, 0.28, 0.16};
  private static final int SLOW = 16;

  private Vowels() {}

  /** Four singers who drift around the note, and their breath. */
  static float[] choir(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    double[] cents = {0, -7.5, 5.1, 11.3};
    for (int singer = 0; singer < cents.length; singer++) {
      Saw folds = new Saw(0.5 + 0.06 * singer);
      Vibrato vibrato = new Vibrato(strike, 5 + 3 * singer, 4.6 + 0.37 * singer);
      double step = strike.hertz() * Math.pow(2, cents[singer] / 1200) / strike.rate();
      double level = singer == 0 ? 0.6 : 0.17;
      vibrato.add(folds, sample.wave, level, step);
    }
    Noise breath = new Noise(231);
    double air = 0.03 + 0.06 * strike.force();
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] += air * breath.next();
    }
    double vowel = strike.get("vowel") / 100.0 * (FORMANTS.length - 1);
    sing(sample, strike, vowel, vowel, 0.2 + 1.6 * strike.force());
    return sample.scale(1.4).swell(strike.get("attack")).table();
  }

  /** One short sung syllable: scooped from below, its vowel moving on. */
  static float[] chop(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Vibrato vibrato = new Vibrato(strike, 9, 5.6);
    Saw folds = new Saw(0.5);
    Noise breath = new Noise(strike.seed(233));
    double scoop = 1;
    double fall = Fade.perSample(70, strike.rate());
    double decay = Fade.perSample(strike.get("decay"), strike.rate());
    double level = 0.9;
    for (int i = 0; i < sample.wave.length; i++) {
      double bend = 1 - 0.1 * scoop * (0.4 + 0.6 * strike.force());
      double wave = folds.saw(path.next() * vibrato.next() * bend / strike.rate());
      sample.wave[i] =
          level * (wave + (0.05 + 0.5 * scoop) * (0.4 + strike.force()) * breath.next());
      scoop *= fall;
      level *= decay;
    }
    double vowel = strike.get("vowel") / 100.0 * (FORMANTS.length - 1);
    double start = Math.max(0, vowel - 0.9);
    sing(sample, strike, start, vowel, 0.1 + 1.7 * strike.force());
    return sample.scale(1.5).drive(2).swell(6).table();
  }

  /** Sends the wave through formants that move from one vowel to another in the first moments. */
  private static void sing(Sample sample, Strike strike, double from, double to, double bright) {
    Filter[] bands = new Filter[LEVELS.length];
    for (int f = 0; f < bands.length; f++) {
      bands[f] = new Filter(strike.rate());
    }
    Filter soft = new Filter(strike.rate()).set(900, 0.6);
    double longest = strike.samples(180);
    for (int i = 0; i < sample.wave.length; i++) {
      if (i % SLOW == 0 && i <= longest + SLOW) {
        double vowel = from + (to - from) * Math.min(1, i / longest);
        for (int f = 0; f < bands.length; f++) {
          bands[f].set(formant(vowel, f), 5 + 2.5 * f);
        }
      }
      double in = sample.wave[i];
      double out = 0.35 * soft.low(in);
      for (int f = 0; f < bands.length; f++) {
        out += LEVELS[f] * (f < 2 ? 1 : bright) * bands[f].band(in);
      }
      sample.wave[i] = out;
    }
  }

  private static double formant(double vowel, int number) {
    int before = Math.min(FORMANTS.length - 2, (int) vowel);
    double share = vowel - before;
    double low = FORMANTS[before][number];
    return low * Math.pow(FORMANTS[before + 1][number] / low, share);
  }
}
