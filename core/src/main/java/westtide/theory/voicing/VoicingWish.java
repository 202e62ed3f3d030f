package westtide.theory.voicing;

import java.util.Optional;
import westtide.theory.Chord;

/**
 * What a chord asks of voice leading.
 *
 * @param chord the chord
 * @param kind how its notes are spread; empty leaves it to the plan
 * @param inversion how often the lowest note of the hand is lifted; empty leaves it to the plan
 * @param fixed its very notes; empty leaves them to the plan
 */
public record VoicingWish(
    Chord chord, Optional<VoicingKind> kind, Optional<Integer> inversion, Optional<Voicing> fixed) {
  /** A chord with nothing asked of it. */
  public static VoicingWish of(Chord chord) {
    return new VoicingWish(chord, Optional.empty(), Optional.empty(), Optional.empty());
  }
}
