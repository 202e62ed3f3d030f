package westtide.compose.form;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import westtide.song.HintSound;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/**
 * A line that peaks late, planted early: as a hint in the first section and in verses, half open
 * before the peak, in full where it peaks (common practice).
 *
 * @param song the song
 * @param part the line
 * @param chosen levels of stages a person chose otherwise, by section; out leaves a stage away
 */
public record TeasePlan(Song song, PartId part, Map<SectionId, Level> chosen) {
  /** The path as it usually is. */
  public TeasePlan(Song song, PartId part) {
    this(song, part, Map.of());
  }

  /** Copies the levels. */
  public TeasePlan {
    chosen = Map.copyOf(chosen);
  }

  /** The pattern that is played as a hint where the line has one. */
  private static final String TEASE = "tease";

  /**
   * One stage of the path.
   *
   * @param section the section
   * @param place its place in the form, from 0
   * @param fromBar the bar of the section the line enters, from 0
   * @param level how full
   * @param pattern what it plays there
   * @param why the reason, a few words
   */
  public record Stage(
      SectionId section, int place, int fromBar, Level level, String pattern, String why) {}

  /** Where the line peaks: the last hook, or the last section in which it plays. */
  public int peak() {
    Form form = song.form();
    return form.last(SectionKind.HOOK).orElse(form.sections().size() - 1);
  }

  /** The path from the first hint to the peak, at least three levels where there is room. */
  public List<Stage> stages() {
    Form form = song.form();
    Part line = song.part(part).orElseThrow();
    String full = main(line);
    String hint = line.find(TEASE).isPresent() ? TEASE : full;
    int peak = peak();
    List<Stage> out = new ArrayList<>();
    for (int i = 0; i <= peak; i++) {
      Section section = form.sections().get(i);
      int half = section.bars() >= 8 ? section.bars() / 2 : 0;
      SectionKind kind = section.word().kind();
      if (i == peak) {
        out.add(stage(form, i, 0, Level.FULL, full, "the peak: all of it"));
      } else if (i == 0) {
        out.add(stage(form, i, half, Level.HINT, hint, "planted before anyone knows it"));
      } else if (kind == SectionKind.VERSE) {
        out.add(stage(form, i, half, Level.HINT, hint, "remembered, quiet and thin"));
      } else if (kind == SectionKind.BRIDGE || kind == SectionKind.PRE_HOOK) {
        out.add(stage(form, i, 0, Level.HALF, full, "half open: the ear completes it"));
      } else if (kind == SectionKind.HOOK) {
        out.add(stage(form, i, half, Level.HALF, full, "half open in the second half"));
      }
    }
    return out;
  }

  private static Stage stage(
      Form form, int place, int bar, Level level, String pattern, String why) {
    return new Stage(form.id(place), place, bar, level, pattern, why);
  }

  /** The stages with the levels that were chosen, those that are out left away. */
  public List<Stage> path() {
    return stages().stream()
        .map(
            stage ->
                new Stage(
                    stage.section(),
                    stage.place(),
                    stage.fromBar(),
                    chosen.getOrDefault(stage.section(), stage.level()),
                    stage.pattern(),
                    stage.why()))
        .filter(stage -> stage.level() != Level.OUT)
        .toList();
  }

  /** The pattern the line plays where it is fullest now. */
  private String main(Part line) {
    return song.form().sections().stream()
        .flatMap(section -> section.cells(part).stream())
        .filter(cell -> cell.level() != Level.OUT)
        .max(Comparator.comparing(Cell::level))
        .map(Cell::pattern)
        .filter(name -> line.find(name).isPresent())
        .orElse(line.usual().name());
  }

  /** Plants the line; in sections without a stage it is out. */
  public Edit edit() {
    return Edit.named(
        before -> "Tease " + before.part(part).map(Part::name).orElse("a line"),
        before -> before.withForm(planted(before.form())));
  }

  private Form planted(Form form) {
    Form out = form;
    for (int i = 0; i <= peak() && i < form.sections().size(); i++) {
      out = out.with(form.id(i), section -> section.withCells(part, List.of(Cell.out())));
    }
    for (Stage stage : path()) {
      List<Cell> cells = new ArrayList<>();
      if (stage.fromBar() > 0) {
        cells.add(Cell.out());
      }
      Cell cell = new Cell(stage.fromBar(), stage.level(), stage.pattern());
      cells.add(HintSound.planned(cell, Role.LINE));
      out = out.with(stage.section(), section -> section.withCells(part, cells));
    }
    return out;
  }
}
