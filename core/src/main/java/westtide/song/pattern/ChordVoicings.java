package westtide.song.pattern;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.theory.Chord;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingPlan;
import westtide.theory.voicing.VoicingWish;

/**
 * How a chord part lays out the chords it meets: led through the distinct chords in their order, so
 * that a chord that comes back stands as it stood before. Voicings the part keeps stay.
 */
public final class ChordVoicings {
  private ChordVoicings() {}

  /** One voicing a chord of a progression, in order. */
  public static List<Voicing> of(FollowRule.Chords rule, Progression row) {
    return of(rule, row.name(), row.spans(), row.octave());
  }

  /**
   * One voicing a chord, in order, octaves higher or lower than the rule's range; {@code
   * progression} is the name of the one they stand in.
   */
  public static List<Voicing> of(
      FollowRule.Chords rule, String progression, List<ChordSpan> spans, int octave) {
    Map<Chord, Voicing> kept = new HashMap<>();
    for (FollowRule.Kept one : rule.own().kept()) {
      if (one.progression().equals(progression)) {
        kept.put(one.chord(), one.voicing());
      }
    }
    List<VoicingWish> wishes = spans.stream().map(span -> wish(span, kept)).toList();
    List<VoicingWish> distinct = wishes.stream().distinct().toList();
    List<Voicing> led = VoicingPlan.in(rule.range()).spread(rule.kind()).lay(distinct);
    Map<VoicingWish, Voicing> known = new HashMap<>();
    for (int i = 0; i < distinct.size(); i++) {
      known.put(distinct.get(i), led.get(i).plus(12 * octave));
    }
    return wishes.stream().map(known::get).toList();
  }

  private static VoicingWish wish(ChordSpan span, Map<Chord, Voicing> kept) {
    VoicingWish wish = span.wish();
    boolean plain = wish.fixed().isEmpty() && wish.kind().isEmpty() && wish.inversion().isEmpty();
    return plain && kept.containsKey(wish.chord())
        ? new VoicingWish(
            wish.chord(), Optional.empty(), Optional.empty(), Optional.of(kept.get(wish.chord())))
        : wish;
  }
}
