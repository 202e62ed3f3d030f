package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Expected values are arithmetic: bars = s × BPM ÷ 240, semitones = 12 · log2(ratio). */
class LoopArithmeticTest {
  @ParameterizedTest
  @CsvSource({"8,120,4", "16,120,8", "6.575342,146,4", "10,96,4", "2,60,0.5"})
  void barsSecondsAndTempoAgree(double seconds, String bpm, double bars) {
    Tempo tempo = Tempo.parse(bpm);
    assertThat(LoopLength.bars(seconds, tempo)).isCloseTo(bars, within(1e-5));
    assertThat(LoopLength.seconds(bars, tempo)).isCloseTo(seconds, within(1e-5));
    assertThat(LoopLength.tempo(seconds, bars).bpm()).isCloseTo(tempo.bpm(), within(0.001));
  }

  @Test
  void aLoopOfEightSecondsMayBeReadInTwoWays() {
    assertThat(LoopLength.candidates(8))
        .extracting(LoopLength.Candidate::toString)
        .containsExactly("Candidate[bars=2, tempo=60]", "Candidate[bars=4, tempo=120]");
  }

  @Test
  void aLoopLengthIsMoreThanNothing() {
    assertThatThrownBy(() -> LoopLength.candidates(0)).hasMessageContaining("more than 0");
    assertThatThrownBy(() -> LoopLength.bars(-1, Tempo.of(120))).hasMessageContaining("-1");
    assertThatThrownBy(() -> LoopLength.tempo(0.1, 16)).hasMessageContaining("20 to 300");
  }

  @ParameterizedTest
  @CsvSource({"80,96,3.156", "60,120,12", "120,60,-12", "100,100,0"})
  void repitchingMovesTheTempoAndThePitchTogether(int from, int to, double semitones) {
    Repitch repitch = Repitch.between(Tempo.of(from), Tempo.of(to));
    assertThat(repitch.semitones()).isCloseTo(semitones, within(0.001));
    assertThat(repitch.cents()).isCloseTo(100 * semitones, within(0.1));
    assertThat(repitch.tempo(Tempo.of(from))).isEqualTo(Tempo.of(to));
    assertThat(Repitch.ofSemitones(repitch.semitones()).ratio())
        .isCloseTo(repitch.ratio(), within(1e-9));
  }

  /** One semitone is a ratio of 1.0594631 (handbook). */
  @Test
  void oneSemitoneIsItsRatio() {
    assertThat(Repitch.ofSemitones(1).ratio()).isCloseTo(1.0594631, within(1e-7));
  }

  /** 120 BPM: quarter 500 ms, eighth 250, dotted eighth 375, eighth triplet 166.67. */
  @ParameterizedTest
  @CsvSource({
    "QUARTER,500,2",
    "EIGHTH,250,4",
    "DOTTED_EIGHTH,375,2.6667",
    "EIGHTH_TRIPLET,166.6667,6",
    "SIXTEENTH,125,8",
    "BAR,2000,0.5",
    "DOTTED_QUARTER,750,1.3333",
    "THIRTY_SECOND,62.5,16"
  })
  void noteValuesAreTimesAndFrequencies(NoteValue value, double millis, double hertz) {
    assertThat(value.millis(Tempo.of(120))).isCloseTo(millis, within(0.001));
    assertThat(value.hertz(Tempo.of(120))).isCloseTo(hertz, within(0.001));
  }
}
