package westtide.sound.found;

import java.util.Arrays;
import westtide.sound.loudness.Fourier;

/**
 * Makes a sound longer or shorter and keeps its pitch: a phase vocoder whose phases are locked to
 * the peaks of the spectrum (Laroche and Dolson 1999, from memory) and begin anew at transients, so
 * that strokes stay strokes. Both sides turn by the phases of their sum, which keeps what is in the
 * middle there.
 */
public final class PhaseVocoder {
  private static final double WINDOW_SECONDS = 0.06;
  private static final int OVERLAP = 4;

  private final int size;
  private final int hop;
  private final Fourier fourier;
  private final double[] window;

  /** A vocoder for sounds of a rate in Hz. */
  public PhaseVocoder(int rate) {
    int wanted = (int) (WINDOW_SECONDS * rate);
    size = Math.max(256, Integer.highestOneBit(Math.max(1, wanted * 4 / 3)));
    hop = size / OVERLAP;
    fourier = new Fourier(size);
    window = Arrays.stream(Fourier.hann(size)).map(Math::sqrt).toArray();
  }

  /**
   * The sound at another length.
   *
   * @param times how many times as long, 0.25 to 4
   * @param transients samples where something begins, in order
   * @param sides one side or two of equal length
   */
  public float[][] stretched(double times, int[] transients, float[]... sides) {
    if (!(times >= 0.25 && times <= 4)) {
      throw new IllegalArgumentException(
          "a sound is stretched to a quarter to four times its length, but was to " + times);
    }
    if (times == 1) {
      return Arrays.stream(sides).map(float[]::clone).toArray(float[][]::new);
    }
    int frames = sides[0].length;
    int length = (int) Math.max(1, Math.round(frames * times));
    Run run = new Run(sides, length);
    int next = 0;
    for (int at = -size / 2; at < length; at += hop) {
      double middle = at + size / 2.0;
      boolean begins = false;
      while (next < transients.length && transients[next] * times < middle + hop / 2.0) {
        next++;
        begins = true;
      }
      double source =
          begins ? transients[next - 1] + (middle - transients[next - 1] * times) : middle / times;
      int until = next < transients.length ? transients[next] : frames;
      run.frame(at, (int) Math.round(source) - size / 2, until, begins);
    }
    return run.out();
  }

  /** One stretching. */
  private final class Run {
    private final float[][] sides;
    private final double[][] out;
    private final double[] weight;
    private final double[][] real;
    private final double[][] imaginary;
    private final double[] before = new double[size / 2 + 1];
    private final double[] phase = new double[size / 2 + 1];
    private final double[] turned = new double[size / 2 + 1];
    private final double[] heights = new double[size / 2 + 1];
    private boolean first = true;
    private int lastSource;

    Run(float[][] sides, int length) {
      this.sides = sides;
      this.out = new double[sides.length][length];
      this.weight = new double[length];
      this.real = new double[sides.length][size];
      this.imaginary = new double[sides.length][size];
    }

    /** Adds a frame; what begins after it, from {@code until} on, is left to frames of its own. */
    void frame(int at, int source, int until, boolean begins) {
      for (int side = 0; side < sides.length; side++) {
        spectrum(sides[side], source, until, real[side], imaginary[side]);
      }
      double[] summed = phases();
      double[] turns = turns(summed, source, begins || first);
      for (int side = 0; side < sides.length; side++) {
        turn(real[side], imaginary[side], turns);
        back(real[side], imaginary[side]);
        add(out[side], real[side], at, until - source);
      }
      for (int i = 0; i < Math.min(size, until - source); i++) {
        int place = at + i;
        if (place >= 0 && place < weight.length) {
          weight[place] += window[i] * window[i];
        }
      }
      System.arraycopy(summed, 0, before, 0, before.length);
      lastSource = source;
      first = false;
    }

