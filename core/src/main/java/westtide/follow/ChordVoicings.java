package westtide.follow;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import westtide.song.FollowRule;
import westtide.theory.Chord;
import westtide.theory.Voicing;
import westtide.theory.VoicingPlan;

/**
 * How a chord part lays out the chords it meets: led through the distinct chords in their order, so
 * that a chord that comes back stands as it stood before.
 */
public final class ChordVoicings {
  private ChordVoicings() {}

  /** One voicing a chord, in order. */
  public static List<Voicing> of(FollowRule.Chords rule, List<Chord> chords) {
    List<Chord> distinct = chords.stream().distinct().toList();
    List<Voicing> led = VoicingPlan.in(rule.range()).voice(distinct);
    Map<Chord, Voicing> known = new HashMap<>();
    for (int i = 0; i < distinct.size(); i++) {
      known.put(distinct.get(i), led.get(i));
    }
    return chords.stream().map(known::get).toList();
  }
}
