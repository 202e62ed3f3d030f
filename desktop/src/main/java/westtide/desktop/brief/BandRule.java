package westtide.desktop.brief;

import java.util.Optional;
import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;

/**
 * A number on a ruled line with the band that is usual: the full mark is what is, the hollow one
 * what it is felt as or wished to be. One of them is pulled; arrows nudge it.
 */
final class BandRule extends Drawing implements SheetGestures.Sheet<String> {
  /**
   * What a rule is of.
   *
   * @param id its id
   * @param name what it is called
   * @param low left end
   * @param high right end
   * @param tick distance of the figures under it
   * @param nudge how far an arrow goes
   * @param figure a value in words
   */
  record Of(
      String id,
      String name,
      double low,
      double high,
      double tick,
      double nudge,
      DoubleFunction<String> figure) {}

  /**
   * Where everything stands.
   *
   * @param from lower end of the usual band
   * @param to its upper end
   * @param usual words under the band
   * @param full the full mark
   * @param hollow the hollow mark, if there is one
   * @param hollowPulled whether the hollow mark is the one that is pulled
   * @param words what follows the figure
   */
  record State(
      double from,
      double to,
      String usual,
      double full,
      Optional<Double> hollow,
      boolean hollowPulled,
      String words) {
    double pulled() {
      return hollowPulled ? hollow.orElse(full) : full;
    }
  }

  private static final double HEIGHT = 92;
  private static final double MARK = 7;
  private static final double NEAR = 16;

  private final Of of;
  private final DoubleConsumer set;
  private final KeyTable keys;
  private Optional<State> state = Optional.empty();

  /** A rule; {@code set} takes what it is pulled to. */
  BandRule(Of of, DoubleConsumer set) {
    super(of.name(), true);
    this.of = of;
    this.set = set;
    this.keys =
        new KeyTable(of.name())
            .key("less", () -> nudge(-1), "LEFT")
            .key("more", () -> nudge(1), "RIGHT")
            .key("much less", () -> nudge(-10), "Shift+LEFT")
            .key("much more", () -> nudge(10), "Shift+RIGHT");
    setId(of.id());
    SheetGestures.on(this, this);
    keepHeight(HEIGHT);
  }

  void show(State shown) {
    state = Optional.of(shown);
    redraw();
  }

  private Axis axis() {
    return new Axis(of.low(), of.high(), 14, getWidth() - 14);
  }

  private double y() {
    return scaled(46);
  }

  @Override
  protected void draw() {
    state.ifPresent(this::draw);
  }

  private void draw(State shown) {
    Axis x = axis();
    double y = y();
    ring(1, 1, getWidth() - 2, getHeight() - 2);
    double from = x.at(held(shown.from()));
    double to = x.at(held(shown.to()));
    box(from, y - 9, to - from, 18, "usual-band");
    line(x.from(), y, x.to(), y, "rule", "bar");
    for (double at = of.low(); at <= of.high(); at += of.tick()) {
      line(x.at(at), y - 5, x.at(at), y + 5, "rule", "bar");
      textCentred(x.at(at), y + scaled(21), of.tick() + 200, of.figure().apply(at), "soft");
    }
    Text usual = text(0, y + scaled(38), shown.usual(), "soft");
    double middle = (from + to) / 2 - usual.getLayoutBounds().getWidth() / 2;
    usual.setX(inside(middle, usual));
    shown.hollow().ifPresent(at -> diamond(x.at(held(at)), "hollow"));
    diamond(x.at(held(shown.full())), "full");
    String figure = of.figure().apply(shown.pulled());
    Text words = text(0, scaled(22), shown.words(), "soft");
    Text value = text(0, scaled(22), figure, "figure");
    double wide = value.getLayoutBounds().getWidth();
    double at = x.at(held(shown.pulled())) - wide / 2;
    double both = wide + 10 + words.getLayoutBounds().getWidth();
    double left = Math.max(x.from(), Math.min(x.to() - both, at));
    value.setX(left);
    words.setX(left + wide + 10);
    thing(
        box(x.at(held(shown.pulled())) - NEAR, y - NEAR, 2 * NEAR, 2 * NEAR, "hit-area"),
        of.id() + "-mark",
        "number",
        of.name() + " " + figure,
        true);
  }

  private double inside(double left, Text text) {
    double most = getWidth() - 14 - text.getLayoutBounds().getWidth();
    return Math.max(14, Math.min(most, left));
  }

  private void diamond(double x, String how) {
    double tall = how.equals("full") ? 1.8 * MARK : 1.4 * MARK;
    polygon(
        new double[] {x - MARK, y(), x, y() - tall, x + MARK, y(), x, y() + tall}, "diamond", how);
  }

  private double held(double value) {
    return Math.max(of.low(), Math.min(of.high(), value));
  }

  @Override
  public Optional<String> at(double x, double y) {
    return state
        .filter(s -> Math.abs(axis().at(held(s.pulled())) - x) <= NEAR && Math.abs(y() - y) <= NEAR)
        .map(s -> of.id());
  }

  @Override
  public Optional<Pull> grab(String mark, double x, double y, boolean alt) {
    return Optional.of(
        (toX, toY) -> {
          double value = on(held(axis().value(toX)));
          set.accept(value);
          return of.name() + " " + of.figure().apply(value);
        });
  }

  private double on(double value) {
    return Math.round(value / of.nudge()) * of.nudge();
  }

  private void nudge(int steps) {
    state.ifPresent(s -> set.accept(held(on(s.pulled()) + steps * of.nudge())));
  }

  @Override
  public KeyTable keys() {
    return keys;
  }
}
