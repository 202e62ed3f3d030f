package westtide.heard;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import westtide.sound.Spectrum;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Touch;

/**
 * What one voice measures, rendered through the whole product.
 *
 * @param level loudness of a note at velocity 100 over its first 400 ms, dB RMS of the middle
 * @param peak its highest sample, dB
 * @param brighter how much its spectral centroid rises from velocity 40 to 120, %
 * @param louder how much louder it is then, dB
 * @param alike correlation of two neighbouring equal strokes at most, 1 where they are the same
 * @param swing loudest against softest 100 ms of a held note, dB
 * @param first the fundamental against the second harmonic in the first 50 ms at worst, dB
 * @param folded energy beside all overtones of a high note, dB
 */
record VoiceFigures(
    String name,
    String family,
    double level,
    double peak,
    double brighter,
    double louder,
    double alike,
    double swing,
    double first,
    double folded) {
  private static final int RATE = Rendered.RATE;

  /** Voices made of noise or of modes in no simple ratio have no overtones to lie beside. */
  static final Set<String> TONAL =
      Set.of(
          "808",
          "sub",
          "square bass",
          "driven bass",
          "organ",
          "pad",
          "brass",
          "horn section",
          "brass swell",
          "lead",
          "resonant line",
          "stab");

  static final Set<String> SAWS =
      Set.of(
          "pad",
          "string ensemble",
          "brass",
          "horn section",
          "brass swell",
          "lead",
          "stab",
          "driven bass");

  static VoiceFigures of(Instrument instrument) {
    boolean drum = instrument.family() == Family.DRUM || instrument.touch() == Touch.STRUCK;
    return drum ? drum(instrument) : pitched(instrument);
  }

  private static VoiceFigures drum(Instrument instrument) {
    String name = instrument.name();
    Rendered usual = Rendered.strokes(name, "x", 2);
    float[] soft = Rendered.strokes(name, "o", 1).middle(0, 0.45);
    float[] hard = Rendered.strokes(name, "X", 1).middle(0, 0.45);
    return new VoiceFigures(
        name,
        "drums",
        rms(usual.middle(0, 0.4)),
        peak(usual.middle(0, 2)),
        rise(soft, hard),
        rms(hard) - rms(soft),
        alike(usual, 0.5, 6, 0.15),
        Double.NaN,
        Double.NaN,
        Double.NaN);
  }

  private static VoiceFigures pitched(Instrument instrument) {
    String name = instrument.name();
    int key = instrument.family() == Family.LOW ? 33 : 60;
    Rendered held = Rendered.note(name, key, 100, 3);
    float[] soft = Rendered.note(name, key, 40, 1).middle(0, 1);
    float[] hard = Rendered.note(name, key, 120, 1).middle(0, 1);
    return new VoiceFigures(
        name,
        instrument.family().toString(),
        rms(held.middle(0, 0.4)),
        peak(held.middle(0, 3)),
        rise(soft, hard),
        rms(hard) - rms(soft),
        alike(Rendered.notes(name, key, 100, 0.25, 4), 0.75, 4, 0.15),
        swing(held),
        SAWS.contains(name) ? first(name) : Double.NaN,
        TONAL.contains(name) ? folded(name, instrument.family()) : Double.NaN);
  }

  private static double first(String name) {
    double least = Double.MAX_VALUE;
    for (int key : new int[] {36, 48, 60, 72, 84}) {
      double hertz = 440 * Math.pow(2, (key - 69) / 12.0);
      float[] start = Rendered.note(name, key, 110, 0.5).middle(0, 0.5);
      int length = RATE / 20;
      double one = Spectrum.power(start, 0, length, RATE, hertz);
      double two = Spectrum.power(start, 0, length, RATE, 2 * hertz);
      least = Math.min(least, Bands.decibels(one) - Bands.decibels(two));
    }
    return least;
  }

  private static double folded(String name, Family family) {
    double most = -300;
    for (int key : family == Family.LOW ? new int[] {40, 52} : new int[] {72, 84, 93}) {
      double hertz = 440 * Math.pow(2, (key - 69) / 12.0);
      float[] sound = Rendered.note(name, key, 110, 2.5).middle(0.6, 1.6);
      most = Math.max(most, Bands.of(sound).besideOvertones(hertz, 45));
    }
    return most;
  }

  /** Drums may ring into the next stroke, which changes nothing about how alike they are. */
  private static double alike(Rendered strokes, double apart, int count, double seconds) {
    double most = -1;
    for (int i = 0; i + 1 < count; i++) {
      float[] one = strokes.middle(i * apart, seconds);
      float[] two = strokes.middle((i + 1) * apart, seconds);
      most = Math.max(most, correlation(one, two));
    }
    return most;
  }

  static double correlation(float[] one, float[] two) {
    double both = 0;
    double first = 0;
    double second = 0;
    for (int i = 0; i < Math.min(one.length, two.length); i++) {
      both += one[i] * two[i];
      first += one[i] * one[i];
      second += two[i] * two[i];
    }
    return both / Math.sqrt(first * second + 1e-30);
  }

  private static double swing(Rendered held) {
    List<Double> levels = new ArrayList<>();
    for (double at = 0.8; at < 2.8; at += 0.1) {
      levels.add(rms(held.middle(at, 0.1)));
    }
    double fall = (levels.get(0) - levels.get(levels.size() - 1)) / (levels.size() - 1);
    double high = -300;
    double low = 300;
    for (int i = 0; i < levels.size(); i++) {
      double even = levels.get(i) + fall * i;
      high = Math.max(high, even);
      low = Math.min(low, even);
    }
    return high - low;
  }

  private static double rise(float[] soft, float[] hard) {
    double from = Bands.struck(soft).centroid();
    return 100 * (Bands.struck(hard).centroid() / from - 1);
  }

  static double rms(float[] samples) {
    double sum = 0;
    for (float sample : samples) {
      sum += sample * sample;
    }
    return Bands.decibels(sum / samples.length);
  }

  static double peak(float[] samples) {
    double out = 0;
    for (float sample : samples) {
      out = Math.max(out, Math.abs(sample));
    }
    return 20 * Math.log10(out + 1e-15);
  }

  String row() {
    return String.format(
        Locale.ROOT,
        "| %s | %s | %.1f | %.1f | %s | %.1f | %.3f | %s | %s | %s |",
        name,
        family,
        level,
        peak,
        figure("%+.0f", brighter),
        louder,
        alike,
        figure("%.1f", swing),
        figure("%+.1f", first),
        figure("%.0f", folded));
  }

  private static String figure(String format, double value) {
    return Double.isNaN(value) ? "–" : String.format(Locale.ROOT, format, value);
  }
}
