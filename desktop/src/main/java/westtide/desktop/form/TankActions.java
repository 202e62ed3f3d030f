package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.desktop.open.Selection;
import westtide.desktop.room.RoomContext;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.Transition;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/** What the sheet of tanks does with the song: levels, patterns, parts and what is selected. */
final class TankActions {

  /** The edits of one tank. */
  private interface Poured {
    List<Edit> of(SectionId section, PartId part, TankMark tank);
  }

  private final RoomContext context;
  private final Runnable chosen;

  /** Actions on the open song; {@code chosen} is told when other tanks are chosen. */
  TankActions(RoomContext context, Runnable chosen) {
    this.context = context;
    this.chosen = chosen;
  }

  /** Sets the level of tanks. */
  void fill(List<TankMark> tanks, Level level) {
    each(
        "Set " + tanks.size() + " tanks to " + level,
        tanks,
        (id, part, tank) -> List.of(FormEdits.level(id, part, tank.fromBar(), tank.beat(), level)));
  }

  /** Lets tanks play as another does: its level, its sound and its pattern. */
  void pour(Cell like, List<TankMark> tanks) {
    each("Paste level and pattern", tanks, (id, part, tank) -> poured(like, id, part, tank));
  }

  /** A pattern the part does not have is left as it is. */
  private List<Edit> poured(Cell like, SectionId id, PartId part, TankMark tank) {
    List<Edit> out = new ArrayList<>();
    int bar = tank.fromBar();
    int beat = tank.beat();
    out.add(FormEdits.level(id, part, bar, beat, like.level()));
    out.add(FormEdits.sound(id, part, bar, beat, "sound as copied", sound -> like.sound()));
    boolean has = context.open().song().part(part).flatMap(p -> p.find(like.pattern())).isPresent();
    if (has) {
      out.add(FormEdits.pattern(id, part, bar, beat, like.pattern()));
    }
    return out;
  }

  private SectionId section(TankMark tank) {
    return context.open().song().form().id(tank.section());
  }

  private PartId part(TankMark tank) {
    return context.open().song().parts().get(tank.row()).id();
  }

  /** Lets the part of a tank do this over its section. */
  void arrange(TankMark tank, List<Cell> cells) {
    context.apply(FormEdits.arrange(section(tank), part(tank), now -> cells));
  }

  /** Lets a part do something else from a beat of a section on. */
  void split(TankMark tank, int bar, int beat) {
    if (bar == 0 && beat == 0) {
      context.messages().done("A change begins behind the first beat of a section.");
      return;
    }
    context.apply(FormEdits.split(section(tank), part(tank), bar, beat));
  }

  /** Takes away where a part changes. */
  void join(TankMark tank) {
    context.apply(FormEdits.removeChange(section(tank), part(tank), tank.fromBar(), tank.beat()));
  }

  /** Gives a section another length, in bars. */
  void resize(int section, int bars) {
    context.apply(FormEdits.resize(context.open().song().form().id(section), bars));
  }

  /** Tells what a section of another length did to the changes inside it. */
  void resized(Section was) {
    MovedChanges.told(was, context.open().song(), was.id()).ifPresent(context.messages()::done);
  }

  /** Moves a section to another place. */
  void move(int section, int to) {
    context.apply(FormEdits.move(context.open().song().form().id(section), to));
    context.open().select(to);
  }

  /** Changes a transition at a bar of a section; an empty one takes it away. */
  void transition(TankMark sign, Optional<Transition> changed) {
    List<Transition> next = new ArrayList<>();
    Song song = context.open().song();
    for (Transition one : song.form().sections().get(sign.section()).at(sign.fromBar())) {
      boolean same = one.kind() == sign.sign().orElseThrow();
      if (same) {
        changed.ifPresent(next::add);
      } else {
        next.add(one);
      }
    }
    context.apply(FormEdits.transitions(section(sign), sign.fromBar(), next));
  }

  private void each(String name, List<TankMark> tanks, Poured poured) {
    Song song = context.open().song();
    List<Edit> edits = new ArrayList<>();
    for (TankMark tank : tanks) {
      SectionId id = song.form().id(tank.section());
      edits.addAll(poured.of(id, song.parts().get(tank.row()).id(), tank));
    }
    context.apply(edits.size() == 1 ? edits.get(0) : Edit.together(name, edits));
  }

  /** Selects a section and a part, in every room. */
  void select(int section, Part part) {
    Selection now = context.open().selection();
    SectionId id = context.open().song().form().id(section);
    Selection there = now.section().equals(id) ? now : now.withSection(context.open().song(), id);
    context.open().select(there.withPart(part));
  }

  /** Calls a part something else. */
  void rename(Part part, String name) {
    context.apply(new PartEdits(part.id()).rename(name));
  }

  /** Puts a part in another row, counted from 0. */
  void reorder(Part part, int to) {
    context.apply(new PartEdits(part.id()).move(to));
  }

  /** Tells that other tanks are chosen. */
  void chosen() {
    chosen.run();
  }
}
