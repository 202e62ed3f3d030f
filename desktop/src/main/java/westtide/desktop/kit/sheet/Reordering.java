package westtide.desktop.kit.sheet;

import java.util.function.BiConsumer;
import java.util.function.ToIntBiFunction;
import westtide.desktop.kit.Pull;

/** A thing of a row carried to another place, counted from 0; let go, it goes there. */
public final class Reordering implements Pull {
  private final int from;
  private final ToIntBiFunction<Double, Double> placeAt;
  private final BiConsumer<Integer, Integer> move;
  private int to;

  /**
   * A drag of the thing at a place.
   *
   * @param placeAt the place at a point of the sheet, inside the row
   * @param move moves the thing of a place to another
   */
  public Reordering(
      int from, ToIntBiFunction<Double, Double> placeAt, BiConsumer<Integer, Integer> move) {
    this.from = from;
    this.to = from;
    this.placeAt = placeAt;
    this.move = move;
  }

  @Override
  public String to(double x, double y) {
    to = placeAt.applyAsInt(x, y);
    return "place " + (to + 1);
  }

  @Override
  public void end() {
    if (to != from) {
      move.accept(from, to);
    }
  }
}
