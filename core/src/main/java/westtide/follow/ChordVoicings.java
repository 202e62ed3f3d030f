package westtide.follow;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.FollowRule;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingPlan;
import westtide.theory.voicing.VoicingRange;
import westtide.theory.voicing.VoicingWish;

/**
 * How a chord part lays out the chords it meets: led through the distinct chords in their order, so
 * that a chord that comes back stands as it stood before.
 */
public final class ChordVoicings {
  private static final VoicingRange USUAL = new VoicingRange(51, 58, 76);

  private ChordVoicings() {}

  /** How the song's first chord part lays out a progression. */
  public static List<Voicing> of(Song song, Progression row) {
    return of(rule(song), row.spans(), row.octave());
  }

  /** The rule of the song's first part that follows the chords; a usual one where there is none. */
  public static FollowRule.Chords rule(Song song) {
    return song.rule(FollowRule.Chords.class).orElse(FollowRule.Chords.of(USUAL, Optional.empty()));
  }

  /** One voicing a chord, in order, octaves higher or lower than the rule's range. */
  public static List<Voicing> of(FollowRule.Chords rule, List<ChordSpan> spans, int octave) {
    List<VoicingWish> wishes = spans.stream().map(ChordSpan::wish).toList();
    List<VoicingWish> distinct = wishes.stream().distinct().toList();
    List<Voicing> led = VoicingPlan.in(rule.range()).spread(rule.kind()).lay(distinct);
    Map<VoicingWish, Voicing> known = new HashMap<>();
    for (int i = 0; i < distinct.size(); i++) {
      known.put(distinct.get(i), led.get(i).plus(12 * octave));
    }
    return wishes.stream().map(known::get).toList();
  }
}
