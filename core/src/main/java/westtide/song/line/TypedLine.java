package westtide.song.line;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;
import java.util.function.UnaryOperator;

/**
 * A line as it was typed.
 *
 * @param stepTicks ticks of a step
 * @param bars whole bars it fills
 * @param notes its notes
 * @param <P> what a pitch is
 */
public record TypedLine<P>(int stepTicks, int bars, List<TypedNote<P>> notes) {
  /**
   * A typed note.
   *
   * @param step where it starts, from 0
   * @param steps how long it is
   * @param pitch its pitch without octave marks
   * @param octave octave marks added up
   * @param loudness accent, plain or soft
   * @param slides whether the note before slides into it
   * @param <P> what a pitch is
   */
  record TypedNote<P>(int step, int steps, P pitch, int octave, Loudness loudness, boolean slides) {
    TypedNote<P> longer() {
      return new TypedNote<>(step, steps + 1, pitch, octave, loudness, slides);
    }

    TypedNote<P> later(int by) {
      return new TypedNote<>(step + by, steps, pitch, octave, loudness, slides);
    }

    TypedNote<P> cutAt(int end) {
      return new TypedNote<>(step, Math.min(steps, end - step), pitch, octave, loudness, slides);
    }
  }

  /** Copies the notes. */
  public TypedLine {
    notes = List.copyOf(notes);
  }

  /** The same line with its pitches said otherwise, and octaves added for what that leaves out. */
  public TypedLine<P> withPitches(UnaryOperator<P> pitch, ToIntFunction<P> octave) {
    return new TypedLine<>(
        stepTicks,
        bars,
        notes.stream()
            .map(
                note ->
                    new TypedNote<>(
                        note.step(),
                        note.steps(),
                        pitch.apply(note.pitch()),
                        note.octave() + octave.applyAsInt(note.pitch()),
                        note.loudness(),
                        note.slides()))
            .toList());
  }

  /**
   * The line as a pattern of so many bars plays it: again and again until it fills them, cut off
   * there. One that fits a whole number of times stays as short as it is, since it repeats anyhow;
   * longer ones stay.
   */
  public TypedLine<P> filling(int wanted, int barTicks) {
    if (bars >= wanted || wanted % bars == 0) {
      return this;
    }
    int steps = bars * barTicks / stepTicks;
    int end = wanted * barTicks / stepTicks;
    List<TypedNote<P>> out = new ArrayList<>();
    for (int from = 0; from < end; from += steps) {
      for (TypedNote<P> note : notes) {
        if (from + note.step() < end) {
          out.add(note.later(from).cutAt(end));
        }
      }
    }
    return new TypedLine<>(stepTicks, wanted, out);
  }

  /** The line as notes that nobody wrote before. */
  public List<LineNote<P>> fresh() {
    return notes.stream().map(this::fresh).toList();
  }

  LineNote<P> fresh(TypedNote<P> note) {
    return new LineNote<>(
        note.step() * stepTicks,
        note.steps() * stepTicks,
        note.pitch(),
        note.octave(),
        note.loudness().velocity(),
        note.slides() ? stepTicks : 0);
  }
}
