package westtide.desktop.play;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Where a loop stands at a time; here a tick lasts a thousand nanoseconds. */
class LoopClockTest {
  private static final int BAR = 3840;
  private static final long START = 50_000_000;

  private final LoopClock clock = new LoopClock(BAR, 1e-3);

  private static long at(double tick) {
    return START + Math.round(tick * 1000);
  }

  /** Until the first sample comes out of the device the play head stands at the first tick. */
  @Test
  void standingAtTheFirstTickIsNoPlaceInTime() {
    for (int frame = 4; frame > 0; frame--) {
      clock.at(0, at(-frame * 32));
    }
    assertThat(clock.moving()).isFalse();
    assertThat(clock.at(32, at(32))).as("it begins").isTrue();
    for (int frame = 2; frame <= 20; frame++) {
      assertThat(clock.at(frame * 32, at(frame * 32))).isFalse();
    }
    assertThat(clock.moving()).isTrue();
    assertThat(clock.tick(at(480))).isCloseTo(480, within(0.01));
    assertThat(clock.began(at(600))).isEqualTo(START);
  }

  /** A device that writes in long blocks shows the same place for several frames. */
  @Test
  void aPlaceSeenTwiceIsCountedOnce() {
    for (int frame = 0; frame <= 60; frame++) {
      clock.at(frame / 3 * 96, at(frame * 32));
    }
    assertThat(clock.tick(at(960))).isCloseTo(960, within(0.01));
  }
}
