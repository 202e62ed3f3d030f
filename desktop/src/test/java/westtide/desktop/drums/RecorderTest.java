package westtide.desktop.drums;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedHit;

/** Where hits were played while a groove loops; here a tick lasts a thousand nanoseconds. */
class RecorderTest {
  private static final int BAR = 3840;
  private static final LaneId KICK = DrumVoice.KICK.lane();
  private static final long START = 50_000_000;

  private final Recorder recorder = new Recorder(BAR, 1e-3);

  private static long at(double tick) {
    return START + Math.round(tick * 1000);
  }

  /** Frames tell the place of the loop only roughly: by turns 30 ticks early and late. */
  @BeforeEach
  void framesPass() {
    for (int frame = 1; frame <= 100; frame++) {
      double tick = frame * 160;
      recorder.at((tick + (frame % 2 == 0 ? 30 : -30)) % BAR, at(tick));
    }
  }

  private long tick(double played) {
    recorder.struck(KICK, 90, at(played));
    return recorder.played(0).get(recorder.count() - 1).tick();
  }

  @Test
  void hitsAreMoreExactThanFrames() {
    assertThat(tick(960)).isBetween(958L, 962L);
    assertThat(tick(BAR + 480)).isBetween(478L, 482L);
  }

  @Test
  void whatIsStruckWhileCountingInIsLeftOut() {
    recorder.struck(KICK, 90, at(-1920));
    assertThat(recorder.played(0)).isEmpty();
    assertThat(recorder.count()).isEqualTo(1);
  }

  /** A hit a little before the first beat is meant for it. */
  @Test
  void whatLeadsIntoTheFirstBeatIsKept() {
    recorder.struck(KICK, 90, at(-40));
    assertThat(recorder.played(0)).hasSize(1);
    assertThat(recorder.played(0).get(0).tick()).isBetween(BAR - 75L, (long) BAR);
  }

  @Test
  void latencyIsTakenOff() {
    recorder.struck(KICK, 90, at(1000));
    PlayedHit hit = recorder.played(40_000).get(0);
    assertThat(hit.tick()).isBetween(958L, 962L);
  }
}
