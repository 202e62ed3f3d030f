package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import westtide.song.Cell;
import westtide.song.Form;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.Section;
import westtide.song.SectionWord;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
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
    return sectionOf(
        part,
        name -> "Set " + name + " to " + level,
        id,
        s -> s.withCells(part, refilled(s.cells(part), fromBar, level)));
  }

  /** Fills every tank of these parts in a section; lifted ones stay lifted. */
  public static Edit fill(SectionId id, List<PartId> parts) {
    return section("Fill the section", id, section -> filled(section, parts));
  }

  /** Splits a part's cell so that another one begins at a bar. */
  public static Edit split(SectionId id, PartId part, int bar) {
    return sectionOf(
        part,
        name -> "Split " + name + " at bar " + (bar + 1),
        id,
        s -> s.withCells(part, split(s, part, bar)));
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
    return sectionOf(
        part,
        name -> "Set the pattern of " + name + " to " + pattern,
        id,
        s ->
            s.withCells(
                part,
                s.cells(part).stream()
                    .map(c -> c.fromBar() == fromBar ? c.withPattern(pattern) : c)
                    .toList()));
  }

  /** Puts another form in its place. */
  public static Edit replace(String name, Form form) {
    return Edit.of(name, song -> song.withForm(form));
  }

  /** Lets level or low pass of a part move over a section; an empty list keeps them still. */
  public static Edit ramps(SectionId id, PartId part, List<Ramp> ramps) {
    return sectionOf(
        part, name -> "Move " + name + " over a section", id, s -> s.withRamps(part, ramps));
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

  private static List<Cell> refilled(List<Cell> cells, int fromBar, Level level) {
    return cells.stream().map(c -> c.fromBar() == fromBar ? c.withLevel(level) : c).toList();
  }

  private static List<Cell> split(Section section, PartId part, int bar) {
    List<Cell> cells = new ArrayList<>(section.cells(part));
    boolean taken = cells.stream().anyMatch(cell -> cell.fromBar() == bar);
    if (!taken && bar < section.bars()) {
      Cell over = section.cell(part, bar);
      cells.add(over.withFromBar(bar));
    }
    return cells;
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
