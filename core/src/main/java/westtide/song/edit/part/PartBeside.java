package westtide.song.edit.part;

import java.util.ArrayList;
import java.util.List;
import westtide.song.HintSound;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;

/**
 * Adds a part that plays wherever another plays one of its patterns, bar for bar.
 *
 * @param model the part it stands beside
 * @param pattern the pattern of that part
 */
public record PartBeside(Part model, String pattern) {
  /** Adds the part behind the last of its job. */
  public Edit add(Part added) {
    return Edit.of(
        "Add " + added.name() + " beside " + model.name(),
        song -> {
          Song there = PartEdits.add(added, song.form().id(0)).apply(song);
          return there.withForm(there.form().each(section -> cells(section, added)));
        });
  }

  private Section cells(Section section, Part added) {
    List<Cell> out = new ArrayList<>();
    for (CellSpan span : section.spans(model.id())) {
      boolean plays =
          span.cell().level() != Level.OUT
              && model.pattern(span.cell().pattern()).name().equals(pattern);
      Cell quiet = new Cell(span.fromBar(), Level.OUT, "");
      out.add(plays ? HintSound.led(quiet, span.cell().level(), added.role()) : quiet);
    }
    return section.withCells(added.id(), out);
  }
}
