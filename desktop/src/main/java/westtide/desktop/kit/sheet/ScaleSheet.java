package westtide.desktop.kit.sheet;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.IntFunction;
import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;

/**
 * Numbers that are pulled: each is a rule from its lowest to its highest value with a mark where it
 * stands. Arrows walk from one to the next and nudge; Enter asks for the exact value.
 */
public final class ScaleSheet extends Drawing implements SheetGestures.Sheet<String> {
  /**
   * A number on its rule.
   *
   * @param id what it is known by
   * @param name what it is called, unit included
   * @param low lowest value
   * @param high highest value, above the lowest
   * @param step how far one nudge goes
   * @param octaves whether equal distances are equal ratios, as for Hz
   * @param value where it stands
   * @param words a value as it is shown
   * @param set takes another value
   */
  public record Scale(
      String id,
      String name,
      int low,
      int high,
      int step,
      boolean octaves,
      int value,
      IntFunction<String> words,
      IntConsumer set) {
    private static final double LOWEST_HERTZ = 20;

    /** Where a value stands, 0 at the lowest to 1 at the highest. */
    double share(int at) {
      return (bent(at) - bent(low)) / (bent(high) - bent(low));
    }

    /** The value at a share of the rule, held on it and on whole nudges from its lowest. */
    int at(double share) {
      if (share <= 0) {
        return low;
      }
      double held = Math.min(1, share);
      double bent = bent(low) + held * (bent(high) - bent(low));
      double value = octaves ? LOWEST_HERTZ * Math.pow(2, bent) : bent;
      long steps = Math.round((value - low) / step);
      return held((int) (low + steps * step));
    }

    private double bent(double at) {
      return octaves ? Math.log(Math.max(LOWEST_HERTZ, at) / LOWEST_HERTZ) / Math.log(2) : at;
    }

    int held(int at) {
      return Math.max(low, Math.min(high, at));
    }

    /** The value as it is shown. */
    public String shown() {
      return words.apply(value);
    }
  }

  private static final double NARROWEST = 190;
  private static final double HEIGHT = 38;
  private static final double GAP = 26;
  private static final double MARK = 5;

  private final KeyTable keys;
  private List<Scale> scales = List.of();
  private String chosen = "";

  /**
   * A sheet of numbers.
   *
   * @param id its id
   * @param name what they are the numbers of
   * @param exact asked for the exact value of one, by its id
   */
  public ScaleSheet(String id, String name, Consumer<String> exact) {
    super(name, true);
    setId(id);
    this.keys =
        new KeyTable(name)
            .key("less", () -> nudge(-1), "LEFT")
            .key("more", () -> nudge(1), "RIGHT")
            .key("much less", () -> nudge(-10), "Shift+LEFT")
            .key("much more", () -> nudge(10), "Shift+RIGHT")
            .key("number before", () -> walk(-1), "UP")
            .key("next number", () -> walk(1), "DOWN")
            .menu("type the exact value", () -> true, () -> exact.accept(chosen), "ENTER");
    SheetGestures.on(this, this);
    widthProperty().addListener((o, was, is) -> fit());
    textScaleProperty().addListener((o, was, is) -> fit());
  }

  /** Shows numbers; the one that was chosen stays so. */
  public void show(List<Scale> shown) {
    scales = shown;
    if (chosen().isEmpty() && !shown.isEmpty()) {
      chosen = shown.get(0).id();
    }
    fit();
    redraw();
  }

  private void fit() {
    int rows = (scales.size() + columns() - 1) / columns();
    setPrefHeight(Math.max(1, rows) * scaled(HEIGHT) + 4);
    setMinHeight(USE_PREF_SIZE);
  }

  private int columns() {
    return (int) Math.max(1, Math.floor((getWidth() + GAP) / (scaled(NARROWEST) + GAP)));
  }

  private double width() {
    return (getWidth() - (columns() - 1) * GAP) / columns();
  }

  private double left(int index) {
    return index % columns() * (width() + GAP);
  }

  private double top(int index) {
    return index / columns() * scaled(HEIGHT) + 2.0;
  }

  private double rule(int index) {
    return top(index) + scaled(HEIGHT) - 12;
  }

  private Axis axis(int index) {
    return new Axis(0, 1, left(index) + 8, left(index) + width() - 8);
  }

  @Override
  protected void draw() {
    for (int i = 0; i < scales.size(); i++) {
      draw(scales.get(i), i);
    }
  }

  private void draw(Scale scale, int index) {
    Axis x = axis(index);
    double y = rule(index);
    if (scale.id().equals(chosen)) {
      ring(left(index), top(index), width(), scaled(HEIGHT) - 2);
    }
    Text value = textEnding(x.to(), y - 9, scale.shown(), "bold");
    fit(text(x.from(), y - 9, scale.name(), "soft"), value.getX() - x.from() - 8);
    double origin = x.at(scale.share(scale.held(0)));
    double at = x.at(scale.share(scale.value()));
    line(x.from(), y, x.to(), y, "rule", "bar");
    Line pulled = line(Math.min(origin, at), y, Math.max(origin, at), y, "pulled");
    pulled.setVisible(Math.abs(origin - at) > 1);
    polygon(new double[] {at - MARK, y - MARK, at + MARK, y - MARK, at, y + MARK + 2}, "pull-mark");
    thing(
        box(left(index), top(index), width(), scaled(HEIGHT) - 2, "hit-area"),
        scale.id() + "-scale",
        "number",
        scale.name() + " " + scale.shown(),
        scale.id().equals(chosen));
  }

  @Override
  public Optional<String> at(double x, double y) {
    for (int i = 0; i < scales.size(); i++) {
      boolean across = x >= left(i) && x <= left(i) + width();
      if (across && y >= top(i) && y <= top(i) + scaled(HEIGHT)) {
        return Optional.of(scales.get(i).id());
      }
    }
    return Optional.empty();
  }

  @Override
  public Set<String> chosen() {
    return index() < 0 ? Set.of() : Set.of(chosen);
  }

  @Override
  public void choose(Set<String> marks) {
    marks.stream().findFirst().ifPresent(id -> chosen = id);
    redraw();
  }

  @Override
  public Optional<Pull> grab(String id, double x, double y, boolean alt) {
    choose(Set.of(id));
    return Optional.of(this::pull);
  }

  private String pull(double x, double y) {
    int index = index();
    Scale scale = scales.get(index);
    int value = scale.at(axis(index).value(x));
    scale.set().accept(value);
    return scale.name() + " " + scale.words().apply(value);
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  private int index() {
    for (int i = 0; i < scales.size(); i++) {
      if (scales.get(i).id().equals(chosen)) {
        return i;
      }
    }
    return -1;
  }

  private void walk(int by) {
    int to = Math.max(0, Math.min(scales.size() - 1, index() + by));
    choose(Set.of(scales.get(to).id()));
  }

  private void nudge(int steps) {
    Scale scale = scales.get(index());
    scale.set().accept(scale.held(scale.value() + steps * scale.step()));
  }
}
