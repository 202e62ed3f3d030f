package westtide.compose.form;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import westtide.compose.chord.ProgressionDraft;
import westtide.compose.groove.GrooveDraft;
import westtide.song.HintSound;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.SectionWord;
import westtide.song.form.Transition;
import westtide.song.id.PartId;
import westtide.style.CoreParts;
import westtide.style.FormHabit;
import westtide.style.LevelPlan;
import westtide.style.Style;

/**
 * Lays out sections by a style's plan of levels: each section ends with the fill where drums play
 * and another section follows, and the lead of the last hook is lifted.
 */
public final class FormDraft {
  private static final int SHORTEST_WITH_FILL = 4;

  private final FormHabit habit;
  private final List<String> progressions;
  private final List<Part> parts;

  private FormDraft(FormHabit habit, List<String> progressions, List<Part> parts) {
    this.habit = habit;
    this.progressions = progressions;
    this.parts = parts;
  }

  /** Drafts in a style for a song with these progressions and parts. */
  public static FormDraft in(Style style, List<Progression> progressions, List<Part> parts) {
    return new FormDraft(
        style.form(), progressions.stream().map(Progression::name).toList(), List.copyOf(parts));
  }

  /** Drafts in a style for a song. */
  public static FormDraft in(Style style, Song song) {
    return in(style, song.progressions(), song.parts());
  }

  /** A form of the given sections. */
  public Form form(List<FormLine.Item> items) {
    List<Section> sections = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      Section section = section(items.get(i));
      sections.add(i + 1 < items.size() ? section : withoutFill(section));
    }
    return withLastHookLifted(new Form(sections));
  }

  /**
   * A form of the given sections in which sections of the old form stay as they were made: each
   * takes the place of the next one with its name, at the new length. Sections the old form lacks
   * come from the style's plan.
   */
  public Form form(List<FormLine.Item> items, Form old) {
    List<Section> left = new ArrayList<>(old.sections());
    List<Section> sections = new ArrayList<>();
    for (FormLine.Item item : items) {
      Optional<Section> kept = left.stream().filter(item::means).findFirst();
      kept.ifPresent(left::remove);
      sections.add(
          kept.map(section -> entered(section.withLength(item.length()), item.entry()))
              .orElseGet(() -> section(item)));
    }
    return new Form(sections);
  }

  /** A transition that is typed as it was keeps the parts it is for. */
  private static Section entered(Section section, List<Transition> typed) {
    List<Transition> left = new ArrayList<>(section.entry());
    List<Transition> entry = new ArrayList<>();
    for (Transition one : typed) {
      Optional<Transition> same =
          left.stream().filter(old -> old.word().equals(one.word())).findFirst();
      same.ifPresent(left::remove);
      entry.add(same.orElse(one));
    }
    return section.withEntry(entry);
  }

  private Section section(FormLine.Item item) {
    return section(item.word(), item.bars())
        .withLength(item.length())
        .withName(item.name())
        .withEntry(item.entry());
  }

  /** One section by the style's plan for its kind. */
  public Section section(SectionWord word, int bars) {
    Map<String, LevelPlan> plan = habit.levels().getOrDefault(word.kind(), Map.of());
    Map<PartId, List<Cell>> cells = new LinkedHashMap<>();
    for (Part part : parts) {
      LevelPlan levels = plan.getOrDefault(part.id().value(), plan.get(usual(part.role())));
      if (levels != null) {
        cells.put(part.id(), fitting(part, withFill(part, levels.cells(bars, part.role()), bars)));
      }
    }
    return Section.of(word, bars, progression(word.kind()), cells);
  }

  /** The part of a draft whose plan parts added later take. */
  private static String usual(Role role) {
    return switch (role) {
      case CHORDS -> CoreParts.KEYS.value();
      case LINE -> CoreParts.LEAD.value();
      case DRUMS -> CoreParts.DRUMS.value();
      case SUB -> CoreParts.SUB.value();
      case BASS -> CoreParts.BASS.value();
      case MARKS -> "marks";
      case FOUND -> CoreParts.KEYS.value();
    };
  }

  /** Cells that ask for patterns the part has; where it lacks one it plays its first. */
  public static List<Cell> fitting(Part part, List<Cell> cells) {
    return cells.stream()
        .map(cell -> part.find(cell.pattern()).isPresent() ? cell : cell.withPattern(""))
        .toList();
  }

  private String progression(SectionKind kind) {
    boolean own = kind == SectionKind.VERSE && progressions.contains(ProgressionDraft.VERSE);
    return own ? ProgressionDraft.VERSE : progressions.get(0);
  }

  private static List<Cell> withFill(Part part, List<Cell> cells, int bars) {
    Cell last = cells.get(cells.size() - 1);
    if (part.find(GrooveDraft.FILL).isEmpty()
        || part.role() != Role.DRUMS
        || last.level() == Level.OUT
        || bars < SHORTEST_WITH_FILL
        || last.fromBar() == bars - 1) {
      return cells;
    }
    List<Cell> out = new ArrayList<>(cells);
    out.add(last.at(bars - 1, 0).withPattern(GrooveDraft.FILL));
    return out;
  }

  private Section withoutFill(Section section) {
    Section out = section;
    for (Part part : parts) {
      if (part.role() == Role.DRUMS) {
        out =
            out.withCells(
                part.id(),
                section.cells(part.id()).stream()
                    .filter(cell -> !cell.pattern().equals(GrooveDraft.FILL))
                    .toList());
      }
    }
    return out;
  }

  private Form withLastHookLifted(Form form) {
    OptionalInt last = form.last(SectionKind.HOOK);
    return last.isPresent() ? form.with(form.id(last.getAsInt()), this::lifted) : form;
  }

  /** The section with its first line fuller. */
  private Section lifted(Section section) {
    return parts.stream()
        .filter(part -> part.role() == Role.LINE)
        .findFirst()
        .map(
            line ->
                section.withEachCell(
                    line.id(),
                    c ->
                        c.level() == Level.OUT
                            ? c
                            : HintSound.led(c, c.level().fuller(), line.role())))
        .orElse(section);
  }
}
