package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TempoTest {
  /** Arithmetic: a quarter lasts 60 000 / BPM milliseconds. */
  @ParameterizedTest
  @CsvSource({"960, 500", "480, 250", "720, 375", "320, 166.6667", "3840, 2000"})
  void noteValuesLastAsLongAsArithmeticSays(long ticks, double millis) {
    assertThat(Tempo.of(120).millis(ticks)).isCloseTo(millis, within(0.001));
  }

  /** Standard MIDI Files 1.0: FF 51 03 07 A1 20 is 120 BPM (from memory). */
  @Test
  void aQuarterAt120IsHalfAMillionMicroseconds() {
    assertThat(Tempo.of(120).microsPerQuarter()).isEqualTo(0x07A120);
  }

  @ParameterizedTest
  @CsvSource({"146, 146", "92.5, 92.5", " 88.250 , 88.25", "20, 20", "300, 300"})
  void tempoIsReadAndWritten(String typed, String shown) {
    assertThat(Tempo.parse(typed)).hasToString(shown);
  }

  @ParameterizedTest
  @ValueSource(strings = {"19.999", "301", "-5", "fast", "", "120.1234", "1e2"})
  void nonsenseIsRefusedWithTheRange(String typed) {
    assertThatThrownBy(() -> Tempo.parse(typed))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("20 to 300");
  }

  @Test
  void nudgingStopsAtTheEnds() {
    assertThat(Tempo.of(300).plus(1000)).isEqualTo(Tempo.of(300));
    assertThat(Tempo.of(146).plus(-500)).hasToString("145.5");
  }

  /** Common practice: 140 with the clap on beat 3 feels like 70. */
  @Test
  void halfTimeFeelsHalfAsFast() {
    assertThat(Feel.HALF.felt(Tempo.of(140))).isEqualTo("70");
    assertThat(Feel.FULL.felt(Tempo.of(140))).isEqualTo("140");
  }

  @Test
  void tappingFindsTheTempoInSpiteOfOneSlip() {
    TapTempo taps = TapTempo.none();
    for (long at : new long[] {0, 500, 1000, 1700, 2000, 2500, 3000}) {
      taps = taps.plus(at);
    }
    assertThat(taps.tempo()).contains(Tempo.of(120));
  }

  @Test
  void aPauseStartsTappingAgain() {
    TapTempo taps = TapTempo.none().plus(0).plus(500).plus(1000).plus(4000);
    assertThat(taps.taps()).containsExactly(4000L);
    assertThat(taps.tempo()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"0, 1.1.1", "240, 1.1.2", "959, 1.1.4", "3840, 2.1.1", "43440, 12.2.2"})
  void positionsAreCountedFromOne(long tick, String position) {
    assertThat(Position.of(tick, Meter.COMMON)).hasToString(position);
  }

  @Test
  void otherMetersHaveOtherBars() {
    assertThat(Meter.parse("6/8").ticksPerBar()).isEqualTo(2880);
    assertThat(Meter.parse("3/4").stepsPerBar()).isEqualTo(12);
    assertThatThrownBy(() -> Meter.parse("4/5")).hasMessageContaining("5");
    assertThat(LongStream.of(0, 2879).mapToObj(t -> Position.of(t, Meter.parse("6/8")).bar()))
        .containsOnly(1);
  }

  /** Arithmetic: 480 and 520 ms are 125 and 115.4 BPM, in the mean 120; 1000 ms is a missed tap. */
  @Test
  void tapsSayHowSteadyTheyAreAndSlipsAreDropped() {
    TapTempo taps = TapTempo.none();
    for (long at : new long[] {0, 480, 1000, 1480, 2000, 3000, 3480, 4000}) {
      taps = taps.plus(at);
    }
    TapTempo.Reading reading = taps.reading().orElseThrow();
    assertThat(reading.tempo()).isEqualTo(Tempo.of(120));
    assertThat(reading.dropped()).isEqualTo(1);
    assertThat(reading.spread()).isEqualTo(20);
    assertThat(reading.steady()).isFalse();
    TapTempo even = TapTempo.none().plus(0).plus(500).plus(1001).plus(1500);
    assertThat(even.reading().orElseThrow().steady()).isTrue();
  }

  /** Arithmetic: 60000 / 120 = 500 ms a quarter; 80 to 96 BPM is 12 log2(1.2) = 3.156 semitones. */
  @Test
  void aTempoChangeSaysWhatItDoesToTimes() {
    TempoChange change = new TempoChange(Tempo.of(80), Tempo.of(96));
    assertThat(change.before(960)).isEqualTo(750);
    assertThat(change.after(960)).isEqualTo(625);
    assertThat(change.repitch().semitones()).isCloseTo(3.156, within(0.001));
    assertThat(change.stretchPercent()).isCloseTo(-16.67, within(0.01));
  }
}
