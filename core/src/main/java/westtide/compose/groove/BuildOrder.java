package westtide.compose.groove;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.id.Seed;
import westtide.song.pattern.Pattern;
import westtide.style.GrooveHabit;

/**
 * The order in which a groove is built up: kick, then clap or snare, open hat, closed hat, shakers
 * and percussion, cymbals (common practice).
 */
public final class BuildOrder {
  private static final int BACKBEAT = 1;
  private static final int OPEN = 2;
  private static final int CLOSED = 3;
  private static final int PERCUSSION = 4;
  private static final int CYMBALS = 5;

  private BuildOrder() {}

  /** The groove with its first lane only, as the style draws it. */
  public static Pattern.Drums begun(GrooveHabit habit, Seed seed) {
    Pattern.Drums nothing = new Pattern.Drums(habit.bars(), List.of());
    return next(nothing, habit, seed).map(drawn -> nothing.with(drawn.lane())).orElse(nothing);
  }

  /**
   * The lane that comes next: the first in order that the style uses and the groove lacks; empty
   * when it has them all.
   */
  public static Optional<DrawnLane> next(Pattern.Drums groove, GrooveHabit habit, Seed seed) {
    return habit.lanes().keySet().stream()
        .filter(id -> groove.find(id).isEmpty())
        .filter(id -> plays(habit, id))
        .min(Comparator.comparingInt(id -> rank(id.voice())))
        .map(id -> striking(groove, habit, seed, id));
  }

  private static boolean plays(GrooveHabit habit, LaneId id) {
    return habit.lanes().get(id).texts().stream().anyMatch(text -> text.matches(".*[xXo].*"));
  }

  /** The lane of the first seed from this one on that has hits; one of its figures has. */
  private static DrawnLane striking(Pattern.Drums groove, GrooveHabit habit, Seed seed, LaneId id) {
    Seed from = seed;
    while (true) {
      DrawnLane drawn = new GrooveDraft(habit, from).draw(id, groove).orElseThrow();
      if (!drawn.lane().lane().hits().isEmpty()) {
        return drawn;
      }
      from = new Seed(from.value() + 1);
    }
  }

  /** Where a drum comes in the order, 0 first. */
  public static int rank(DrumVoice voice) {
    return switch (voice) {
      case KICK -> 0;
      case CLAP, SNARE -> BACKBEAT;
      case OPEN_HAT -> OPEN;
      case CLOSED_HAT -> CLOSED;
      case CRASH, RIDE, STICK -> CYMBALS;
      default -> PERCUSSION;
    };
  }
}
