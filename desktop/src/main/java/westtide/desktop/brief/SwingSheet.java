package westtide.desktop.brief;

import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.sheet.Axis;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.rhythm.Ticks;

/** A bar of sixteenths as swing spaces them: where each off-step is written and where it sounds. */
final class SwingSheet extends Drawing {
  private static final int STEPS = 16;

  private Swing swing = Swing.STRAIGHT;
  private Tempo tempo = Tempo.of(120);

  SwingSheet() {
    super("Swing: the real spacing of the sixteenths of a bar", false);
    setId("swing-sheet");
    setPrefHeight(74);
    setMinHeight(74);
  }

  void show(Swing shown, Tempo at) {
    swing = shown;
    tempo = at;
    redraw();
  }

  @Override
  protected void draw() {
    Axis x = new Axis(0, Ticks.ofSteps(STEPS), 10, getWidth() - 10);
    double y = 32;
    line(x.at(0), y, x.at(Ticks.ofSteps(STEPS)), y, "rule", "lane");
    int unit = swing.grid().ticks();
    for (int tick = 0; tick < Ticks.ofSteps(STEPS); tick += unit) {
      boolean beat = tick % Ticks.PER_QUARTER == 0;
      boolean first = tick / unit % 2 == 0;
      double tall = beat ? 18 : 9;
      line(x.at(tick), y - tall, x.at(tick), y + tall, "rule", beat ? "bar" : "faint");
      dot(x.at(swing.at(tick)), y, first ? 7 : 5, "bead", first ? "on" : "chosen");
      if (beat) {
        text(x.at(tick) + 3, 13, String.valueOf(tick / Ticks.PER_QUARTER + 1), "soft");
      }
    }
    long late = Math.round(tempo.millis(swing.delay()));
    String what = swing.grid() == Swing.Grid.EIGHTHS ? "eighth" : "sixteenth";
    String words =
        swing.straight()
            ? "straight: every " + what + " stands on the grid"
            : "every second " + what + " sounds " + swing.delay() + " ticks late, " + late + " ms";
    text(10, 68, words, "soft");
  }
}
