package westtide.song;

import java.util.List;
import java.util.stream.Collectors;

/**
 * The sections from first to last.
 *
 * @param sections in order, at least one
 */
public record Form(List<Section> sections) {
  /** Copies the sections and checks that there is one. */
  public Form {
    sections = List.copyOf(sections);
    if (sections.isEmpty()) {
      throw new IllegalArgumentException("a form has at least one section");
    }
  }

  /** Length in bars. */
  public int bars() {
    return sections.stream().mapToInt(Section::bars).sum();
  }

  /** The bar a section begins with, counted from 0. */
  public int startBar(int index) {
    return sections.subList(0, index).stream().mapToInt(Section::bars).sum();
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

  /** The section's word, numbered from the second of its name on: "hook", "hook 2". */
  public String label(int index) {
    SectionWord word = sections.get(index).word();
    long before = sections.subList(0, index).stream().filter(s -> s.word() == word).count();
    return before == 0 ? word.toString() : word + " " + (before + 1);
  }

  /** The form as a line, such as {@code "intro 8, hook 16"}. */
  @Override
  public String toString() {
    return sections.stream()
        .map(section -> section.word() + " " + section.bars())
        .collect(Collectors.joining(", "));
  }
}
