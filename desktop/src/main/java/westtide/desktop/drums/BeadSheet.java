package westtide.desktop.drums;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Circle;
import westtide.desktop.kit.Axis;
import westtide.desktop.kit.Drawing;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.rhythm.When;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Pattern;

/**
 * A groove as bead lines: a lane is a line, a hit a bead whose size is its velocity and whose
 * distance from the grid is its real timing. A click places or takes away, a drag up or down sets
 * the velocity; the keys do the same at the cursor.
 */
final class BeadSheet extends Drawing {
  /** What the sheet asks its room to do; steps are steps of the lane. */
  interface Hands {
    void place(DrumVoice voice, int step);

    void remove(DrumVoice voice, int step);

    void velocity(DrumVoice voice, int step, int velocity);

    void strokes(DrumVoice voice, int step, int strokes);

    void nudge(DrumVoice voice, int step, int ticks);

    void moved(DrumVoice voice, int step);

    void change(String name, DrumVoice voice, int step, UnaryOperator<Hit> change);

    void mute(DrumVoice voice);

    void alone(DrumVoice voice);

    String heard(DrumVoice voice);
  }

  private static final double LEFT = 116;
  private static final double RIGHT = 20;
  private static final double TOP = 26;
  private static final double DRAG_STARTS = 4;

  /** Pixels of a step from which beads have their full size. */
  private static final double FULL_STEP = 19;

  private final Hands hands;
  private Pattern.Drums groove;
  private Meter meter = Meter.COMMON;
  private Swing swing = Swing.STRAIGHT;
  private int lane;
  private int step;
  private Optional<Hit> pressed = Optional.empty();
  private double pressedY;
  private boolean dragged;

  BeadSheet(Hands hands) {
    super("Bead lines of the groove", true);
    this.hands = hands;
    setId("bead-sheet");
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(this::release);
    setOnKeyPressed(new BeadKeys(this, hands)::key);
  }

  void show(Pattern.Drums shown, Meter in, Swing swung) {
    groove = shown;
    meter = in;
    swing = swung;
    lane = Math.min(lane, groove.lanes().size() - 1);
    step = Math.min(step, steps() - 1);
    redraw();
  }

  DrumVoice voice() {
    return groove.lanes().get(lane).voice();
  }

  /** The step of the cursor within its lane. */
  int laneStep() {
    return step % lane().length();
  }

  Optional<Hit> hit() {
    return lane().at(laneStep());
  }

  /** Whether the cursor is on a closed hat that the open hat silences. */
  boolean choked() {
    return voice() == DrumVoice.CLOSED_HAT && openHatAt(step);
  }

  private StepLane lane() {
    return groove.lanes().get(lane).lane();
  }

  private int steps() {
    return groove.bars() * meter.stepsPerBar();
  }

  private Axis time() {
    return new Axis(0, Ticks.ofSteps(steps()), LEFT, getWidth() - RIGHT);
  }

  @Override
  protected double playX(double tick) {
    return time().at(tick);
  }

  private double laneY(int index) {
    double gap = Math.min(62, (getHeight() - TOP - 8) / groove.lanes().size());
    return TOP + gap * (index + 0.5);
  }

  private void press(MouseEvent event) {
    requestFocus();
    double gap = laneY(1) - laneY(0);
    int row = (int) Math.round((event.getY() - laneY(0)) / gap);
    if (event.getX() < LEFT - 14 || row < 0 || row >= groove.lanes().size()) {
      lane = Math.max(0, Math.min(groove.lanes().size() - 1, row));
      moved();
      return;
    }
    lane = row;
    step = nearestStep(event.getX());
    pressed = hit();
    pressedY = event.getY();
    dragged = false;
    if (pressed.isEmpty()) {
      hands.place(voice(), laneStep());
      dragged = true;
    }
    moved();
  }

  /** The step whose sounding place is nearest, so that a swung bead is found where it is drawn. */
  private int nearestStep(double pixel) {
    double tick = time().value(pixel);
    int nearest = 0;
    double best = Double.MAX_VALUE;
    for (int s = 0; s < steps(); s++) {
      double distance = Math.abs(swing.at(Ticks.ofSteps(s)) - tick);
      if (distance < best) {
        best = distance;
        nearest = s;
      }
    }
    return nearest;
  }

  private void drag(MouseEvent event) {
    if (pressed.isEmpty()) {
      return;
    }
    double up = pressedY - event.getY();
    if (dragged || Math.abs(up) >= DRAG_STARTS) {
      dragged = true;
      hands.velocity(voice(), laneStep(), Velocity.held(Math.round(pressed.get().velocity() + up)));
    }
  }

  private void release(MouseEvent event) {
    if (pressed.isPresent() && !dragged) {
      hands.remove(voice(), laneStep());
    }
    pressed = Optional.empty();
  }

  /** Moves the cursor by lanes and steps, held inside the groove. */
  void walk(int lanes, int steps) {
    lane = Math.max(0, Math.min(groove.lanes().size() - 1, lane + lanes));
    step = Math.max(0, Math.min(steps() - 1, step + steps));
  }

  /** Shows the cursor where it is now. */
  void moved() {
    redraw();
    hands.moved(voice(), laneStep());
  }

