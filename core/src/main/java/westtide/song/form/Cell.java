package westtide.song.form;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;

/**
 * What a part does from some beat of a section on.
 *
 * @param fromBar the bar of the section it begins in, from 0
 * @param beat the beat of that bar, from 0
 * @param level how full
 * @param pattern the name of the pattern played; empty for the first of the part
 * @param sound how it sounds where not as usual
 */
public record Cell(int fromBar, int beat, Level level, String pattern, CellSound sound) {
  /** Cells in the order in which they begin. */
  public static final Comparator<Cell> ORDER =
      Comparator.comparingInt(Cell::fromBar).thenComparingInt(Cell::beat);

  /** Checks the place. */
  public Cell {
    if (fromBar < 0) {
      throw new IllegalArgumentException("a cell begins in bar 0 or later, but was " + fromBar);
    }
    if (beat < 0 || beat > 15) {
      throw new IllegalArgumentException("a cell begins on beat 0 to 15, but was " + beat);
    }
  }

  /** A cell from the first beat of a bar on that sounds as usual. */
  public Cell(int fromBar, Level level, String pattern) {
    this(fromBar, 0, level, pattern, CellSound.USUAL);
  }

  /** A silent cell from the first bar. */
  public static Cell out() {
    return new Cell(0, Level.OUT, "");
  }

  /** Whether the part is in and plays that pattern. */
  public boolean plays(String name) {
    return level != Level.OUT && pattern.equals(name);
  }

  /** Ticks from the start of the section. */
  public int from(Meter meter) {
    return fromBar * meter.ticksPerBar() + beat * meter.ticksPerBeat();
  }

  /** Whether the cell begins at the very start of a section. */
  public boolean opens() {
    return fromBar == 0 && beat == 0;
  }

  /** Whether it begins on a beat of a bar, both from 0. */
  public boolean isAt(int bar, int onBeat) {
    return fromBar == bar && beat == onBeat;
  }

  /** The last of cells in their order that has begun by a beat of a bar; empty before the first. */
  public static Optional<Cell> during(List<Cell> cells, int bar, int beat) {
    Optional<Cell> found = Optional.empty();
    for (Cell cell : cells) {
      boolean begun = cell.fromBar < bar || cell.fromBar == bar && cell.beat <= beat;
      found = begun ? Optional.of(cell) : found;
    }
    return found;
  }

  /** The same cell from another bar on. */
  public Cell withFromBar(int bar) {
    return new Cell(bar, beat, level, pattern, sound);
  }

  /** The same cell from a beat of a bar on, both from 0. */
  public Cell at(int bar, int otherBeat) {
    return new Cell(bar, otherBeat, level, pattern, sound);
  }

  /** The same cell playing another pattern. */
  public Cell withPattern(String name) {
    return new Cell(fromBar, beat, level, name, sound);
  }

  /** The same cell at another level. */
  public Cell withLevel(Level other) {
    return new Cell(fromBar, beat, other, pattern, sound);
  }

  /** The same cell sounding otherwise. */
  public Cell withSound(UnaryOperator<CellSound> change) {
    return new Cell(fromBar, beat, level, pattern, change.apply(sound));
  }

  /** Whether another cell does the same, wherever it begins. */
  public boolean same(Cell other) {
    return other.at(fromBar, beat).equals(this);
  }
}
