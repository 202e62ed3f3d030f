package westtide.song.drum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.play.SimulatedPads;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.Quantise;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.song.pattern.Pattern;

/** What was played, put on the grid. */
class PlayedLanesTest {
  private static final LaneId HAT = DrumVoice.CLOSED_HAT.lane();

  private static StepLane placed(Quantise quantise, PlayedHit... hits) {
    return new PlayedLanes(quantise, 16).of(List.of(hits)).get(0).lane();
  }

  private static Quantise whole(int swing) {
    return new Quantise(StepGrid.SIXTEENTHS, Swing.of(swing), 100);
  }

  /** Arithmetic: with 60 % the second sixteenth sounds at 288; 270 is nearer to it than to 0. */
  @Test
  void hitsGoToTheStepAsItSounds() {
    assertThat(placed(whole(60), new PlayedHit(HAT, 270, 80), new PlayedHit(HAT, 500, 90)))
        .isEqualTo(new StepLane(16, List.of(Hit.of(1, 80), Hit.of(2, 90))));
  }

  @Test
  void halfStrengthKeepsHalfOfTheDistance() {
    Quantise half = new Quantise(StepGrid.SIXTEENTHS, Swing.STRAIGHT, 50);
    assertThat(placed(half, new PlayedHit(HAT, 280, 80)).at(1).orElseThrow().nudge()).isEqualTo(20);
  }

  @Test
  void severalHitsOnAStepAreARollOrAFlam() {
    StepLane roll =
        placed(
            whole(50),
            new PlayedHit(HAT, 480, 50),
            new PlayedHit(HAT, 540, 75),
            new PlayedHit(HAT, 598, 100));
    assertThat(roll.at(2).orElseThrow().strokes()).isEqualTo(3);
    assertThat(roll.at(2).orElseThrow().roll().ramp()).isEqualTo(50);
    StepLane flam = placed(whole(50), new PlayedHit(HAT, 450, 40), new PlayedHit(HAT, 480, 100));
    assertThat(flam.at(2).orElseThrow().flam()).isEqualTo(30);
    assertThat(flam.at(2).orElseThrow().velocity()).isEqualTo(100);
  }

  /**
   * Every roll that lane text knows is found again, though its last strokes are near the next step.
   */
  @ParameterizedTest
  @CsvSource({"50, 2", "50, 3", "50, 4", "50, 6", "50, 8", "58, 3", "62, 4", "66, 2", "58, 6"})
  void rollsAreFoundAgainInTheirStep(int percent, int strokes) {
    Swing swing = Swing.of(percent);
    List<PlayedHit> played = new ArrayList<>();
    for (int step = 0; step < 4; step++) {
      for (int stroke = 0; stroke < (step == 1 ? strokes : 1); stroke++) {
        long at = swing.at(step * 240L + 240L * stroke / strokes);
        played.add(new PlayedHit(HAT, at, 60 + 5 * stroke));
      }
    }
    StepLane lane = placed(whole(percent), played.toArray(PlayedHit[]::new));
    assertThat(lane.hits().stream().map(Hit::strokes).toList()).containsExactly(1, strokes, 1, 1);
  }

  /** Hits go to the grid as the lane they go into swings, and as late as it is played. */
  @Test
  void hitsAreMeasuredAgainstTheLaneTheyGoInto() {
    DrumLane late =
        DrumLane.of(HAT, StepLane.empty(16))
            .withSwing(Optional.of(Swing.of(66)))
            .withFeel(LaneFeel.PLAIN.withNudge(20));
    Quantise loose = new Quantise(StepGrid.SIXTEENTHS, Swing.STRAIGHT, 0);
    long sounding = Swing.of(66).at(240 + 20);
    DrumLane lane =
        new PlayedLanes(loose, 16).of(List.of(new PlayedHit(HAT, sounding, 90)), id -> late).get(0);
    assertThat(lane.lane().at(1).orElseThrow().nudge()).isBetween(-6, 0);
    assertThat(lane.swing()).contains(Swing.of(66));
  }

  @Test
  void hitsNearlyOnOneAnotherAreOneTheLouder() {
    StepLane one = placed(whole(50), new PlayedHit(HAT, 480, 60), new PlayedHit(HAT, 489, 90));
    assertThat(one.at(2)).contains(Hit.of(2, 90));
  }

  @Test
  void aHitJustBeforeTheEndComesRoundToTheBeginning() {
    assertThat(placed(whole(50), new PlayedHit(HAT, 16 * 240 - 20, 80)).at(0)).isPresent();
  }

  /** The stand-in for pads plays as people do; quantised it is the figure it was given. */
  @ParameterizedTest
  @CsvSource({"1, 90", "2, 120", "3, 146", "4, 100"})
  void theSimulatedPlayerIsHumanAndQuantisesToItsFigure(long seed, int tempo) {
    Pattern.Drums figure =
        Songs.groove(1, DrumVoice.KICK, "x.....x...x.....", DrumVoice.SNARE, "....x.......x...");
    double millisPerTick = 60000.0 / tempo / 960;
    SimulatedPads.Hand hand = new SimulatedPads.Hand(7, 3, 8, seed);
    SimulatedPads pads = new SimulatedPads(figure, 3840, Swing.STRAIGHT, millisPerTick, hand);
    List<PlayedHit> played = pads.performance();
    assertThat(pads.performance()).isEqualTo(played);
    assertThat(played.stream().filter(hit -> hit.tick() % 240 == 0).count()).isLessThan(3);
    List<DrumLane> lanes = new PlayedLanes(whole(50), 16).of(played);
    for (DrumLane lane : lanes) {
      assertThat(lane.lane().hits().stream().map(Hit::step).toList())
          .isEqualTo(
              figure.find(lane.id()).orElseThrow().lane().hits().stream().map(Hit::step).toList());
    }
    List<DrumLane> loose =
        new PlayedLanes(new Quantise(StepGrid.SIXTEENTHS, Swing.STRAIGHT, 0), 16).of(played);
    assertThat(loose.stream().flatMap(l -> l.lane().hits().stream()).map(Hit::nudge).distinct())
        .hasSizeGreaterThan(2);
  }
}
