package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.theory.Pitch;

/**
 * Plays an 808 on the basses of the chords, one note at a time. Locked, it starts with every kick
 * and lasts to the next start; a chord change without a kick starts a note too where the bass
 * moves, or the 808 would hold a foreign root; a kick that strays from the chord it is meant for by
 * less than half a step is that start, and takes that chord. Where no kick is written it plays one
 * note a chord, and where the progression rests it is silent.
 */
final class SubFollower {
  private static final int FULL = 112;

  private final FollowRule.Bass808 rule;
  private final List<Integer> kicks;

  SubFollower(FollowRule.Bass808 rule, List<Integer> kicks) {
    this.rule = rule;
    this.kicks = kicks;
  }

  List<Note> resolve(Harmony harmony) {
    return rule.link() == KickLink.LOCKED ? locked(harmony) : independent(harmony);
  }

  private List<Note> locked(Harmony harmony) {
    TreeSet<Integer> starts = new TreeSet<>();
    for (int kick : new TreeSet<>(kicks)) {
      if (starts.isEmpty() || kick - starts.last() >= Harmony.STRAY) {
        starts.add(kick);
      }
    }
    TreeSet<Integer> stops = new TreeSet<>();
    int bass = -1;
    for (var chord : harmony.chords()) {
      boolean rest = chord.span().articulation().rest();
      int next = rest ? -1 : chord.chord().bass().pitchClass();
      if (next != bass && rest) {
        stops.add(chord.start());
      } else if (next != bass && !struckNear(chord.start())) {
        starts.add(chord.start());
      }
      bass = next;
    }
    stops.add(harmony.ticks());
    List<Note> out = new ArrayList<>();
    for (int start : starts) {
      boolean last = harmony.ticks() - start < Harmony.STRAY;
      if (!last && !harmony.rests(harmony.towards(start))) {
        Integer next = starts.higher(start);
        int end = Math.min(stops.higher(start), next == null ? harmony.ticks() : next);
        out.add(note(harmony, start, end - start));
      }
    }
    return out;
  }

  private boolean struckNear(int tick) {
    return kicks.stream().anyMatch(kick -> Math.abs(kick - tick) < Harmony.STRAY);
  }

  private List<Note> independent(Harmony harmony) {
    List<Note> out = new ArrayList<>();
    int length = Ticks.ofSteps(rule.figure().length());
    for (int from = 0; from < harmony.ticks(); from += length) {
      for (Figure.Stroke stroke : rule.figure().strokes()) {
        int start = from + Ticks.ofSteps(stroke.step());
        if (start < harmony.ticks() && !harmony.rests(start)) {
          int end = harmony.at(start).end();
          out.add(note(harmony, start, Math.min(Ticks.ofSteps(stroke.steps()), end - start)));
        }
      }
    }
    return out;
  }

  private Note note(Harmony harmony, int start, int ticks) {
    int pitchClass = harmony.at(harmony.towards(start)).chord().bass().pitchClass();
    return new Note(start, ticks, Pitch.atOrAbove(rule.lowest(), pitchClass), FULL);
  }
}
