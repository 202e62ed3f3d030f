package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import westtide.song.Cell;
import westtide.song.Form;
import westtide.song.Level;
import westtide.song.Section;
import westtide.song.SectionWord;
import westtide.song.mix.Ramp;

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

  /** Takes a section out; the last one stays. */
  public static Edit remove(int index) {
    return sections(
        "Remove a section",
        list -> {
          if (list.size() > 1) {
            list.remove(index);
          }
        });
  }

  /** Sets the length of a section in bars, held inside 1 to 128. */
  public static Edit resize(int index, int bars) {
    int held = Math.max(1, Math.min(Section.MOST_BARS, bars));
    return section("Make the section " + held + " bars long", index, s -> s.withBars(held))
        .merging("resize " + index);
  }

  /** Moves a section to another place. */
  public static Edit move(int from, int to) {
    return sections("Move a section", list -> list.add(to, list.remove(from)));
  }

  /** Calls a section something else. */
  public static Edit rename(int index, SectionWord word) {
    return section("Call the section " + word, index, s -> s.withWord(word));
  }

  /** Sets the progression of a section. */
  public static Edit progression(int index, String progression) {
    return section(
        "Use the " + progression + " progression", index, s -> s.withProgression(progression));
  }

  /** Fills a part's tank from a bar of a section up to its next cell. */
  public static Edit level(int index, String part, int fromBar, Level level) {
    return section(
        "Set a part to " + level,
        index,
        s -> s.withCells(part, refilled(s.cells(part), fromBar, level)));
  }

  /** Fills every tank of these parts in a section; lifted ones stay lifted. */
  public static Edit fill(int index, List<String> parts) {
    return section("Fill the section", index, section -> filled(section, parts));
  }

  /** Splits a part's cell so that another one begins at a bar. */
  public static Edit split(int index, String part, int bar) {
    return section(
        "Split a part at bar " + (bar + 1), index, s -> s.withCells(part, split(s, part, bar)));
  }

  /** Lets a part play one thing through a whole section again. */
  public static Edit join(int index, String part) {
    return section("Join a part's cells", index, s -> s.withCells(part, List.of(s.cell(part, 0))));
  }

  /** Sets which of its patterns a part plays from a bar of a section up to its next cell. */
  public static Edit variant(int index, String part, int fromBar, String variant) {
    return section(
        "Play " + variant,
        index,
        s ->
            s.withCells(
                part,
                s.cells(part).stream()
                    .map(c -> c.fromBar() == fromBar ? new Cell(fromBar, c.level(), variant) : c)
                    .toList()));
  }

  /** Puts another form in its place. */
  public static Edit replace(String name, Form form) {
    return Edit.of(name, song -> song.withForm(form));
  }

  /** Lets level or low pass of a part move over a section; an empty list keeps them still. */
  public static Edit ramps(int index, String part, List<Ramp> ramps) {
    return section("Move " + part + " over a section", index, s -> s.withRamps(part, ramps));
  }

  private static Section filled(Section section, List<String> parts) {
    Section out = section;
    for (String part : parts) {
      out = out.withCells(part, section.cells(part).stream().map(FormEdits::full).toList());
    }
    return out;
  }

  private static Cell full(Cell cell) {
    return cell.level() == Level.LIFTED ? cell : cell.withLevel(Level.FULL);
  }

  private static List<Cell> refilled(List<Cell> cells, int fromBar, Level level) {
    return cells.stream().map(c -> c.fromBar() == fromBar ? c.withLevel(level) : c).toList();
  }

  private static List<Cell> split(Section section, String part, int bar) {
    List<Cell> cells = new ArrayList<>(section.cells(part));
    boolean taken = cells.stream().anyMatch(cell -> cell.fromBar() == bar);
    if (!taken && bar < section.bars()) {
      Cell over = section.cell(part, bar);
      cells.add(new Cell(bar, over.level(), over.variant()));
    }
    return cells;
  }

  private static Edit section(String name, int index, UnaryOperator<Section> change) {
    return sections(name, list -> list.set(index, change.apply(list.get(index))));
  }

  private static Edit sections(String name, java.util.function.Consumer<List<Section>> change) {
    return Edit.of(
        name,
        song -> {
          List<Section> list = new ArrayList<>(song.form().sections());
          change.accept(list);
          return song.withForm(new Form(list));
        });
  }
}
