package westtide.desktop.frame;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OtherWordsTest {
  /** Twice the pairs in common over all pairs, worked out by hand. */
  @ParameterizedTest
  @CsvSource({
    "swing, swing, 1",
    "swing, SWING!, 1",
    "night, nacht, 0.25",
    "quantise, quantisse, 0.9333",
    "aaaa, aa, 0.5",
    "kick, snare, 0",
    "'', kick, 0",
    "'', '', 0"
  })
  void textsAreAsAlikeAsTheirPairsOfLetters(String one, String other, double alike) {
    int[] first = OtherWords.pairs(one);
    int[] second = OtherWords.pairs(other);
    assertThat(OtherWords.alike(first, second)).isCloseTo(alike, within());
    assertThat(OtherWords.alike(second, first)).isCloseTo(alike, within());
  }

  private static org.assertj.core.data.Offset<Double> within() {
    return org.assertj.core.api.Assertions.within(0.001);
  }
}
