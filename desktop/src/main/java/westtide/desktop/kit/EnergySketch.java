package westtide.desktop.kit;

import java.util.ArrayList;
import java.util.List;
import westtide.desktop.kit.sheet.Axis;

/** A song as water: its sections to scale, each as high as its energy. */
public final class EnergySketch extends Drawing {
  /**
   * A section.
   *
   * @param bars how long it is
   * @param energy its mean energy, 0 to 100
   */
  public record Stretch(int bars, int energy) {}

  private List<Stretch> sections = List.of();

  /** An empty one, until it is told what to show. */
  public EnergySketch() {
    super("Energy by section", false);
    setMouseTransparent(true);
  }

  /** Shows the sections of a song in order. */
  public void show(List<Stretch> song) {
    sections = List.copyOf(song);
    redraw();
  }

  @Override
  protected void draw() {
    double foot = getHeight() - 2;
    line(1, foot, getWidth() - 1, foot, "sketch-line");
    int bars = sections.stream().mapToInt(Stretch::bars).sum();
    if (bars == 0) {
      return;
    }
    Axis x = new Axis(0, bars, 1, getWidth() - 1);
    Axis y = new Axis(0, 100, foot, 2);
    List<Double> outline = new ArrayList<>(List.of(x.at(0), foot));
    int bar = 0;
    for (Stretch section : sections) {
      outline.addAll(List.of(x.at(bar), y.at(section.energy())));
      bar += section.bars();
      outline.addAll(List.of(x.at(bar), y.at(section.energy())));
    }
    outline.addAll(List.of(x.at(bars), foot));
    polygon(outline.stream().mapToDouble(Double::doubleValue).toArray(), "sketch-water");
  }
}
