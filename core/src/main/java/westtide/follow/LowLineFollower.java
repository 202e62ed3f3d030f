package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.NavigableSet;
import java.util.OptionalInt;
import java.util.TreeSet;
import westtide.rhythm.Ticks;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.song.pattern.LowLine;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.Pitch;

/** Plays a low line by its grammar: its rhythm first, then pick-ups, pitches and lengths. */
final class LowLineFollower {
  private static final int FULL = 112;
  private static final int STRONG = 114;
  private static final int BEAT = 100;
  private static final int WEAK = 84;
  private static final int EIGHTH = 2 * Ticks.PER_STEP;
  private static final int LEAST_CHORD = Ticks.PER_QUARTER;

  private final LowLine rule;
  private final Harmony harmony;
  private final LowRhythm rhythm;
  private final Key key;
  private final int bar;
  private final NearBasses basses;
  private NavigableSet<Integer> pickUps = new TreeSet<>();

  /** A follower of chords, kicks and, where its rhythm listens to one, another part. */
  LowLineFollower(LowLine rule, Harmony harmony, List<Integer> kicks, List<Note> model, Key key) {
    this.rule = rule;
    this.harmony = harmony;
    this.rhythm = new LowRhythm(rule, harmony, kicks, model);
    this.key = key;
    this.bar = harmony.meter().ticksPerBar();
    this.basses = NearBasses.of(harmony, rule.lowest(), home());
  }

  /** The one note of a pedal, if it keeps to one. */
  private OptionalInt home() {
    return rule.pitches() == LowLine.Pitches.PEDAL
        ? OptionalInt.of(key.tonic().pitchClass())
        : OptionalInt.empty();
  }

  List<Note> resolve() {
    NavigableSet<Integer> starts = rhythm.starts();
    if (rule.rhythm() != LowLine.Rhythm.GAPS) {
      harmony.chords().forEach(chord -> startAt(chord.start(), starts));
    }
    pickUps = pickUps();
    pickUps.forEach(pickUp -> startAt(pickUp, starts));
    starts.removeIf(harmony::rests);
    List<Note> out = new ArrayList<>();
    for (int start : starts) {
      int slide = rule.slides() && slides(start, starts) ? Ticks.PER_STEP : 0;
      out.add(
          new Note(
              start,
              length(start, starts),
              pickUps.contains(start) ? leading(start) : moving(start, pitch(start, starts)),
              velocity(start),
              slide));
    }
    return out;
  }

  /** A note starts at a tick; what strays from it by less than half a step is that start. */
  private static void startAt(int tick, NavigableSet<Integer> starts) {
    starts.subSet(tick - Harmony.STRAY, false, tick + Harmony.STRAY, false).clear();
    starts.add(tick);
  }

  /** The last eighth before another bass. */
  private NavigableSet<Integer> pickUps() {
    TreeSet<Integer> out = new TreeSet<>();
    if (rule.pickUp() == LowLine.PickUp.NONE) {
      return out;
    }
    for (PlacedChord chord : harmony.chords()) {
      PlacedChord next = harmony.after(chord.start()).orElse(chord);
      boolean leads =
          next != chord
              && chord.ticks() > LEAST_CHORD
              && !next.span().articulation().rest()
              && bass(next) != bass(chord);
      if (leads) {
        out.add(chord.end() - EIGHTH);
      }
    }
    return out;
  }

  private int bass(PlacedChord chord) {
    return basses.of(chord);
  }

  /** The chord after the one heard; the last one leads back to the first. */
  private PlacedChord next(int start) {
    return harmony.after(start).orElse(harmony.chords().get(0));
  }

  /** The note before another bass: next to it, from the side the line comes from. */
  private int leading(int start) {
    PlacedChord here = harmony.at(start);
    int from = bass(here);
    int goal = bass(next(start));
    int direction = from < goal ? -1 : 1;
    int step = beside(goal, direction);
    if (step < rule.lowest()) {
      step = beside(goal, 1);
    }
    if (step != from) {
      return step;
    }
    return goal - direction < rule.lowest() ? from : goal - direction;
  }

  private int beside(int goal, int direction) {
    int step = goal + direction;
    boolean diatonic = rule.pickUp() == LowLine.PickUp.STEP;
    while (diatonic && !key.contains(Math.floorMod(step, 12))) {
      step += direction;
    }
    return step;
  }

  /** What stands right before another bass is never that bass already. */
  private int moving(int start, int pitch) {
    PlacedChord here = harmony.at(start);
    boolean near = here.end() - start <= EIGHTH && start != here.start();
    return near && pitch == bass(next(start)) ? bass(here) : pitch;
  }

