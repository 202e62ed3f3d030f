package westtide.style;

import java.util.List;

/**
 * What one voice of a style's groove plays.
 *
 * @param texts the lane texts a draft chooses from
 * @param nudge ticks late (positive) or early every hit stands, −120 to 120
 */
public record LaneHabit(List<String> texts, int nudge) {
  /** Copies the texts. */
  public LaneHabit {
    texts = List.copyOf(texts);
  }
}
