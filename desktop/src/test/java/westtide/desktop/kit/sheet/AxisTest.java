package westtide.desktop.kit.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class AxisTest {
  @Test
  void everyValueComesBackFromItsPixelBothWaysUp() {
    for (Axis axis : new Axis[] {new Axis(0, 7680, 116, 830), new Axis(28, 52, 560, 30)}) {
      for (double value = axis.low(); value <= axis.high(); value += 0.5) {
        assertThat(axis.value(axis.at(value))).isCloseTo(value, within(1e-6));
      }
      assertThat(axis.nearest(axis.at(axis.high()) + 1e6 * (axis.to() > axis.from() ? 1 : -1)))
          .isEqualTo((int) axis.high());
    }
  }

  @Test
  void anAxisWithoutExtentIsRefused() {
    assertThatThrownBy(() -> new Axis(3, 3, 0, 10)).hasMessageContaining("3.0");
  }
}
