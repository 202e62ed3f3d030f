package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.rhythm.Hit;
import westtide.rhythm.Quantise;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedHit;
import westtide.song.drum.PlayedLanes;
import westtide.song.edit.line.PlayIn;
import westtide.song.pattern.Pattern;

/** What was played goes into the groove, in place of what was there or beside it. */
class PlayInTest {
  private static final LaneId HAT = DrumVoice.CLOSED_HAT.lane();
  private static final Pattern.Drums GROOVE =
      Songs.groove(1, DrumVoice.KICK, "x...x...x...x...", DrumVoice.CLOSED_HAT, "o...o...");
  private static final List<PlayedHit> PLAYED =
      List.of(new PlayedHit(HAT, 490, 90), new PlayedHit(DrumVoice.RIM.lane(), 955, 70));

  private static Pattern.Drums played(StepGrid grid, boolean keep) {
    Quantise quantise = new Quantise(grid, Swing.STRAIGHT, 100);
    return new PlayIn(new PlayedLanes(quantise, 3840 / grid.ticks()), keep).on(GROOVE, PLAYED);
  }

  private static StepLane lane(Pattern.Drums groove, DrumVoice voice) {
    return groove.lane(voice).orElseThrow();
  }

  @Test
  void whatWasThereStaysWhereNothingWasStruck() {
    Pattern.Drums out = played(StepGrid.SIXTEENTHS, true);
    assertThat(lane(out, DrumVoice.CLOSED_HAT)).hasToString("o.x.o...o...o...");
    assertThat(lane(out, DrumVoice.RIM)).hasToString("....o...........");
    assertThat(lane(out, DrumVoice.KICK)).isEqualTo(lane(GROOVE, DrumVoice.KICK));
  }

  @Test
  void orLanesThatWereStruckAreWrittenAnew() {
    Pattern.Drums out = played(StepGrid.SIXTEENTHS, false);
    assertThat(lane(out, DrumVoice.CLOSED_HAT)).hasToString("..x.............");
    assertThat(lane(out, DrumVoice.KICK)).isEqualTo(lane(GROOVE, DrumVoice.KICK));
  }

  /** Arithmetic: 490 ticks are nearest to the fourth sixteenth triplet, 480. */
  @Test
  void aLaneOnAnotherGridIsWrittenAnewOnThatGrid() {
    DrumLane out = played(StepGrid.TRIPLETS, true).find(HAT).orElseThrow();
    assertThat(out.grid()).isEqualTo(StepGrid.TRIPLETS);
    assertThat(out.lane().hits()).containsExactly(Hit.of(3, 90));
  }
}
