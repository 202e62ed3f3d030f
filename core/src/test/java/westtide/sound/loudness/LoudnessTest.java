package westtide.sound.loudness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LoudnessTest {
  /** ITU-R BS.1770-4, tables 1 and 2, coefficients for 48 kHz (from memory). */
  @Test
  void filtersAreThoseOfTheStandard() {
    assertThat(KWeighting.shelf(48_000))
        .containsExactly(
            new double[] {
              1.53512485958697,
              -2.69169618940638,
              1.19839281085285,
              -1.69065929318241,
              0.73248077421585
            },
            within(1e-9));
    assertThat(KWeighting.cut(48_000))
        .containsExactly(
            new double[] {1, -2, 1, -1.99004745483398, 0.99007225036621}, within(1e-9));
  }

  /** ITU-R BS.1770-4: a stereo sine of 997 Hz at −23 dBFS reads −23.0 LUFS within 0.1 LU. */
  @ParameterizedTest
  @ValueSource(ints = {44_100, 48_000})
  void aSineReadsItsLevel(int rate) {
    Loudness loudness = new Loudness(rate);
    hear(loudness, rate, -23, 20);
    assertThat(loudness.integrated()).isCloseTo(-23, within(0.1));
    assertThat(loudness.momentary()).isCloseTo(-23, within(0.1));
    assertThat(loudness.shortTerm()).isCloseTo(-23, within(0.1));
  }

  /** EBU Tech 3341, test case 2: −33 dBFS reads −33.0 LUFS (from memory). */
  @Test
  void aQuieterSineReadsItsLevel() {
    Loudness loudness = new Loudness(48_000);
    hear(loudness, 48_000, -33, 20);
    assertThat(loudness.integrated()).isCloseTo(-33, within(0.1));
  }

  /**
   * EBU Tech 3341, test case 3: −36, −23, −36 dBFS for 10, 60 and 10 s reads −23.0 (from memory).
   */
  @Test
  void whatIsTenBelowTheMeanDoesNotCount() {
    Loudness loudness = new Loudness(48_000);
    hear(loudness, 48_000, -36, 10);
    hear(loudness, 48_000, -23, 60);
    hear(loudness, 48_000, -36, 10);
    assertThat(loudness.integrated()).isCloseTo(-23, within(0.1));
  }

  /**
   * EBU Tech 3341, test case 4: −72, −36, −23, −36, −72 dBFS for 10, 10, 60, 10 and 10 s reads
   * −23.0 (from memory).
   */
  @Test
  void silenceDoesNotCount() {
    Loudness loudness = new Loudness(48_000);
    double[][] steps = {{-72, 10}, {-36, 10}, {-23, 60}, {-36, 10}, {-72, 10}};
    for (double[] step : steps) {
      hear(loudness, 48_000, step[0], step[1]);
    }
    assertThat(loudness.integrated()).isCloseTo(-23, within(0.1));
  }

  /**
   * EBU Tech 3341, test case 5: −26, −20, −26 dBFS for 20, 20.1 and 20 s reads −23.0 (from memory).
   */
  @Test
  void whatPassesTheGatesIsAveragedByEnergy() {
    Loudness loudness = new Loudness(48_000);
    hear(loudness, 48_000, -26, 20);
    hear(loudness, 48_000, -20, 20.1);
    hear(loudness, 48_000, -26, 20);
    assertThat(loudness.integrated()).isCloseTo(-23, within(0.1));
    assertThat(loudness.loudestShort()).isCloseTo(-20, within(0.1));
  }

  @Test
  void silenceReadsAsSilence() {
    Loudness loudness = new Loudness(48_000);
    assertThat(loudness.integrated()).isEqualTo(Loudness.SILENCE);
    loudness.hear(new float[48_000], new float[48_000], 48_000);
    assertThat(loudness.integrated()).isEqualTo(Loudness.SILENCE);
    assertThat(loudness.momentary()).isEqualTo(Loudness.SILENCE);
  }

  @Test
  void aClearedMeterHasHeardNothing() {
    Loudness loudness = new Loudness(48_000);
    hear(loudness, 48_000, -10, 5);
    loudness.clear();
    hear(loudness, 48_000, -30, 5);
    assertThat(loudness.integrated()).isCloseTo(-30, within(0.1));
    assertThat(loudness.loudestMomentary()).isCloseTo(-30, within(0.1));
  }

  private static void hear(Loudness loudness, int rate, double decibels, double seconds) {
    int frames = (int) (seconds * rate);
    float[] sine = new float[frames];
    double peak = Math.pow(10, decibels / 20);
    for (int i = 0; i < frames; i++) {
      sine[i] = (float) (peak * Math.sin(2 * Math.PI * 997 * i / rate));
    }
    loudness.hear(sine, sine, frames);
  }
}
