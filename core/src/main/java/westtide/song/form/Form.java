package westtide.song.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.song.id.SectionId;

/**
 * The sections from first to last. A section that is new to the form gets the next free id.
 *
 * @param sections in order, at least one, each with an id of its own
 */
public record Form(List<Section> sections) {
  /** The longest song, in bars: over two hours of slow ones. */
  public static final int MOST_BARS = 4000;

  /** Copies the sections, numbers new ones and checks that there is one. */
  public Form {
    sections = numbered(sections);
    if (sections.isEmpty()) {
      throw new IllegalArgumentException("a form has at least one section");
    }
    if (sections.stream().mapToLong(Section::bars).sum() > MOST_BARS) {
      throw new IllegalArgumentException("a song has at most 4000 bars; this form has more");
    }
    if (sections.stream().map(Section::id).distinct().count() != sections.size()) {
      throw new IllegalArgumentException("two sections have the same id");
    }
  }

  private static List<Section> numbered(List<Section> sections) {
    int next = 1 + sections.stream().mapToInt(section -> section.id().number()).max().orElse(0);
    List<Section> out = new ArrayList<>(sections.size());
    for (Section section : sections) {
      boolean fresh = section.id().equals(SectionId.NEW);
      out.add(fresh ? section.withId(SectionId.of(next++)) : section);
    }
    return List.copyOf(out);
  }

  /** The place of a section, counted from 0; empty when the form has none of that id. */
  public OptionalInt place(SectionId id) {
    return IntStream.range(0, sections.size())
        .filter(i -> sections.get(i).id().equals(id))
        .findFirst();
  }

  /** The id of the section at a place. */
  public SectionId id(int place) {
    return sections.get(place).id();
  }

  /** The section of an id; empty when the form has none of that id. */
  public Optional<Section> find(SectionId id) {
    return sections.stream().filter(section -> section.id().equals(id)).findFirst();
  }

  /** The section that goes by a label, such as {@code "hook 2"}. */
  public Optional<Section> labelled(String label) {
    return IntStream.range(0, sections.size())
        .filter(i -> label(i).equals(label))
        .mapToObj(sections::get)
        .findFirst();
  }

  /** The place of the first section of a kind, counted from 0; empty when there is none. */
  public OptionalInt first(SectionKind kind) {
    return IntStream.range(0, sections.size())
        .filter(i -> sections.get(i).word().kind() == kind)
        .findFirst();
  }

  /** The place of the last section of a kind, counted from 0; empty when there is none. */
  public OptionalInt last(SectionKind kind) {
    return IntStream.range(0, sections.size())
        .filter(i -> sections.get(i).word().kind() == kind)
        .reduce((before, after) -> after);
  }

  /** The form with every section changed. */
  public Form each(UnaryOperator<Section> change) {
    return new Form(sections.stream().map(change).toList());
  }

  /** The form with one section changed; one it lacks stays lacking. */
  public Form with(SectionId id, UnaryOperator<Section> change) {
    return each(section -> section.id().equals(id) ? change.apply(section) : section);
  }

  /** Length in bars. */
  public int bars() {
    return sections.stream().mapToInt(Section::bars).sum();
  }

  /** The bar a section begins with, counted from 0. */
  public int startBar(int index) {
    return sections.subList(0, index).stream().mapToInt(Section::bars).sum();
  }

  /** Where its bars begin in a meter. */
  public BarLines barLines(Meter meter) {
    return BarLines.of(meter, sections.stream().map(Section::length).toList());
  }

  /** The tick a section begins at. */
  public int startTick(int index, Meter meter) {
    return sections.subList(0, index).stream().mapToInt(section -> section.ticks(meter)).sum();
  }

  /** Length in ticks. */
  public int ticks(Meter meter) {
    return startTick(sections.size(), meter);
  }

  /** The section in which a bar (from 0) lies; the last section for bars after the end. */
  public int sectionAt(int bar) {
    int end = 0;
    for (int i = 0; i < sections.size(); i++) {
      end += sections.get(i).bars();
      if (bar < end) {
        return i;
      }
    }
    return sections.size() - 1;
  }

  /** What the section is called, numbered from the second of its name on: "hook", "hook 2". */
  public String label(int index) {
    String title = sections.get(index).title();
    long before = sections.subList(0, index).stream().filter(s -> s.title().equals(title)).count();
    return before == 0 ? title : title + " " + (before + 1);
  }

  /** The form as a line, such as {@code "intro 8, hook 16"}. */
  @Override
  public String toString() {
    return sections.stream()
        .map(section -> section.title() + " " + section.bars())
        .collect(Collectors.joining(", "));
  }
}
