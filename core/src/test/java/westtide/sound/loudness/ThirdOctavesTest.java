package westtide.sound.loudness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ThirdOctavesTest {
  private static final int RATE = 48_000;

  /** The sum it stands for, written out: {@code X(k) = Σ x(n) e^(−2πikn/N)}. */
  @ParameterizedTest
  @ValueSource(ints = {2, 8, 64, 256})
  void theFastTransformIsTheSlowOne(int size) {
    Random random = new Random(size);
    double[] real = random.doubles(size, -1, 1).toArray();
    double[] imaginary = random.doubles(size, -1, 1).toArray();
    double[] wantedReal = new double[size];
    double[] wantedImaginary = new double[size];
    for (int k = 0; k < size; k++) {
      for (int n = 0; n < size; n++) {
        double turn = -2 * Math.PI * k * n / size;
        wantedReal[k] += real[n] * Math.cos(turn) - imaginary[n] * Math.sin(turn);
        wantedImaginary[k] += real[n] * Math.sin(turn) + imaginary[n] * Math.cos(turn);
      }
    }
    new Fourier(size).transform(real, imaginary);
    assertThat(real).containsExactly(wantedReal, within(1e-9));
    assertThat(imaginary).containsExactly(wantedImaginary, within(1e-9));
  }

  /** A full sine has half the power of a constant: −3.01 dB, all of it in the band it lies in. */
  @ParameterizedTest
  @CsvSource({"63,3", "1008,15", "8064,24"})
  void aSineLiesInItsBand(double hertz, int band) {
    float[] wave = new float[3 * RATE];
    for (int i = 0; i < wave.length; i++) {
      wave[i] = (float) Math.sin(2 * Math.PI * hertz * i / RATE);
    }
    ThirdOctaves meter = new ThirdOctaves(RATE);
    meter.hear(wave, wave, 0, wave.length);
    assertThat(meter.levels().get(band)).isCloseTo(-3.01, within(0.3));
    for (int other = 0; other < ThirdOctaves.BANDS; other++) {
      if (Math.abs(other - band) > 1) {
        assertThat(meter.levels().get(other)).isLessThan(-30);
      }
    }
  }

  @Test
  void silenceHalfTheTimeHalvesTheMean() {
    float[] noise = new float[4 * RATE];
    Random random = new Random(1);
    for (int i = 0; i < noise.length; i++) {
      noise[i] = random.nextFloat() - 0.5f;
    }
    ThirdOctaves always = new ThirdOctaves(RATE);
    always.hear(noise, noise, 0, noise.length);
    ThirdOctaves half = new ThirdOctaves(RATE);
    half.hear(noise, noise, 0, noise.length);
    half.hear(new float[noise.length], new float[noise.length], 0, noise.length);
    assertThat(half.levels().get(20)).isCloseTo(always.levels().get(20) - 3.01, within(0.01));
  }
}
