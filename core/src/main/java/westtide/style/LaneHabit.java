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
 * @param enters the bar, from 1, in which it enters the first time its groove plays, 1 to 8
 * @param pitches semitones above or below the tuned drum that its hits take in turn; empty for none
 */
public record LaneHabit(
    List<String> texts,
    StepGrid grid,
    int nudge,
    int pan,
    String accents,
    boolean answers,
    int enters,
    List<Integer> pitches) {
  /** Copies the lists and checks where it enters. */
  public LaneHabit {
    texts = List.copyOf(texts);
    pitches = List.copyOf(pitches);
    if (enters < 1 || enters > 8) {
      throw new IllegalArgumentException("a lane enters in bar 1 to 8, but was " + enters);
    }
  }

  /** One that is there from the start, at the pitch of its drum. */
  public LaneHabit(
      List<String> texts, StepGrid grid, int nudge, int pan, String accents, boolean answers) {
    this(texts, grid, nudge, pan, accents, answers, 1, List.of());
  }

  /** The same grown from other texts. */
  public LaneHabit withTexts(List<String> other) {
    return new LaneHabit(other, grid, nudge, pan, accents, answers, enters, pitches);
  }
}
