package westtide.style;

import java.util.List;
import westtide.song.form.Transition;

/**
 * One way in which a style announces and lands a section.
 *
 * @param marks the transitions
 * @param why the reason, one sentence
 */
public record BoundaryHabit(List<Transition> marks, String why) {
  /** Copies the marks. */
  public BoundaryHabit {
    marks = List.copyOf(marks);
  }

  /** The marks as they are typed. */
  public String line() {
    return String.join(" ", marks.stream().map(Transition::word).toList());
  }
}
