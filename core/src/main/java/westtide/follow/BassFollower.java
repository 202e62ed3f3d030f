package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.Pitch;

/**
 * Plays a bass line: basses of the chords in a figure, now and then the fifth, and on the last step
 * before a new chord a scale note that steps towards its bass.
 */
final class BassFollower {
  private static final int FIFTH_EVERY = 4;

  private final FollowRule.Bass rule;
  private final Key key;

  BassFollower(FollowRule.Bass rule, Key key) {
    this.rule = rule;
    this.key = key;
  }

  List<Note> resolve(Harmony harmony) {
    List<Note> out = new ArrayList<>();
    int length = Ticks.ofSteps(rule.figure().length());
    int count = 0;
    for (int from = 0; from < harmony.ticks(); from += length) {
      for (Figure.Stroke stroke : rule.figure().strokes()) {
        int start = from + Ticks.ofSteps(stroke.step());
        if (start < harmony.ticks()) {
          count++;
          if (harmony.rests(start)) {
            continue;
          }
          addNote(out, harmony, start, stroke, count);
        }
      }
    }
    return rule.pickUp() ? withPickUps(out, harmony) : out;
  }

  private void addNote(
      List<Note> out, Harmony harmony, int start, Figure.Stroke stroke, int count) {
    PlacedChord here = harmony.at(start);
    PlacedChord chord = stroke.ahead() ? harmony.after(start).orElse(here) : here;
    int ticks = Math.min(Ticks.ofSteps(stroke.steps()), here.end() - start);
    boolean fifth = rule.fifths() && count % FIFTH_EVERY == 0;
    out.add(new Note(start, ticks, fifth ? fifth(chord) : bass(chord), stroke.velocity()));
  }

  private int bass(PlacedChord chord) {
    return Pitch.atOrAbove(rule.lowest(), chord.chord().bass().pitchClass());
  }

  private int fifth(PlacedChord chord) {
    Optional<Interval> fifth = chord.chord().quality().tone(5);
    return bass(chord) + fifth.map(Interval::semitones).orElse(0);
  }

  private List<Note> withPickUps(List<Note> notes, Harmony harmony) {
    List<Note> out = new ArrayList<>(notes);
    for (PlacedChord chord : harmony.chords()) {
      Optional<PlacedChord> next = harmony.after(chord.start());
      if (next.isPresent()
          && !rests(chord)
          && !rests(next.get())
          && chord.ticks() > Ticks.PER_QUARTER
          && bass(next.get()) != bass(chord)) {
        int start = chord.end() - Ticks.PER_STEP;
        cut(out, start);
        out.add(new Note(start, Ticks.PER_STEP, approach(bass(chord), bass(next.get())), 84));
      }
    }
    out.sort(java.util.Comparator.comparingInt(Note::start));
    return out;
  }

  private static boolean rests(PlacedChord chord) {
    return chord.span().articulation().rest();
  }

  private static void cut(List<Note> notes, int tick) {
    notes.removeIf(note -> note.start() == tick);
    notes.replaceAll(
        note ->
            note.start() < tick && note.end() > tick ? note.withTicks(tick - note.start()) : note);
  }

  /** The scale note next to the goal, on the side the line comes from. */
  private int approach(int from, int goal) {
    int direction = from < goal ? -1 : 1;
    int candidate = goal + direction;
    while (!key.contains(Math.floorMod(candidate, 12))) {
      candidate += direction;
    }
    return candidate;
  }
}
