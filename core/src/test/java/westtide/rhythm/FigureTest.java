package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FigureTest {
  @ParameterizedTest
  @CsvSource({
    "x--.x-.., 0+3 4+2",
    "x---|x---, 0+4 4+4",
    "..oX, 2+1 3+1",
    "xxxx, 0+1 1+1 2+1 3+1",
    "...., ''"
  })
  void strokesStartAndLast(String text, String strokes) {
    String read =
        new Figure(text)
            .strokes().stream()
                .map(stroke -> stroke.step() + "+" + stroke.steps())
                .collect(Collectors.joining(" "));
    assertThat(read).isEqualTo(strokes);
  }

  @ParameterizedTest
  @CsvSource({"X, 116", "x, 92", "o, 56"})
  void signsAreVelocities(String sign, int velocity) {
    assertThat(new Figure(sign).strokes().get(0).velocity()).isEqualTo(velocity);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "-x", "x.-", "x3", "y", "| |"})
  void otherTextIsRefused(String text) {
    assertThatThrownBy(() -> new Figure(text)).hasMessageContaining("a figure is written with");
  }
}
