package westtide.song;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.pattern.FollowRule;

/**
 * How many bars of the form things are heard in, and so which one of several a song leans on: the
 * progression, the pattern, the part of a role that is heard longest. Of equals it is the earlier
 * one; where nothing is heard, the first there is.
 *
 * @param song the song
 */
public record PlayedBars(Song song) {
  /** The progression that most bars are over. */
  public Progression progression() {
    Map<String, Integer> bars = new LinkedHashMap<>();
    song.progressions().forEach(row -> bars.put(row.name(), 0));
    song.form()
        .sections()
        .forEach(section -> bars.merge(section.progression(), section.bars(), Integer::sum));
    return song.progression(most(bars).orElseThrow());
  }

  /** The name of the pattern a part plays longest in the hooks; where it is out there, anywhere. */
  public String pattern(Part part) {
    List<CellSpan> hooks = spans(part, section -> section.word().kind() == SectionKind.HOOK);
    List<CellSpan> counted = hooks.isEmpty() ? spans(part, section -> true) : hooks;
    Map<String, Integer> bars = new LinkedHashMap<>();
    part.patterns().forEach(named -> bars.put(named.name(), 0));
    counted.forEach(s -> bars.merge(name(part, s.cell()), s.bars(), Integer::sum));
    return most(bars).orElseThrow();
  }

  /** The part of a role that plays in most bars; empty when the song has none of that role. */
  public Optional<Part> part(Role role) {
    Map<Part, Integer> bars = new LinkedHashMap<>();
    song.parts(role).forEach(part -> bars.put(part, bars(part)));
    return most(bars);
  }

  /**
   * The rule of a kind that stands for a role: that of the pattern its longest heard part plays
   * longest, or where that one follows another rule, the first of the part; empty when there is
   * none.
   *
   * @param role the role
   * @param kind the kind of rule
   */
  public <R extends FollowRule> Optional<R> rule(Role role, Class<R> kind) {
    return part(role)
        .flatMap(
            part ->
                part.pattern(pattern(part))
                    .rule(kind)
                    .or(() -> part.rules(kind).stream().findFirst()));
  }

  private int bars(Part part) {
    return spans(part, section -> true).stream().mapToInt(CellSpan::bars).sum();
  }

  private List<CellSpan> spans(Part part, Predicate<Section> in) {
    return song.form().sections().stream()
        .filter(in)
        .flatMap(section -> section.spans(part.id()).stream())
        .filter(span -> span.cell().level() != Level.OUT)
        .toList();
  }

  private static String name(Part part, Cell cell) {
    return part.pattern(cell.pattern()).name();
  }

  /** The first of those with the highest count. */
  private static <T> Optional<T> most(Map<T, Integer> counts) {
    return counts.entrySet().stream()
        .sorted(Map.Entry.<T, Integer>comparingByValue(Comparator.reverseOrder()))
        .map(Map.Entry::getKey)
        .findFirst();
  }
}
