package westtide.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import westtide.song.Part;
import westtide.song.id.PartId;

/**
 * Who can be given the strip of a part: another part, all of its kind, or all.
 *
 * @param name what they are called together
 * @param parts who they are
 */
record Receivers(String name, List<PartId> parts) {
  /** Those a part of a song can give its strip to, single parts first. */
  static List<Receivers> of(List<Part> song, Part giver) {
    List<Part> others = song.stream().filter(part -> !part.id().equals(giver.id())).toList();
    List<Part> alike = others.stream().filter(part -> part.role() == giver.role()).toList();
    List<Receivers> out = new ArrayList<>();
    others.forEach(part -> out.add(together(part.name(), List.of(part))));
    if (alike.size() > 1 && alike.size() < others.size()) {
      out.add(together("all " + alike.size() + " other parts of its kind", alike));
    }
    if (others.size() > 1) {
      out.add(together("all " + others.size() + " other parts", others));
    }
    return out;
  }

  private static Receivers together(String name, List<Part> parts) {
    return new Receivers(name, parts.stream().map(Part::id).toList());
  }
}
