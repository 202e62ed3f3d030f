package westtide.sound.voice;

/**
 * A saw or pulse wave read from tables that hold no overtone above half the sample rate: three
 * tables an octave, each with as many overtones as fit at the highest pitch it serves, so nothing
 * folds back. The pitch may move from sample to sample.
 */
public final class Saw {
  private static final int BITS = 12;
  private static final int SIZE = 1 << BITS;
  private static final int MASK = SIZE - 1;

  /** A turn is as many steps as a whole number has, so that phases wrap by themselves. */
  private static final double TURN = 4294967296.0;

  private static final int HALF_TURN = 1 << 31;
  private static final int BETWEEN = 32 - BITS;
  private static final int SHARE = (1 << BETWEEN) - 1;
  private static final float POINT = 1f / (1 << BETWEEN);
  private static final int TABLES_AN_OCTAVE = 3;
  private static final int LEVELS = 9 * TABLES_AN_OCTAVE;
  private static final int MOST_OVERTONES = 512;
  private static final double[] HIGHEST_STEP = highestSteps();
  private static final float[][] TABLES = tables();

  private int phase;
  private float[] table = TABLES[0];
  private double lowest;
  private double highest = HIGHEST_STEP[0];

  /** A wave that starts at a phase in turns. */
  public Saw(double startTurns) {
    this.phase = turned(startTurns);
  }

  /** The next sample of a saw, −1 to 1; {@code step} is frequency over sample rate. */
  public double saw(double step) {
    choose(step);
    double out = read(table, phase);
    phase += turned(step);
    return out;
  }

  /** The next sample of a pulse wave that is high for a share of its period. */
  public double pulse(double step, double share) {
    choose(step);
    double out = read(table, phase - turned(share)) - read(table, phase) + 2 * share - 1;
    phase += turned(step);
    return out;
  }

  /**
   * Adds a stretch of a saw at a level.
   *
   * @param step frequency over sample rate at its first sample
   * @param change what is added to the step each sample
   */
  public void add(double[] to, int from, int until, double level, double step, double change) {
    choose(step + Math.max(0, change * (until - from)));
    float[] read = table;
    int at = phase;
    int turn = turned(step);
    int more = turned(change);
    for (int i = from; i < until; i++) {
      int index = at >>> BETWEEN;
      float low = read[index];
      to[i] += level * (low + (at & SHARE) * POINT * (read[index + 1] - low));
      at += turn;
      turn += more;
    }
    phase = at;
  }

  /** Adds a stretch of a square wave at a level; {@code step} is frequency over sample rate. */
  public void addSquare(double[] to, int from, int until, double level, double step) {
    choose(step);
    float[] read = table;
    int at = phase;
    int turn = turned(step);
    for (int i = from; i < until; i++) {
      int other = at + HALF_TURN;
      int index = at >>> BETWEEN;
      int far = other >>> BETWEEN;
      float low = read[index];
      float lowFar = read[far];
      float near = low + (at & SHARE) * POINT * (read[index + 1] - low);
      to[i] += level * (lowFar + (other & SHARE) * POINT * (read[far + 1] - lowFar) - near);
      at += turn;
    }
    phase = at;
  }

  private static int turned(double turns) {
    return (int) (long) (turns * TURN);
  }

  private void choose(double step) {
    if (step > highest || step < lowest) {
      chooseAnew(step);
    }
  }

  private void chooseAnew(double step) {
    int level = 0;
    while (level < LEVELS - 1 && step > HIGHEST_STEP[level]) {
      level++;
    }
    table = TABLES[level];
    highest = level == LEVELS - 1 ? Double.MAX_VALUE : HIGHEST_STEP[level];
    lowest = level == 0 ? 0 : HIGHEST_STEP[level - 1];
  }

  private static double read(float[] table, int phase) {
    int index = phase >>> BETWEEN;
    float low = table[index];
    return low + (phase & SHARE) * POINT * (table[index + 1] - low);
  }

  private static int overtones(int level) {
    return Math.max(1, (int) (MOST_OVERTONES * Math.pow(2, -level / (double) TABLES_AN_OCTAVE)));
  }

  private static double[] highestSteps() {
    double[] out = new double[LEVELS];
    for (int i = 0; i < LEVELS; i++) {
      out[i] = 0.5 / overtones(i);
    }
    return out;
  }

  /** From the fewest overtones to the most, each table adding to the one before. */
  private static float[][] tables() {
    double[] sine = new double[SIZE];
    for (int i = 0; i < SIZE; i++) {
      sine[i] = Math.sin(2 * Math.PI * i / SIZE);
    }
    float[][] out = new float[LEVELS][SIZE + 1];
    double[] sum = new double[SIZE];
    int overtone = 1;
    for (int level = LEVELS - 1; level >= 0; level--) {
      for (; overtone <= overtones(level); overtone++) {
        double share = -2 / (Math.PI * overtone);
        for (int i = 0; i < SIZE; i++) {
          sum[i] += share * sine[i * overtone & MASK];
        }
      }
      for (int i = 0; i <= SIZE; i++) {
        out[level][i] = (float) sum[i & MASK];
      }
    }
    return out;
  }
}
