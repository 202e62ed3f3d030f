package westtide.sound.instrument;

import java.util.Arrays;
import java.util.stream.IntStream;
import westtide.sound.voice.Fade;

/**
 * Falling sines, as a struck body rings, until each has faded. A stretch of a sine is the first
 * stretch turned and made smaller, so that four sines are added to many samples at once and none
 * waits for the sample before.
 */
final class Modes {
  private static final int STRETCH = 128;
  private static final int TOGETHER = 4;

  /** How far a sine falls below its own start before it is no longer counted. */
  private static final double FADED_DB = 100;

  private static final double SIXTY_DB = 60;

  private final int rate;
  private final double[] hertz;
  private final double[] millis;
  private final double[] levels;

  /**
   * Sines with frequencies in Hz, the milliseconds each takes to fall by 60 dB, and levels; those
   * above 0.45 of the sample rate are left out.
   */
  Modes(int rate, double[] hertz, double[] millis, double[] levels) {
    this.rate = rate;
    this.hertz = hertz;
    this.millis = millis;
    this.levels = levels;
  }

  /** Adds them from a sample on, each from its zero upwards. */
  void add(double[] wave, int from) {
    Mode[] ringing =
        IntStream.range(0, hertz.length)
            .filter(i -> hertz[i] <= 0.45 * rate)
            .mapToObj(i -> new Mode(hertz[i], millis[i], levels[i], rate))
            .sorted((a, b) -> b.frames - a.frames)
            .toArray(Mode[]::new);
    float[] sum = new float[STRETCH];
    int left = ringing.length;
    for (int at = from; at < wave.length && left > 0; at += STRETCH) {
      Arrays.fill(sum, 0);
      int mode = 0;
      for (; mode + TOGETHER <= left; mode += TOGETHER) {
        four(ringing[mode], ringing[mode + 1], ringing[mode + 2], ringing[mode + 3], sum);
      }
      for (; mode < left; mode++) {
        one(ringing[mode], sum);
      }
      int frames = Math.min(STRETCH, wave.length - at);
      for (int i = 0; i < frames; i++) {
        wave[at + i] += sum[i];
      }
      left = ringing(ringing, left, at + STRETCH - from);
    }
  }

  private static int ringing(Mode[] modes, int left, int passed) {
    int still = left;
    while (still > 0 && modes[still - 1].frames <= passed) {
      still--;
    }
    return still;
  }

  private static void four(Mode first, Mode second, Mode third, Mode fourth, float[] sum) {
    float[] up1 = first.upright;
    float[] up2 = second.upright;
    float[] up3 = third.upright;
    float[] up4 = fourth.upright;
    float[] across1 = first.across;
    float[] across2 = second.across;
    float[] across3 = third.across;
    float[] across4 = fourth.across;
    float sine1 = (float) first.sine;
    float sine2 = (float) second.sine;
    float sine3 = (float) third.sine;
    float sine4 = (float) fourth.sine;
    float cosine1 = (float) first.cosine;
    float cosine2 = (float) second.cosine;
    float cosine3 = (float) third.cosine;
    float cosine4 = (float) fourth.cosine;
    for (int i = 0; i < STRETCH; i++) {
      float low = sine1 * across1[i] + cosine1 * up1[i] + (sine2 * across2[i] + cosine2 * up2[i]);
      float high = sine3 * across3[i] + cosine3 * up3[i] + (sine4 * across4[i] + cosine4 * up4[i]);
      sum[i] += low + high;
    }
    first.turn();
    second.turn();
    third.turn();
    fourth.turn();
  }

  private static void one(Mode mode, float[] sum) {
    float[] upright = mode.upright;
    float[] across = mode.across;
    float sine = (float) mode.sine;
    float cosine = (float) mode.cosine;
    for (int i = 0; i < STRETCH; i++) {
      sum[i] += sine * across[i] + cosine * upright[i];
    }
    mode.turn();
  }

  /** One sine: its first stretch, and how far it has turned and fallen since. */
  private static final class Mode {
    private final int frames;
    private final float[] across = new float[STRETCH];
    private final float[] upright = new float[STRETCH];
    private final double turnAcross;
    private final double turnUpright;
    private double sine;
    private double cosine;

    Mode(double hertz, double millis, double level, int rate) {
      double fall = Fade.perSample(millis, rate);
      double angle = 2 * Math.PI * hertz / rate;
      double stepAcross = fall * Math.cos(angle);
      double stepUpright = fall * Math.sin(angle);
      double x = 1;
      double y = 0;
      for (int i = 0; i < STRETCH; i++) {
        across[i] = (float) x;
        upright[i] = (float) y;
        double turned = x * stepAcross - y * stepUpright;
        y = x * stepUpright + y * stepAcross;
        x = turned;
      }
      turnAcross = x;
      turnUpright = y;
      cosine = level / fall;
      frames = (int) (FADED_DB / SIXTY_DB * millis / 1000 * rate);
    }

    void turn() {
      double turned = cosine * turnAcross - sine * turnUpright;
      sine = sine * turnAcross + cosine * turnUpright;
      cosine = turned;
    }
  }
}
