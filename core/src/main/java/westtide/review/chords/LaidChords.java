package westtide.review.chords;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.pattern.ChordVoicings;
import westtide.song.pattern.FollowRule;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;

/**
 * A progression as one chord part lays it out.
 *
 * @param part the part
 * @param rule the rule it plays it by
 * @param row the progression
 * @param voicings one a chord in the order of the progression, as the part plays it: without what
 *     it leaves out, in its own octave
 */
record LaidChords(Part part, FollowRule.Chords rule, Progression row, List<Voicing> voicings) {
  static LaidChords of(Part part, FollowRule.Chords rule, Progression row) {
    List<Voicing> whole = ChordVoicings.of(rule, row);
    List<Voicing> played = new ArrayList<>(whole.size());
    for (int i = 0; i < whole.size(); i++) {
      played.add(played(part, rule, row.spans().get(i), whole.get(i)));
    }
    return new LaidChords(part, rule, row, played);
  }

  private static Voicing played(Part part, FollowRule.Chords rule, ChordSpan span, Voicing whole) {
    Set<ChordMember> without = EnumSet.noneOf(ChordMember.class);
    without.addAll(rule.layer().without());
    without.addAll(span.articulation().without(part.id()));
    List<Integer> kept =
        whole.keys().stream()
            .filter(key -> without.stream().noneMatch(m -> m.is(key, whole, span.chord())))
            .toList();
    return (kept.isEmpty() ? whole : new Voicing(kept)).plus(12 * rule.layer().octaves());
  }

  /** Every progression by every part that plays it somewhere; one nobody plays by each of them. */
  static List<LaidChords> all(Score score) {
    Set<Played> played = new LinkedHashSet<>();
    for (ScoredPart part : score.parts()) {
      for (Passage passage : part.passages()) {
        part.part()
            .pattern(passage.name())
            .rule(FollowRule.Chords.class)
            .ifPresent(
                rule -> played.add(new Played(part.part(), rule, passage.harmony().progression())));
      }
    }
    Song song = score.song();
    for (Progression row : song.progressions()) {
      if (played.stream().noneMatch(one -> one.row.equals(row.name()))) {
        song.parts().forEach(part -> could(part, row).forEach(played::add));
      }
    }
    List<LaidChords> out = new ArrayList<>();
    played.forEach(one -> out.add(of(one.part, one.rule, song.progression(one.row))));
    return out;
  }

  private record Played(Part part, FollowRule.Chords rule, String row) {}

  private static Stream<Played> could(Part part, Progression row) {
    return part.rules(FollowRule.Chords.class).stream()
        .map(rule -> new Played(part, rule, row.name()));
  }
}
