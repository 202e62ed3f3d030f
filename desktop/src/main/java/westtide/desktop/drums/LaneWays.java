package westtide.desktop.drums;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.Desk;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.LaneShapes;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Pattern;
import westtide.song.edit.DrumEdits;

/**
 * Ways with the chosen lane as a whole: turned, reversed, doubled, filled, spread; late, and varied
 * from hit to hit; and when lanes of their own length meet again.
 */
final class LaneWays extends VBox {
  private static final int MOST_EVERY = 64;

  private final Desk desk;
  private final Supplier<DrumVoice> voice;
  private final Supplier<Optional<Pattern.Drums>> groove;
  private final Supplier<DrumEdits> edits;
  private final Label meeting = Controls.wrapped("", "small");
  private final NumberField every =
      NumberField.whole("lane-every", "hits every", this::fill, by -> {}).inline();
  private final NumberField spread =
      NumberField.whole("lane-spread", "spread hits", this::spread, by -> {}).inline();
  private final NumberField late =
      NumberField.whole(
              "lane-late",
              "lane late, ticks",
              ticks -> feel("Move the lane of", f -> f.withNudge(ticks)),
              by -> feel("Move the lane of", f -> f.withNudge(held(f.nudge() + by, -120, 120))))
          .inline();
  private final NumberField loose =
      NumberField.whole(
              "lane-vary",
              "velocities vary by",
              amount -> feel("Vary velocities of", f -> f.withVelocity(amount)),
              by -> feel("Vary velocities of", f -> f.withVelocity(held(f.velocity() + by, 0, 40))))
          .inline();
  private final NumberField wander =
      NumberField.whole(
              "lane-wander",
              "places by, ticks",
              ticks -> feel("Vary places of", f -> f.withTicks(ticks)),
              by -> feel("Vary places of", f -> f.withTicks(held(f.ticks() + by, 0, 60))))
          .inline();

  LaneWays(
      Desk desk,
      Supplier<DrumVoice> voice,
      Supplier<Optional<Pattern.Drums>> groove,
      Supplier<DrumEdits> edits) {
    super(5);
    this.desk = desk;
    this.voice = voice;
    this.groove = groove;
    this.edits = edits;
    getStyleClass().add("page");
    meeting.setId("lanes-meet");
    HBox.setHgrow(meeting, Priority.ALWAYS);
    every.show("–");
    spread.show("–");
    getChildren().addAll(shapes(), feels());
  }

  /** Shows how the chosen lane is played. */
  void show(LaneFeel feel) {
    late.show(String.valueOf(feel.nudge()));
    loose.show(String.valueOf(feel.velocity()));
    wander.show(String.valueOf(feel.ticks()));
  }

  /** Says when the lanes of a groove would meet again and when the groove restarts them. */
  void show(Pattern.Drums shown, Meter meter) {
    List<Integer> lengths =
        shown.lanes().stream()
            .map(DrumLane::lane)
            .filter(lane -> !lane.hits().isEmpty())
            .map(StepLane::length)
            .distinct()
            .toList();
    long own = LaneShapes.meeting(lengths);
    int restart = shown.bars() * meter.stepsPerBar();
    meeting.setText(
        restart % own == 0
            ? ""
            : "alone the lanes would meet after "
                + bars(own, meter.stepsPerBar())
                + "; the groove restarts them every "
                + bars(restart, meter.stepsPerBar()));
  }

  private Node shapes() {
    return Controls.row(
        6,
        Controls.action(
            "lane-earlier", "◂ turn", () -> shape("Turn", l -> LaneShapes.turned(l, -1))),
        Controls.action("lane-later", "turn ▸", () -> shape("Turn", l -> LaneShapes.turned(l, 1))),
        Controls.action("lane-reverse", "reverse", () -> shape("Reverse", LaneShapes::reversed)),
        Controls.action("lane-double", "double", this::doubleLane),
        Controls.action("lane-halve", "halve", () -> shape("Halve", LaneShapes::halved)),
        every,
        spread,
        Controls.spring(),
        meeting);
  }

  private Node feels() {
    return Controls.row(
        10,
        late,
        loose,
        wander,
        Controls.action(
            "lane-anew", "vary anew", () -> feel("Vary anew", f -> f.withSeed(f.seed() + 1))),
        Controls.spring());
  }

  private void feel(String name, UnaryOperator<LaneFeel> change) {
    desk.apply(edits.get().feel(name + " " + voice.get(), voice.get(), change));
  }

  private void shape(String name, UnaryOperator<StepLane> change) {
    String whole = name + " the " + voice.get() + " lane";
    desk.apply(edits.get().shape(whole, voice.get(), change));
  }

  private void doubleLane() {
    shape("Double", l -> 2 * l.length() <= StepLane.LONGEST ? LaneShapes.doubled(l) : l);
  }

  private void fill(int steps) {
    if (steps < 1 || steps > MOST_EVERY) {
      throw new IllegalArgumentException("a hit every 1 to 64 steps, but was " + steps);
    }
    shape("Fill", l -> LaneShapes.every(steps, l.length()));
    every.show(String.valueOf(steps));
  }

  private void spread(int hits) {
    groove
        .get()
        .flatMap(g -> g.lane(voice.get()))
        .ifPresent(lane -> shape("Spread hits over", l -> LaneShapes.spread(hits, l.length())));
    spread.show(String.valueOf(hits));
  }

  private static int held(int value, int low, int high) {
    return Math.max(low, Math.min(high, value));
  }

  private static String bars(long steps, int stepsPerBar) {
    double bars = steps / (double) stepsPerBar;
    String number = bars == Math.rint(bars) ? String.valueOf((long) bars) : String.valueOf(bars);
    return number + (bars == 1 ? " bar" : " bars");
  }
}