  private int pitch(int start, NavigableSet<Integer> starts) {
    PlacedChord chord = harmony.at(start);
    int bass = bass(chord);
    if (start == chord.start() || start % bar == 0) {
      return bass;
    }
    if (lifts(start, starts)) {
      return lifted(start, chord, bass);
    }
    boolean weak = start % (2 * Ticks.PER_QUARTER) != 0;
    return switch (rule.pitches()) {
      case ROOTS -> bass;
      case OCTAVES -> start % Ticks.PER_QUARTER == 0 ? bass : bass + 12;
      case FIFTHS -> weak && start % bar / EIGHTH % 3 == 0 ? fifth(start, chord, bass) : bass;
      case WALKING -> walking(start, chord, bass);
      case ANSWERS -> answer(start, chord, bass);
      case PEDAL -> bass;
    };
  }

  /** In the last beat and a half of a bar the fifth, the octave and the fifth again. */
  private int answer(int start, PlacedChord chord, int bass) {
    int left = bar - start % bar;
    if (left > Ticks.PER_QUARTER + EIGHTH) {
      return bass;
    }
    boolean up = bass + 12 <= basses.highest();
    if (left == Ticks.PER_QUARTER) {
      return up ? bass + 12 : bass;
    }
    int above = fifthAbove(chord, bass);
    return up || above - 12 < rule.lowest() ? above : above - 12;
  }

  /** The fifth and, every second phrase, the octave, on the side that has room. */
  private int lifted(int start, PlacedChord chord, int bass) {
    boolean octave = start / bar / rule.phraseBars() % 2 == 1;
    int fifth = fifth(start, chord, bass);
    int high = octave ? bass + 12 : fifth;
    return high <= basses.highest() ? high : bass - 12 >= rule.lowest() ? bass - 12 : fifth;
  }

  /** A slide goes to the lift of a phrase, and to the last answer of every second bar. */
  private boolean slides(int start, NavigableSet<Integer> starts) {
    boolean answered = rule.pitches() == LowLine.Pitches.ANSWERS && start / bar % 2 == 1;
    return lifts(start, starts) || answered && bar - start % bar == EIGHTH;
  }

  /** Whether the line jumps an octave here: the last start of a phrase, for lift. */
  private boolean lifts(int start, NavigableSet<Integer> starts) {
    boolean phrase = rule.phraseBars() > 1 && rule.slides();
    boolean last = start / bar % rule.phraseBars() == rule.phraseBars() - 1;
    Integer next = starts.higher(start);
    if (next != null && pickUps.contains(next)) {
      next = starts.higher(next);
    }
    boolean ends = next == null || next / bar != start / bar;
    boolean begins = start % bar == 0 || start == harmony.at(start).start();
    return phrase && last && ends && !begins && !pickUps.contains(start);
  }

  /** The fifth on the side the line goes to, where it has room below. */
  private int fifth(int start, PlacedChord chord, int bass) {
    int above = fifthAbove(chord, bass);
    int goal = bass(next(start));
    boolean falls = goal < bass || above > basses.highest();
    return falls && above - 12 >= rule.lowest() ? above - 12 : above;
  }

  private static int fifthAbove(PlacedChord chord, int bass) {
    int semitones = chord.chord().quality().tone(5).map(Interval::semitones).orElse(0);
    int root = chord.chord().root().pitchClass();
    return Pitch.atOrAbove(bass, Math.floorMod(root + semitones, 12));
  }

  /** Beat by beat through the key towards the next bass. */
  private int walking(int start, PlacedChord chord, int bass) {
    int goal = bass(next(start));
    int beats = (start - chord.start()) / Ticks.PER_QUARTER;
    int direction = goal == bass ? (beats % 2 == 0 ? 1 : -1) : Integer.signum(goal - bass);
    int at = bass;
    for (int i = 0; i < beats; i++) {
      int next = at + direction;
      while (!key.contains(Math.floorMod(next, 12))) {
        next += direction;
      }
      boolean beyond = direction > 0 ? next >= goal && goal != bass : next <= goal && goal != bass;
      at = beyond ? at : next;
    }
    return Math.abs(at - bass) > 7 ? bass : at;
  }

  /** To the next start, less what is left free, in whole steps where there is room. */
  private int length(int start, NavigableSet<Integer> starts) {
    Integer next = starts.higher(start);
    int chordEnd = harmony.at(start).end();
    int free = Math.min(chordEnd, next == null ? harmony.ticks() : next);
    int end = Math.min(free, start + Math.max(Ticks.PER_STEP, rhythm.longest(start)));
    int whole = end - start;
    int held = whole * (100 - rule.rest()) / 100;
    int steps = held / Ticks.PER_STEP * Ticks.PER_STEP;
    return Math.max(Math.min(whole, Ticks.PER_STEP), Math.max(steps, Math.min(held, whole)));
  }

  private int velocity(int start) {
    if (!rule.shaped()) {
      return FULL;
    }
    if (start % (2 * Ticks.PER_QUARTER) == 0) {
      return STRONG;
    }
    return start % Ticks.PER_QUARTER == 0 ? BEAT : WEAK;
  }
}
