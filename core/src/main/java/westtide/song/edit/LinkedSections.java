package westtide.song.edit;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.BarLines;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Section;
import westtide.song.form.SectionLink;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/**
 * Sections that are kept the same. After every edit what it changed in one section of a group is
 * carried to the others, apart from parts a section has of its own. A section that is being made
 * different keeps its edits, and the parts it edits become its own.
 */
public final class LinkedSections {
  private LinkedSections() {}

  /** The edited song with linked sections changed alike. */
  public static Song kept(Song before, Song after) {
    if (before == after || before.form() == after.form()) {
      return after;
    }
    if (!before.alternatives().sameForm(after.alternatives())) {
      return after;
    }
    boolean linked = after.form().sections().stream().anyMatch(s -> s.link().isPresent());
    return linked ? after.withForm(alone(carried(before.form(), after.form()))) : after;
  }

  private static Form carried(Form before, Form after) {
    List<Section> out = new ArrayList<>(after.sections());
    for (int i = 0; i < out.size(); i++) {
      Section now = out.get(i);
      Optional<Section> old = before.find(now.id());
      if (old.isEmpty() || now.link().isEmpty() || old.get().link().isEmpty()) {
        continue;
      }
      if (!now.link().get().different() && !frame(old.get()).equals(frame(now))) {
        carryFrame(out, i);
      }
      for (PartId part : changed(old.get(), after.sections().get(i))) {
        if (now.link().get().different()) {
          out.set(i, out.get(i).withLink(out.get(i).link().map(link -> link.withOwn(part))));
        } else if (!now.link().get().own().contains(part)) {
          carry(out, i, part);
        }
      }
    }
    return new Form(out);
  }

  private static void carry(List<Section> sections, int from, PartId part) {
    Section model = sections.get(from);
    for (int i = 0; i < sections.size(); i++) {
      Section other = sections.get(i);
      boolean follows =
          i != from
              && group(other).equals(group(model))
              && !other.link().orElseThrow().own().contains(part);
      if (follows) {
        sections.set(i, other.withPartOf(model, part));
      }
    }
  }

  private static void carryFrame(List<Section> sections, int from) {
    Section model = sections.get(from);
    for (int i = 0; i < sections.size(); i++) {
      Section other = sections.get(i);
      if (i != from
          && group(other).equals(group(model))
          && !other.link().orElseThrow().different()) {
        sections.set(
            i,
            other
                .withLength(model.length())
                .withProgression(model.progression())
                .withPedal(model.pedal()));
      }
    }
  }

  /** A group of one is none. */
  private static Form alone(Form form) {
    return form.each(
        section ->
            section.link().isPresent() && others(form, section).isEmpty()
                ? section.withLink(Optional.empty())
                : section);
  }

  private record Frame(BarLines.Stretch length, String progression, Object pedal) {}

  private static Frame frame(Section section) {
    return new Frame(section.length(), section.progression(), section.pedal());
  }

  private static Set<PartId> changed(Section before, Section after) {
    Set<PartId> out = parts(before);
    out.addAll(parts(after));
    out.removeIf(part -> before.same(after, part));
    return out;
  }

  private static Set<PartId> parts(Section section) {
    Set<PartId> out = new LinkedHashSet<>(section.cells().keySet());
    out.addAll(section.curves().keySet());
    return out;
  }

  private static Optional<Integer> group(Section section) {
    return section.link().map(SectionLink::group);
  }

  /** The other sections of a section's group, in order. */
  public static List<Section> others(Form form, Section section) {
    return section.link().isEmpty()
        ? List.of()
        : form.sections().stream()
            .filter(other -> !other.id().equals(section.id()))
            .filter(other -> group(other).equals(group(section)))
            .toList();
  }

  /** The parts that do something else in a section than in those it is linked to. */
  public static List<PartId> differences(Song song, Section section) {
    List<Section> others = others(song.form(), section);
    return song.parts().stream()
        .map(Part::id)
        .filter(part -> others.stream().anyMatch(other -> !other.same(section, part)))
        .toList();
  }

  /** The song with a section made the same as another and linked to it. */
  public static Song linked(Song song, SectionId id, SectionId model) {
    Optional<Section> like = song.form().find(model);
    if (like.isEmpty() || id.equals(model) || song.form().find(id).isEmpty()) {
      return song;
    }
    int next =
        1
            + song.form().sections().stream()
                .flatMap(section -> section.link().stream())
                .mapToInt(SectionLink::group)
                .max()
                .orElse(0);
    int group = like.get().link().map(SectionLink::group).orElse(next);
    Set<PartId> parts = new LinkedHashSet<>();
    song.parts().forEach(part -> parts.add(part.id()));
    Form joined =
        song.form()
            .with(
                model,
                s -> s.link().isPresent() ? s : s.withLink(Optional.of(SectionLink.of(group))))
            .with(
                id,
                s -> {
                  Section out =
                      s.withLength(like.get().length())
                          .withProgression(like.get().progression())
                          .withPedal(like.get().pedal())
                          .withLink(Optional.of(SectionLink.of(group)));
                  for (PartId part : parts) {
                    out = out.withPartOf(like.get(), part);
                  }
                  return out;
                });
    return song.withForm(alone(joined));
  }

  /**
   * The song whose sections are those that were typed: what was typed as kept the same is linked to
   * the one before it, what was typed as the same once more is free of it.
   */
  public static Song repeated(Song song, List<FormLine.Item> typed) {
    Song out = song;
    boolean fits = typed.size() == song.form().sections().size();
    for (int i = 1; fits && i < typed.size(); i++) {
      SectionId id = out.form().id(i);
      FormLine.Repeat repeat = typed.get(i).repeat();
      if (repeat == FormLine.Repeat.LINKED) {
        out = linked(out, id, out.form().id(i - 1));
      } else if (repeat == FormLine.Repeat.AGAIN
          && group(out.form().sections().get(i)).equals(group(out.form().sections().get(i - 1)))) {
        out = out.withForm(out.form().with(id, s -> s.withLink(Optional.empty())));
      }
    }
    return out.withForm(alone(out.form()));
  }

  /** The song with a part of a section as in the sections it is linked to. */
  public static Song sameAgain(Song song, SectionId id, PartId part) {
    Optional<Section> section = song.form().find(id);
    Optional<Section> model = section.flatMap(s -> others(song.form(), s).stream().findFirst());
    if (model.isEmpty()) {
      return song;
    }
    return song.withForm(
        song.form()
            .with(
                id,
                s ->
                    s.withPartOf(model.get(), part)
                        .withLink(s.link().map(link -> link.withoutOwn(part)))));
  }
}
