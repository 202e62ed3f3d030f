package westtide.desktop.chords;

import java.util.List;
import westtide.desktop.SongView;
import westtide.follow.ChordVoicings;
import westtide.follow.Follower;
import westtide.follow.Harmony;
import westtide.song.Brief;
import westtide.song.FollowRule;
import westtide.song.Note;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.theory.voicing.Voicing;

/**
 * What the sheet shows: one progression of the song, one of its chords chosen.
 *
 * @param view the song
 * @param row the progression
 * @param chord index of the chosen chord
 * @param voicings how the first chord part lays the chords out
 * @param played what that part plays, once through
 */
record ChordScene(
    SongView view, Progression row, int chord, List<Voicing> voicings, List<Note> played) {
  static ChordScene of(SongView view, String name, int wanted) {
    Song song = view.song();
    Progression row =
        song.progressions().stream()
            .filter(p -> p.name().equals(name))
            .findFirst()
            .orElseGet(() -> song.progressions().get(0));
    int chord = Math.max(0, Math.min(wanted, row.spans().size() - 1));
    FollowRule.Chords rule = ChordVoicings.rule(song);
    Harmony once = Harmony.of(row, row.bars(song.brief().meter()), song.brief(), List.of());
    List<Note> played = Follower.resolve(rule, once, song.brief().key());
    return new ChordScene(view, row, chord, ChordVoicings.of(song, row), played);
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
