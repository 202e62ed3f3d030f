package westtide.desktop.drums;

import java.util.Optional;
import java.util.Set;
import javafx.geometry.Point2D;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.rhythm.Hit;
import westtide.rhythm.Roll;
import westtide.rhythm.Velocity;
import westtide.song.Brief;

/**
 * The chosen hit looked at closely: a stem a stroke as high as its velocity, the roll's slope and
 * number, the time it is early or late, and a ring of its chance. Each is pulled where it stands.
 */
final class HitLens extends Drawing implements SheetGestures.Sheet<HitLens.Mark> {
  /** What can be pulled or pressed. */
  enum Mark {
    VELOCITY,
    SLOPE,
    STROKES,
    OFFSET,
    CHANCE,
    EXACT
  }

  static final double WIDTH = 250;
  static final double HEIGHT = 150;
  private static final double POINTER = 10;
  private static final double STEMS_FROM = 18;
  private static final double STEMS_TO = 158;
  private static final double FOOT = 98;
  private static final double HEAD = 34;
  private static final double RING_X = 206;
  private static final double RING_Y = 66;
  private static final double RING = 22;
  private static final int MOST_STROKES = 8;
  private static final double A_STROKE = 14;
  private static final int FULL = 100;

  private final GrooveChoice choice;
  private final Runnable exact;
  private final KeyTable keys = new KeyTable("Lens");
  private Optional<GrooveScene> scene = Optional.empty();
  private double pointer;
  private boolean above;

  /** A lens; {@code exact} opens the figures of the hit. */
  HitLens(GrooveChoice choice, Runnable exact) {
    super("The chosen hit, looked at closely", false);
    this.choice = choice;
    this.exact = exact;
    setId("hit-lens");
    setManaged(false);
    resize(WIDTH, HEIGHT);
    SheetGestures.on(this, this);
  }

  /** Shows a hit beside its bead, over it where there is room. */
  void show(GrooveScene shown, Point2D bead, double width) {
    scene = Optional.of(shown);
    above = bead.getY() - HEIGHT - A_STROKE >= 0;
    double left = Math.max(0, Math.min(width - WIDTH, bead.getX() - WIDTH / 2));
    pointer = Math.max(POINTER + 4, Math.min(WIDTH - POINTER - 4, bead.getX() - left));
    double top = above ? bead.getY() - HEIGHT - A_STROKE : bead.getY() + A_STROKE;
    relocate(left, top);
    redraw();
  }

  private Optional<Hit> hit() {
    return scene.flatMap(GrooveScene::hit);
  }

  private Axis level() {
    return new Axis(0, Velocity.HIGHEST, FOOT, HEAD);
  }

  private Axis time() {
    return new Axis(-Hit.MOST_NUDGE, Hit.MOST_NUDGE, STEMS_FROM, STEMS_TO);
  }

  @Override
  protected void draw() {
    hit().ifPresent(hit -> draw(scene.orElseThrow(), hit));
  }

  private void draw(GrooveScene shown, Hit hit) {
    double edge = above ? HEIGHT - POINTER : POINTER;
    double tip = above ? HEIGHT : 0;
    polygon(
        new double[] {pointer - POINTER, edge, pointer + POINTER, edge, pointer, tip},
        "lens-pointer");
    double top = above ? 0 : POINTER;
    var card = box(0, top, WIDTH, HEIGHT - POINTER, "lens");
    card.setArcWidth(12);
    card.setArcHeight(12);
    String name = shown.part().name(shown.chosen().id()) + ", " + shown.position(shown.tick());
    fit(text(14, 20 + top, name, "section"), 170);
    named(textEnding(WIDTH - 14, 20 + top, "exact", "link"), "lens-exact", "the exact figures");
    drawStems(hit);
    drawOffset(hit, shown.song().brief());
    drawRing(hit);
  }

  private void drawStems(Hit hit) {
    int strokes = hit.strokes();
    double wide = Math.min(A_STROKE, (STEMS_TO - STEMS_FROM) / strokes - 3);
    double apart = strokes == 1 ? 0 : (STEMS_TO - STEMS_FROM - wide) / (strokes - 1);
    Axis y = level();
    line(STEMS_FROM, FOOT, STEMS_TO, FOOT, "rule", "bar");
    for (int i = 0; i < strokes; i++) {
      double left = strokes == 1 ? STEMS_FROM : STEMS_FROM + i * apart;
      double head = y.at(hit.velocity(i));
      box(left, head, wide, FOOT - head, "stem");
    }
    if (strokes > 1) {
      line(
          STEMS_FROM,
          y.at(hit.velocity(0)) - 5,
          STEMS_TO,
          y.at(hit.velocity(strokes - 1)) - 5,
          "slope");
    }
    named(box(STEMS_FROM, HEAD, 60, FOOT - HEAD, "hit-area"), "lens-velocity", "velocity");
    named(box(STEMS_TO - 60, HEAD, 60, FOOT - HEAD, "hit-area"), "lens-slope", "velocity ramp");
    polygon(
        new double[] {STEMS_TO + 6, FOOT - 6, STEMS_TO + 14, FOOT, STEMS_TO + 6, FOOT + 6},
        "pull-mark");
    named(box(STEMS_TO + 3, FOOT - 9, 15, 18, "hit-area"), "lens-strokes", "strokes of the roll");
  }

