package westtide.found;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.sound.found.PhaseVocoder;
import westtide.sound.found.Resampler;
import westtide.sound.found.SpliceStretch;

/** Measured with code of its own: zero crossings, energies and sums of squares. */
class StretchTest {
  private static final int RATE = 48_000;

  private static float[] tone(double hertz, double seconds) {
    float[] out = new float[(int) (seconds * RATE)];
    for (int i = 0; i < out.length; i++) {
      out[i] = (float) (0.5 * Math.sin(2 * Math.PI * hertz * i / RATE));
    }
    return out;
  }

  /** Strokes that fall to nothing over some 30 ms, half a second apart. */
  private static float[] strokes(int count) {
    float[] out = new float[(int) (count * 0.5 * RATE)];
    java.util.Random random = new java.util.Random(3);
    for (int stroke = 0; stroke < count; stroke++) {
      int from = (int) ((0.1 + stroke * 0.5) * RATE);
      for (int i = 0; i < 0.2 * RATE; i++) {
        out[from + i] += (float) (0.7 * Math.exp(-i / (0.012 * RATE)) * random.nextGaussian() / 3);
      }
    }
    return out;
  }

  /** Hz by counting rising zero crossings, each placed between its samples. */
  private static double hertz(float[] samples) {
    double first = -1;
    double last = 0;
    int count = 0;
    for (int i = samples.length / 5; i < samples.length * 4 / 5; i++) {
      if (samples[i] < 0 && samples[i + 1] >= 0) {
        last = i + samples[i] / (double) (samples[i] - samples[i + 1]);
        first = first < 0 ? last : first;
        count++;
      }
    }
    return (count - 1) * RATE / (last - first);
  }

  private static double cents(double a, double b) {
    return 1200 * Math.log(a / b) / Math.log(2);
  }

  private static double decibels(float[] samples) {
    double sum = 0;
    for (int i = samples.length / 5; i < samples.length * 4 / 5; i++) {
      sum += samples[i] * samples[i];
    }
    return 10 * Math.log10(sum / (samples.length * 3 / 5.0));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.7, 0.85, 0.97, 1.1, 1.25, 1.5})
  void aStretchedToneKeepsItsPitchAndItsLoudness(double times) {
    for (double hertz : new double[] {55, 110, 440, 1760}) {
      float[] tone = tone(hertz, 2);
      float[] out = new PhaseVocoder(RATE).stretched(times, new int[0], tone)[0];
      assertThat(out).hasSize((int) Math.round(tone.length * times));
      assertThat(cents(hertz(out), hertz)).as(hertz + " Hz").isCloseTo(0, within(3.0));
      assertThat(decibels(out)).as(hertz + " Hz").isCloseTo(decibels(tone), within(0.5));
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.7, 0.9, 1.2, 1.5})
  void strokesStayWhereTheyBelongWithinFiveMilliseconds(double times) {
    float[] strokes = strokes(6);
    int[] at = new int[6];
    for (int i = 0; i < 6; i++) {
      at[i] = (int) ((0.1 + i * 0.5) * RATE);
    }
    float[] vocoded = new PhaseVocoder(RATE).stretched(times, at, strokes)[0];
    float[] spliced = new SpliceStretch(RATE).stretched(times, at, strokes)[0];
    for (int i = 0; i < 6; i++) {
      double wanted = at[i] * times / RATE;
      assertThat(rise(vocoded, wanted)).isCloseTo(wanted, within(0.005));
      assertThat(rise(spliced, wanted)).isCloseTo(wanted, within(0.005));
    }
  }

  /** When it first passes a fifth of the loudest within 100 ms of a moment. */
  private static double rise(float[] samples, double near) {
    int from = (int) ((near - 0.1) * RATE);
    int to = (int) ((near + 0.1) * RATE);
    float most = 0;
    for (int i = Math.max(0, from); i < to; i++) {
      most = Math.max(most, Math.abs(samples[i]));
    }
    for (int i = Math.max(0, from); i < to; i++) {
      if (Math.abs(samples[i]) > most / 5) {
        return i / (double) RATE;
      }
    }
    return -1;
  }

  /** A semitone is a ratio of 2^(1/12): equal temperament. */
  @ParameterizedTest
  @ValueSource(ints = {-12, -7, -1, 1, 3, 12})
  void readingFasterRaisesThePitchByTheTwelfthRoot(int semitones) {
    double speed = Math.pow(2, semitones / 12.0);
    float[] tone = tone(440, 2);
    float[] out = new Resampler(speed).read(tone);
    assertThat(out).hasSize((int) Math.round(tone.length / speed));
    assertThat(cents(hertz(out), 440 * speed)).isCloseTo(0, within(0.5));
    assertThat(decibels(out)).isCloseTo(decibels(tone), within(0.1));
  }

  @Test
  void readAtItsOwnSpeedItIsTheSame() {
    float[] strokes = strokes(3);
    assertThat(Arrays.equals(new Resampler(1).read(strokes), strokes)).isTrue();
    float[] kept = new PhaseVocoder(RATE).stretched(1, new int[0], strokes)[0];
    assertThat(Arrays.equals(kept, strokes)).isTrue();
  }

  @Test
  void whatIsAboveHalfTheRateDoesNotFoldBack() {
    float[] out = new Resampler(2).read(tone(20_000, 1));
    assertThat(decibels(out)).isLessThan(-70);
  }
}
