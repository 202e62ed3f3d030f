package westtide.compose.line;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import westtide.rhythm.Meter;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.song.id.Seed;
import westtide.song.line.Note;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.Pattern;
import westtide.style.PartHabit;
import westtide.theory.Key;

/**
 * Writes a lead over a progression in the line language of a style: a two-bar motif, repeated or
 * varied, a contrast, an answer, by a plan that is drawn.
 *
 * <p>Many candidates are drawn and the one that keeps the rules best is taken: chord tones on most
 * beats, leaps turned back (gap-fill: Meyer 1956, from memory), one highest note in the second
 * half, an octave in all, an open end halfway and a closed one at the end.
 */
public final class LineDraft {
  private static final int CANDIDATES = 120;
  private static final int WANTED_BARS = 8;
  private static final int MOST_BARS = 16;
  private static final double WRONG_WAY = 10;

  private final Key key;
  private final Meter meter;
  private final PartHabit.Lead habit;

  /** Drafts in a key and meter by a style's habit. */
  public LineDraft(Key key, Meter meter, PartHabit.Lead habit) {
    this.key = key;
    this.meter = meter;
    this.habit = habit;
  }

  /** A line over whole passes of the progression, eight bars where that divides. */
  public Pattern.Written draw(Progression progression, Seed seed) {
    int bars = bars(progression.bars(meter));
    Random random = seed.random("line");
    if (!habit.language().cycles().isEmpty()) {
      return cycle(progression, random);
    }
    LineSketch sketch = LineSketch.draw(habit.language(), bars, meter, random);
    List<PlacedChord> chords = progression.over(bars * meter.ticksPerBar());
    return new Pattern.Written(bars, best(sketch, chords, bars, random));
  }

  /**
   * A sequence that runs against the bar, upwards or downwards; its lowest note is doubled an
   * octave up now and then.
   */
  private Pattern.Written cycle(Progression progression, Random random) {
    int steps = Seed.pick(habit.language().cycles(), random);
    int bars = LineCycle.bars(steps, meter);
    LineSketch sketch = LineSketch.cycle(steps, random);
    int way = random.nextBoolean() ? 1 : -1;
    ToDoubleFunction<List<Note>> turned = notes -> climb(notes) * way > 0 ? 0 : WRONG_WAY;
    List<PlacedChord> chords = progression.over(bars * meter.ticksPerBar());
    List<Note> notes = new ArrayList<>(best(sketch, chords, bars, random, turned));
    Note low = Collections.min(notes, Comparator.comparingInt(Note::key));
    if (low.key() + 12 <= habit.high()) {
      notes.add(low.withKey(low.key() + 12).withEvery(random.nextBoolean() ? 4 : 8));
    }
    return new Pattern.Written(bars, notes, new LineCycle(steps, 0));
  }

  /** Semitones from the first note to the last. */
  private static int climb(List<Note> notes) {
    return notes.get(notes.size() - 1).key() - notes.get(0).key();
  }

  /** The best notes for a sketch over chords. */
  List<Note> best(LineSketch sketch, List<PlacedChord> chords, int bars, Random random) {
    return best(sketch, chords, bars, random, notes -> 0);
  }

  private List<Note> best(
      LineSketch sketch,
      List<PlacedChord> chords,
      int bars,
      Random random,
      ToDoubleFunction<List<Note>> more) {
    List<Note> best = List.of();
    double bestCost = Double.MAX_VALUE;
    for (int i = 0; i < CANDIDATES; i++) {
      List<Note> notes = new PhraseBuilder(key, meter, habit, chords, random).build(sketch, bars);
      boolean rises = sketch.third() == LineSketch.Third.RISES;
      double cost = cost(notes, chords, bars, rises) + more.applyAsDouble(notes);
      if (cost < bestCost) {
        best = notes;
        bestCost = cost;
      }
    }
    return best;
  }

  /** The first two bars of a line alone, to hint at it before it is heard in full. */
  public Pattern.Written tease(Pattern.Written line) {
    int end = 2 * meter.ticksPerBar();
    int bars = Math.min(line.bars(), 4);
    if (!line.cycle().equals(LineCycle.NONE)) {
      return line.withNotes(line.notes().stream().filter(n -> n.every() == 1).limit(2).toList());
    }
    return new Pattern.Written(
        bars, line.notes().stream().filter(note -> note.start() < end).toList());
  }

  private static int bars(int progressionBars) {
    int bars = progressionBars;
    while (bars < WANTED_BARS && bars + progressionBars <= MOST_BARS) {
      bars += progressionBars;
    }
    return Math.min(bars, MOST_BARS);
  }

  private double cost(List<Note> notes, List<PlacedChord> chords, int bars, boolean rises) {
    LineFit fit = new LineFit(notes, chords, meter);
    double wantedLeaps = habit.bright() ? 0.45 : 0.25;
    return 90 * Math.max(0, 0.66 - fit.chordToneShare())
        + 12 * fit.rubs().size()
        + 2 * fit.openLeaps()
        + Math.max(0, fit.range() - 12)
        + 20 * Math.max(0, fit.range() - 16)
        + Math.max(0, 7 - fit.range())
        + 6 * Math.abs(fit.leapShare() - wantedLeaps)
        + climaxCost(notes, bars, rises)
        + 0.5 * repeated(notes);
  }

  /** One highest note, and in a line that rises in its second half. */
  private double climaxCost(List<Note> notes, int bars, boolean rises) {
    int top = notes.stream().mapToInt(Note::key).max().orElse(0);
    int half = bars * meter.ticksPerBar() / 2;
    if (notes.isEmpty()) {
      return 100;
    }
    List<Note> tops = notes.stream().filter(note -> note.key() == top).toList();
    return 8.0 * (tops.size() - 1) + (rises && tops.get(0).start() < half ? 8 : 0);
  }

  private static int repeated(List<Note> notes) {
    int count = 0;
    for (int i = 2; i < notes.size(); i++) {
      int key = notes.get(i).key();
      count += key == notes.get(i - 1).key() && key == notes.get(i - 2).key() ? 1 : 0;
    }
    return count;
  }
}
