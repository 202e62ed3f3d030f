package westtide.review;

import java.util.List;
import westtide.review.finding.Stage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Role;

/**
 * Whether what a stage measures is the same in two scores.
 *
 * @param before one score
 * @param after another, made of the song after an edit
 */
record SameInputs(Score before, Score after) {
  boolean at(Stage stage) {
    boolean brief = before.song().brief().equals(after.song().brief());
    return brief
        && switch (stage) {
          case BRIEF -> true;
          case CHORDS ->
              before.song().progressions().equals(after.song().progressions()) && same(Role.CHORDS);
          case DRUMS -> form() && same(Role.DRUMS);
          case LOW_END -> form() && all();
          case LINES -> form() && same(Role.LINE) && same(Role.CHORDS);
          case FORM, LEVELS, DELIVER -> form() && all();
        };
  }

  private boolean form() {
    return before.song().form() == after.song().form();
  }

  private boolean all() {
    return identical(before.parts(), after.parts());
  }

  private boolean same(Role role) {
    return identical(before.parts(role), after.parts(role));
  }

  private static boolean identical(List<ScoredPart> one, List<ScoredPart> other) {
    if (one.size() != other.size()) {
      return false;
    }
    for (int i = 0; i < one.size(); i++) {
      if (one.get(i) != other.get(i)) {
        return false;
      }
    }
    return true;
  }
}