    private void spectrum(float[] side, int from, int until, double[] re, double[] im) {
      int end = Math.min(until, side.length);
      for (int i = 0; i < size; i++) {
        int place = from + i;
        re[i] = place >= 0 && place < end ? side[place] * window[i] : 0;
      }
      Arrays.fill(im, 0);
      fourier.transform(re, im);
    }

    private double[] phases() {
      double[] out = new double[size / 2 + 1];
      for (int bin = 0; bin <= size / 2; bin++) {
        double re = 0;
        double im = 0;
        for (int side = 0; side < sides.length; side++) {
          re += real[side][bin];
          im += imaginary[side][bin];
        }
        heights[bin] = re * re + im * im;
        out[bin] = Math.atan2(im, re);
      }
      return out;
    }

    /** How far each bin's phase is turned: peaks go on where they were, what is near goes along. */
    private double[] turns(double[] summed, int source, boolean anew) {
      if (anew) {
        Arrays.fill(turned, 0);
        System.arraycopy(summed, 0, phase, 0, phase.length);
        return turned;
      }
      double[] went = new double[turned.length];
      double step = source - lastSource;
      int start = 0;
      for (int peak = nextPeak(0); peak >= 0; ) {
        int next = nextPeak(peak + 1);
        int end = next < 0 ? size / 2 : valley(peak, next);
        double usual = 2 * Math.PI * peak / size;
        double strays = step == 0 ? 0 : wrapped(summed[peak] - before[peak] - usual * step) / step;
        double now = phase[peak] + (usual + strays) * hop;
        double turn = now - summed[peak];
        for (int bin = start; bin <= end; bin++) {
          went[bin] = turn;
          phase[bin] = summed[bin] + turn;
        }
        start = end + 1;
        peak = next;
      }
      for (int bin = start; bin <= size / 2; bin++) {
        phase[bin] = summed[bin];
      }
      System.arraycopy(went, 0, turned, 0, turned.length);
      return turned;
    }

    private int nextPeak(int from) {
      for (int bin = Math.max(1, from); bin < size / 2; bin++) {
        double here = heights[bin];
        boolean over =
            here > heights[bin - 1]
                && here >= heights[bin + 1]
                && (bin < 2 || here > heights[bin - 2])
                && (bin + 2 > size / 2 || here >= heights[bin + 2]);
        if (over) {
          return bin;
        }
      }
      return -1;
    }

    private int valley(int peak, int next) {
      int out = peak;
      for (int bin = peak; bin < next; bin++) {
        out = heights[bin] < heights[out] ? bin : out;
      }
      return out;
    }

    private double wrapped(double angle) {
      return angle - 2 * Math.PI * Math.rint(angle / (2 * Math.PI));
    }

    private void turn(double[] re, double[] im, double[] turns) {
      for (int bin = 0; bin <= size / 2; bin++) {
        if (turns[bin] != 0) {
          double cos = Math.cos(turns[bin]);
          double sin = Math.sin(turns[bin]);
          double a = re[bin] * cos - im[bin] * sin;
          im[bin] = re[bin] * sin + im[bin] * cos;
          re[bin] = a;
        }
        if (bin > 0 && bin < size / 2) {
          re[size - bin] = re[bin];
          im[size - bin] = -im[bin];
        }
      }
    }

    /** The transform backwards: forwards over the mirrored spectrum, divided by its length. */
    private void back(double[] re, double[] im) {
      for (int i = 0; i < size; i++) {
        im[i] = -im[i];
      }
      fourier.transform(re, im);
    }

    private void add(double[] into, double[] re, int at, int most) {
      for (int i = 0; i < Math.min(size, most); i++) {
        int place = at + i;
        if (place >= 0 && place < into.length) {
          into[place] += re[i] / size * window[i];
        }
      }
    }

    float[][] out() {
      float[][] made = new float[out.length][weight.length];
      for (int side = 0; side < out.length; side++) {
        for (int i = 0; i < weight.length; i++) {
          made[side][i] = (float) (out[side][i] / Math.max(1e-3, weight[i]));
        }
      }
      return made;
    }
  }
}
