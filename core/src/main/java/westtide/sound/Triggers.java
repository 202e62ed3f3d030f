package westtide.sound;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Predicate;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.drum.DrumVoice;
import westtide.song.mix.Duck;

/**
 * The ticks parts step back at: of the kicks, or of any drum lane. Whether a drum is muted makes no
 * difference: what steps back for it goes on doing so.
 */
public final class Triggers {
  private static final int[] NONE = {};

  private final Score score;
  private final Map<String, int[]> lanes = new HashMap<>();
  private final int[] kicks;

  /** The triggers of a score. */
  public Triggers(Score score) {
    this.score = score;
    this.kicks = ticks(note -> note.of(DrumVoice.KICK));
  }

  int[] kicks() {
    return kicks;
  }

  /** What a part with such a duck steps back at; nothing where it does so on each beat. */
  public int[] of(Duck duck) {
    return switch (duck.trigger()) {
      case NONE, QUARTERS -> NONE;
      case KICK -> kicks;
      case LANE -> lanes.computeIfAbsent(duck.lane(), code -> ticks(note -> isOf(note, code)));
    };
  }

  private static boolean isOf(ScoredNote note, String code) {
    return note.struck().map(struck -> struck.lane().code().equals(code)).orElse(false);
  }

  private int[] ticks(Predicate<ScoredNote> which) {
    return score.parts().stream()
        .flatMap(part -> part.notes().stream())
        .filter(which)
        .mapToInt(ScoredNote::start)
        .sorted()
        .distinct()
        .toArray();
  }
}
