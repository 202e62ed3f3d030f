package westtide.compose.form;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;

/** What differs between two forms of one song, in words. */
public final class FormChanges {
  private FormChanges() {}

  /** The differences a person would look for: sections, lengths, who plays where. */
  public static List<String> between(Song song, Form now, Form then) {
    List<String> out = new ArrayList<>();
    if (now.bars() != then.bars()) {
      out.add(then.bars() + " bars for " + now.bars());
    }
    Set<String> labels = new LinkedHashSet<>();
    for (int i = 0; i < then.sections().size(); i++) {
      labels.add(then.label(i));
    }
    for (int i = 0; i < now.sections().size(); i++) {
      if (!labels.contains(now.label(i))) {
        out.add(now.label(i) + " goes");
      }
    }
    for (int i = 0; i < then.sections().size(); i++) {
      Optional<Section> before = now.labelled(then.label(i));
      if (before.isEmpty()) {
        out.add(then.label(i) + " is new");
      } else {
        differences(song, then.label(i), before.get(), then.sections().get(i), out);
      }
    }
    return out;
  }

  private static void differences(
      Song song, String label, Section before, Section after, List<String> out) {
    if (before.bars() != after.bars()) {
      out.add(label + " " + after.bars() + " bars for " + before.bars());
    }
    List<String> parts = new ArrayList<>();
    for (Part part : song.parts()) {
      Level was = highest(before, part.id());
      Level is = highest(after, part.id());
      if (was != is) {
        parts.add(part.name() + " " + is + " for " + was);
      } else if (!before.same(after, part.id())) {
        parts.add(part.name() + " otherwise");
      }
    }
    if (!parts.isEmpty()) {
      out.add(label + ": " + String.join(", ", parts));
    }
    if (!before.marks().equals(after.marks())) {
      out.add(label + " is entered otherwise");
    }
  }

  /** How full a part gets in a section at most. */
  public static Level highest(Section section, PartId part) {
    return section.cells(part).stream()
        .map(cell -> cell.level())
        .max(Level::compareTo)
        .orElse(Level.OUT);
  }
}
