package westtide.desktop.kit.sheet;

import java.util.Set;
import java.util.function.IntConsumer;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import westtide.desktop.kit.Drawing;
import westtide.theory.Key;

/**
 * Three octaves of notes on a line, low to high: the scale's own notes as long ticks, the others
 * short; what is placed is a dot. A click places or takes away; the arrows walk and Enter places.
 */
public final class NoteStrip extends Drawing {
  private static final int LOW = 45;
  private static final int HIGH = 84;
  private static final double LABEL_WIDTH = 24;

  private final IntConsumer toggle;
  private Key key = Key.parse("C");
  private Set<Integer> placed = Set.of();
  private int cursor = 60;

  /** A strip with an id; {@code toggle} takes the MIDI note that was chosen. */
  public NoteStrip(String id, IntConsumer toggle) {
    super("Notes from low to high", true);
    this.toggle = toggle;
    setId(id);
    setOnMousePressed(
        event -> {
          requestFocus();
          cursor = axis().nearest(event.getX());
          toggle.accept(cursor);
        });
    setOnKeyPressed(this::key);
  }

  /** Shows which notes are placed, spelled for a key. */
  public void show(Key in, Set<Integer> notes) {
    key = in;
    placed = Set.copyOf(notes);
    redraw();
  }

  /** The pixel across at which a MIDI note stands. */
  public double at(int midi) {
    return axis().at(midi);
  }

  private void key(KeyEvent event) {
    int step = event.getCode() == KeyCode.LEFT ? -1 : event.getCode() == KeyCode.RIGHT ? 1 : 0;
    if (step != 0) {
      cursor = Math.max(LOW, Math.min(HIGH, cursor + step));
      redraw();
      event.consume();
    } else if (event.getCode() == KeyCode.ENTER) {
      toggle.accept(cursor);
      event.consume();
    }
  }

  private Axis axis() {
    return new Axis(LOW, HIGH, 14, Math.max(40, getWidth() - 14));
  }

  @Override
  protected void draw() {
    Axis x = axis();
    double y = 16;
    line(x.at(LOW), y, x.at(HIGH), y, "rule", "lane");
    double labelled = -LABEL_WIDTH;
    for (int midi = LOW; midi <= HIGH; midi++) {
      boolean inside = key.contains(midi % 12);
      line(
          x.at(midi),
          y - (inside ? 8 : 3),
          x.at(midi),
          y + (inside ? 8 : 3),
          "rule",
          inside ? "bar" : "faint");
      if (inside && x.at(midi) - labelled >= LABEL_WIDTH) {
        textCentred(x.at(midi), 38, 40, key.pitch(midi).toString(), "soft");
        labelled = x.at(midi);
      }
      if (placed.contains(midi)) {
        named(
            dot(x.at(midi), y, 7, "voice-dot", "chosen"),
            getId() + "-" + midi,
            key.pitch(midi).toString());
      }
    }
    ring(x.at(cursor) - 9, y - 12, 18, 24);
  }
}
