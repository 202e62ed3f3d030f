package westtide.song;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import westtide.song.chord.Progression;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.PartId;

/**
 * Up to three forms of the same material side by side: the one the song plays, and those that wait.
 *
 * @param before the forms that stand before the present one
 * @param after the forms that stand behind it
 */
public record Alternatives(List<Form> before, List<Form> after) {
  /** The most forms of one song. */
  public static final int MOST = 3;

  /** Only the present form. */
  public static final Alternatives NONE = new Alternatives(List.of(), List.of());

  /** Copies the lists and checks how many there are. */
  public Alternatives {
    before = List.copyOf(before);
    after = List.copyOf(after);
    if (before.size() + after.size() >= MOST) {
      throw new IllegalArgumentException("a song has at most 3 forms side by side");
    }
  }

  /** How many forms there are, the present one counted. */
  public int count() {
    return before.size() + after.size() + 1;
  }

  /** The place of the present form, from 0. */
  public int present() {
    return before.size();
  }

  /**
   * Whether the present form is the same one of as many: nothing was switched, added or deleted.
   */
  public boolean sameForm(Alternatives other) {
    return present() == other.present() && count() == other.count();
  }

  /** All forms in order. */
  public List<Form> all(Form present) {
    List<Form> out = new ArrayList<>(before);
    out.add(present);
    out.addAll(after);
    return out;
  }

  /** The forms around the one at a place of a list. */
  public static Alternatives around(List<Form> forms, int place) {
    return new Alternatives(forms.subList(0, place), forms.subList(place + 1, forms.size()));
  }

  /** The same with every waiting form changed. */
  public Alternatives each(UnaryOperator<Form> change) {
    return new Alternatives(
        before.stream().map(change).toList(), after.stream().map(change).toList());
  }

  /** The same asking only for what a song has: what is gone is left out of waiting forms. */
  Alternatives fitting(List<Progression> rows, List<Part> parts) {
    return count() == 1 ? this : each(form -> form.each(section -> fitting(section, rows, parts)));
  }

  private static Section fitting(Section section, List<Progression> rows, List<Part> parts) {
    Section out = section;
    if (rows.stream().noneMatch(row -> row.name().equals(section.progression()))) {
      out = out.withProgression(rows.get(0).name());
    }
    for (PartId id : gone(section, parts)) {
      out = out.without(id);
    }
    for (Part part : parts) {
      out =
          out.withEachCell(
              part.id(),
              cell -> part.find(cell.pattern()).isPresent() ? cell : cell.withPattern(""));
    }
    return out;
  }

  private static List<PartId> gone(Section section, List<Part> parts) {
    java.util.Set<PartId> asked = new java.util.LinkedHashSet<>(section.cells().keySet());
    asked.addAll(section.curves().keySet());
    section.marks().forEach(mark -> asked.addAll(mark.transition().parts()));
    return asked.stream()
        .filter(id -> parts.stream().noneMatch(part -> part.id().equals(id)))
        .collect(Collectors.toList());
  }
}
