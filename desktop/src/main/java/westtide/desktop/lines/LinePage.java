package westtide.desktop.lines;

import java.util.Comparator;
import java.util.Optional;
import westtide.desktop.kit.Axis;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.rhythm.Ticks;
import westtide.song.Note;
import westtide.song.Pattern;

/**
 * Four bars of a line laid out on a sheet: where its notes are, and what is at a point.
 *
 * @param line the whole line
 * @param meter its meter
 * @param firstBar the first bar on the page, from 0
 * @param rows heights of notes
 * @param left pixel of the first tick
 * @param right pixel of the last
 */
record LinePage(
    Pattern.Written line, Meter meter, int firstBar, DegreeRows rows, double left, double right) {
  /** Bars on a page. */
  static final int BARS = 4;

  private static final double GRIP = 7;
  private static final double REACH = 9;

  int firstTick() {
    return firstBar * meter.ticksPerBar();
  }

  int endTick() {
    return firstTick() + Math.min(BARS, line.bars() - firstBar) * meter.ticksPerBar();
  }

  /** The tick after the whole line. */
  int lineEnd() {
    return line.bars() * meter.ticksPerBar();
  }

  Axis time() {
    return new Axis(firstTick(), endTick(), left, right);
  }

  /** The step of the line under a pixel, held on the page. */
  int step(double x) {
    double tick = Math.max(firstTick(), Math.min(endTick() - 1.0, time().value(x)));
    return (int) tick / Ticks.PER_STEP;
  }

  /** The note under a point, the nearest when several are. */
  Optional<Note> noteAt(double x, double y) {
    Axis time = time();
    return line.notes().stream()
        .filter(note -> x >= time.at(note.start()) - 2 && x <= time.at(note.end()) + 2)
        .filter(note -> distance(note, y) <= REACH)
        .min(Comparator.comparingDouble(note -> distance(note, y)));
  }

  /** Whether a pixel is on the grip at the right end of a note. */
  boolean atEnd(Note note, double x) {
    double width = time().length(note.ticks());
    return x > time().at(note.end()) - Math.min(GRIP, width / 3);
  }

  /** A start at which a note of that length stays inside the line. */
  int heldStart(int start, int ticks) {
    return Math.max(0, Math.min(lineEnd() - ticks, start));
  }

  /** A length of at least a step that stays inside the line. */
  int heldLength(Note note, int ticks) {
    return Math.max(Ticks.PER_STEP, Math.min(lineEnd() - note.start(), ticks));
  }

  /** A note in words. */
  String words(Note note) {
    return rows.key().pitch(note.key()) + " at " + Position.of(note.start(), meter);
  }

  private double distance(Note note, double y) {
    return Math.abs(rows.y(note.key()) - y);
  }
}
