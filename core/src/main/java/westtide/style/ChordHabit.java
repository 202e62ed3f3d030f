package westtide.style;

import java.util.List;
import java.util.Optional;
import westtide.rhythm.Figure;

/**
 * What chords a style uses.
 *
 * @param progressions typed lines of numerals, four bars or fewer
 * @param second whether verses usually have a progression of their own
 * @param figures rhythms to strike them in; empty holds
 * @param sevenths usual share of chords with a seventh or more, 0 to 1
 */
public record ChordHabit(
    List<String> progressions, boolean second, List<Optional<Figure>> figures, Span sevenths) {
  /** Copies the lists. */
  public ChordHabit {
    progressions = List.copyOf(progressions);
    figures = List.copyOf(figures);
  }
}
