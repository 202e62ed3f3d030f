package westtide.compose.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import westtide.rhythm.Meter;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.style.LineLanguage;
import westtide.style.PartHabit;
import westtide.theory.Chord;
import westtide.theory.Key;

/**
 * One candidate of a line: notes for the rhythms of a sketch. A contour of scale steps is drawn for
 * the motif; each unit lays it on its own chords, so that the rhythm stays while the notes give way
 * to the harmony.
 */
final class PhraseBuilder {
  private static final int[] SAD_STEPS = {-2, -1, -1, -1, 1, 1, 1, 2, 0, -3, 3};
  private static final int[] BRIGHT_STEPS = {-3, -2, -2, -1, -1, 1, 1, 2, 2, 3, 4};
  private static final int TURN_BACK_AFTER = 3;
  private static final int FEW = 4;

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
    this.ladder = ladder();
  }

  /** The notes the language goes to: all of the key, five of it, or four next to each other. */
  private List<Integer> ladder() {
    List<Integer> all =
        IntStream.rangeClosed(habit.low(), habit.high())
            .filter(midi -> key.contains(midi % 12))
            .boxed()
            .toList();
    return switch (habit.language().pitches()) {
      case KEY -> all;
      case FIVE -> five(all);
      case FEW -> few(five(all));
    };
  }

  /** Without second and sixth over a minor third, without fourth and seventh over a major one. */
  private List<Integer> five(List<Integer> all) {
    boolean minor = key.contains((key.tonic().pitchClass() + 3) % 12);
    List<Integer> out =
        all.stream().filter(midi -> minor ? !degree(midi, 2, 6) : !degree(midi, 4, 7)).toList();
    return out.size() < FEW ? all : out;
  }

  private List<Integer> few(List<Integer> five) {
    int from = random.nextInt(Math.max(1, five.size() - FEW + 1));
    return five.subList(from, Math.min(five.size(), from + FEW));
  }

  List<Note> build(LineSketch sketch, int bars) {
    int longest = sketch.units().stream().mapToInt(List::size).max().orElse(0);
    List<Integer> contour = contour(longest);
    List<Integer> answer = contour(longest);
    int unitTicks = LineSketch.UNIT_BARS * meter.ticksPerBar();
    int end = bars * meter.ticksPerBar();
    List<LineSketch.Spot> motif = sketch.units().get(0);
    List<Note> out = new ArrayList<>();
    for (int unit = 0; unit < sketch.units().size(); unit++) {
      List<LineSketch.Spot> spots = sketch.units().get(unit);
      boolean other = !spots.isEmpty() && !sameOpening(spots, motif);
      List<Integer> steps = unit % 4 == 2 ? third(sketch, contour) : other ? answer : contour;
      List<LineSketch.Spot> played =
          unit % 4 == 2 && sketch.third() == LineSketch.Third.THINS ? thinned(spots) : spots;
      out.addAll(withEnd(lay(played, steps, unit * unitTicks, end), unit));
    }
    return new LineDetails(key, meter, habit, ladder).finished(out, sketch, random);
  }

  private static boolean sameOpening(List<LineSketch.Spot> spots, List<LineSketch.Spot> motif) {
    return !motif.isEmpty() && spots.get(0).equals(motif.get(0));
  }

  private List<Integer> third(LineSketch sketch, List<Integer> contour) {
    return switch (sketch.third()) {
      case RISES -> shifted(contour, 1 + random.nextInt(2));
      case FALLS -> shifted(contour, -1 - random.nextInt(2));
      case STAYS, THINS -> contour;
    };
  }

  private List<LineSketch.Spot> thinned(List<LineSketch.Spot> spots) {
    List<LineSketch.Spot> out = new ArrayList<>();
    for (int i = 0; i < spots.size(); i++) {
      if (spots.get(i).start() % meter.ticksPerBeat() == 0 || i % 2 == 0) {
        out.add(spots.get(i));
      }
    }
    return out;
  }

  private List<Integer> contour(int size) {
    int[] moves = habit.bright() ? BRIGHT_STEPS : SAD_STEPS;
    List<Integer> out = new ArrayList<>();
    int at = Math.max(0, ladder.size() / 2 - 1) + random.nextInt(3);
    int last = 0;
    for (int i = 0; i < size; i++) {
      out.add(held(at));
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

  private List<Note> lay(List<LineSketch.Spot> spots, List<Integer> contour, int from, int end) {
    boolean free = habit.language().pitches() == LineLanguage.Pitches.FEW;
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < spots.size(); i++) {
      int start = from + spots.get(i).start();
      if (start >= end) {
        break;
      }
      boolean strong = start % meter.ticksPerBeat() == 0;
      int midi = ladder.get(contour.get(i));
      boolean fitted = strong && !free && random.nextInt(10) > 0;
      int key = fitted ? nearest(midi, tonesAt(start), midi) : midi;
      out.add(new Note(start, Math.min(spots.get(i).ticks(), end - start), key, 90));
    }
    return out;
  }

  /** The unit with its last note on a chord tone: open at half, closed at the end, any between. */
  private List<Note> withEnd(List<Note> unit, int index) {
    if (unit.isEmpty() || habit.language().pitches() == LineLanguage.Pitches.FEW) {
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
