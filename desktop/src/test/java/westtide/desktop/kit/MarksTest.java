package westtide.desktop.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.scene.shape.Rectangle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** A mark that is used again shows nothing of what it was before. */
class MarksTest {
  private static final String[] CARD = {"chord-card"};

  private static Arguments property(
      String name, Consumer<Rectangle> change, Function<Rectangle, Object> read) {
    return Arguments.of(name, change, read);
  }

  static Stream<Arguments> properties() {
    return Stream.of(
        property(
            "chosen",
            mark -> mark.getStyleClass().add("chosen"),
            mark -> mark.getStyleClass().toString()),
        property(
            "a class less",
            mark -> mark.getStyleClass().clear(),
            mark -> mark.getStyleClass().toString()),
        property("visible", mark -> mark.setVisible(false), Rectangle::isVisible),
        property("opacity", mark -> mark.setOpacity(0.3), Rectangle::getOpacity),
        property("width", mark -> mark.setScaleX(0.5), Rectangle::getScaleX),
        property("height", mark -> mark.setScaleY(2), Rectangle::getScaleY),
        property("place", mark -> mark.setTranslateX(9), Rectangle::getTranslateX),
        property("depth", mark -> mark.setTranslateY(9), Rectangle::getTranslateY),
        property("mouse", mark -> mark.setMouseTransparent(false), Rectangle::isMouseTransparent));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("properties")
  void aMarkUsedAgainIsAsItWasNew(
      String name, Consumer<Rectangle> change, Function<Rectangle, Object> read) {
    Marks marks = new Marks();
    marks.begin();
    Rectangle first = marks.take(Rectangle.class, CARD, Rectangle::new);
    Object fresh = read.apply(first);
    change.accept(first);
    assertThat(read.apply(first)).isNotEqualTo(fresh);
    marks.end();
    marks.begin();
    Rectangle again = marks.take(Rectangle.class, CARD, Rectangle::new);
    assertThat(again).isSameAs(first);
    assertThat(read.apply(again)).isEqualTo(fresh);
  }
}
