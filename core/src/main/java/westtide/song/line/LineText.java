package westtide.song.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Ticks;
import westtide.text.Reading;

/**
 * The typed form of a line, one sign a step: {@code "5 - . b6 5 - - - | ^b7 . ~5' - . 1 ,5"}. A
 * pitch starts a note, {@code -} holds it, {@code .} rests, {@code |} ends a bar, what is missing
 * of it rests; {@code '} raises an octave and {@code ,} before the pitch lowers one, {@code ^}
 * accents, {@code _} softens, {@code ~} lets the note before slide into it, {@code :3} gives a
 * length in steps. {@code %} is the bar again, {@code (…)x2} a group twice; {@code /8} at the head
 * counts in eighths.
 *
 * <p>Text and notes are two views of one line: what the text does not say (exact velocities,
 * lengths off the grid, notes between or beside those it shows) stays when the text is changed.
 *
 * @param pitches how pitches are written
 * @param barTicks ticks of a bar
 * @param <P> what a pitch is
 */
public record LineText<P>(PitchText<P> pitches, int barTicks) {
  /** Reads a line; a problem names its column. */
  public Reading<TypedLine<P>> read(String text) {
    return new LineReader<>(this, text).read();
  }

  /** How many bars a text fills; a problem names its column. */
  public Reading<Integer> bars(String text) {
    Reading<TypedLine<P>> reading = read(text);
    return reading instanceof Reading.Problem<TypedLine<P>> problem
        ? Reading.problem(problem.column(), problem.message())
        : new Reading.Understood<>(reading.orElseThrow().bars());
  }

  /** The notes as text in sixteenths, bar by bar. */
  public String format(List<LineNote<P>> notes, int bars) {
    List<LineNote<P>> shown = shown(notes, Ticks.PER_STEP);
    int barSteps = barTicks / Ticks.PER_STEP;
    List<String> signs = new ArrayList<>();
    int next = 0;
    int held = 0;
    for (int step = 0; step < bars * barSteps; step++) {
      if (step > 0 && step % barSteps == 0) {
        signs.add("|");
      }
      if (next < shown.size() && step(shown.get(next), Ticks.PER_STEP) == step) {
        signs.add(sign(shown.get(next)));
        held = steps(shown, next, Ticks.PER_STEP) - 1;
        next++;
      } else {
        signs.add(held-- > 0 ? "-" : ".");
      }
    }
    return String.join(" ", signs);
  }

  /** What notes become when their text is changed to that: what it does not say stays. */
  public List<LineNote<P>> changed(List<LineNote<P>> before, TypedLine<P> typed) {
    List<LineNote<P>> shown = shown(before, typed.stepTicks());
    List<LineNote<P>> out = new ArrayList<>(before);
    out.removeAll(shown);
    out.removeIf(note -> note.start() >= typed.bars() * barTicks);
    for (TypedLine.TypedNote<P> note : typed.notes()) {
      LineNote<P> fresh = typed.fresh(note);
      Optional<LineNote<P>> old =
          shown.stream()
              .filter(s -> step(s, typed.stepTicks()) == note.step() && s.sounds(fresh))
              .findFirst();
      out.add(
          old.map(o -> kept(o, fresh, steps(shown, o, typed.stepTicks()) == note.steps()))
              .orElse(fresh));
    }
    out.sort(Comparator.comparingInt(LineNote::start));
    return out;
  }

  private LineNote<P> kept(LineNote<P> old, LineNote<P> fresh, boolean sameLength) {
    boolean sameLoudness = Loudness.of(old.velocity()) == Loudness.of(fresh.velocity());
    boolean sameSlide = old.slide() > 0 == fresh.slide() > 0;
    return new LineNote<>(
        old.start(),
        sameLength ? old.ticks() : fresh.ticks(),
        old.pitch(),
        old.octave(),
        sameLoudness ? old.velocity() : fresh.velocity(),
        sameSlide ? old.slide() : fresh.slide());
  }

  /** The notes that text can show: one a step, the loudest. */
  private List<LineNote<P>> shown(List<LineNote<P>> notes, int stepTicks) {
    List<LineNote<P>> sorted = new ArrayList<>(notes);
    sorted.sort(
        Comparator.<LineNote<P>>comparingInt(note -> step(note, stepTicks))
            .thenComparing(LineNote::velocity, Comparator.reverseOrder()));
    List<LineNote<P>> out = new ArrayList<>();
    int last = -1;
    for (LineNote<P> note : sorted) {
      int step = step(note, stepTicks);
      if (step != last) {
        out.add(note);
        last = step;
      }
    }
    return out;
  }

  private int step(LineNote<P> note, int stepTicks) {
    return (note.start() + stepTicks / 2) / stepTicks;
  }

  private int steps(List<LineNote<P>> shown, LineNote<P> note, int stepTicks) {
    return steps(shown, shown.indexOf(note), stepTicks);
  }

  /** How many steps a note is shown for, at most until the next. */
  private int steps(List<LineNote<P>> shown, int index, int stepTicks) {
    LineNote<P> note = shown.get(index);
    int steps = Math.max(1, Math.round(note.ticks() / (float) stepTicks));
    int room =
        index + 1 < shown.size()
            ? step(shown.get(index + 1), stepTicks) - step(note, stepTicks)
            : steps;
    return Math.min(steps, room);
  }

  private String sign(LineNote<P> note) {
    String octave = note.octave() < 0 ? ",".repeat(-note.octave()) : "";
    String above = note.octave() > 0 ? "'".repeat(note.octave()) : "";
    return Loudness.of(note.velocity()).mark()
        + (note.slide() > 0 ? "~" : "")
        + octave
        + pitches.format(note.pitch())
        + above;
  }
}
