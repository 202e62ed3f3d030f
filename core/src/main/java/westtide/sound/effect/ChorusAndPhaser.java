package westtide.sound.effect;

import java.util.Arrays;
import westtide.sound.block.Stretch;
import westtide.sound.voice.SineTable;

/** Chorus and phaser: copies that move in time, and notches that move through the spectrum. */
public final class ChorusAndPhaser {
  private static final int SIZE = 2048;
  private static final int MASK = SIZE - 1;
  private static final double CHORUS_HERTZ = 0.71;
  private static final double PHASER_HERTZ = 0.23;

  private final int rate;
  private final float[] line = new float[SIZE];
  private final Stages leftStages = new Stages();
  private final Stages rightStages = new Stages();
  private int at;
  private double chorus;
  private double phaser;

  /** One for so many samples a second. */
  public ChorusAndPhaser(int rate) {
    this.rate = rate;
  }

  /** Forgets what it heard. */
  public void clear() {
    Arrays.fill(line, 0);
    leftStages.clear();
    rightStages.clear();
    chorus = 0;
    phaser = 0;
  }

  /** Adds two copies of the middle, one on each side, whose pitch strays against each other. */
  public void chorus(float[] left, float[] right, int frames, float amount) {
    double base = 0.0105 * rate;
    double deep = 0.0026 * rate;
    float dry = 1 - 0.2f * amount;
    float wet = 0.62f * amount;
    double toLeft = base + deep * SineTable.at(chorus);
    double toRight = 1.19 * base - deep * SineTable.at(chorus + 0.37);
    for (int from = 0; from < frames; from += Stretch.EVERY) {
      chorus += Stretch.EVERY * CHORUS_HERTZ / rate;
      double leftStep = (base + deep * SineTable.at(chorus) - toLeft) / Stretch.EVERY;
      double rightStep =
          (1.19 * base - deep * SineTable.at(chorus + 0.37) - toRight) / Stretch.EVERY;
      for (int i = from; i < from + Stretch.EVERY; i++) {
        line[at] = 0.5f * (left[i] + right[i]);
        left[i] = dry * left[i] + wet * read(toLeft);
        right[i] = dry * right[i] + wet * read(toRight);
        at = at + 1 & MASK;
        toLeft += leftStep;
        toRight += rightStep;
      }
    }
    chorus -= (int) chorus;
  }

  private float read(double late) {
    double place = at - late + SIZE;
    int index = (int) place;
    float low = line[index & MASK];
    return low + (float) (place - index) * (line[index + 1 & MASK] - low);
  }

  /** All-passes in a row whose corner moves up and down; the right side a quarter behind. */
  public void phaser(float[] left, float[] right, int frames, float amount) {
    for (int from = 0; from < frames; from += Stretch.EVERY) {
      int until = Math.min(frames, from + Stretch.EVERY);
      double wet = 0.5 * amount;
      leftStages.pass(left, from, until, corner(phaser), wet);
      rightStages.pass(right, from, until, corner(phaser + 0.25), wet);
      phaser += PHASER_HERTZ * Stretch.EVERY / rate;
    }
    phaser -= (int) phaser;
  }

  private double corner(double phase) {
    double hertz = 620 * Math.pow(2, 1.6 * SineTable.at(phase));
    double k = Math.tan(Math.PI * hertz / rate);
    return (k - 1) / (k + 1);
  }

  /** Six all-passes of one side in a row. */
  private static final class Stages {
    private double a;
    private double b;
    private double c;
    private double d;
    private double e;
    private double f;

    public void clear() {
      a = 0;
      b = 0;
      c = 0;
      d = 0;
      e = 0;
      f = 0;
    }

    void pass(float[] samples, int from, int until, double corner, double wet) {
      double one = a;
      double two = b;
      double three = c;
      double four = d;
      double five = e;
      double six = f;
      for (int i = from; i < until; i++) {
        double in = samples[i];
        double first = corner * in + one;
        one = in - corner * first;
        double second = corner * first + two;
        two = first - corner * second;
        double third = corner * second + three;
        three = second - corner * third;
        double fourth = corner * third + four;
        four = third - corner * fourth;
        double fifth = corner * fourth + five;
        five = fourth - corner * fifth;
        double out = corner * fifth + six;
        six = fifth - corner * out;
        samples[i] = (float) ((1 - wet) * in + wet * out);
      }
      a = one;
      b = two;
      c = three;
      d = four;
      e = five;
      f = six;
    }
  }
}
