package westtide.desktop.brief;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.shape.Circle;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.rhythm.Ticks;

/**
 * A bar of sixteenths as swing spaces them: where each off-step is written and where it sounds. Any
 * off-step is pulled sideways, and all go with it.
 */
final class SwingSheet extends Drawing implements SheetGestures.Sheet<Integer> {
  private static final int STEPS = 16;
  private static final int NUDGE = 100;
  private static final double NEAR = 11;
  private static final double HEIGHT = 84;

  private final Consumer<Swing> set;
  private final KeyTable keys =
      new KeyTable("Swing")
          .key("straighter", () -> nudge(-1), "LEFT")
          .key("more swing", () -> nudge(1), "RIGHT");
  private Swing swing = Swing.STRAIGHT;
  private Tempo tempo = Tempo.of(120);

  /** A sheet; {@code set} takes the swing it is pulled to. */
  SwingSheet(Consumer<Swing> set) {
    super("Swing: the real spacing of the sixteenths of a bar", true);
    this.set = set;
    setId("swing-sheet");
    SheetGestures.on(this, this);
    keepHeight(HEIGHT);
  }

  void show(Swing shown, Tempo at) {
    swing = shown;
    tempo = at;
    redraw();
  }

  private Axis axis() {
    return new Axis(0, Ticks.ofSteps(STEPS), 14, getWidth() - 14);
  }

  private double y() {
    return scaled(52);
  }

  @Override
  protected void draw() {
    Axis x = axis();
    double y = y();
    ring(1, 1, getWidth() - 2, getHeight() - 2);
    text(x.from(), scaled(18), words(), "soft");
    line(x.at(0), y, x.at(Ticks.ofSteps(STEPS)), y, "rule", "lane");
    int unit = swing.grid().ticks();
    for (int tick = 0; tick < Ticks.ofSteps(STEPS); tick += unit) {
      boolean beat = tick % Ticks.PER_QUARTER == 0;
      boolean first = tick / unit % 2 == 0;
      double tall = beat ? 20 : 13;
      line(x.at(tick), y - tall, x.at(tick), y + tall, "rule", beat ? "bar" : "faint");
      Circle bead = dot(x.at(swing.at(tick)), y, beat ? 8 : 6, "bead", first ? "on" : "chosen");
      if (!first) {
        thing(bead, "swing-" + tick / unit, "off-beat", "swing " + swing + " %", false);
      }
      if (beat) {
        text(x.at(tick) + 4, y + scaled(24), String.valueOf(tick / Ticks.PER_QUARTER + 1), "soft");
      }
    }
  }

  private String words() {
    long late = Math.round(tempo.millis(swing.delay()));
    String what = swing.grid() == Swing.Grid.EIGHTHS ? "eighth" : "sixteenth";
    return swing.straight()
        ? "straight: pull any off-beat sideways"
        : swing
            + " %: every second "
            + what
            + " sounds "
            + late
            + " ms late, "
            + swing.delay()
            + " ticks";
  }

  /** The off-step at a point, by its tick. */
  @Override
  public Optional<Integer> at(double x, double y) {
    int unit = swing.grid().ticks();
    if (Math.abs(y - y()) > NEAR) {
      return Optional.empty();
    }
    for (int tick = unit; tick < Ticks.ofSteps(STEPS); tick += 2 * unit) {
      if (Math.abs(axis().at(swing.at(tick)) - x) <= NEAR) {
        return Optional.of(tick);
      }
    }
    return Optional.empty();
  }

  @Override
  public Optional<Pull> grab(Integer tick, double x, double y, boolean alt) {
    int unit = swing.grid().ticks();
    return Optional.of(
        (toX, toY) -> {
          double share = (axis().value(toX) - (tick - unit)) / (2.0 * unit);
          Swing pulled = swing.withHeld((int) Math.round(share * 100) * NUDGE);
          set.accept(pulled);
          return "swing " + pulled + " %";
        });
  }

  private void nudge(int units) {
    set.accept(swing.withHeld(swing.hundredths() + units * NUDGE));
  }

  @Override
  public KeyTable keys() {
    return keys;
  }
}
