package westtide.song.chord;

import java.util.Optional;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

/**
 * How one chord of a row is played, where that differs from the rest of the part.
 *
 * @param early ticks by which the change comes before its place, 0 to 960: a push
 * @param rest whether chord parts are silent; the harmony goes on for the others
 * @param kind how its notes are spread; empty leaves it to the part
 * @param inversion how often the lowest note of the hand is lifted an octave, 0 to 6; empty lets
 *     voice leading choose
 * @param own the notes chosen one by one; empty lets voice leading choose
 * @param strum how its notes enter; empty strikes them at once
 */
public record Manner(
    int early,
    boolean rest,
    Optional<VoicingKind> kind,
    Optional<Integer> inversion,
    Optional<Voicing> own,
    Optional<Strum> strum) {
  /** On time, sounding, laid out by the part. */
  public static final Manner PLAIN =
      new Manner(0, false, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

  private static final int EARLIEST = 960;
  private static final int MOST_TURNS = 6;

  /** Checks the ranges. */
  public Manner {
    if (early < 0 || early > EARLIEST) {
      throw new IllegalArgumentException("a push is 0 to 960 ticks early, but was " + early);
    }
    inversion.ifPresent(Manner::checkInversion);
  }

  private static void checkInversion(int turns) {
    if (turns < 0 || turns > MOST_TURNS) {
      throw new IllegalArgumentException("an inversion is 0 to 6, but was " + turns);
    }
  }

  /** The same, early by ticks. */
  public Manner withEarly(int ticks) {
    return new Manner(ticks, rest, kind, inversion, own, strum);
  }

  /** The same, silent or not. */
  public Manner withRest(boolean silent) {
    return new Manner(early, silent, kind, inversion, own, strum);
  }

  /** The same spread another way; notes chosen one by one are let go. */
  public Manner withKind(Optional<VoicingKind> other) {
    return new Manner(early, rest, other, inversion, Optional.empty(), strum);
  }

  /** The same in another inversion; notes chosen one by one are let go. */
  public Manner withInversion(Optional<Integer> turns) {
    return new Manner(early, rest, kind, turns, Optional.empty(), strum);
  }

  /** The same with notes of its own. */
  public Manner withOwn(Optional<Voicing> notes) {
    return new Manner(early, rest, kind, inversion, notes, strum);
  }

  /** The same strummed another way. */
  public Manner withStrum(Optional<Strum> other) {
    return new Manner(early, rest, kind, inversion, own, other);
  }
}
