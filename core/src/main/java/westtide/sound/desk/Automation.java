package westtide.sound.desk;

import java.util.Arrays;
import westtide.sound.block.Stretch;

/**
 * What a value does over the song: straight pieces between ticks, and a resting value elsewhere.
 *
 * @param starts first tick of each piece, rising
 * @param ends tick after each piece
 * @param from value at the start of each piece
 * @param to value at the end of each piece
 * @param rest value where there is no piece
 */
public record Automation(int[] starts, int[] ends, double[] from, double[] to, double rest) {
  /** A value that never moves. */
  public static Automation still(double rest) {
    return new Automation(new int[0], new int[0], new double[0], new double[0], rest);
  }

  /** Whether the value ever moves. */
  public boolean any() {
    return starts.length > 0;
  }

  /** Whether a piece acts anywhere in a block of the song. */
  boolean moves(Stretch stretch, int frames) {
    if (!any() || !stretch.moving()) {
      return false;
    }
    int piece = piece(stretch.tick(frames / Stretch.EVERY - 1));
    return piece >= 0 && ends[piece] > stretch.tick(0);
  }

  /** Whether a tick lies in a piece. */
  boolean moves(double tick) {
    return any() && acts(piece(tick), tick);
  }

  private boolean acts(int piece, double tick) {
    return piece >= 0 && tick < ends[piece];
  }

  private int piece(double tick) {
    if (tick < starts[0]) {
      return -1;
    }
    if (tick >= starts[starts.length - 1]) {
      return starts.length - 1;
    }
    int index = Arrays.binarySearch(starts, (int) Math.floor(tick));
    return index >= 0 ? index : -index - 2;
  }

  /** The value at a tick. */
  public double at(double tick) {
    int piece = any() ? piece(tick) : -1;
    if (!acts(piece, tick)) {
      return rest;
    }
    double share = (tick - starts[piece]) / (ends[piece] - starts[piece]);
    return from[piece] + share * (to[piece] - from[piece]);
  }
}
