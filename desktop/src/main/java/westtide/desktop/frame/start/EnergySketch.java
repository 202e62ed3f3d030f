package westtide.desktop.frame.start;

import java.util.ArrayList;
import java.util.List;
import westtide.desktop.files.SongOutline;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.sheet.Axis;

/** A song as water: its sections to scale, each as high as its energy. */
final class EnergySketch extends Drawing {
  private List<SongOutline.Water> sections = List.of();

  /** An empty one, until it is told what to show. */
  EnergySketch() {
    super("Energy by section", false);
    setMouseTransparent(true);
  }

  void show(SongOutline song) {
    sections = song.sections();
    redraw();
  }

  @Override
  protected void draw() {
    double foot = getHeight() - 2;
    line(1, foot, getWidth() - 1, foot, "sketch-line");
    int bars = sections.stream().mapToInt(SongOutline.Water::bars).sum();
    if (bars == 0) {
      return;
    }
    Axis x = new Axis(0, bars, 1, getWidth() - 1);
    Axis y = new Axis(0, 100, foot, 2);
    List<Double> outline = new ArrayList<>(List.of(x.at(0), foot));
    int bar = 0;
    for (SongOutline.Water section : sections) {
      outline.addAll(List.of(x.at(bar), y.at(section.energy())));
      bar += section.bars();
      outline.addAll(List.of(x.at(bar), y.at(section.energy())));
    }
    outline.addAll(List.of(x.at(bars), foot));
    polygon(outline.stream().mapToDouble(Double::doubleValue).toArray(), "sketch-water");
  }
}
