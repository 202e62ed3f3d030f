package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Section;
import westtide.song.id.SectionId;

/** What a section of another length did to the changes inside it, in a sentence. */
final class MovedChanges {
  private MovedChanges() {}

  /** The sentence; empty where nothing moved. */
  static Optional<String> told(Section before, Song song, SectionId id) {
    Optional<Section> found = song.form().find(id);
    if (found.isEmpty() || found.get().bars() == before.bars()) {
      return Optional.empty();
    }
    Section after = found.get();
    List<String> out = new ArrayList<>();
    for (Part part : song.parts()) {
      List<Cell> was = before.cells(part.id());
      List<Cell> is = after.cells(part.id());
      for (Cell cell : was) {
        if (before.ending(cell.fromBar()) && !is.contains(cell)) {
          is.stream()
              .filter(
                  now ->
                      now.same(cell.withFromBar(now.fromBar())) && now.fromBar() != cell.fromBar())
              .findFirst()
              .ifPresent(
                  now ->
                      out.add(
                          part.name()
                              + " from bar "
                              + (cell.fromBar() + 1)
                              + " to "
                              + (now.fromBar() + 1)));
        }
      }
      if (is.size() < was.size()) {
        out.add(part.name() + ": what begins behind bar " + after.bars() + " waits");
      }
    }
    return out.isEmpty()
        ? Optional.empty()
        : Optional.of("Moved with the end: " + String.join(", ", out) + ".");
  }
}
