package westtide.desktop.chords;

import java.util.List;
import java.util.Optional;
import westtide.desktop.open.SongView;
import westtide.follow.Follower;
import westtide.follow.Harmony;
import westtide.song.Brief;
import westtide.song.ChordRules;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.ChordVoicings;
import westtide.song.pattern.FollowRule;
import westtide.theory.voicing.Voicing;

/**
 * What the sheet shows: one progression of the song, one of its chords chosen.
 *
 * @param view the song
 * @param part the chord part in front; empty when the song has none
 * @param rule how that part plays whole chords
 * @param row the progression
 * @param chord index of the chosen chord
 * @param voicings how that part lays the chords out
 * @param played what that part plays, once through
 */
record ChordScene(
    SongView view,
    Optional<Part> part,
    FollowRule.Chords rule,
    Progression row,
    int chord,
    List<Voicing> voicings,
    List<Note> played) {
  static ChordScene of(SongView view, Optional<Part> part, String name, int wanted) {
    Song song = view.song();
    Progression row = song.progression(name);
    int chord = Math.max(0, Math.min(wanted, row.spans().size() - 1));
    FollowRule.Chords rule =
        part.flatMap(p -> ChordRules.of(song, p, "")).orElseGet(ChordRules::usual);
    Progression rhythmic =
        rule.own().rhythm().isPresent() ? row.withRhythm(rule.own().rhythm()) : row;
    Harmony once = Harmony.of(rhythmic, row.bars(song.brief().meter()), song.brief());
    PartId id = part.map(Part::id).orElse(PartId.of("chords"));
    List<Note> played = Follower.of(id, once, song.brief().key()).resolve(rule);
    return new ChordScene(view, part, rule, row, chord, ChordVoicings.of(rule, row), played);
  }

  Song song() {
    return view.song();
  }

  Brief brief() {
    return view.song().brief();
  }

  ChordSpan span() {
    return row.spans().get(chord);
  }

  Voicing voicing() {
    return voicings.get(chord);
  }
}
