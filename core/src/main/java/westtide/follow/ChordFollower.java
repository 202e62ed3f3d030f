package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.FollowRule;
import westtide.song.Note;
import westtide.song.PlacedChord;
import westtide.theory.Voicing;

/**
 * Plays whole chords, held or struck in a figure. A chord that no strike of the figure falls on is
 * struck when it begins, so that none is lost.
 */
final class ChordFollower {
  private static final int HELD_VELOCITY = 84;

  private final FollowRule.Chords rule;

  ChordFollower(FollowRule.Chords rule) {
    this.rule = rule;
  }

  List<Note> resolve(Harmony harmony) {
    List<PlacedChord> chords = harmony.chords();
    List<Voicing> voicings =
        ChordVoicings.of(rule, chords.stream().map(PlacedChord::chord).toList());
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < chords.size(); i++) {
      for (Strike strike : strikes(chords.get(i))) {
        for (int key : voicings.get(i).keys()) {
          out.add(new Note(strike.start, strike.ticks, key, strike.velocity));
        }
      }
    }
    return out;
  }

  private List<Strike> strikes(PlacedChord chord) {
    if (rule.figure().isEmpty()) {
      return List.of(new Strike(chord.start(), chord.ticks(), HELD_VELOCITY));
    }
    TreeMap<Integer, Strike> strikes = new TreeMap<>();
    Figure figure = rule.figure().get();
    int length = Ticks.ofSteps(figure.length());
    for (int from = chord.start() / length * length; from < chord.end(); from += length) {
      for (Figure.Stroke stroke : figure.strokes()) {
        int start = from + Ticks.ofSteps(stroke.step());
        if (chord.covers(start)) {
          int ticks = Math.min(Ticks.ofSteps(stroke.steps()), chord.end() - start);
          strikes.put(start, new Strike(start, ticks, stroke.velocity()));
        }
      }
    }
    if (strikes.isEmpty()) {
      return List.of(new Strike(chord.start(), chord.ticks(), Velocity.HIT));
    }
    return List.copyOf(strikes.values());
  }

  private record Strike(int start, int ticks, int velocity) {}
}
