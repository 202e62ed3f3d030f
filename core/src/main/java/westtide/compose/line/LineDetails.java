package westtide.compose.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;
import westtide.song.line.NoteShapes;
import westtide.style.PartHabit;
import westtide.theory.Key;

/**
 * What makes a line speak once its notes stand: pick-ups, the gesture it is known by, lengths and
 * velocities (common practice: accents on leaps, long notes and syncopations, repeats softer).
 *
 * @param key the key
 * @param meter the meter
 * @param habit the range it stays in
 * @param ladder the notes it goes to
 */
record LineDetails(Key key, Meter meter, PartHabit.Lead habit, List<Integer> ladder) {
  private static final int BASE = 84;
  private static final int LOUDEST = 118;
  private static final int SOFTEST = 52;
  private static final int LEAST_RANGE = 34;
  private static final int LEAP = 5;
  private static final int WIDEST = 16;
  private static final int TRIPLET = Ticks.PER_QUARTER / 3;

  /** The line with everything; {@code random} decides where. */
  List<Note> finished(List<Note> notes, LineSketch sketch, Random random) {
    List<Note> out = new ArrayList<>(notes);
    if (sketch.pickUps() && habit.language().cycles().isEmpty()) {
      out = withPickUps(out, random);
    }
    out = signed(out, sketch.signature());
    out.sort(Comparator.comparingInt(Note::start));
    return spoken(shaped(alone(out)));
  }

  /** One or two sixteenths before a unit that begins on its first beat, where there is room. */
  private List<Note> withPickUps(List<Note> notes, Random random) {
    int unit = LineSketch.UNIT_BARS * meter.ticksPerBar();
    List<Note> out = new ArrayList<>(notes);
    int count = 1 + random.nextInt(2);
    for (Note goal : notes) {
      boolean begins = goal.start() > 0 && goal.start() % unit == 0;
      int from = goal.start() - count * Ticks.PER_STEP;
      boolean room = notes.stream().noneMatch(n -> n.start() >= from && n.start() < goal.start());
      if (begins && room) {
        for (int i = 0; i < count; i++) {
          int key = neighbour(goal.key(), -(count - i));
          out.add(new Note(from + Ticks.ofSteps(i), Ticks.PER_STEP, key, BASE));
        }
      }
    }
    return out;
  }

  /** So many steps below, or above where that would leave the range. */
  private int neighbour(int midi, int steps) {
    int below = NoteShapes.step(key, midi, steps);
    return below < habit.low() ? NoteShapes.step(key, midi, Math.abs(steps)) : below;
  }

  private List<Note> signed(List<Note> notes, LineSketch.Signature signature) {
    int unit = LineSketch.UNIT_BARS * meter.ticksPerBar();
    return switch (signature) {
      case NONE -> notes;
      case REPEATED_NOTE -> repeated(notes, unit);
      case OCTAVE -> octave(notes, unit);
      case TRIPLET -> triplet(notes, unit);
      case GRACE_NOTE -> grace(notes, unit);
      case SILENCE -> silent(notes, unit);
    };
  }

  /** The longest note of the second unit struck twice. */
  private List<Note> repeated(List<Note> notes, int unit) {
    List<Note> out = new ArrayList<>(notes);
    notes.stream()
        .filter(note -> note.start() / unit % 4 == 1 && note.ticks() >= 2 * Ticks.PER_STEP)
        .filter(note -> key.contains(note.key() % 12))
        .max(Comparator.comparingInt(Note::ticks))
        .ifPresent(
            note -> {
              int half = note.ticks() / 2 / Ticks.PER_STEP * Ticks.PER_STEP;
              out.remove(note);
              out.add(note.withTicks(half));
              out.add(note.withStart(note.start() + half).withTicks(note.ticks() - half));
            });
    return out;
  }

  /** One note of the fourth unit an octave away, on the side where there is room. */
  private List<Note> octave(List<Note> notes, int unit) {
    List<Note> out = new ArrayList<>(notes);
    notes.stream()
        .filter(note -> note.start() / unit % 4 == 3)
        .filter(note -> fits(note.key() + 12, notes) || fits(note.key() - 12, notes))
        .findFirst()
        .ifPresent(
            note -> {
              int key = note.key() + (fits(note.key() + 12, notes) ? 12 : -12);
              out.set(out.indexOf(note), note.withKey(key));
            });
    return out;
  }

  /** Whether a note is in range and leaves the line within what can be sung. */
  private boolean fits(int key, List<Note> notes) {
    int low = notes.stream().mapToInt(Note::key).min().orElse(key);
    int high = notes.stream().mapToInt(Note::key).max().orElse(key);
    boolean inside = key >= habit.low() && key <= habit.high();
    return inside && Math.max(high, key) - Math.min(low, key) <= WIDEST;
  }

