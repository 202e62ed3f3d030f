package westtide.desktop.kit;

import java.util.function.Consumer;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * A rhythm drawn by hand: sixteenths from left to right, strikes as upright strokes and what they
 * hold as the line behind them. A click strikes, louder, softer, the next chord ahead, and takes
 * away again; dragging from a strike holds it; Enter and Shift with the arrows do the same.
 */
public final class FigureSheet extends Drawing {
  private static final String SIGNS = "xXo>.";
  private static final int BAR = 16;

  private final Consumer<String> drawn;
  private String figure = ".".repeat(BAR);
  private int cursor;
  private int pressed = -1;
  private boolean dragged;

  /** A sheet with an id; {@code drawn} takes the figure after every change. */
  public FigureSheet(String id, Consumer<String> drawn) {
    super("A rhythm in sixteenths", true);
    this.drawn = drawn;
    setId(id);
    setMinHeight(30);
    setPrefHeight(30);
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(event -> release());
    setOnKeyPressed(this::key);
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

  private void press(MouseEvent event) {
    requestFocus();
    pressed = step(event.getX());
    cursor = pressed;
    dragged = false;
    redraw();
  }

  private void drag(MouseEvent event) {
    int to = step(event.getX());
    if (to != pressed) {
      dragged = true;
      hold(pressed, to);
    }
  }

  private void release() {
    if (!dragged && pressed >= 0) {
      turn(pressed);
    } else if (dragged) {
      drawn.accept(figure);
    }
    pressed = -1;
  }

  private void key(KeyEvent event) {
    int by = event.getCode() == KeyCode.LEFT ? -1 : event.getCode() == KeyCode.RIGHT ? 1 : 0;
    if (by != 0 && event.isShiftDown()) {
      int end = end(cursor) + by;
      hold(cursor, Math.max(cursor, Math.min(figure.length() - 1, end)));
      drawn.accept(figure);
    } else if (by != 0) {
      cursor = Math.max(0, Math.min(figure.length() - 1, cursor + by));
      redraw();
    } else if (event.getCode() == KeyCode.ENTER) {
      turn(cursor);
    } else {
      return;
    }
    event.consume();
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
