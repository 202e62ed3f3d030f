package westtide.song.edit.form;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import westtide.rhythm.BarLines;
import westtide.song.HintSound;
import westtide.song.Part;
import westtide.song.edit.Edit;
import westtide.song.edit.MarksPart;
import westtide.song.form.Cell;
import westtide.song.form.CellSound;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.form.Transition;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;

/** Edits of the form. Sections and bars are counted from 0. */
public final class FormEdits {
  private FormEdits() {}

  /**
   * Puts a section in front of the one that stands at an index; the number of sections adds at the
   * end.
   */
  public static Edit add(int index, Section section) {
    return sections("Add " + section.word(), list -> list.add(index, section));
  }

  /** Deletes a section; the last one stays. */
  public static Edit remove(SectionId id) {
    return sections(
        "Delete a section",
        list -> {
          if (list.size() > 1) {
            list.removeIf(section -> section.id().equals(id));
          }
        });
  }

  /** Sets the length of a section in bars, held inside 1 to 128. */
  public static Edit resize(SectionId id, int bars) {
    int held = Math.max(1, Math.min(Section.MOST_BARS, bars));
    return section("Make the section " + held + " bars long", id, s -> s.withBars(held));
  }

  /** Sets the length of a section, its last bar as short as it says. */
  public static Edit length(SectionId id, BarLines.Stretch length) {
    return Edit.named(
        song -> "Make the section " + length.words(song.brief().meter()) + " long",
        song -> song.withForm(song.form().with(id, s -> s.withLength(length))));
  }

  /** Moves a section to another place, counted from 0. */
  public static Edit move(SectionId id, int to) {
    return Edit.of(
        "Move a section",
        song -> {
          List<Section> list = new ArrayList<>(song.form().sections());
          song.form().place(id).ifPresent(from -> list.add(to, list.remove(from)));
          return song.withForm(new Form(list));
        });
  }

  /** Calls a section something else. */
  public static Edit rename(SectionId id, SectionWord word) {
    return section("Call the section " + word, id, s -> s.withWord(word));
  }

  /** Sets the progression of a section. */
  public static Edit progression(SectionId id, String progression) {
    return section(
        "Use the " + progression + " progression", id, s -> s.withProgression(progression));
  }

  /** Fills a part's tank from a bar of a section up to its next cell. */
  public static Edit level(SectionId id, PartId part, int fromBar, Level level) {
    return level(id, part, fromBar, 0, level);
  }

  /** Fills a part's tank from a beat of a bar, both from 0, up to its next cell. */
  public static Edit level(SectionId id, PartId part, int bar, int beat, Level level) {
    return Edit.named(
        song -> "Set " + song.part(part).map(Part::name).orElse("a part") + " to " + level,
        song ->
            song.part(part)
                .map(one -> song.withForm(song.form().with(id, s -> led(s, one, bar, beat, level))))
                .orElse(song));
  }

  /** Changes how a part sounds from a beat of a bar, both from 0, up to its next cell. */
  public static Edit sound(
      SectionId id, PartId part, int bar, int beat, String what, UnaryOperator<CellSound> change) {
    return cell(id, part, bar, beat, "Let ", " " + what, cell -> cell.withSound(change));
  }

  private static Section led(Section section, Part part, int bar, int beat, Level level) {
    return section.withCells(
        part.id(),
        changed(
            section.cells(part.id()), bar, beat, cell -> HintSound.led(cell, level, part.role())));
  }

  private static Edit cell(
      SectionId id,
      PartId part,
      int bar,
      int beat,
      String before,
      String after,
      UnaryOperator<Cell> change) {
    return sectionOf(
        part,
        name -> before + name + after,
        id,
        s -> s.withCells(part, changed(s.cells(part), bar, beat, change)));
  }

  /** Fills every tank of these parts in a section; lifted ones stay lifted. */
  public static Edit fill(SectionId id, List<PartId> parts) {
    return section("Fill the section", id, section -> filled(section, parts));
  }

  /** Splits a part's cell so that another one begins at a bar. */
  public static Edit split(SectionId id, PartId part, int bar) {
    return split(id, part, bar, 0);
  }

  /** Splits a part's cell so that another one begins on a beat of a bar, both from 0. */
  public static Edit split(SectionId id, PartId part, int bar, int beat) {
    return sectionOf(
        part,
        name -> "Change " + name + " at bar " + (bar + 1) + (beat == 0 ? "" : "." + (beat + 1)),
        id,
        s -> s.withCells(part, split(s, part, bar, beat)));
  }

  /** Moves where a part changes to another beat; what it is moved across is gone. */
  public static Edit moveChange(
      SectionId id, PartId part, int bar, int beat, int toBar, int toBeat) {
    return arrange(id, part, cells -> moved(cells, bar, beat, toBar, toBeat));
  }

  /** Lets a part change elsewhere in a section, as a function of what it does there now. */
  public static Edit arrange(SectionId id, PartId part, UnaryOperator<List<Cell>> change) {
    return sectionOf(
        part,
        name -> "Move where " + name + " changes",
        id,
        s -> s.withCells(part, change.apply(s.cells(part))));
  }

  /**
   * Lets a part enter on a beat of a bar, both from 0, having been out before; or leave there,
   * being out from then on.
   */
  public static Edit cut(SectionId id, PartId part, int bar, int beat, boolean enters) {
    return sectionOf(
        part,
        name -> "Let " + name + (enters ? " enter" : " leave") + " at bar " + (bar + 1),
        id,
        s -> s.withCells(part, cut(s.cells(part), bar, beat, enters)));
  }

