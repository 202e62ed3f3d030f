package westtide.desktop.line;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import westtide.desktop.kit.sheet.Axis;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;

/**
 * Some bars of a line laid out on a sheet: where its notes are, and what is at a point.
 *
 * @param notes the notes of the whole line
 * @param bars how long the line is
 * @param meter its meter
 * @param songBar bars of the song before the line
 * @param firstBar the first bar on the page, from 0
 * @param shown how many bars a page has
 * @param rows heights of notes
 * @param left pixel of the first tick
 * @param right pixel of the last
 */
public record LinePage(
    List<Note> notes,
    int bars,
    Meter meter,
    int songBar,
    int firstBar,
    int shown,
    Rows rows,
    double left,
    double right) {
  private static final double GRIP = 7;
  private static final double REACH = 9;

  /** The first tick on the page. */
  public int firstTick() {
    return firstBar * meter.ticksPerBar();
  }

  /** The tick after the page. */
  public int endTick() {
    return firstTick() + Math.min(shown, bars - firstBar) * meter.ticksPerBar();
  }

  /** The tick after the whole line. */
  public int lineEnd() {
    return bars * meter.ticksPerBar();
  }

  /** Ticks of the line to pixels. */
  public Axis time() {
    return new Axis(firstTick(), endTick(), left, right);
  }

  /** The step of the line under a pixel, held on the page. */
  public int step(double x) {
    double tick = Math.max(firstTick(), Math.min(endTick() - 1.0, time().value(x)));
    return (int) tick / Ticks.PER_STEP;
  }

  /** The note under a point, the nearest when several are. */
  public Optional<Note> noteAt(double x, double y) {
    Axis time = time();
    return notes.stream()
        .filter(note -> x >= time.at(note.start()) - 2 && x <= time.at(note.end()) + 2)
        .filter(note -> distance(note, y) <= REACH)
        .min(Comparator.comparingDouble(note -> distance(note, y)));
  }

  /** Whether a pixel is on the grip at the right end of a note. */
  public boolean atEnd(Note note, double x) {
    double width = time().length(note.ticks());
    return x > time().at(note.end()) - Math.min(GRIP, width / 3);
  }

  /** A start at which a note of that length stays inside the line. */
  public int heldStart(int start, int ticks) {
    return Math.max(0, Math.min(lineEnd() - ticks, start));
  }

  /** A length of at least a step that stays inside the line. */
  public int heldLength(Note note, int ticks) {
    return Math.max(Ticks.PER_STEP, Math.min(lineEnd() - note.start(), ticks));
  }

  /** A note in words. */
  public String words(Note note) {
    Position at = Position.of(note.start(), meter);
    return rows.key().pitch(note.key()) + " at " + at.inBar(songBar + at.bar());
  }

  private double distance(Note note, double y) {
    return Math.abs(rows.y(note.key()) - y);
  }
}