  private void drawOffset(Hit hit, Brief brief) {
    double y = FOOT + 12;
    double at = time().at(hit.nudge());
    line(STEMS_FROM, y, STEMS_TO, y, "rule", "faint");
    line(time().at(0), y - 5, time().at(0), y + 5, "rule", "bar");
    polygon(new double[] {at - 5, y, at, y - 6, at + 5, y, at, y + 6}, "diamond");
    named(box(at - 9, y - 8, 18, 16, "hit-area"), "lens-offset", "offset");
    fit(text(STEMS_FROM, y + 22, words(hit, brief), "soft"), WIDTH - 2 * STEMS_FROM);
  }

  private static String words(Hit hit, Brief brief) {
    long ms = Math.round(brief.tempo().millis(hit.nudge()));
    String time =
        hit.nudge() == 0 ? "" : " · " + Math.abs(ms) + " ms " + (ms < 0 ? "early" : "late");
    Roll roll = hit.roll();
    return roll.strokes() == 1
        ? "velocity " + hit.velocity() + time
        : roll.strokes()
            + " strokes in "
            + roll.steps()
            + (roll.steps() == 1 ? " step · " : " steps · ")
            + hit.velocity(0)
            + " → "
            + hit.velocity(roll.strokes() - 1)
            + time;
  }

  private void drawRing(Hit hit) {
    dot(RING_X, RING_Y, RING, "evening-glass");
    int percent = hit.when().percent();
    int points = Math.max(2, percent / 4);
    double[] pie = new double[2 * (points + 2)];
    pie[0] = RING_X;
    pie[1] = RING_Y;
    for (int i = 0; i <= points; i++) {
      double angle = 2 * Math.PI * percent / FULL * i / points - Math.PI / 2;
      pie[2 * i + 2] = RING_X + RING * Math.cos(angle);
      pie[2 * i + 3] = RING_Y + RING * Math.sin(angle);
    }
    polygon(pie, "evening-water");
    named(
        box(RING_X - RING, RING_Y - RING, 2 * RING, 2 * RING, "hit-area"),
        "lens-chance",
        "chance " + percent + " %");
    String when = HitDescription.mark(hit.when());
    textCentred(RING_X, RING_Y + RING + 16, 80, when.isEmpty() ? "always" : when, "soft");
  }

  @Override
  public Optional<Mark> at(double x, double y) {
    double top = above ? 0 : POINTER;
    if (x > WIDTH - 60 && y < top + 28) {
      return Optional.of(Mark.EXACT);
    }
    if (Math.hypot(x - RING_X, y - RING_Y) <= RING + 4) {
      return Optional.of(Mark.CHANCE);
    }
    if (x > STEMS_TO && x < STEMS_TO + 20 && Math.abs(y - FOOT) < 11) {
      return Optional.of(Mark.STROKES);
    }
    boolean early = x >= STEMS_FROM - 6 && x <= STEMS_TO + 6;
    if (early && y > FOOT + 2) {
      return Optional.of(Mark.OFFSET);
    }
    boolean roll = hit().map(hit -> hit.strokes() > 1).orElse(false);
    return !early
        ? Optional.empty()
        : Optional.of(roll && x > (STEMS_FROM + STEMS_TO) / 2 ? Mark.SLOPE : Mark.VELOCITY);
  }

  @Override
  public void choose(Set<Mark> marks) {
    if (marks.contains(Mark.EXACT)) {
      exact.run();
    }
  }

  @Override
  public Optional<Pull> grab(Mark mark, double x, double y, boolean alt) {
    return hit()
        .map(
            hit ->
                switch (mark) {
                  case VELOCITY -> (toX, toY) -> velocity(toY);
                  case SLOPE -> (toX, toY) -> slope(toY);
                  case STROKES -> (toX, toY) -> strokes(hit.strokes(), toX - x);
                  case OFFSET -> (toX, toY) -> offset(hit.nudge(), toX - x);
                  case CHANCE -> (toX, toY) -> chance(hit.when().percent(), y - toY);
                  case EXACT -> (toX, toY) -> "";
                });
  }

  private String velocity(double y) {
    int velocity = Math.max(1, level().nearest(y));
    choice.change("Set velocity of a hit to " + velocity, hit -> hit.withVelocity(velocity));
    return "velocity " + velocity;
  }

  /** How loud the last stroke is beside the first: softer than it, or led up to. */
  private String slope(double y) {
    int last = Math.max(1, level().nearest(y));
    choice.change(
        "Velocity ramp of a roll",
        hit -> {
          int first = hit.velocity(0);
          int loud = Math.max(first, last);
          int ramp = Math.round(100f * (last - first) / loud);
          return hit.withVelocity(loud)
              .withRoll(hit.roll().withRamp(Math.max(-90, Math.min(90, ramp))));
        });
    return "last stroke " + last;
  }

  private String strokes(int from, double by) {
    int strokes = Math.max(1, Math.min(MOST_STROKES, from + (int) Math.round(by / A_STROKE)));
    choice.change("Roll of " + strokes, hit -> hit.withStrokes(strokes));
    return strokes == 1 ? "one stroke" : strokes + " strokes";
  }

  private String offset(int from, double by) {
    int ticks = Hit.heldNudge(from + Math.round(time().value(STEMS_FROM + by) - time().low()));
    choice.change("Move a hit by " + ticks + " ticks", hit -> hit.withNudge(ticks));
    return (ticks > 0 ? "+" : "") + ticks + " ticks";
  }

  private String chance(int from, double by) {
    int percent = Math.max(1, Math.min(FULL, from + (int) Math.round(by)));
    choice.change(
        "Set chance, % of a hit to " + percent,
        hit -> hit.withWhen(hit.when().withPercent(percent)));
    return "chance " + percent + " %";
  }

  @Override
  public KeyTable keys() {
    return keys;
  }
}
