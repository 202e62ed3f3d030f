package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import westtide.desktop.open.Selection;
import westtide.desktop.room.Desk;
import westtide.song.Cell;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.FormEdits;
import westtide.song.edit.PartEdits;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/** What the sheet of tanks does with the song: levels, patterns, parts and what is selected. */
final class TankActions implements TankSheet.Actions {

  /** The edits of one tank. */
  private interface Poured {
    List<Edit> of(SectionId section, PartId part, TankMark tank);
  }

  private final Desk desk;
  private final Runnable chosen;

  /** Actions on the open song; {@code chosen} is told when other tanks are chosen. */
  TankActions(Desk desk, Runnable chosen) {
    this.desk = desk;
    this.chosen = chosen;
  }

  @Override
  public void fill(List<TankMark> tanks, Level level) {
    each(
        "Set " + tanks.size() + " tanks to " + level,
        tanks,
        (id, part, tank) -> List.of(FormEdits.level(id, part, tank.fromBar(), level)));
  }

  @Override
  public void pour(Cell like, List<TankMark> tanks) {
    each("Paste level and pattern", tanks, (id, part, tank) -> poured(like, id, part, tank));
  }

  /** A pattern the part does not have is left as it is. */
  private List<Edit> poured(Cell like, SectionId id, PartId part, TankMark tank) {
    List<Edit> out = new ArrayList<>();
    out.add(FormEdits.level(id, part, tank.fromBar(), like.level()));
    boolean has = desk.open().song().part(part).flatMap(p -> p.find(like.pattern())).isPresent();
    if (has) {
      out.add(FormEdits.pattern(id, part, tank.fromBar(), like.pattern()));
    }
    return out;
  }

  private void each(String name, List<TankMark> tanks, Poured poured) {
    Song song = desk.open().song();
    List<Edit> edits = new ArrayList<>();
    for (TankMark tank : tanks) {
      SectionId id = song.form().id(tank.section());
      edits.addAll(poured.of(id, song.parts().get(tank.row()).id(), tank));
    }
    desk.apply(edits.size() == 1 ? edits.get(0) : Edit.together(name, edits));
  }

  @Override
  public void select(int section, Part part) {
    Selection now = desk.open().selection();
    SectionId id = desk.open().song().form().id(section);
    Selection there = now.section().equals(id) ? now : now.withSection(desk.open().song(), id);
    desk.open().select(there.withPart(part));
  }

  @Override
  public void rename(Part part, String name) {
    desk.apply(new PartEdits(part.id()).rename(name));
  }

  @Override
  public void reorder(Part part, int to) {
    desk.apply(new PartEdits(part.id()).move(to));
  }

  @Override
  public void chosen(int section, PartId part, int fromBar) {
    chosen.run();
  }
}