  /** Three in the time of two eighths, from a beat of the second unit down to its next note. */
  private List<Note> triplet(List<Note> notes, int unit) {
    List<Note> out = new ArrayList<>(notes);
    notes.stream()
        .filter(n -> n.start() / unit % 4 == 1 && n.start() % meter.ticksPerBeat() == 0)
        .reduce((first, second) -> second)
        .ifPresent(
            note -> {
              int end = note.start() + Ticks.PER_QUARTER;
              out.removeIf(n -> n.start() >= note.start() && n.start() < end);
              for (int i = 0; i < 3; i++) {
                int key = neighbour(note.key(), i == 1 ? -1 : 0);
                out.add(new Note(note.start() + i * TRIPLET, TRIPLET, key, BASE));
              }
            });
    return out;
  }

  /** A short note a step below, just before a long note that has room there. */
  private List<Note> grace(List<Note> notes, int unit) {
    List<Note> out = new ArrayList<>(notes);
    notes.stream()
        .filter(n -> n.start() / unit % 2 == 1 && n.ticks() >= 3 * Ticks.PER_STEP)
        .filter(
            n ->
                notes.stream()
                    .noneMatch(
                        o -> o.start() < n.start() && o.start() >= n.start() - Ticks.PER_STEP))
        .findFirst()
        .ifPresent(
            note -> {
              int half = Ticks.PER_STEP / 2;
              int start = note.start() - half;
              out.add(new Note(start, half, neighbour(note.key(), -1), BASE));
            });
    return out;
  }

  /** The last beat before the fourth unit is silent. */
  private static List<Note> silent(List<Note> notes, int unit) {
    List<Note> out = new ArrayList<>(notes);
    int from = 3 * unit - Ticks.PER_QUARTER;
    out.removeIf(note -> note.start() >= from && note.start() < 3 * unit);
    return out.isEmpty() ? notes : out;
  }

  /** One note at a time: each ends where the next begins. */
  private static List<Note> alone(List<Note> notes) {
    List<Note> out = new ArrayList<>();
    for (Note note : notes) {
      if (!out.isEmpty()) {
        Note last = out.get(out.size() - 1);
        if (last.start() == note.start()) {
          out.remove(out.size() - 1);
        } else if (last.end() > note.start()) {
          out.set(out.size() - 1, last.withTicks(note.start() - last.start()));
        }
      }
      out.add(note);
    }
    return out;
  }

  /** Short before a leap, tied into a step. */
  private static List<Note> shaped(List<Note> notes) {
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < notes.size(); i++) {
      Note note = notes.get(i);
      if (i + 1 < notes.size()) {
        Note next = notes.get(i + 1);
        int move = Math.abs(next.key() - note.key());
        int gap = next.start() - note.end();
        if (move > LEAP && note.ticks() > 2 * Ticks.PER_STEP) {
          note = note.withTicks(note.ticks() - Ticks.PER_STEP);
        } else if (move > 0 && move <= 2 && gap > 0 && gap <= Ticks.PER_STEP) {
          note = note.withTicks(note.ticks() + gap);
        }
      }
      out.add(note);
    }
    return out;
  }

  /** Velocities that follow the line, over a range of {@value #LEAST_RANGE} or more. */
  private List<Note> spoken(List<Note> notes) {
    int[] wanted = new int[notes.size()];
    int low = Integer.MAX_VALUE;
    int high = Integer.MIN_VALUE;
    for (int i = 0; i < notes.size(); i++) {
      wanted[i] = weight(notes, i);
      low = Math.min(low, wanted[i]);
      high = Math.max(high, wanted[i]);
    }
    double wider = high == low ? 1 : Math.max(1, LEAST_RANGE / (double) (high - low));
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < notes.size(); i++) {
      int middle = (low + high) / 2;
      int velocity = BASE + 4 + (int) Math.round((wanted[i] - middle) * wider);
      out.add(notes.get(i).withVelocity(Math.max(SOFTEST, Math.min(LOUDEST, velocity))));
    }
    return out;
  }

  private int weight(List<Note> notes, int index) {
    Note note = notes.get(index);
    int move = index == 0 ? 0 : note.key() - notes.get(index - 1).key();
    int out = note.start() % meter.ticksPerBar() == 0 ? 8 : 0;
    out += Math.abs(move) >= LEAP ? 10 : 0;
    out += note.ticks() >= Ticks.PER_QUARTER ? 8 : 0;
    out += note.start() % meter.ticksPerBeat() == 2 * Ticks.PER_STEP ? 6 : 0;
    out += note.start() % (2 * Ticks.PER_STEP) == 0 ? 0 : -6;
    out += index > 0 && move == 0 ? -14 : 0;
    return out + Math.max(-6, Math.min(6, move));
  }
}
