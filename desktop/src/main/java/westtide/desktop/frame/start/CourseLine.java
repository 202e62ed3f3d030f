package westtide.desktop.frame.start;

import java.util.List;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.sheet.Axis;

/**
 * The way from a style to a MIDI file, drawn as a line of stops over water, each with what is
 * decided there.
 */
public final class CourseLine extends Drawing {
  private record Stop(String name, String decides) {}

  private static final List<Stop> STOPS =
      List.of(
          new Stop("Brief", "style, tempo, key"),
          new Stop("Chords", "typed or by numeral"),
          new Stop("Drums", "grooves, fills, feel"),
          new Stop("Low end", "808 follows the kick"),
          new Stop("Lines", "a lead on degrees"),
          new Stop("Form", "intro to hook or drop"),
          new Stop("Levels", "loudness, sides, space"),
          new Stop("Deliver", "MIDI, whole and parts"));
  private static final double EDGE = 70;

  /** A line that stands beside nothing until it is told where. */
  public CourseLine() {
    super(
        "The stages, in any order: brief, chords, drums, low end, lines, form, levels, deliver",
        false);
    setPrefHeight(70);
    setMinHeight(70);
  }

  @Override
  protected void draw() {
    Axis x = new Axis(0, STOPS.size() - 1, EDGE, getWidth() - EDGE);
    double y = 14;
    Path water = new Path(new MoveTo(0, y));
    double length = x.length(1);
    for (double from = x.at(-0.5); from < getWidth(); from += length) {
      water
          .getElements()
          .add(
              new CubicCurveTo(
                  from + length / 3, y + 14, from + 2 * length / 3, y - 14, from + length, y));
    }
    add(water, "energy-line");
    for (int i = 0; i < STOPS.size(); i++) {
      dot(x.at(i), y, 7, "stop-mark");
      textCentred(x.at(i), y + 26, length, STOPS.get(i).name(), "strong");
      textCentred(x.at(i), y + 43, length, STOPS.get(i).decides(), "soft");
    }
  }
}
