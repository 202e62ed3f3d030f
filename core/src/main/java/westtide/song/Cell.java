package westtide.song;

/**
 * What a part does from some bar of a section on.
 *
 * @param fromBar the bar of the section it begins with, from 0
 * @param level how full
 * @param pattern the name of the pattern played; empty for the first of the part
 */
public record Cell(int fromBar, Level level, String pattern) {
  /** Checks the bar. */
  public Cell {
    if (fromBar < 0) {
      throw new IllegalArgumentException("a cell begins in bar 0 or later, but was " + fromBar);
    }
  }

  /** A silent cell from the first bar. */
  public static Cell out() {
    return new Cell(0, Level.OUT, "");
  }

  /** Whether the part is in and plays that pattern. */
  public boolean plays(String name) {
    return level != Level.OUT && pattern.equals(name);
  }

  /** The same cell from another bar on. */
  public Cell withFromBar(int bar) {
    return new Cell(bar, level, pattern);
  }

  /** The same cell playing another pattern. */
  public Cell withPattern(String name) {
    return new Cell(fromBar, level, name);
  }

  /** The same cell at another level. */
  public Cell withLevel(Level other) {
    return new Cell(fromBar, other, pattern);
  }
}
