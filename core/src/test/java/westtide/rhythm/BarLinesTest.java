package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where bars begin when tags and gaps cut some of them short. */
class BarLinesTest {
  /** A tag of 6 beats in 4/4 is written as a bar of 4 and a bar of 2: common practice. */
  @ParameterizedTest
  @CsvSource({
    "6, 4/4, 2, 2, 6 beats",
    "8, 4/4, 2, 0, 2 bars",
    "1, 4/4, 1, 1, 1 beat",
    "4, 3/4, 2, 1, 4 beats",
    "7, 7/8, 1, 0, 1 bar"
  })
  void beatsAreBarsAndWhatIsLeft(int beats, String in, int bars, int last, String words) {
    Meter meter = Meter.parse(in);
    BarLines.Stretch stretch = BarLines.Stretch.ofBeats(beats, meter);
    assertThat(stretch).isEqualTo(new BarLines.Stretch(bars, last));
    assertThat(stretch.beats(meter)).isEqualTo(beats);
    assertThat(stretch.words(meter)).isEqualTo(words);
  }

  @Test
  void theBarAfterAShortOneBeginsEarlier() {
    BarLines lines =
        BarLines.of(Meter.COMMON, List.of(new BarLines.Stretch(2, 2), new BarLines.Stretch(4, 0)));
    assertThat(lines.tick(1)).isEqualTo(3840);
    assertThat(lines.length(1)).isEqualTo(1920);
    assertThat(lines.tick(2)).isEqualTo(5760);
    assertThat(lines.position(5759)).hasToString("2.2.4");
    assertThat(lines.position(5760)).hasToString("3.1.1");
    assertThat(lines.tick(8)).as("whole bars after the end").isEqualTo(5760 + 6 * 3840);
    assertThatThrownBy(() -> lines.tick(-1)).hasMessageContaining("but was -1");
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void everyTickLiesInTheBarThatBeginsBeforeIt(long seed) {
    Random random = new Random(seed);
    Meter meter = new Meter(1 + random.nextInt(12), 1 << 1 + random.nextInt(4));
    List<BarLines.Stretch> stretches = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      stretches.add(new BarLines.Stretch(1 + random.nextInt(16), random.nextInt(meter.beats())));
    }
    BarLines lines = BarLines.of(meter, stretches);
    int end = lines.tick(stretches.stream().mapToInt(BarLines.Stretch::bars).sum());
    assertThat(end / meter.ticksPerBeat())
        .isEqualTo(stretches.stream().mapToInt(stretch -> stretch.beats(meter)).sum());
    for (int i = 0; i < 500; i++) {
      int tick = random.nextInt(end + 10_000);
      int bar = lines.bar(tick);
      assertThat(tick).isBetween(lines.tick(bar), lines.tick(bar + 1) - 1);
      assertThat(lines.ticks(lines.bars(tick))).isCloseTo(tick, within(1e-6 * end));
    }
  }
}