  @Override
  protected void draw() {
    if (groove == null) {
      return;
    }
    Axis x = time();
    drawGrid(x);
    for (int i = 0; i < groove.lanes().size(); i++) {
      drawLane(groove.lanes().get(i), i, x);
    }
    double half = Math.min(15, x.length(Ticks.PER_STEP) / 2);
    double at = x.at(swing.at(Ticks.ofSteps(step)));
    ring(at - half, laneY(lane) - 15, 2 * half, 30);
  }

  private void drawGrid(Axis x) {
    double bottom = laneY(groove.lanes().size() - 1) + 18;
    double gap = laneY(1) - laneY(0);
    box(0, laneY(lane) - gap / 2 + 2, getWidth(), gap - 4, "band", "pick");
    for (int s = 0; s <= steps(); s++) {
      int tick = Ticks.ofSteps(s);
      boolean bar = tick % meter.ticksPerBar() == 0;
      boolean beat = tick % meter.ticksPerBeat() == 0;
      line(x.at(tick), TOP - 6, x.at(tick), bottom, "rule", bar ? "bar" : beat ? "beat" : "faint");
      if (beat && s < steps()) {
        Position at = Position.of(tick, meter);
        text(x.at(tick) + 3, TOP - 9, at.bar() + "." + at.beat(), "soft");
      }
    }
  }

  private void drawLane(DrumLane shown, int index, Axis x) {
    double y = laneY(index);
    text(8, y + 2, shown.voice().toString(), index == lane ? "bold" : "plain");
    int count = shown.lane().hits().size();
    String hits = count == 0 ? "no hits" : count == 1 ? "1 hit" : count + " hits";
    text(8, y + 16, hits + hands.heard(shown.voice()), "soft");
    line(LEFT, y, getWidth() - RIGHT, y, "rule", "lane");
    for (Hit hit : shown.lane().written(steps())) {
      drawHit(shown, hit, x, y);
    }
    drawKnots(shown.lane(), x, y);
  }

  /** A knot marks where a lane of its own length starts again. */
  private void drawKnots(StepLane shown, Axis x, double y) {
    for (int s = shown.length(); s < steps(); s += shown.length()) {
      double at = x.at(Ticks.ofSteps(s));
      line(at - 3, y - 8, at + 3, y + 8, "rule", "bar");
      line(at + 3, y - 8, at - 3, y + 8, "rule", "bar");
    }
  }

  private void drawHit(DrumLane shown, Hit hit, Axis x, double y) {
    DrumVoice voice = shown.voice();
    long late = (long) Ticks.ofSteps(hit.step()) + shown.feel().late(hit.step());
    boolean choked = voice == DrumVoice.CLOSED_HAT && openHatAt(hit.step());
    boolean some = !hit.when().equals(When.ALWAYS);
    String look = choked ? "choked" : some ? "some" : "sounding";
    if (hit.flam() > 0) {
      double early = x.at(swing.at(late + hit.offset(0) - hit.flam()));
      dot(early, y, radius(hit.flamVelocity()) * 0.7, "bead", look);
    }
    for (int stroke = hit.strokes() - 1; stroke >= 0; stroke--) {
      long tick = swing.at(late + hit.offset(stroke));
      double radius =
          radius(shown.feel().played(hit.velocity(stroke), hit.step()))
              * (hit.strokes() > 1 ? 0.55 : 1);
      Circle bead = dot(x.at(tick), y, radius, "bead", look);
      if (!choked) {
        sounds(bead, tick, tick + Ticks.PER_STEP / 2.0);
      }
      if (stroke == 0) {
        String words =
            voice
                + " at "
                + Position.of(Ticks.ofSteps(hit.step()), meter)
                + ", velocity "
                + hit.velocity()
                + (some ? ", " + words(hit.when()) : "");
        if (some) {
          text(x.at(tick) + radius + 1, y - 6, mark(hit.when()), "soft");
        }
        named(bead, "bead-" + voice.name().toLowerCase() + "-" + (hit.step() + 1), words);
      }
    }
  }

  /** The sign beside a hit that does not always play. */
  private static String mark(When when) {
    String passes = when.every() == 1 ? "" : "/" + when.every();
    return when.percent() == 100 ? passes : passes + " " + when.percent() + "%";
  }

  /** On which passes a hit plays, in words. */
  static String words(When when) {
    String passes = when.every() == 1 ? "" : "on pass " + when.on() + " of " + when.every();
    String chance = when.percent() == 100 ? "" : "by " + when.percent() + " %";
    return (passes + " " + chance).strip();
  }

  private boolean openHatAt(int hitStep) {
    return groove.lane(DrumVoice.OPEN_HAT).stream()
        .flatMap(open -> open.over(steps()).stream())
        .anyMatch(hit -> hit.step() == hitStep);
  }

  /** The size of a bead by its velocity, smaller where steps are near together. */
  private double radius(int velocity) {
    double room = Math.min(1, time().length(Ticks.PER_STEP) / FULL_STEP);
    return (2.5 + 7.5 * velocity / Velocity.HIGHEST) * room;
  }

  List<DrumVoice> voices() {
    return groove.lanes().stream().map(DrumLane::voice).toList();
  }
}
