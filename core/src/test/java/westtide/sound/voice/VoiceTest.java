package westtide.sound.voice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class VoiceTest {
  private static final int RATE = 48_000;

  @Test
  void sinesFromTheTableAreSines() {
    for (int i = 0; i < 10_000; i++) {
      double turns = i * 0.00137;
      assertThat(SineTable.at(turns)).isCloseTo(Math.sin(2 * Math.PI * turns), within(4e-7));
    }
  }

  /** A saw's overtones fall with their number; what folds back must lie far below them. */
  @ParameterizedTest
  @ValueSource(doubles = {110, 440, 1760})
  void aSawHasItsOvertonesAndLittleElse(double hertz) {
    Saw saw = new Saw(0);
    double[] wave = new double[RATE];
    for (int i = 0; i < wave.length; i++) {
      wave[i] = saw.saw(hertz / RATE);
    }
    double first = power(wave, hertz);
    assertThat(power(wave, 2 * hertz) / first).isCloseTo(0.25, within(0.02));
    assertThat(power(wave, 3 * hertz) / first).isCloseTo(1 / 9.0, within(0.02));
    double folded = RATE - hertz * Math.ceil(RATE / 2.0 / hertz + 1);
    assertThat(power(wave, folded) / first).isLessThan(0.0005);
  }

  @Test
  void aSquareHasOnlyOddOvertones() {
    Saw square = new Saw(0);
    double[] wave = new double[RATE];
    for (int i = 0; i < wave.length; i++) {
      wave[i] = square.pulse(200.0 / RATE, 0.5);
    }
    double first = power(wave, 200);
    assertThat(power(wave, 400) / first).isLessThan(1e-4);
    assertThat(power(wave, 600) / first).isCloseTo(1 / 9.0, within(0.01));
  }

  /** A stretch at once, whose pitch rises, is what single samples of that pitch are. */
  @Test
  void aStretchOfASawIsItsSamplesOneByOne() {
    Saw single = new Saw(0.3);
    Saw stretch = new Saw(0.3);
    double[] wave = new double[416];
    stretch.add(wave, 16, wave.length, 0.5, 441.0 / RATE, 1e-7);
    for (int i = 16; i < wave.length; i++) {
      double wanted = 0.5 * single.saw(441.0 / RATE + 1e-7 * (i - 16));
      assertThat(wave[i]).isCloseTo(wanted, within(0.01));
    }
    assertThat(wave[15]).isZero();
  }

  @Test
  void aStretchOfASquareIsItsSamplesOneByOne() {
    Saw single = new Saw(0.3);
    double[] wave = new double[4800];
    new Saw(0.3).addSquare(wave, 0, wave.length, 0.5, 441.0 / RATE);
    for (double now : wave) {
      assertThat(now).isCloseTo(0.5 * single.pulse(441.0 / RATE, 0.5), within(1e-5));
    }
  }

  @ParameterizedTest
  @EnumSource(Filter.Leaves.class)
  void twoFiltersInTurnAreOneAfterTheOther(Filter.Leaves leaves) {
    Filter first = new Filter(RATE).set(900, 0.8);
    Filter second = new Filter(RATE).set(2100, 2);
    Filter alone = new Filter(RATE).set(900, 0.8);
    Filter then = new Filter(RATE).set(2100, 2);
    Noise noise = new Noise(8);
    double[] wave = new double[900];
    double[] wanted = new double[900];
    for (int i = 0; i < wave.length; i++) {
      wave[i] = noise.next();
      wanted[i] = left(leaves, then, alone.low(wave[i]));
    }
    Filter.inTurn(first, Filter.Leaves.LOWS, second, leaves, wave, 0, 450);
    Filter.inTurn(first, Filter.Leaves.LOWS, second, leaves, wave, 450, 900);
    assertThat(wave).containsExactly(wanted, within(1e-12));
  }

  private static double left(Filter.Leaves leaves, Filter filter, double in) {
    return switch (leaves) {
      case LOWS -> filter.low(in);
      case BAND -> filter.band(in);
      case HIGHS -> filter.high(in);
    };
  }

  @Test
  void noiseIsWhiteCentredAndTheSameFromTheSameSeed() {
    Noise one = new Noise(5);
    Noise two = new Noise(5);
    double sum = 0;
    double squares = 0;
    double neighbours = 0;
    double before = 0;
    for (int i = 0; i < 200_000; i++) {
      double value = one.next();
      assertThat(two.next()).isEqualTo(value);
      sum += value;
      squares += value * value;
      neighbours += value * before;
      before = value;
    }
    assertThat(sum / 200_000).isCloseTo(0, within(0.01));
    assertThat(squares / 200_000).isCloseTo(1 / 3.0, within(0.01));
    assertThat(neighbours / squares).isCloseTo(0, within(0.02));
  }

  /** A second-order filter at its cutoff with q = √½ passes half the power (handbook). */
  @ParameterizedTest
  @CsvSource({"100,0.7071", "1000,0.7071", "8000,0.7071"})
  void aFilterPassesHalfThePowerAtItsCutoff(double hertz, double amplitude) {
    assertThat(response(hertz, hertz, true)).isCloseTo(amplitude, within(0.01));
    assertThat(response(hertz, hertz, false)).isCloseTo(amplitude, within(0.01));
  }

  /** 12 dB an octave: two octaves beyond the cutoff a sixteenth is left (handbook). */
  @Test
  void aFilterFallsTwelveDecibelsAnOctave() {
    assertThat(response(500, 2000, true)).isCloseTo(1 / 16.0, within(0.005));
    assertThat(response(2000, 500, false)).isCloseTo(1 / 16.0, within(0.005));
    assertThat(response(2000, 200, true)).isCloseTo(1, within(0.01));
  }

  /** Two trapezoidal integrators in a loop, as the form is derived, with a cutoff that moves. */
  @Test
  void aFilterIsTwoIntegratorsHoweverItMoves() {
    Filter filter = new Filter(RATE);
    Noise noise = new Noise(5);
    double one = 0;
    double two = 0;
    for (int i = 0; i < 2000; i++) {
      double hertz = 300 + 4 * i;
      double q = 0.6 + i / 500.0;
      filter.set(hertz, q);
      double g = Math.tan(Math.PI * hertz / RATE);
      double in = noise.next();
      double high = (in - (1 / q + g) * one - two) / (1 + g * (1 / q + g));
      double band = g * high + one;
      double low = g * band + two;
      one = g * high + band;
      two = g * band + low;
      double found = i % 3 == 0 ? filter.low(in) : i % 3 == 1 ? filter.band(in) : filter.high(in);
      double wanted = i % 3 == 0 ? low : i % 3 == 1 ? band / q : high;
      assertThat(found).isCloseTo(wanted, within(1e-9));
    }
  }

  private static double response(double cutoff, double hertz, boolean low) {
    Filter filter = new Filter(RATE).set(cutoff, Math.sqrt(0.5));
    double peak = 0;
    for (int i = 0; i < RATE; i++) {
      double in = Math.sin(2 * Math.PI * hertz * i / RATE);
      double out = low ? filter.low(in) : filter.high(in);
      peak = i > RATE / 2 ? Math.max(peak, Math.abs(out)) : 0;
    }
    return peak;
  }

  @Test
  void aFadeFallsSixtyDecibelsInItsTime() {
    double factor = Fade.perSample(250, RATE);
    assertThat(20 * Math.log10(Math.pow(factor, RATE / 4.0))).isCloseTo(-60, within(1e-6));
  }

  @Test
  void aPathGlidesEvenlyInSemitonesAndStays() {
    Strike strike =
        new Strike(
            RATE,
            RATE,
            List.of(new Strike.Pitched(0, 100), new Strike.Pitched(1000, 200)),
            0.5,
            Map.of());
    PitchPath path = new PitchPath(strike, 100);
    double[] heard = new double[10_000];
    for (int i = 0; i < heard.length; i++) {
      heard[i] = path.next();
    }
    assertThat(heard[999]).isEqualTo(100);
    assertThat(heard[1000 + 2400]).isCloseTo(100 * Math.sqrt(2), within(0.1));
    assertThat(heard[1000 + 4800]).isEqualTo(200);
    assertThat(heard[9999]).isEqualTo(200);
  }

  @Test
  void aSettingWhoseUsualValueLiesOutsideIsRefused() {
    assertThatThrownBy(() -> new Setting("decay", "ms", 10, 20, 30))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("decay is usually 30, outside 10 to 20");
  }

  private static double power(double[] wave, double hertz) {
    double cos = 0;
    double sin = 0;
    for (int i = 0; i < wave.length; i++) {
      double window = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / wave.length);
      cos += wave[i] * window * Math.cos(2 * Math.PI * hertz * i / RATE);
      sin += wave[i] * window * Math.sin(2 * Math.PI * hertz * i / RATE);
    }
    return cos * cos + sin * sin;
  }
}
