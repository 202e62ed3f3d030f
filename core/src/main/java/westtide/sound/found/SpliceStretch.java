package westtide.sound.found;

import java.util.Arrays;
import westtide.sound.loudness.Fourier;

/**
 * Makes drums longer or shorter and keeps their pitch by laying pieces of the sound itself over
 * each other where they are most alike (WSOLA: Verhelst and Roelands 1993, from memory). At a
 * stroke the sound is read from the stroke on, so that it stays as sharp as it was.
 */
public final class SpliceStretch {
  private static final double WINDOW_SECONDS = 0.03;
  private static final double SEARCH_SECONDS = 0.008;

  private final int size;
  private final int hop;
  private final int search;
  private final double[] window;

  /** A stretch for sounds of a rate in Hz. */
  public SpliceStretch(int rate) {
    size = Math.max(64, (int) (WINDOW_SECONDS * rate) / 2 * 2);
    hop = size / 2;
    search = (int) (SEARCH_SECONDS * rate);
    window = Fourier.hann(size);
  }

  /**
   * The sound at another length.
   *
   * @param times how many times as long, 0.25 to 4
   * @param transients samples where something begins, in order
   * @param sides one side or two of equal length
   */
  public float[][] stretched(double times, int[] transients, float[]... sides) {
    if (times == 1) {
      return Arrays.stream(sides).map(float[]::clone).toArray(float[][]::new);
    }
    int length = (int) Math.max(1, Math.round(sides[0].length * times));
    float[][] out = new float[sides.length][length];
    float[] weight = new float[length];
    int goesOn = -hop;
    int next = 0;
    for (int at = -hop; at < length; at += hop) {
      double middle = at + hop;
      int wanted = (int) Math.round(middle / times) - hop;
      while (next + 1 < transients.length && transients[next + 1] * times <= middle + hop) {
        next++;
      }
      int from;
      double since = next < transients.length ? middle - transients[next] * times : -1;
      if (since > -hop && since < 2.0 * hop) {
        from = (int) Math.round(transients[next] + since) - hop;
      } else {
        from = likest(sides, goesOn, wanted);
      }
      add(sides, out, weight, from, at);
      goesOn = from + hop;
    }
    for (int i = 0; i < length; i++) {
      float share = Math.max(0.02f, weight[i]);
      for (float[] side : out) {
        side[i] /= share;
      }
    }
    return out;
  }

  private void add(float[][] sides, float[][] out, float[] weight, int from, int at) {
    for (int i = 0; i < size; i++) {
      int place = at + i;
      int source = from + i;
      if (place < 0 || place >= weight.length) {
        continue;
      }
      weight[place] += (float) window[i];
      if (source >= 0 && source < sides[0].length) {
        for (int side = 0; side < sides.length; side++) {
          out[side][place] += (float) window[i] * sides[side][source];
        }
      }
    }
  }

  /** The place near the one wanted that is most like what would go on. */
  private int likest(float[][] sides, int goesOn, int wanted) {
    int best = wanted;
    double most = Double.NEGATIVE_INFINITY;
    for (int from = wanted - search; from <= wanted + search; from += 2) {
      double both = 0;
      double power = 1e-9;
      for (int i = 0; i < size; i += 3) {
        float a = at(sides, goesOn + i);
        float b = at(sides, from + i);
        both += a * b;
        power += b * b;
      }
      double alike = both / Math.sqrt(power);
      if (alike > most) {
        most = alike;
        best = from;
      }
    }
    return best;
  }

  private static float at(float[][] sides, int place) {
    if (place < 0 || place >= sides[0].length) {
      return 0;
    }
    float sum = 0;
    for (float[] side : sides) {
      sum += side[place];
    }
    return sum;
  }
}
