package westtide.song.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.UnaryOperator;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.theory.Key;

/**
 * What can be made of a few notes of a line: moved within the key, mirrored, reversed, stretched,
 * tied, shortened, quantised, loosened, split. Notes keep their number unless the name says
 * otherwise; every result is in order of start.
 */
public final class NoteShapes {
  private static final int SHORTEST = 30;

  private NoteShapes() {}

  /** Every note that many steps of the scale higher (positive) or lower; held inside MIDI. */
  public static List<Note> inKey(List<Note> notes, Key key, int steps) {
    return each(notes, note -> note.withKey(step(key, note.key(), steps)));
  }

  /** A MIDI note that many steps of the scale higher (positive) or lower; held inside MIDI. */
  public static int step(Key key, int midi, int steps) {
    int at = midi;
    for (int i = 0; i < Math.abs(steps); i++) {
      int next = at + Integer.signum(steps);
      while (next > 0 && next < 127 && !key.contains(Math.floorMod(next, 12))) {
        next += Integer.signum(steps);
      }
      at = Math.max(0, Math.min(127, next));
    }
    return at;
  }

  /**
   * Turned upside down around the first note, step for step of the scale; a note between steps
   * stays as far from the step below it. Done twice it is the line again, unless it leaves MIDI.
   */
  public static List<Note> mirrored(List<Note> notes, Key key) {
    if (notes.isEmpty()) {
      return notes;
    }
    int axis = degree(key, notes.get(0).key());
    return each(
        notes,
        note -> {
          int degree = degree(key, note.key());
          int bent = note.key() - midi(key, degree);
          int midi = midi(key, 2 * axis - degree) + bent;
          return note.withKey(Math.max(0, Math.min(127, midi)));
        });
  }

  /** The number of the step of the scale at or below a note, counted from MIDI note 0. */
  private static int degree(Key key, int midi) {
    int size = key.notes().size();
    int above = Math.floorMod(midi - key.tonic().pitchClass(), 12);
    int octave = Math.floorDiv(midi - key.tonic().pitchClass(), 12);
    int steps = 0;
    for (int i = 0; i < size; i++) {
      steps = semitones(key, i) <= above ? i : steps;
    }
    return octave * size + steps;
  }

  private static int midi(Key key, int degree) {
    int size = key.notes().size();
    return key.tonic().pitchClass()
        + 12 * Math.floorDiv(degree, size)
        + semitones(key, Math.floorMod(degree, size));
  }

  private static int semitones(Key key, int step) {
    return Math.floorMod(key.notes().get(step).pitchClass() - key.tonic().pitchClass(), 12);
  }

  /** Played backwards inside the stretch they fill. */
  public static List<Note> reversed(List<Note> notes) {
    int from = start(notes);
    int to = end(notes);
    return each(notes, note -> note.withStart(from + to - note.end()).withSlide(0));
  }

