package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import westtide.rhythm.Figure;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.Note;
import westtide.song.Seed;
import westtide.song.chord.PlacedChord;
import westtide.style.PartHabit;
import westtide.theory.Chord;
import westtide.theory.Key;

/**
 * One candidate of a line. A contour of scale steps is drawn for the motif; each two-bar unit lays
 * it on its own chords, so that the rhythm stays while the notes give way to the harmony.
 */
final class PhraseBuilder {
  private static final List<Figure> MOTIFS =
      List.of(
          new Figure("x--x--x---..x-..x---............"),
          new Figure("x-x-x---....x-x-x-----.........."),
          new Figure("..x-x-x---..x---..x-x-----......"),
          new Figure("x-----x-x---....x-----x---......"),
          new Figure("x--x--x--x--x---....x---........"),
          new Figure("x---..x-x---x-..x-------........"),
          new Figure("..x-..x-x---....x-x-x---........"),
          new Figure("x-------..x-x-x-x-----.........."));
  private static final int[] SAD_STEPS = {-2, -1, -1, -1, 1, 1, 1, 2, 0, -3, 3};
  private static final int[] BRIGHT_STEPS = {-3, -2, -2, -1, -1, 1, 1, 2, 2, 3, 4};
  private static final int TURN_BACK_AFTER = 3;

  private final Key key;
  private final Meter meter;
  private final PartHabit.Lead habit;
  private final List<PlacedChord> chords;
  private final Random random;
  private final List<Integer> ladder;

  PhraseBuilder(
      Key key, Meter meter, PartHabit.Lead habit, List<PlacedChord> chords, Random random) {
    this.key = key;
    this.meter = meter;
    this.habit = habit;
    this.chords = chords;
    this.random = random;
    this.ladder =
        IntStream.rangeClosed(habit.low(), habit.high())
            .filter(midi -> key.contains(midi % 12))
            .boxed()
            .toList();
  }

  List<Note> build(int bars) {
    Figure rhythm = Seed.pick(MOTIFS, random);
    List<Integer> contour = contour(rhythm.strokes().size());
    int answerShift = random.nextBoolean() ? 1 : 2;
    int unitTicks = 2 * meter.ticksPerBar();
    int end = bars * meter.ticksPerBar();
    List<Note> out = new ArrayList<>();
    for (int unit = 0; unit * unitTicks < end; unit++) {
      List<Integer> steps = unit % 4 == 2 ? shifted(contour, answerShift) : contour;
      List<Note> laid = lay(rhythm, steps, unit * unitTicks, end);
      out.addAll(withEnd(laid, unit));
    }
    return out;
  }

  private List<Integer> contour(int size) {
    int[] moves = habit.bright() ? BRIGHT_STEPS : SAD_STEPS;
    List<Integer> out = new ArrayList<>();
    int at = ladder.size() / 2 - 1 + random.nextInt(3);
    int last = 0;
    for (int i = 0; i < size; i++) {
      out.add(at);
      int move = moves[random.nextInt(moves.length)];
      if (Math.abs(last) >= TURN_BACK_AFTER) {
        move = -Integer.signum(last);
      }
      last = move;
      at = held(at + move);
    }
    return out;
  }

  private List<Integer> shifted(List<Integer> contour, int by) {
    return contour.stream().map(step -> held(step + by)).toList();
  }

  private int held(int index) {
    return Math.max(0, Math.min(ladder.size() - 1, index));
  }

  private List<Note> lay(Figure rhythm, List<Integer> contour, int from, int end) {
    List<Note> out = new ArrayList<>();
    List<Figure.Stroke> strokes = rhythm.strokes();
    for (int i = 0; i < strokes.size(); i++) {
      int start = from + Ticks.ofSteps(strokes.get(i).step());
      if (start >= end) {
        break;
      }
      boolean strong = start % meter.ticksPerBeat() == 0;
      int midi = ladder.get(contour.get(i));
      int key = strong && random.nextInt(10) > 0 ? nearest(midi, tonesAt(start), midi) : midi;
      int ticks = Math.min(Ticks.ofSteps(strokes.get(i).steps()), end - start);
      out.add(new Note(start, ticks, key, strong ? 98 : 86));
    }
    return out;
  }

  /** The unit with its last note on a chord tone: open at half, closed at the end, any between. */
  private List<Note> withEnd(List<Note> unit, int index) {
    if (unit.isEmpty()) {
      return unit;
    }
    Note last = unit.get(unit.size() - 1);
    IntPredicate tone = tonesAt(last.start());
    IntPredicate wanted =
        switch (index % 4) {
          case 1 -> midi -> tone.test(midi) && degree(midi, 2, 4, 7);
          case 3 -> midi -> tone.test(midi) && degree(midi, 1, 3, 5);
          default -> tone;
        };
    int anyTone = nearest(last.key(), tone, last.key());
    List<Note> out = new ArrayList<>(unit);
    out.set(out.size() - 1, last.withKey(nearest(last.key(), wanted, anyTone)));
    return out;
  }

  private boolean degree(int midi, int... degrees) {
    int degree = key.degreeOf(midi % 12).degree();
    return IntStream.of(degrees).anyMatch(d -> d == degree);
  }

  private IntPredicate tonesAt(int tick) {
    Optional<Chord> chord =
        chords.stream().filter(c -> c.covers(tick)).map(PlacedChord::chord).findFirst();
    return midi -> chord.map(c -> c.contains(midi % 12)).orElse(true);
  }

  /** The nearest key of the part's range that is wanted, the lower of two as near. */
  private int nearest(int midi, IntPredicate wanted, int otherwise) {
    for (int away = 0; away <= habit.high() - habit.low(); away++) {
      if (inRange(midi - away) && wanted.test(midi - away)) {
        return midi - away;
      }
      if (inRange(midi + away) && wanted.test(midi + away)) {
        return midi + away;
      }
    }
    return otherwise;
  }

  private boolean inRange(int midi) {
    return midi >= habit.low() && midi <= habit.high();
  }
}
