package westtide.style;

import java.util.List;
import westtide.rhythm.StepGrid;

/**
 * What one lane of a style's groove plays.
 *
 * @param texts the lane texts a draft grows from
 * @param grid how long their steps are
 * @param nudge ticks late (positive) or early every hit stands, −120 to 120
 * @param pan steps right (positive) or left of where the kit has it, −100 to 100
 * @param accents velocities of a length of their own that run along; empty for none
 * @param answers whether it answers the others: its hits stand where kick and backbeat leave room
 */
public record LaneHabit(
    List<String> texts, StepGrid grid, int nudge, int pan, String accents, boolean answers) {
  /** Copies the texts. */
  public LaneHabit {
    texts = List.copyOf(texts);
  }

  /** The same grown from other texts. */
  public LaneHabit withTexts(List<String> other) {
    return new LaneHabit(other, grid, nudge, pan, accents, answers);
  }
}
