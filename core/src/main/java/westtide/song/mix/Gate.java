package westtide.song.mix;

import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;

/**
 * Rhythmic volume of a held part: a pattern of steps that opens and closes it, however long its
 * notes are. Counted from the beginning of the song.
 *
 * @param figure its sixteenths: what is struck or held is open, a rest is closed
 * @param depth how far it closes, 0 to 100 %; 0 leaves it open
 */
public record Gate(Figure figure, int depth) {
  /** Always open. */
  public static final Gate OPEN = new Gate(new Figure("x-------"), 0);

  /** Checks the depth. */
  public Gate {
    Range.check("a gate's depth", depth, 0, 100, "%");
  }

  /** The same gate with another pattern; one that was open closes all the way. */
  public Gate withFigure(Figure other) {
    return new Gate(other, depth == 0 ? 100 : depth);
  }

  /** The same pattern closing further or less far. */
  public Gate withDepth(int percent) {
    return new Gate(figure, percent);
  }

  /** Whether it closes at all. */
  public boolean closes() {
    return depth > 0 && figure.text().indexOf('.') >= 0;
  }

  /** Whether it is open at a step of the song. */
  public boolean open(long step) {
    return figure.text().charAt((int) Math.floorMod(step, (long) figure.length())) != '.';
  }

  /** The factor of the level at a tick of the song, 0 to 1. */
  public double gain(double tick) {
    long step = (long) Math.floor(tick / Ticks.PER_STEP);
    return open(step) ? 1 : 1 - depth / 100.0;
  }
}
