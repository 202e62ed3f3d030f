package westtide.desktop.kit.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import org.assertj.core.data.Offset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScaleTest {
  private static ScaleSheet.Scale scale(int low, int high, int step, boolean octaves) {
    return new ScaleSheet.Scale("x", "x", low, high, step, octaves, low, String::valueOf, v -> {});
  }

  @ParameterizedTest
  @CsvSource({"-600,60,5,false", "-100,100,5,false", "200,20000,200,true", "0,2000,10,true"})
  void everyValueOnANudgeComesBackFromItsPlace(int low, int high, int step, boolean octaves) {
    ScaleSheet.Scale scale = scale(low, high, step, octaves);
    for (int value = low; value <= high; value += step) {
      boolean heard = !octaves || value == low || value > 20;
      if (heard) {
        assertThat(scale.at(scale.share(value))).isEqualTo(value);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({"-0.5, 0", "0, 0", "1, 2000", "3, 2000"})
  void aPullBeyondTheEndsStaysOnTheScale(double share, int value) {
    assertThat(scale(0, 2000, 10, true).at(share)).isEqualTo(value);
  }

  /** An octave takes the same room everywhere, as pitch is heard (common practice). */
  @ParameterizedTest
  @CsvSource({"100, 200, 400, 800", "250, 500, 5000, 10000"})
  void octavesHaveEqualWidths(int a, int b, int c, int d) {
    ScaleSheet.Scale scale = scale(20, 20000, 1, true);
    assertThat(scale.share(b) - scale.share(a))
        .isEqualTo(scale.share(d) - scale.share(c), Offset.offset(1e-9));
  }
}
