package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.stream.Collectors;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.theory.Pitch;

/**
 * Plays the notes of the chords heard one after another. The order starts anew with every chord,
 * the steps go on; where the chords rest it rests.
 */
final class ArpeggioFollower {
  private static final int SOFTEST_SHARE = 45;

  private final Arpeggio rule;
  private final Harmony harmony;
  private final Map<Integer, Figure.Stroke> strokes;
  private final SplittableRandom random;
  private final List<Note> out = new ArrayList<>();
  private int chordStart = -1;
  private int turn;

  ArpeggioFollower(Arpeggio rule, Harmony harmony) {
    this.rule = rule;
    this.harmony = harmony;
    this.random = new SplittableRandom(rule.seed());
    this.strokes =
        rule.steps().strokes().stream()
            .collect(Collectors.toMap(Figure.Stroke::step, Function.identity()));
  }

  List<Note> resolve() {
    int tick = 0;
    int step = 0;
    while (tick < harmony.ticks()) {
      int ticks = flourishes(tick) ? rule.rate().ticks() / 2 : rule.rate().ticks();
      Figure.Stroke stroke = strokes.get(step % rule.steps().length());
      if (stroke != null && !harmony.rests(tick)) {
        strike(tick, ticks, stroke);
      }
      tick += ticks;
      step++;
    }
    return out;
  }

  /** The last beat of every so many bars goes at double rate. */
  private boolean flourishes(int tick) {
    int bar = harmony.meter().ticksPerBar();
    boolean last =
        rule.flourishBars() > 0 && tick / bar % rule.flourishBars() == rule.flourishBars() - 1;
    return last && tick % bar >= bar - Ticks.PER_QUARTER;
  }

  private void strike(int tick, int ticks, Figure.Stroke stroke) {
    PlacedChord here = harmony.at(tick);
    PlacedChord chord = stroke.ahead() ? harmony.after(tick).orElse(here) : here;
    if (chord.start() != chordStart) {
      chordStart = chord.start();
      turn = 0;
    }
    List<Integer> keys = keys(chord);
    int held = (stroke.steps() - 1) * ticks + Math.max(1, ticks * rule.gate() / 100);
    int length = Math.min(held, harmony.ticks() - tick);
    int velocity = velocity(stroke.velocity(), tick);
    if (rule.order() == Arpeggio.Order.CHORD) {
      keys.forEach(key -> out.add(new Note(tick, length, key, velocity)));
    } else {
      out.add(new Note(tick, length, keys.get(next(keys.size())), velocity));
    }
    turn++;
  }

  private int next(int size) {
    return switch (rule.order()) {
      case UP, CHORD -> turn % size;
      case DOWN -> size - 1 - turn % size;
      case BOTH -> both(size);
      case INSIDE_OUT -> insideOut(turn % size, size);
      case RANDOM -> random.nextInt(size);
    };
  }

  /** Up and down again, the ends once. */
  private int both(int size) {
    int period = Math.max(1, 2 * size - 2);
    int at = turn % period;
    return at < size ? at : period - at;
  }

  /** From the middle outwards, above and below in turn. */
  private static int insideOut(int at, int size) {
    int middle = (size - 1) / 2;
    int away = (at + 1) / 2;
    return Math.floorMod(at % 2 == 1 ? middle + away : middle - away, size);
  }

  /** The notes of a chord from the lowest allowed one up, over its octaves. */
  private List<Integer> keys(PlacedChord chord) {
    List<Integer> once =
        chord.chord().pitchClasses().stream()
            .map(pitchClass -> Pitch.atOrAbove(rule.lowest(), pitchClass))
            .distinct()
            .sorted()
            .toList();
    List<Integer> all = new ArrayList<>();
    for (int octave = 0; octave < rule.octaves(); octave++) {
      for (int key : once) {
        if (key + 12 * octave <= 127) {
          all.add(key + 12 * octave);
        }
      }
    }
    return all;
  }

  private int velocity(int written, int tick) {
    if (rule.swellBars() == 0) {
      return written;
    }
    int length = rule.swellBars() * harmony.meter().ticksPerBar();
    double share = tick % length / (double) length;
    return Velocity.held(
        Math.round(written * (SOFTEST_SHARE + (100 - SOFTEST_SHARE) * share) / 100));
  }
}
