package westtide.song;

import java.util.Optional;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.theory.voicing.VoicingRange;

/** By which rule a chord part plays, also where it only doubles another. */
public final class ChordRules {
  /** Above 150 Hz, which is left to the low end (common practice). */
  public static final VoicingRange USUAL_RANGE = new VoicingRange(51, 58, 76);

  private ChordRules() {}

  /** The rule of a pattern of a part; empty where it plays no whole chords. */
  public static Optional<FollowRule.Chords> of(Song song, Part part, String pattern) {
    NamedPattern named = part.pattern(pattern);
    Optional<FollowRule.Chords> own = named.rule(FollowRule.Chords.class);
    if (own.isPresent()) {
      return own;
    }
    return named
        .rule(FollowRule.Doubling.class)
        .flatMap(
            doubling ->
                song.part(doubling.model())
                    .flatMap(model -> of(song, model, ""))
                    .map(doubling::of));
  }

  /** How chords are laid out where no part says it: close, in the usual range. */
  public static FollowRule.Chords usual() {
    return FollowRule.Chords.of(USUAL_RANGE, Optional.empty());
  }
}
