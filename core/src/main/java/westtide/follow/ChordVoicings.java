package westtide.follow;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import westtide.song.FollowRule;
import westtide.song.chord.ChordSpan;
import westtide.theory.Voicing;
import westtide.theory.VoicingPlan;
import westtide.theory.VoicingWish;

/**
 * How a chord part lays out the chords it meets: led through the distinct chords in their order, so
 * that a chord that comes back stands as it stood before.
 */
public final class ChordVoicings {
  private ChordVoicings() {}

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
