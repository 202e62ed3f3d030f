package westtide.theory.voicing;

import java.util.Optional;
import westtide.theory.Chord;

/**
 * What a chord asks of voice leading.
 *
 * @param chord the chord
 * @param kind how its notes are spread; empty leaves it to the plan
 * @param inversion which chord tone is the lowest note, counted from the root, 0; empty leaves the
 *     bass as the chord is written
 * @param fixed its very notes; empty leaves them to the plan
 */
public record VoicingWish(
    Chord chord, Optional<VoicingKind> kind, Optional<Integer> inversion, Optional<Voicing> fixed) {
  /** A chord with nothing asked of it. */
  public static VoicingWish of(Chord chord) {
    return new VoicingWish(chord, Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** The chord over the bass its inversion asks for; a chord has as many inversions as tones. */
  Chord inverted() {
    return inversion
        .map(turn -> chord.withBass(chord.notes().get(turn % chord.notes().size())))
        .orElse(chord);
  }
}
