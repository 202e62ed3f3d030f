package westtide.sound.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.song.mix.Duck;
import westtide.sound.block.Decibels;
import westtide.sound.block.Line;
import westtide.sound.block.Stretch;
import westtide.sound.effect.Crossover;
import westtide.sound.effect.FilterRow;
import westtide.sound.effect.SlidingLeast;
import westtide.sound.effect.TwoSides;

/** The small workers of the desk against slow, plain versions of themselves. */
class PartsOfTheDeskTest {
  private static final int RATE = 48_000;

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 7, 71, 72})
  void theSlidingLeastIsTheLeastOfTheLast(int length) {
    Random random = new Random(length);
    SlidingLeast sliding = new SlidingLeast(length);
    float[] values = new float[3000];
    for (int i = 0; i < values.length; i++) {
      values[i] = random.nextInt(50);
      float least = Float.MAX_VALUE;
      for (int back = Math.max(0, i - length + 1); back <= i; back++) {
        least = Math.min(least, values[back]);
      }
      assertThat(sliding.least(values[i])).isEqualTo(least);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {128, 129, 300, 571})
  void aLineGivesBackWhatWentInItsLengthAgo(int length) {
    Line line = new Line(length, 128);
    float[] block = new float[128];
    for (int from = 0; from < 4000; from += 128) {
      for (int i = 0; i < 128; i++) {
        block[i] = from + i + 1;
      }
      line.swap(block, 128);
      for (int i = 0; i < 128; i++) {
        assertThat(block[i]).isEqualTo(Math.max(0, from + i + 1 - length));
      }
    }
  }

  /** Put together again, lows and the rest are as loud as before at every frequency. */
  @ParameterizedTest
  @ValueSource(doubles = {30, 80, 150, 300, 1000, 9000})
  void aCrossoverThatTakesNothingChangesNoLevel(double hertz) {
    assertThat(level(hertz, 1)).isCloseTo(1, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({"25,0.10", "3000,1.0"})
  void aCrossoverTakesTheLowsAlone(double hertz, double left) {
    assertThat(level(hertz, 0)).isCloseTo(left, within(0.08));
  }

  private static double level(double hertz, double gain) {
    Crossover crossover = new Crossover(RATE);
    crossover.set(150);
    float[] wave = sine(hertz);
    crossover.scaleLows(wave, wave, 0, wave.length, gain, gain, true);
    double peak = 0;
    for (int i = RATE / 2; i < RATE; i++) {
      peak = Math.max(peak, Math.abs(wave[i]));
    }
    return peak;
  }

  private static float[] sine(double hertz) {
    float[] wave = new float[RATE];
    for (int i = 0; i < wave.length; i++) {
      wave[i] = (float) Math.sin(2 * Math.PI * hertz * i / RATE);
    }
    return wave;
  }

  @Test
  void aCrossoverTreatsBothSidesAsItTreatsOne() {
    float[] left = sine(70);
    float[] right = sine(230);
    for (float[] side : new float[][] {left, right}) {
      float[] alone = side.clone();
      Crossover one = new Crossover(RATE);
      one.set(150);
      one.scaleLows(alone, alone, 0, RATE, 0.9, 0.2, true);
      Crossover two = new Crossover(RATE);
      two.set(150);
      float[] toLeft = left.clone();
      float[] toRight = right.clone();
      two.scaleLows(toLeft, toRight, 0, RATE, 0.9, 0.2, false);
      assertThat(side == left ? toLeft : toRight).containsExactly(alone, within(1e-6f));
    }
  }

  /** The difference equation itself, {@code y = b0 x + b1 x/z + b2 x/z² − a1 y/z − a2 y/z²}. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void aFilterOfTheSecondOrderIsItsDifferenceEquation(boolean middle) {
    TwoSides sides = new TwoSides();
    sides.set(0.3, -0.4, 0.2, -1.6, 0.7);
    Random random = new Random(3);
    float[] left = new float[600];
    float[] right = new float[600];
    for (int i = 0; i < left.length; i++) {
      left[i] = random.nextFloat() - 0.5f;
      right[i] = random.nextFloat() - 0.5f;
    }
    float[] wantedLeft = plain(left);
    float[] wantedRight = middle ? right.clone() : plain(right);
    FilterRow row = FilterRow.of(sides);
    row.run(left, right, 0, 251, middle);
    row.run(left, right, 251, 600, middle);
    assertThat(left).containsExactly(wantedLeft, within(1e-5f));
    assertThat(right).containsExactly(wantedRight, within(1e-5f));
  }

  /** Three in a row are each the difference equation, one after the other. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void filtersInARowWorkOneAfterAnother(boolean middle) {
    FilterRow row = new FilterRow(3);
    for (int i = 0; i < 3; i++) {
      TwoSides sides = new TwoSides();
      sides.set(0.3, -0.4, 0.2, -1.6, 0.7);
      row.add(sides);
    }
    Random random = new Random(4);
    float[] left = new float[300];
    for (int i = 0; i < left.length; i++) {
      left[i] = random.nextFloat() - 0.5f;
    }
    float[] right = left.clone();
    float[] untouched = left.clone();
    float[] wanted = plain(plain(plain(left)));
    row.run(left, right, 0, 300, middle);
    assertThat(left).containsExactly(wanted, within(1e-4f));
    assertThat(right).containsExactly(middle ? untouched : wanted, within(1e-4f));
  }

  private static float[] plain(float[] in) {
    double[] out = new double[in.length];
    float[] rounded = new float[in.length];
    for (int i = 0; i < in.length; i++) {
      double once = i < 1 ? 0 : -0.4 * in[i - 1] + 1.6 * out[i - 1];
      double twice = i < 2 ? 0 : 0.2 * in[i - 2] - 0.7 * out[i - 2];
      out[i] = 0.3 * in[i] + once + twice;
      rounded[i] = (float) out[i];
    }
    return rounded;
  }

  /** −depth · (1 − x)² dB, by arithmetic. */
  @ParameterizedTest
  @CsvSource({"0,-12", "0.25,-6.75", "0.5,-3", "0.75,-0.75", "1,0", "-0.1,0", "7,0"})
  void theDuckComesBackAlongItsCurve(double passed, double decibels) {
    DuckShape shape = new DuckShape(new Duck(Duck.Trigger.KICK, 120, 100, 0));
    assertThat(Decibels.of(shape.gain(100 * passed))).isCloseTo(decibels, within(0.01));
  }

  @Test
  void theLastKickIsFoundForwardsAndAfterAJump() {
    Ducking ducking = new Ducking();
    Duck duck = new Duck(Duck.Trigger.KICK, 200, 100, 0);
    DuckShape shape = new DuckShape(duck);
    int[] kicks = {0, 960, 5000};
    Stretch stretch = new Stretch(256);
    for (int tick : new int[] {10, 500, 970, 2000, 5010, 970, 20, 100_000}) {
      stretch.run(0, tick, 0, 0.5);
      int last = Arrays.stream(kicks).filter(k -> k <= tick).max().orElseThrow();
      double passed = (tick - last) * 0.5;
      float expected = shape.gain(passed);
      assertThat(ducking.gain(duck, shape, stretch, 0, kicks))
          .as("tick " + tick)
          .isEqualTo(expected);
    }
  }

  @Test
  void beforeTheFirstKickNothingStepsBack() {
    Stretch stretch = new Stretch(256);
    stretch.run(0, 100, 0, 0.5);
    Duck duck = new Duck(Duck.Trigger.KICK, 200, 100, 0);
    float gain = new Ducking().gain(duck, new DuckShape(duck), stretch, 0, new int[] {960});
    assertThat(gain).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({"0,1", "-6.0206,0.5", "6.0206,2", "-20,0.1"})
  void decibelsAreFactors(double decibels, double factor) {
    assertThat(Decibels.gain(decibels)).isCloseTo(factor, within(1e-4));
    assertThat(Decibels.of(factor)).isCloseTo(decibels, within(1e-3));
  }

  /** Random notes through a channel, in blocks, against adding tables up by hand. */
  @Test
  void aChannelAddsItsTablesWhereTheNotesStand() {
    Random random = new Random(9);
    int notes = 20;
    int[] starts = new int[notes];
    float[][] tables = new float[notes][];
    float[] gains = new float[notes];
    float[] expected = new float[256 * 40];
    for (int i = 0; i < notes; i++) {
      starts[i] = i * 400 + random.nextInt(300);
      tables[i] = new float[600];
      gains[i] = 0.1f + random.nextFloat();
      for (int s = 0; s < 600; s++) {
        tables[i][s] = random.nextFloat() - 0.5f;
        expected[starts[i] + s] += tables[i][s] * gains[i];
      }
    }
    Channel channel = new Channel(RATE, 256, plain());
    channel.take(track(starts, tables, gains), plain(), -1, 1);
    Stretch stretch = new Stretch(256);
    for (int block = 0; block < 40; block++) {
      int from = block * 256;
      channel.play(from, from + 256, tick -> tick - from);
      channel.render(stretch, 256, true);
      for (int i = 0; i < 256; i++) {
        assertThat(channel.left()[i]).isCloseTo(expected[from + i], within(1e-5f));
      }
    }
  }

  private static Strip plain() {
    return Strip.of(westtide.song.mix.Mix.PLAIN, Movements.NONE, false);
  }

  private static Track track(int[] starts, float[][] tables, float[] gains) {
    int size = starts.length;
    boolean[] struck = new boolean[size];
    Arrays.fill(struck, true);
    int[] ends = Arrays.stream(starts).map(start -> start + 600).toArray();
    return new Track(
        starts,
        ends,
        new int[size],
        tables,
        gains,
        gains.clone(),
        new int[size],
        new float[size],
        struck,
        new float[size],
        new float[size],
        true,
        600);
  }
}
