package westtide.compose.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.song.line.NoteShapes;
import westtide.style.PartHabit;
import westtide.theory.Key;

/** What a producer asks of a line that is nearly right; each says what it did. */
public enum LineVariation {
  SIMPLER("simpler"),
  BUSIER("busier"),
  HIGHER("higher"),
  MORE_SPACE("more space"),
  NEW_RHYTHM("new rhythm, same notes"),
  NEW_NOTES("same rhythm, new notes"),
  BRIGHTER("brighter"),
  SADDER("sadder");

  private static final int THIRD = 2;
  private static final int ROOM = 4 * Ticks.PER_STEP;
  private static final int MARGIN = 2;
  private static final int OCTAVE = 12;

  private final String title;

  LineVariation(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }

  /**
   * What a line is heard in.
   *
   * @param key the key
   * @param meter the meter
   * @param habit how the style talks
   * @param chords the chords below it, covering its whole length
   * @param bars its length
   */
  public record Setting(
      Key key, Meter meter, PartHabit.Lead habit, List<PlacedChord> chords, int bars) {}

  /**
   * A line as it became.
   *
   * @param notes its notes
   * @param told what was done, one sentence
   */
  public record Varied(List<Note> notes, String told) {}

  /** The line varied; {@code random} decides where there is a choice. */
  public Varied of(List<Note> notes, Setting setting, Random random) {
    if (notes.isEmpty()) {
      return new Varied(notes, "There is no note to vary; write one or take a new take.");
    }
    return switch (this) {
      case SIMPLER -> simpler(notes);
      case BUSIER -> busier(notes, setting);
      case HIGHER ->
          new Varied(
              NoteShapes.inKey(notes, setting.key(), THIRD), "Moved up a third, inside the key.");
      case MORE_SPACE -> spaced(notes, setting);
      case NEW_RHYTHM -> rhythm(notes, setting, random);
      case NEW_NOTES ->
          repitched(notes, setting, setting.habit(), random, "New notes in the same rhythm");
      case BRIGHTER ->
          repitched(
              notes, setting, setting.habit().withBright(true), random, "More leaps, same rhythm");
      case SADDER ->
          repitched(
              notes,
              setting,
              setting.habit().withBright(false),
              random,
              "Neighbours instead of leaps, same rhythm");
    };
  }

  private static Varied simpler(List<Note> notes) {
    List<Note> out = NoteShapes.thinned(notes);
    int gone = notes.size() - out.size();
    return new Varied(
        out, "Left out " + gone + " of " + notes.size() + " notes between the beats.");
  }

  /** A note on the way in every gap of a beat or more. */
  private static Varied busier(List<Note> notes, Setting setting) {
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < notes.size(); i++) {
      Note note = notes.get(i);
      int next = i + 1 < notes.size() ? notes.get(i + 1).start() : note.end();
      if (next - note.start() < ROOM) {
        out.add(note);
        continue;
      }
      int half = (next - note.start()) / 2 / Ticks.PER_STEP * Ticks.PER_STEP;
      int goal = i + 1 < notes.size() ? notes.get(i + 1).key() : note.key();
      int step = goal > note.key() ? 1 : -1;
      out.add(note.withTicks(Math.min(note.ticks(), half)));
      out.add(
          note.withKey(NoteShapes.step(setting.key(), note.key(), step))
              .withStart(note.start() + half)
              .withTicks(Math.min(half, next - note.start() - half))
              .withVelocity(Math.max(1, note.velocity() - 12))
              .withSlide(0));
    }
    int more = out.size() - notes.size();
    return new Varied(out, "Added " + more + " notes on the way, softer than their neighbours.");
  }

  /** The second half of every second bar is left free. */
  private static Varied spaced(List<Note> notes, Setting setting) {
    int bar = setting.meter().ticksPerBar();
    List<Note> out = new ArrayList<>();
    for (Note note : notes) {
      int free = (note.start() / bar / 2 * 2 + 1) * bar + bar / 2;
      int end = (note.start() / bar / 2 * 2 + 2) * bar;
      if (note.start() >= free && note.start() < end) {
        continue;
      }
      boolean into = note.start() < free && note.end() > free;
      out.add(into ? note.withTicks(free - note.start()) : note);
    }
    int gone = notes.size() - out.size();
    return new Varied(out, "Half a bar is free at the end of every two; " + gone + " notes went.");
  }

  /** The same notes in order on another rhythm of the style. */
  private static Varied rhythm(List<Note> notes, Setting setting, Random random) {
    LineSketch sketch =
        LineSketch.draw(setting.habit().language(), setting.bars(), setting.meter(), random);
    int unit = LineSketch.UNIT_BARS * setting.meter().ticksPerBar();
    int end = setting.bars() * setting.meter().ticksPerBar();
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < sketch.units().size(); i++) {
      for (LineSketch.Spot spot : sketch.units().get(i)) {
        int start = i * unit + spot.start();
        if (start < end) {
          Note own = notes.get(out.size() % notes.size());
          out.add(own.withStart(start).withTicks(Math.min(spot.ticks(), end - start)).withSlide(0));
        }
      }
    }
    return new Varied(
        out, "The same " + notes.size() + " notes in order, on " + out.size() + " new places.");
  }

  private static Varied repitched(
      List<Note> notes, Setting setting, PartHabit.Lead habit, Random random, String told) {
    LineSketch sketch = sketch(notes, setting);
    PartHabit.Lead near = around(notes, habit);
    List<Note> drawn =
        new LineDraft(setting.key(), setting.meter(), near)
            .best(sketch, setting.chords(), setting.bars(), random);
    Map<Integer, Integer> keys = new HashMap<>();
    drawn.forEach(note -> keys.put(note.start(), note.key()));
    List<Note> out = new ArrayList<>();
    for (Note note : notes) {
      out.add(note.withKey(keys.getOrDefault(note.start(), note.key())));
    }
    long changed = 0;
    for (int i = 0; i < out.size(); i++) {
      changed += out.get(i).key() == notes.get(i).key() ? 0 : 1;
    }
    return new Varied(out, told + "; " + changed + " of " + notes.size() + " notes changed.");
  }

  private static LineSketch sketch(List<Note> notes, Setting setting) {
    int unit = LineSketch.UNIT_BARS * setting.meter().ticksPerBar();
    List<List<LineSketch.Spot>> units = new ArrayList<>();
    for (int i = 0; i * LineSketch.UNIT_BARS < setting.bars(); i++) {
      int from = i * unit;
      units.add(
          notes.stream()
              .filter(note -> note.start() >= from && note.start() < from + unit)
              .map(note -> new LineSketch.Spot(note.start() - from, note.ticks()))
              .sorted(Comparator.comparingInt(LineSketch.Spot::start))
              .toList());
    }
    return new LineSketch(units, LineSketch.Third.STAYS, false, LineSketch.Signature.NONE);
  }

  /** The habit in the register the line lies in, an octave at least. */
  private static PartHabit.Lead around(List<Note> notes, PartHabit.Lead habit) {
    int low = notes.stream().mapToInt(Note::key).min().orElseThrow() - MARGIN;
    int high = notes.stream().mapToInt(Note::key).max().orElseThrow() + MARGIN;
    return new PartHabit.Lead(
        habit.name(),
        habit.program(),
        Math.max(0, Math.min(127 - OCTAVE, low)),
        Math.min(127, Math.max(low + OCTAVE, high)),
        habit.bright(),
        habit.language());
  }
}
