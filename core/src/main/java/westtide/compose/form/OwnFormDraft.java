package westtide.compose.form;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.OwnForm;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.style.Style;

/**
 * A form of one's own laid out over a song: the first line does what the first line did, the second
 * what the second did; parts it knows nothing of do what the style plans.
 *
 * @param own the form
 * @param style the song's style
 * @param song the song
 */
public record OwnFormDraft(OwnForm own, Style style, Song song) {
  /** The form laid out over the song. */
  public Form form() {
    Map<PartId, PartId> models = models();
    FormDraft draft = FormDraft.in(style, song);
    List<Section> out = new ArrayList<>();
    for (Section section : own.form().sections()) {
      FormLine.Item item =
          new FormLine.Item(
              section.word(), section.name(), section.length(), List.of(), FormLine.Repeat.NONE);
      Section laid = draft.form(List.of(item)).sections().get(0).withId(SectionId.NEW);
      out.add(arranged(laid, section, models));
    }
    return new Form(out);
  }

  private Section arranged(Section laid, Section model, Map<PartId, PartId> models) {
    Section out = laid;
    for (Part part : song.parts()) {
      Optional<PartId> like = Optional.ofNullable(models.get(part.id()));
      if (like.isPresent()) {
        List<Cell> cells =
            model.cells(like.get()).stream().map(cell -> playing(part, cell)).toList();
        out = out.withCells(part.id(), cells);
        out = out.withCurves(part.id(), model.curves().getOrDefault(like.get(), List.of()));
      }
    }
    return out.withMarks(
        model.marks().stream().filter(mark -> mark.transition().parts().isEmpty()).toList());
  }

  private static Cell playing(Part part, Cell cell) {
    return part.find(cell.pattern()).isPresent() ? cell : cell.withPattern("");
  }

  /** For each part of a song the part of the same role and place here. */
  private Map<PartId, PartId> models() {
    Map<Role, List<PartId>> byRole = new HashMap<>();
    own.roles().forEach((id, role) -> byRole.computeIfAbsent(role, r -> new ArrayList<>()).add(id));
    Map<Role, Integer> seen = new HashMap<>();
    Map<PartId, PartId> out = new HashMap<>();
    for (Part part : song.parts()) {
      int place = seen.merge(part.role(), 1, Integer::sum) - 1;
      List<PartId> there = byRole.getOrDefault(part.role(), List.of());
      if (place < there.size()) {
        out.put(part.id(), there.get(place));
      }
    }
    return out;
  }
}
