package westtide.sound.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ModesTest {
  private static final int RATE = 48_000;

  /** {@code level · sin(2π f n / rate)}, 60 dB down after its time, by the formula itself. */
  private static double mode(double hertz, double millis, double level, int n) {
    double fallen = Math.pow(10, -3.0 * (n - 1) / (millis / 1000 * RATE));
    return n < 1 ? 0 : level * fallen * Math.sin(2 * Math.PI * hertz * n / RATE);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 3, 4, 9})
  void modesAreFallingSinesFromASampleOn(int count) {
    double[] hertz = IntStream.range(0, count).mapToDouble(i -> 82.4 * (i + 1.03)).toArray();
    double[] millis = IntStream.range(0, count).mapToDouble(i -> 900.0 / (i + 1)).toArray();
    double[] levels = IntStream.range(0, count).mapToDouble(i -> 0.5 / (i + 1)).toArray();
    double[] wave = new double[30_000];
    new Modes(RATE, hertz, millis, levels).add(wave, 777);
    for (int i = 0; i < wave.length; i += 7) {
      int n = i - 777;
      double wanted =
          IntStream.range(0, count).mapToDouble(k -> mode(hertz[k], millis[k], levels[k], n)).sum();
      assertThat(wave[i]).isCloseTo(wanted, within(2e-5));
    }
  }

  @Test
  void whatLiesAboveTheHighestPitchOfTheRateIsLeftOut() {
    double[] wave = new double[1000];
    double[] one = {1};
    new Modes(RATE, new double[] {0.46 * RATE}, new double[] {500}, one).add(wave, 0);
    assertThat(wave).containsOnly(0);
  }
}
