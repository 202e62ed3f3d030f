package westtide.song;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Where in a song the patterns of a part are heard, in bars of the song: groove A, for one, in bars
 * 9–24 and 49–64.
 *
 * @param song the song
 * @param part one of its parts
 */
public record HeardBars(Song song, Part part) {
  /**
   * Bars in a row.
   *
   * @param first the first, counted from 1
   * @param last the last of them
   */
  public record Span(int first, int last) {
    @Override
    public String toString() {
      return first == last ? String.valueOf(first) : first + "–" + last;
    }
  }

  /** Where a pattern itself is heard, in order; empty where the form has it nowhere. */
  public List<Span> of(String pattern) {
    return spans(Set.of(pattern));
  }

  /** Where a pattern is heard itself or by way of patterns that follow it. */
  public List<Span> withFollowers(String pattern) {
    Set<String> names = new TreeSet<>(followers(pattern));
    names.add(pattern);
    return spans(names);
  }

  /** The names of the patterns that follow a pattern, in their order. */
  public List<String> followers(String pattern) {
    return part.patterns().stream()
        .filter(named -> named.pattern() instanceof Pattern.Varied v && v.parent().equals(pattern))
        .map(NamedPattern::name)
        .toList();
  }

  /** Spans in words, such as "bars 9–24, 49–64". */
  public static String words(List<Span> spans) {
    boolean one = spans.size() == 1 && spans.get(0).first() == spans.get(0).last();
    return (one ? "bar " : "bars ")
        + spans.stream().map(Span::toString).collect(Collectors.joining(", "));
  }

  private List<Span> spans(Set<String> names) {
    List<Span> out = new ArrayList<>();
    Meter meter = song.brief().meter();
    BarLines lines = song.barLines();
    int start = 0;
    for (int place = 0; place < song.form().sections().size(); place++) {
      Section section = song.form().sections().get(place);
      for (CellSpan span : section.spans(part.id())) {
        boolean heard = span.cell().level() != Level.OUT;
        if (heard && names.contains(part.pattern(span.cell().pattern()).name())) {
          int end = Math.min(span.to(meter), section.ticks(meter));
          add(out, lines.bar(start + span.from(meter)) + 1, lines.bar(start + end - 1) + 1);
        }
      }
      start += section.ticks(meter);
    }
    return List.copyOf(out);
  }

  private static void add(List<Span> out, int first, int last) {
    int end = out.size() - 1;
    if (end >= 0 && first <= out.get(end).last() + 1) {
      out.set(end, new Span(out.get(end).first(), Math.max(last, out.get(end).last())));
    } else {
      out.add(new Span(first, last));
    }
  }
}
