package westtide.desktop.levels;

import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Cursor;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Reordering;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.Part;
import westtide.song.mix.Mix;

/** Mouse and keys on the plumb lines: choosing, setting level and side, renaming and reordering. */
final class MixHandles implements SheetGestures.Sheet<BobMark> {
  private final MixSheet sheet;
  private final MixSheet.Actions actions;
  private final KeyTable keys;

  MixHandles(MixSheet sheet, MixSheet.Actions actions) {
    this.sheet = sheet;
    this.actions = actions;
    this.keys =
        new KeyTable("Levels")
            .key("part before", () -> walk(-1), "LEFT")
            .key("next part", () -> walk(1), "RIGHT")
            .key("louder by 0.5 dB", () -> nudge(MixSheet.LEVEL_STEP, 0), "UP")
            .key("softer by 0.5 dB", () -> nudge(-MixSheet.LEVEL_STEP, 0), "DOWN")
            .key("pan to the left", () -> nudge(0, -MixSheet.PAN_STEP), "Shift+LEFT")
            .key("pan to the right", () -> nudge(0, MixSheet.PAN_STEP), "Shift+RIGHT")
            .menu("mute, or heard again", this::there, () -> actions.mute(part()), "M")
            .menu("solo, or with the others", this::there, () -> actions.alone(part()), "A")
            .menu("level to 0 dB", this::there, () -> set(0), "0")
            .menu("silent", this::there, () -> set(Mix.SILENT), "DELETE", "BACK_SPACE")
            .menu("pan to the middle", this::there, this::middle, "C")
            .menu("choose all parts", this::there, this::chooseAll, "Shortcut+A")
            .menu("rename the part", this::there, () -> sheet.rename(sheet.chosen()), "F2");
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  private boolean there() {
    return !sheet.parts().isEmpty();
  }

  private Part part() {
    return sheet.parts().get(sheet.chosen());
  }

  @Override
  public Optional<BobMark> at(double x, double y) {
    if (!there()) {
      return Optional.empty();
    }
    int index = sheet.indexAt(x);
    if (sheet.onNames(y)) {
      return Optional.of(new BobMark(index, true));
    }
    return sheet.onBob(index, x, y) ? Optional.of(new BobMark(index, false)) : Optional.empty();
  }

  @Override
  public Set<BobMark> chosen() {
    return sheet.marks();
  }

  @Override
  public void choose(Set<BobMark> marks) {
    Set<BobMark> bobs = new HashSet<>(marks);
    if (marks.size() > 1) {
      bobs.removeIf(BobMark::name);
    }
    if (!bobs.isEmpty()) {
      sheet.choose(bobs);
    }
  }

  @Override
  public void cursor(double x, double y) {
    if (there()) {
      sheet.choose(Set.of(new BobMark(sheet.indexAt(x), false)));
    }
  }

  @Override
  public Set<BobMark> within(Bounds frame) {
    Set<BobMark> out = new HashSet<>();
    for (int i = 0; i < sheet.parts().size(); i++) {
      if (frame.contains(sheet.bobX(i), sheet.bobY(i))) {
        out.add(new BobMark(i, false));
      }
    }
    return out;
  }

  @Override
  public Cursor hover(double x, double y) {
    return at(x, y).map(mark -> mark.name() ? Cursor.HAND : Cursor.MOVE).orElse(Cursor.DEFAULT);
  }

  @Override
  public void open(BobMark mark) {
    if (mark.name()) {
      sheet.rename(mark.index());
    }
  }

  @Override
  public Optional<Pull> grab(BobMark mark, double x, double y, boolean alt) {
    return Optional.of(
        mark.name()
            ? new Reordering(
                mark.index(),
                (px, py) -> sheet.indexAt(px),
                (from, to) -> actions.reorder(sheet.parts().get(from), to))
            : new Hanging(mark.index()));
  }

  /** The chosen bobs follow the pointer: the one that was grabbed goes there, the others as far. */
  private final class Hanging implements Pull {
    private final int grabbed;
    private final Map<Part, Mix> before = sheet.mixes();
    private final Mix from;

    Hanging(int grabbed) {
      this.grabbed = grabbed;
      this.from = sheet.parts().get(grabbed).mix();
    }

    @Override
    public String to(double x, double y) {
      int louder = sheet.levelAt(y) - Math.max(MixSheet.DEEPEST, from.level());
      int right = sheet.panAt(grabbed, x) - from.pan();
      sheet.move(before, place -> new MixSheet.Place(place.level() + louder, place.pan() + right));
      return MixSheet.description(sheet.parts().get(grabbed).mix());
    }
  }

  private void walk(int by) {
    if (there()) {
      int to = Math.max(0, Math.min(sheet.parts().size() - 1, sheet.chosen() + by));
      sheet.choose(Set.of(new BobMark(to, false)));
    }
  }

  private void nudge(int level, int pan) {
    sheet.move(
        sheet.mixes(), place -> new MixSheet.Place(place.level() + level, place.pan() + pan));
  }

  private void set(int level) {
    sheet.move(sheet.mixes(), place -> new MixSheet.Place(level, place.pan()));
  }

  private void middle() {
    sheet.move(sheet.mixes(), place -> new MixSheet.Place(place.level(), 0));
  }

  private void chooseAll() {
    Set<BobMark> all = new HashSet<>();
    for (int i = 0; i < sheet.parts().size(); i++) {
      all.add(new BobMark(i, false));
    }
    sheet.choose(all);
  }
}
