package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Cursor;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.mix.Curve;
import westtide.song.mix.CurveShape;

/**
 * One curve, large: its points are pulled, a double click adds one, Delete takes one away; of a
 * cycle its low and high ends are pulled.
 */
final class CurveSheet extends Drawing implements SheetGestures.Sheet<Integer> {
  /** What is done with the curve that is shown. */
  interface Actions {
    void shape(CurveShape changed);
  }

  private static final double EDGE = 10;
  private static final double NEAR = 9;

  private final Actions actions;
  private final KeyTable keys =
      new KeyTable("Points of a curve")
          .key("point before", () -> step(-1), "LEFT")
          .key("next point", () -> step(1), "RIGHT")
          .key("higher", () -> nudge(0.02), "UP")
          .key("lower", () -> nudge(-0.02), "DOWN")
          .menu("delete the point", this::there, this::delete, "DELETE", "BACK_SPACE");
  private Optional<Curve> curve = Optional.empty();
  private int chosen;

  CurveSheet(Actions actions) {
    super("A curve: how something of the part moves", true);
    this.actions = actions;
    setId("curve-sheet");
    setMinHeight(78);
    setPrefHeight(78);
    SheetGestures.on(this, this);
  }

  private boolean there() {
    return curve.isPresent();
  }

  void show(Optional<Curve> shown) {
    curve = shown;
    redraw();
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  private List<CurveShape.Point> points() {
    return curve.map(Curve::shape).stream()
        .flatMap(
            shape ->
                shape instanceof CurveShape.Points points
                    ? points.points().stream()
                    : ends((CurveShape.Cycle) shape).stream())
        .toList();
  }

  /** A cycle has two points to be pulled: its low and its high end. */
  private static List<CurveShape.Point> ends(CurveShape.Cycle cycle) {
    return List.of(
        new CurveShape.Point(0, cycle.low(), CurveShape.Bend.STRAIGHT),
        new CurveShape.Point(1000, cycle.high(), CurveShape.Bend.STRAIGHT));
  }

  private double x(int at) {
    return EDGE + (getWidth() - 2 * EDGE) * at / 1000.0;
  }

  private double y(int value) {
    return bottom() - curve.orElseThrow().kind().share(value) * (bottom() - EDGE);
  }

  private double bottom() {
    return getHeight() - EDGE;
  }

  @Override
  protected void draw() {
    line(EDGE, bottom(), getWidth() - EDGE, bottom(), "rule", "bar");
    if (curve.isEmpty()) {
      text(EDGE + 4, getHeight() / 2, "No curve here yet: choose what moves and add it.", "soft");
      return;
    }
    Curve shown = curve.get();
    named(
        polyline(CurveLine.of(shown, EDGE, getWidth() - EDGE, EDGE, bottom(), 120), "curve-line"),
        "curve-drawn",
        shown.toString());
    List<CurveShape.Point> points = points();
    for (int i = 0; i < points.size(); i++) {
      CurveShape.Point point = points.get(i);
      String words = point.value() + " " + shown.kind().unit();
      thing(
          dot(x(point.at()), y(point.value()), i == chosen ? 5 : 4, "curve-point"),
          "curve-point-" + i,
          "point",
          words,
          i == chosen);
      if (i == chosen) {
        ring(x(point.at()) - 9, y(point.value()) - 9, 18, 18);
      }
    }
    ring(2, 2, getWidth() - 4, getHeight() - 4);
  }

  @Override
  public Optional<Integer> at(double px, double py) {
    List<CurveShape.Point> points = points();
    for (int i = 0; i < points.size(); i++) {
      CurveShape.Point point = points.get(i);
      if (Math.hypot(px - x(point.at()), py - y(point.value())) <= NEAR) {
        return Optional.of(i);
      }
    }
    return Optional.empty();
  }

  @Override
  public Set<Integer> chosen() {
    return Set.of(chosen);
  }

  @Override
  public void choose(Set<Integer> marks) {
    marks.stream().findFirst().ifPresent(mark -> chosen = mark);
    redraw();
  }

  @Override
  public Cursor hover(double px, double py) {
    return at(px, py).isPresent() ? Cursor.MOVE : Cursor.CROSSHAIR;
  }

  private int value(double py) {
    return curve.orElseThrow().kind().at((bottom() - py) / (bottom() - EDGE));
  }

  private int place(double px) {
    return (int)
        Math.max(0, Math.min(1000, Math.round(1000 * (px - EDGE) / (getWidth() - 2 * EDGE))));
  }

  /** A double click adds a point. */
  @Override
  public void write(double px, double py) {
    if (curve.isPresent() && curve.get().shape() instanceof CurveShape.Points points) {
      int at = Math.max(1, Math.min(999, place(px)));
      actions.shape(points.with(new CurveShape.Point(at, value(py), CurveShape.Bend.STRAIGHT)));
    }
  }

  @Override
  public Optional<Pull> grab(Integer mark, double px, double py, boolean alt) {
    return Optional.of(
        (x, y) -> {
          set(mark, place(x), value(y));
          return value(y) + " " + curve.orElseThrow().kind().unit();
        });
  }

  /** Points stay in order; the first and the last stay at the ends. */
  private void set(int index, int at, int value) {
    Curve shown = curve.orElseThrow();
    if (shown.shape() instanceof CurveShape.Cycle cycle) {
      actions.shape(
          index == 0
              ? new CurveShape.Cycle(value, cycle.high(), cycle.ticks(), cycle.wave())
              : new CurveShape.Cycle(cycle.low(), value, cycle.ticks(), cycle.wave()));
      return;
    }
    CurveShape.Points points = (CurveShape.Points) shown.shape();
    CurveShape.Point old = points.points().get(index);
    boolean end = index == 0 || index == points.points().size() - 1;
    int low = end ? old.at() : points.points().get(index - 1).at() + 1;
    int high = end ? old.at() : points.points().get(index + 1).at() - 1;
    int held = Math.max(low, Math.min(high, at));
    CurveShape.Points without = end ? points : points.without(old.at());
    actions.shape(without.with(new CurveShape.Point(held, value, old.bend())));
  }

  private void step(int by) {
    chosen = Math.max(0, Math.min(points().size() - 1, chosen + by));
    redraw();
  }

  private void nudge(double by) {
    if (curve.isPresent()) {
      CurveShape.Point point = points().get(Math.min(chosen, points().size() - 1));
      Curve.Kind kind = curve.get().kind();
      set(chosen, point.at(), kind.at(kind.share(point.value()) + by));
    }
  }

  private void delete() {
    if (curve.isPresent() && curve.get().shape() instanceof CurveShape.Points points) {
      actions.shape(points.without(points.points().get(chosen).at()));
      chosen = 0;
    }
  }

  /** The point that is chosen, from 0. */
  int point() {
    return chosen;
  }
}
