package westtide.desktop.kit.sheet;

import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;

/**
 * A rhythm drawn by hand: sixteenths from left to right, strikes as upright strokes and what they
 * hold as the line behind them. A click sets the cursor; a double click or a drag strikes and
 * holds; Enter goes through loud, soft and the next chord ahead, Delete takes away.
 */
public final class FigureSheet extends Drawing {
  private static final String SIGNS = "xXo>.";
  private static final int BAR = 16;

  private final Consumer<String> drawn;
  private String figure = ".".repeat(BAR);
  private int cursor;
  private final KeyTable keys =
      new KeyTable("A drawn rhythm")
          .key("step before", () -> moveTo(cursor - 1), "LEFT")
          .key("next step", () -> moveTo(cursor + 1), "RIGHT")
          .menu("a step longer", this::struck, () -> lengthen(1), "Shift+RIGHT")
          .menu("a step shorter", this::struck, () -> lengthen(-1), "Shift+LEFT")
          .menu("strike: plain, loud, soft, next chord ahead", () -> true, this::strike, "ENTER")
          .menu("delete", this::struck, this::take, "DELETE", "BACK_SPACE");

  /** A sheet with an id; {@code drawn} takes the figure after every change. */
  public FigureSheet(String id, Consumer<String> drawn) {
    super("A rhythm in sixteenths", true);
    this.drawn = drawn;
    setId(id);
    setMinHeight(30);
    setPrefHeight(30);
    SheetGestures.on(this, new Steps());
  }

  /** Shows a figure; an empty text shows a bar of rests to draw in. */
  public void show(String text) {
    figure = text.isEmpty() ? ".".repeat(BAR) : text;
    cursor = Math.min(cursor, figure.length() - 1);
    redraw();
  }

  private Axis axis() {
    return new Axis(0, figure.length(), 8, Math.max(40, getWidth() - 8));
  }

  private int step(double x) {
    return (int) Math.max(0, Math.min(figure.length() - 1, Math.floor(axis().value(x))));
  }

  /** The keys of a drawn rhythm. */
  public KeyTable keys() {
    return keys;
  }

  private void moveTo(int step) {
    cursor = Math.max(0, Math.min(figure.length() - 1, step));
    redraw();
  }

  private void lengthen(int by) {
    int end = end(cursor) + by;
    hold(cursor, Math.max(cursor, Math.min(figure.length() - 1, end)));
    drawn.accept(figure);
  }

  /** A strike on the step of the cursor, plain, or the next kind of it. */
  private void strike() {
    turn(cursor);
  }

  private void take() {
    StringBuilder out = new StringBuilder(figure);
    for (int i = cursor; i <= end(cursor); i++) {
      out.setCharAt(i, '.');
    }
    figure = out.toString();
    redraw();
    drawn.accept(figure);
  }

  private boolean struck() {
    return figure.charAt(cursor) != '.' && figure.charAt(cursor) != '-';
  }

  /** The steps as marks. */
  private final class Steps implements SheetGestures.Sheet<Integer> {
    @Override
    public Optional<Integer> at(double x, double y) {
      int step = step(x);
      char sign = figure.charAt(step);
      return sign == '.' || sign == '-' ? Optional.empty() : Optional.of(step);
    }

    @Override
    public Set<Integer> chosen() {
      return Set.of(cursor);
    }

    @Override
    public void choose(Set<Integer> marks) {
      marks.forEach(FigureSheet.this::moveTo);
    }

    @Override
    public void cursor(double x, double y) {
      moveTo(step(x));
    }

    @Override
    public void write(double x, double y) {
      moveTo(step(x));
      strike();
    }

    @Override
    public Optional<Pull> grab(Integer mark, double x, double y, boolean alt) {
      return Optional.of(new Holding(mark));
    }

    @Override
    public Optional<Pull> draw(double x, double y) {
      return Optional.of(new Holding(step(x)));
    }

    @Override
    public KeyTable keys() {
      return keys;
    }
  }

  /** A strike whose end follows the pointer. */
  private final class Holding implements Pull {
    private final int from;
    private final String before = figure;

    Holding(int from) {
      this.from = from;
    }

    @Override
    public String to(double x, double y) {
      int end = Math.max(from, step(x));
      hold(from, end);
      int steps = end - from + 1;
      return steps + (steps == 1 ? " step" : " steps");
    }

    @Override
    public void end() {
      drawn.accept(figure);
    }

    @Override
    public void giveBack() {
      figure = before;
      redraw();
    }
  }

  /** The last step a strike holds. */
  private int end(int step) {
    int end = step;
    while (end + 1 < figure.length() && figure.charAt(end + 1) == '-') {
      end++;
    }
    return end;
  }

  /** Puts the next sign on a step; what a strike held that is taken away becomes rest. */
  private void turn(int step) {
    int sign = SIGNS.indexOf(figure.charAt(step));
    char next = sign < 0 ? 'x' : SIGNS.charAt((sign + 1) % SIGNS.length());
    StringBuilder out = new StringBuilder(figure);
    out.setCharAt(step, figure.charAt(step) == '.' ? 'x' : next);
    if (out.charAt(step) == '.') {
      for (int i = step + 1; i <= end(step); i++) {
        out.setCharAt(i, '.');
      }
    }
    figure = out.toString();
    redraw();
    drawn.accept(figure);
  }

  private void hold(int from, int to) {
    StringBuilder out = new StringBuilder(figure);
    if (out.charAt(from) == '.' || out.charAt(from) == '-') {
      out.setCharAt(from, 'x');
    }
    for (int i = from + 1; i <= Math.max(to, end(from)) && i < out.length(); i++) {
      out.setCharAt(i, i <= to ? '-' : '.');
    }
    if (to + 1 < out.length() && out.charAt(to + 1) == '-') {
      out.setCharAt(to + 1, '.');
    }
    figure = out.toString();
    redraw();
  }

  @Override
  protected void draw() {
    Axis x = axis();
    double y = getHeight() / 2;
    line(x.at(0), y, x.at(figure.length()), y, "rule", "faint");
    for (int step = 0; step < figure.length(); step++) {
      double at = x.at(step) + 3;
      if (step % 4 == 0) {
        line(x.at(step), y - 12, x.at(step), y + 12, "rule", step % BAR == 0 ? "bar" : "faint");
      }
      char sign = figure.charAt(step);
      if (sign == '-') {
        line(x.at(step) - 2, y, x.at(step + 1) - 2, y, "strike");
      } else if (sign != '.') {
        double tall = sign == 'X' ? 12 : sign == 'o' ? 5 : 8;
        named(line(at, y - tall, at, y + tall, "strike", "onset"), getId() + "-" + step, "strike");
        line(at, y, x.at(step + 1) - 2, y, "strike");
        if (sign == '>') {
          line(at, y - tall, at + 5, y, "strike", "onset");
          line(at, y + tall, at + 5, y, "strike", "onset");
        }
      }
    }
    ring(x.at(cursor), y - 13, x.length(1), 26);
  }
}
