package westtide.desktop.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class WindowInViewTest {
  @Test
  void whatIsShownFitsAndNothingIsShownThatIsNotThere() {
    Random random = new Random(2);
    for (int i = 0; i < 500; i++) {
      int count = 1 + random.nextInt(80);
      Window window = new Window(count, random.nextInt(900), 38, random.nextInt(200) - 50);
      assertThat(window.offset()).isBetween(0, count - 1);
      assertThat(window.end()).isBetween(1, count);
      assertThat(window.shown() == 1 || window.shown() * 38 <= window.room()).isTrue();
      assertThat(window.scrolls()).isEqualTo(window.shown() < count);
      int index = random.nextInt(count);
      Window moved = window.showing(index);
      assertThat(index).isBetween(moved.offset(), moved.end() - 1);
      assertThat(moved.shown()).isEqualTo(window.shown());
      boolean there = index >= window.offset() && index < window.end();
      assertThat(there).as("what is in view stays where it is").isEqualTo(moved.equals(window));
    }
  }

  @Test
  void theWheelStopsAtBothEnds() {
    Window window = new Window(12, 38 * 5, 38, 0);
    assertThat(window.by(-1)).isEqualTo(window);
    assertThat(window.by(3).offset()).isEqualTo(3);
    assertThat(window.by(99).end()).isEqualTo(12);
  }
}