  /** The notes from last to first in the rhythm as it is: a retrograde of the pitches alone. */
  public static List<Note> notesTurned(List<Note> notes) {
    List<Note> sorted = each(notes, note -> note);
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < sorted.size(); i++) {
      out.add(sorted.get(i).withKey(sorted.get(sorted.size() - 1 - i).key()).withSlide(0));
    }
    return each(out, note -> note);
  }

  /** The rhythm of so many ticks backwards under the notes as they are: their order stays. */
  public static List<Note> rhythmTurned(List<Note> notes, int ticks) {
    List<Note> sorted = each(notes, note -> note);
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < sorted.size(); i++) {
      Note place = sorted.get(sorted.size() - 1 - i);
      int start = Math.max(0, ticks - place.end());
      out.add(sorted.get(i).withStart(start).withTicks(place.ticks()).withSlide(0));
    }
    return each(out, note -> note);
  }

  /** Twice as long, or half, from where they begin: {@code times} over {@code parts}. */
  public static List<Note> stretched(List<Note> notes, int times, int parts) {
    int from = start(notes);
    return each(
        notes,
        note ->
            note.withStart(from + (note.start() - from) * times / parts)
                .withTicks(Math.max(SHORTEST, note.ticks() * times / parts)));
  }

  /** Each held until the next begins; the last as it was. */
  public static List<Note> legato(List<Note> notes) {
    List<Note> sorted = each(notes, note -> note);
    List<Note> out = new ArrayList<>();
    for (Note note : sorted) {
      int next =
          sorted.stream()
              .mapToInt(Note::start)
              .filter(start -> start > note.start())
              .min()
              .orElse(note.end());
      out.add(note.withTicks(next - note.start()));
    }
    return out;
  }

  /** Each half as long. */
  public static List<Note> staccato(List<Note> notes) {
    return each(notes, note -> note.withTicks(Math.max(SHORTEST, note.ticks() / 2)));
  }

  /**
   * Starts drawn towards the grid. Swing is added when the song is scored, so that notes on the
   * grid swing with everything else.
   *
   * @param gridTicks ticks from one line of the grid to the next
   * @param strength 0 to 100 %: how much of the way is gone
   */
  public static List<Note> quantised(List<Note> notes, int gridTicks, int strength) {
    return each(
        notes,
        note -> {
          int goal = Math.round(note.start() / (float) gridTicks) * gridTicks;
          int moved = note.start() + Math.round((goal - note.start()) * strength / 100f);
          return note.withStart(Math.max(0, moved));
        });
  }

  /**
   * Starts and velocities a little off, each by itself.
   *
   * @param ticks most a note comes early or late
   * @param velocity most its velocity differs
   * @param seed the same seed gives the same notes
   */
  public static List<Note> humanised(List<Note> notes, int ticks, int velocity, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    return each(
        notes,
        note -> {
          int late = ticks == 0 ? 0 : random.nextInt(-ticks, ticks + 1);
          int louder = velocity == 0 ? 0 : random.nextInt(-velocity, velocity + 1);
          return note.withStart(Math.max(0, note.start() + late))
              .withVelocity(Velocity.held((long) note.velocity() + louder));
        });
  }

  /**
   * Other pitches at random in the same rhythm: each of the key, between the lowest and the highest
   * of the notes, an octave apart at least; the same seed gives the same.
   */
  public static List<Note> randomPitches(List<Note> notes, Key key, long seed) {
    int low = notes.stream().mapToInt(Note::key).min().orElse(0);
    int high =
        Math.min(127, Math.max(low + 12, notes.stream().mapToInt(Note::key).max().orElse(0)));
    List<Integer> pitches = new ArrayList<>();
    for (int midi = low; midi <= high; midi++) {
      if (key.contains(midi % 12)) {
        pitches.add(midi);
      }
    }
    SplittableRandom random = new SplittableRandom(seed);
    return each(notes, note -> note.withKey(pitches.get(random.nextInt(pitches.size()))));
  }

  /**
   * One note split into repeats whose velocity rises to that of the note: a riser made of it.
   *
   * @param repeats 2 to 24
   * @param semitones how much higher the last one is
   */
  public static List<Note> ramp(Note note, int repeats, int semitones) {
    if (repeats < 2 || repeats > 24) {
      throw new IllegalArgumentException("a ramp has 2 to 24 repeats, but was " + repeats);
    }
    List<Note> out = new ArrayList<>();
    int softest = Math.max(1, note.velocity() / 3);
    for (int i = 0; i < repeats; i++) {
      int from = note.start() + note.ticks() * i / repeats;
      int to = note.start() + note.ticks() * (i + 1) / repeats;
      double share = i / (double) (repeats - 1);
      int velocity = (int) Math.round(softest + share * (note.velocity() - softest));
      int key = note.key() + (int) Math.round(share * semitones);
      if (to > from) {
        out.add(new Note(from, to - from, Math.max(0, Math.min(127, key)), velocity));
      }
    }
    return out;
  }

  /** Notes cut where the grid cuts them, each piece struck by itself. */
  public static List<Note> chopped(List<Note> notes, int gridTicks) {
    List<Note> out = new ArrayList<>();
    for (Note note : notes) {
      int at = note.start();
      while (at < note.end()) {
        int cut = Math.min(note.end(), (at / gridTicks + 1) * gridTicks);
        out.add(
            note.withStart(at)
                .withTicks(cut - at)
                .withSlide(at == note.start() ? note.slide() : 0));
        at = cut;
      }
    }
    return each(out, note -> note);
  }

  /** Another last note: the nearest step of the scale it is not yet, up for odd turns. */
  public static List<Note> lastChanged(List<Note> notes, Key key, int turn) {
    List<Note> out = new ArrayList<>(each(notes, note -> note));
    if (out.isEmpty()) {
      return out;
    }
    int away = 1 + turn / 2 % 3;
    int steps = turn % 2 == 0 ? -away : away;
    Note last = out.get(out.size() - 1);
    out.set(out.size() - 1, last.withKey(step(key, last.key(), steps)));
    return out;
  }

  /** Every second note of the weak steps left out: what stands on beats stays. */
  public static List<Note> thinned(List<Note> notes) {
    List<Note> out = new ArrayList<>();
    int weak = 0;
    for (Note note : each(notes, note -> note)) {
      boolean strong = note.start() % Ticks.PER_QUARTER == 0;
      if (strong || weak++ % 2 == 1) {
        out.add(note);
      }
    }
    return out;
  }

  private static int start(List<Note> notes) {
    return notes.stream().mapToInt(Note::start).min().orElse(0);
  }

  private static int end(List<Note> notes) {
    return notes.stream().mapToInt(Note::end).max().orElse(0);
  }

  private static List<Note> each(List<Note> notes, UnaryOperator<Note> change) {
    return notes.stream()
        .map(change)
        .sorted(Comparator.comparingInt(Note::start).thenComparingInt(Note::key))
        .toList();
  }
}
