package westtide.song.chord;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.rhythm.Figure;

class RhythmFamilyTest {
  @ParameterizedTest
  @EnumSource(RhythmFamily.class)
  void everyFamilyIsWrittenByItsNameAndFoundAgain(RhythmFamily family) {
    assertThat(RhythmText.parse(RhythmText.format(family.rhythm()))).isEqualTo(family.rhythm());
    assertThat(RhythmFamily.of(family.rhythm())).contains(family);
    assertThat(family.words()).endsWith(".");
  }

  /** Common practice: where the strikes of each family fall, steps counted from 1. */
  @ParameterizedTest
  @CsvSource({
    "SHORT_SHORT_LONG, '1 5 9', 16",
    "STRETCHED, '1 17 33', 64",
    "THREE_THREE_TWO, '1 4 7 9 12 15', 16",
    "OFF_BEATS, '3 7 11 15', 16",
    "PLUCKED, '1 5 9 13', 16"
  })
  void strikesFallWhereTheNameSays(RhythmFamily family, String steps, int length) {
    Figure figure = family.rhythm().figure().orElseThrow();
    String struck =
        figure.strokes().stream()
            .map(stroke -> String.valueOf(stroke.step() + 1))
            .reduce((a, b) -> a + " " + b)
            .orElse("");
    assertThat(struck).isEqualTo(steps);
    assertThat(figure.length()).isEqualTo(length);
  }

  @Test
  void aRhythmOfOnesOwnIsAFigure() {
    ChordRhythm own = RhythmText.parse(" x-..x> ");
    assertThat(own.figure()).map(Figure::text).isEqualTo(Optional.of("x-..x>"));
    assertThat(RhythmText.format(own)).isEqualTo("x-..x>");
    assertThatThrownBy(() -> RhythmText.parse("waltz")).hasMessageContaining("a figure is written");
    assertThatThrownBy(() -> new ChordRhythm(Optional.empty(), 2000)).hasMessageContaining("960");
  }
}
