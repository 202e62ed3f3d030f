package westtide.desktop.found;

import java.util.Optional;
import westtide.desktop.kit.Drawing;
import westtide.song.found.PieceLine;
import westtide.song.found.Take;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/** The pieces a pattern plays, one beside the other in time: strong where they begin, then less. */
final class PieceShapes extends Drawing {
  private static final double LEAST = 12;

  private Optional<FoundScene> scene = Optional.empty();

  PieceShapes() {
    super("The pieces as they are played", false);
    setId("piece-shapes");
    keepHeight(84);
  }

  void show(FoundScene shown) {
    scene = Optional.of(shown);
    redraw();
  }

  @Override
  protected void draw() {
    scene.ifPresent(shown -> shown.line().ifPresent(line -> draw(shown, line)));
  }

  private void draw(FoundScene shown, Pattern.Written line) {
    double ticks = line.ticks(shown.view().song().brief().meter());
    double wide = getWidth() - 4;
    double top = scaled(20);
    double foot = getHeight() - 4;
    for (Note note : line.notes()) {
      Optional<Take> take = shown.sound().take(note.key());
      if (take.isEmpty()) {
        continue;
      }
      double from = 2 + wide * note.start() / ticks;
      double to = 2 + wide * Math.min(ticks, note.end()) / ticks - 1.5;
      shape(from, Math.max(from + 1, to), top, foot, take.get().reversed());
      if (to - from >= LEAST) {
        textCentred((from + to) / 2, scaled(14), 60, PieceLine.word(take.get()), "section");
      }
    }
  }

  private void shape(double from, double to, double top, double foot, boolean reversed) {
    double middle = (top + foot) / 2;
    double tall = (foot - top) / 2;
    double begins = reversed ? tall * 0.2 : tall;
    double ends = reversed ? tall : tall * 0.2;
    polygon(
        new double[] {
          from, middle - begins, to, middle - ends, to, middle + ends, from, middle + begins
        },
        "loop-piece",
        reversed ? "backwards" : "forwards");
  }
}
