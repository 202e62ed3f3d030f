package westtide.song.drum;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;

/** A hit carried along its lane. */
class DrumLaneTest {
  private static final DrumLane LANE = DrumLane.of(DrumVoice.KICK, StepLane.parse("x...x..x"));

  /** Arithmetic: steps last 240 ticks; from half of that on the next step is nearer. */
  @ParameterizedTest
  @CsvSource({"0, 4, 0", "119, 4, 119", "120, 5, -120", "250, 5, 10", "-130, 3, 110", "-480, 2, 0"})
  void aHitGoesToTheNearestStepAndKeepsTheRestOfTheWay(long late, int step, int nudge) {
    assertThat(LANE.carried(Hit.of(4, 90), late, 4)).isEqualTo(Hit.of(step, 90).withNudge(nudge));
  }

  @ParameterizedTest
  @CsvSource({"720, 6, 120", "960, 6, 120", "-960, 1, -120"})
  void itStopsBesideAnother(long late, int now, int nudge) {
    assertThat(LANE.carried(Hit.of(4, 90), late, now)).isEqualTo(Hit.of(now, 90).withNudge(nudge));
  }

  @ParameterizedTest
  @CsvSource({"2000, 6", "-2000, 1"})
  void itDoesNotLeaveTheLane(long late, int now) {
    assertThat(LANE.carried(Hit.of(4, 90), late, now).step()).isEqualTo(now);
    DrumLane free = DrumLane.of(DrumVoice.KICK, StepLane.parse("....x..."));
    assertThat(free.carried(Hit.of(4, 90), late, now).step()).isEqualTo(late > 0 ? 7 : 0);
  }
}