  /** Cells of a part with one in which it enters, or after which it is out. */
  public static List<Cell> cut(List<Cell> cells, int bar, int beat, boolean enters) {
    Cell here = Cell.during(cells, bar, beat).orElse(cells.get(0)).at(bar, beat);
    List<Cell> out = new ArrayList<>();
    if (enters) {
      out.add(cells.get(0).withLevel(Level.OUT));
      out.add(here);
    }
    for (Cell cell : cells) {
      int order = Cell.ORDER.compare(cell, here);
      if (enters ? order > 0 : order < 0) {
        out.add(cell);
      }
    }
    if (!enters) {
      out.add(here.withLevel(Level.OUT));
    }
    return out;
  }

  /** Takes away where a part changes: what it did before goes on. */
  public static Edit removeChange(SectionId id, PartId part, int bar, int beat) {
    return sectionOf(
        part,
        name -> "Let " + name + " go on",
        id,
        s ->
            s.withCells(
                part,
                s.cells(part).stream()
                    .filter(cell -> cell.opens() || !cell.isAt(bar, beat))
                    .toList()));
  }

  /** Lets a part play one thing through a whole section again. */
  public static Edit join(SectionId id, PartId part) {
    return sectionOf(
        part,
        name -> "Join the cells of " + name,
        id,
        s -> s.withCells(part, List.of(s.cell(part, 0))));
  }

  /** Sets which of its patterns a part plays from a bar of a section up to its next cell. */
  public static Edit pattern(SectionId id, PartId part, int fromBar, String pattern) {
    return pattern(id, part, fromBar, 0, pattern);
  }

  /** Sets which of its patterns a part plays from a beat of a bar up to its next cell. */
  public static Edit pattern(SectionId id, PartId part, int bar, int beat, String pattern) {
    return cell(
        id, part, bar, beat, "Set the pattern of ", " to " + pattern, c -> c.withPattern(pattern));
  }

  /** Lets a part play one pattern all through a section, fully where it was out. */
  public static Edit play(SectionId id, PartId part, String pattern) {
    return sectionOf(
        part,
        name -> "Let " + name + " play " + pattern + " in a section",
        id,
        section ->
            section.cells(part).stream().allMatch(cell -> cell.level() == Level.OUT)
                ? section.withCells(part, List.of(new Cell(0, Level.FULL, pattern)))
                : section.withEachCell(
                    part, c -> c.level() == Level.OUT ? c : c.withPattern(pattern)));
  }

  /** Puts another form in its place. */
  public static Edit replace(String name, Form form) {
    return Edit.of(name, song -> MarksPart.with(song.withForm(form)));
  }

  /** Lets a part move from a section on as these curves say; an empty list keeps it still. */
  public static Edit curves(SectionId id, PartId part, List<Curve> curves) {
    return sectionOf(
        part,
        name -> curves.isEmpty() ? "Keep " + name + " still" : "Draw a curve for " + name,
        id,
        s -> s.withCurves(part, curves));
  }

  /** Announces and lands a bar of a section, from 0, like that. */
  public static Edit transitions(SectionId id, int bar, List<Transition> transitions) {
    String what =
        transitions.isEmpty()
            ? "Leave a bar without transitions"
            : "Set "
                + transitions.stream().map(Transition::toString).collect(Collectors.joining(", "));
    return Edit.of(
        what,
        song ->
            MarksPart.with(
                song.withForm(song.form().with(id, s -> s.withTransitions(bar, transitions)))));
  }

  private static Section filled(Section section, List<PartId> parts) {
    Section out = section;
    for (PartId part : parts) {
      out = out.withCells(part, section.cells(part).stream().map(FormEdits::full).toList());
    }
    return out;
  }

  private static Cell full(Cell cell) {
    return cell.level() == Level.LIFTED ? cell : cell.withLevel(Level.FULL);
  }

  private static List<Cell> changed(
      List<Cell> cells, int bar, int beat, UnaryOperator<Cell> change) {
    return cells.stream().map(c -> c.isAt(bar, beat) ? change.apply(c) : c).toList();
  }

  private static List<Cell> split(Section section, PartId part, int bar, int beat) {
    List<Cell> cells = new ArrayList<>(section.cells(part));
    boolean taken = cells.stream().anyMatch(cell -> cell.isAt(bar, beat));
    if (!taken && bar < section.bars()) {
      cells.add(section.cell(part, bar, beat).at(bar, beat));
    }
    return cells;
  }

  /** Cells of a part with the change at a beat moved to another. */
  public static List<Cell> moved(List<Cell> cells, int bar, int beat, int toBar, int toBeat) {
    Cell from = Cell.out().at(bar, beat);
    Cell to = Cell.out().at(toBar, toBeat);
    boolean later = Cell.ORDER.compare(to, from) > 0;
    List<Cell> out = new ArrayList<>();
    for (Cell cell : cells) {
      boolean across =
          Cell.ORDER.compare(cell, later ? from : to) >= 0
              && Cell.ORDER.compare(cell, later ? to : from) <= 0;
      if (!across || cell.opens() && !to.opens()) {
        out.add(cell);
      } else if (cell.isAt(bar, beat) && !cell.opens()) {
        out.add(cell.at(toBar, toBeat));
      }
    }
    return out;
  }

  private static Edit section(String name, SectionId id, UnaryOperator<Section> change) {
    return Edit.of(name, song -> song.withForm(song.form().with(id, change)));
  }

  private static Edit sectionOf(
      PartId part, UnaryOperator<String> name, SectionId id, UnaryOperator<Section> change) {
    return Edit.named(
        song -> name.apply(song.part(part).map(Part::name).orElse("a part")),
        song -> song.withForm(song.form().with(id, change)));
  }

  private static Edit sections(String name, Consumer<List<Section>> change) {
    return Edit.of(
        name,
        song -> {
          List<Section> list = new ArrayList<>(song.form().sections());
          change.accept(list);
          return song.withForm(new Form(list));
        });
  }
}
