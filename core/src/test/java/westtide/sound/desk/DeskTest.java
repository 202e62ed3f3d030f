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
import westtide.song.mix.Mix;
import westtide.sound.block.Decibels;
import westtide.sound.block.Stretch;
import westtide.sound.effect.Echo;
import westtide.sound.effect.Limiter;
import westtide.sound.effect.SoftClip;
import westtide.sound.effect.Spread;
import westtide.sound.reverb.Reverb;
import westtide.sound.reverb.ReverbShape;

class DeskTest {
  private static final int RATE = 48_000;
  private static final int BLOCK = 256;

  /** At 120 BPM a quarter is 500 ms, so 1920 ticks a second. */
  private static final double TICKS_A_FRAME = 1920.0 / RATE;

  @Test
  void ducksAlongItsCurve() {
    Duck duck = new Duck(Duck.Trigger.QUARTERS, 120, 200, 0);
    float[] heard = steady(Mix.PLAIN.withDuck(duck), RATE, new int[0]);
    for (double millis : new double[] {5, 50, 100, 150, 250, 400}) {
      double passed = Math.min(1, millis / 200);
      double wanted = -12 * (1 - passed) * (1 - passed);
      assertThat(level(heard, millis)).as(millis + " ms").isCloseTo(wanted, within(0.35));
      assertThat(level(heard, 500 + millis)).as("next quarter").isCloseTo(wanted, within(0.35));
    }
  }

  @Test
  void ducksWhereTheKickIs() {
    Duck duck = new Duck(Duck.Trigger.KICK, 60, 100, 0);
    float[] heard = steady(Mix.PLAIN.withDuck(duck), RATE, new int[] {480, 1200});
    assertThat(level(heard, 100)).as("before any kick").isCloseTo(0, within(0.01));
    assertThat(level(heard, 250 + 50)).isCloseTo(-1.5, within(0.2));
    assertThat(level(heard, 500)).as("between").isCloseTo(0, within(0.05));
    assertThat(level(heard, 625 + 3)).isCloseTo(-6 * 0.97 * 0.97, within(0.35));
  }

  @Test
  void lowsAloneCanDuck() {
    Duck duck = new Duck(Duck.Trigger.QUARTERS, 300, 400, 150);
    Mix mix = Mix.PLAIN.withDuck(duck);
    float[] lows = sine(50, mix, RATE, new int[0]);
    float[] highs = sine(3000, mix, RATE, new int[0]);
    assertThat(loudest(lows, RATE / 2 + 200, 2000)).isLessThan(0.25);
    assertThat(loudest(highs, RATE / 2 + 200, 2000)).isGreaterThan(0.95);
  }

  @ParameterizedTest
  @CsvSource({"0,1,1", "-100,1.41421,0", "100,0,1.41421", "50,0.5412,1.3066"})
  void panKeepsThePower(int pan, double left, double right) {
    Strip strip = Strip.of(Mix.PLAIN.withPan(pan), Movements.NONE, false);
    assertThat((double) strip.left()).isCloseTo(left, within(1e-3));
    assertThat((double) strip.right()).isCloseTo(right, within(1e-3));
  }

  @Test
  void aLowCutTakesTheLowsAndALowPassTheHighs() {
    Mix cut = Mix.PLAIN.withLowCut(150);
    assertThat(loudest(sine(50, cut, RATE, new int[0]), RATE / 2, 4000)).isLessThan(0.14);
    assertThat(loudest(sine(1000, cut, RATE, new int[0]), RATE / 2, 4000)).isGreaterThan(0.97);
    Mix pass = Mix.PLAIN.withLowPass(500);
    assertThat(loudest(sine(3000, pass, RATE, new int[0]), RATE / 2, 4000)).isLessThan(0.04);
    assertThat(loudest(sine(100, pass, RATE, new int[0]), RATE / 2, 4000)).isGreaterThan(0.97);
  }

  /** The mean of both sides is what it was without width, so mono listeners lose nothing. */
  @Test
  void widthIsFreeInMono() {
    float[] noise = noise(4096);
    float[] left = noise.clone();
    float[] right = noise.clone();
    Spread spread = new Spread(RATE, BLOCK);
    for (int from = 0; from < noise.length; from += BLOCK) {
      float[] toLeft = Arrays.copyOfRange(left, from, from + BLOCK);
      float[] toRight = Arrays.copyOfRange(right, from, from + BLOCK);
      spread.widen(toLeft, toRight, BLOCK, 0.8f);
      System.arraycopy(toLeft, 0, left, from, BLOCK);
      System.arraycopy(toRight, 0, right, from, BLOCK);
    }
    double apart = 0;
    for (int i = 0; i < noise.length; i++) {
      assertThat(0.5f * (left[i] + right[i])).isCloseTo(noise[i], within(1e-5f));
      apart += Math.abs(left[i] - right[i]);
    }
    assertThat(apart / noise.length).isGreaterThan(0.1);
  }

  /** Note values to time is arithmetic: a dotted eighth at 120 BPM is 375 ms. */
  @ParameterizedTest
  @CsvSource({"SIXTEENTH,125", "EIGHTH,250", "DOTTED_EIGHTH,375", "QUARTER,500"})
  void repeatsComeOnTheNoteValue(westtide.song.mix.DelayTime time, double millis) {
    Echo echo = new Echo(RATE, 256);
    echo.distance(time.ticks() / 1920.0 * RATE);
    float[] in = new float[2 * RATE];
    in[0] = 1;
    float[] left = new float[in.length];
    float[] right = new float[in.length];
    blocks(in, left, right, echo::mix);
    int first = (int) Math.round(millis / 1000 * RATE);
    assertThat(left[first]).as("first repeat, left").isGreaterThan(0.9f);
    assertThat(right[2 * first]).as("second repeat, right").isGreaterThan(0.7f);
    assertThat(loudest(left, 1, first - 2)).isZero();
  }

  @Test
  void theRoomDiesAwayAndStaysBounded() {
    Reverb room = new Reverb(RATE, 256, ReverbShape.of(westtide.song.mix.ReverbKind.PLATE));
    float[] in = new float[4 * RATE];
    in[0] = 1;
    float[] left = new float[in.length];
    float[] right = new float[in.length];
    blocks(in, left, right, room::mix);
    double early = rms(left, RATE / 10, RATE / 10);
    double later = rms(left, RATE, RATE / 10);
    assertThat(early).isGreaterThan(0);
    assertThat(20 * Math.log10(later / early)).isBetween(-60.0, -20.0);
    assertThat(loudest(left, 0, left.length)).isLessThan(1);
    assertThat(left).isNotEqualTo(right);
  }

  @Test
  void theSoftClipHoldsTheTopAndLeavesTheBottom() {
    float[] loud = {0.01f, -0.01f, 0.9f, -0.9f, 5, -5};
    SoftClip.push(loud, loud.length, 2);
    assertThat(loud[0]).isCloseTo(0.01f, within(1e-5f));
    assertThat(loud[4]).isCloseTo(0.5f, within(1e-6f));
    assertThat(loud[2]).isCloseTo(-loud[3], within(1e-6f));
    assertThat(loud[2]).isBetween(0.4f, 0.5f);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void noSampleLeavesTheLimiterAboveItsCeiling(long seed) {
    Random random = new Random(seed);
    Limiter limiter = new Limiter(RATE, -1);
    float ceiling = (float) Math.pow(10, -1 / 20.0);
    for (int block = 0; block < 400; block++) {
      double level = random.nextInt(4) == 0 ? 3 : 0.4;
      float[] left = new float[BLOCK];
      float[] right = new float[BLOCK];
      for (int i = 0; i < BLOCK; i++) {
        left[i] = (float) (level * (2 * random.nextDouble() - 1));
        right[i] = (float) (level * (2 * random.nextDouble() - 1));
      }
      limiter.limit(left, right, BLOCK);
      assertThat(loudest(left, 0, BLOCK)).isLessThanOrEqualTo(ceiling);
      assertThat(loudest(right, 0, BLOCK)).isLessThanOrEqualTo(ceiling);
    }
  }

  @Test
  void whatIsBelowTheCeilingPassesUntouchedButLater() {
    Limiter limiter = new Limiter(RATE, -1);
    float[] in = noise(BLOCK * 8);
    float[] out = in.clone();
    for (int from = 0; from < out.length; from += BLOCK) {
      float[] left = java.util.Arrays.copyOfRange(out, from, from + BLOCK);
      limiter.limit(left, left.clone(), BLOCK);
      System.arraycopy(left, 0, out, from, BLOCK);
    }
    int late = limiter.lateFrames();
    for (int i = late; i < out.length; i++) {
      assertThat(out[i]).isEqualTo(in[i - late]);
    }
  }

  /**
   * Arithmetic: a peak of 2 is 6.02 dB over full scale and 7.02 dB over a ceiling of −1 dB; 0.08 dB
   * are kept for what lies between samples.
   */
  @Test
  void theLimiterTellsHowFarItTurnedDown() {
    Limiter limiter = new Limiter(RATE, -1);
    float[] quiet = new float[BLOCK];
    quiet[9] = 0.5f;
    limiter.limit(quiet, quiet.clone(), BLOCK);
    assertThat(limiter.taken()).isZero();
    float[] loud = new float[BLOCK];
    loud[20] = 2;
    limiter.limit(loud, new float[BLOCK], BLOCK);
    limiter.limit(new float[BLOCK], new float[BLOCK], BLOCK);
    assertThat(limiter.taken()).isCloseTo(7.02 + 0.3, within(0.02));
  }

  @Test
  void movesAreStraightBetweenTheirTicks() {
    Automation moves =
        new Automation(new int[] {100}, new int[] {200}, new double[] {-10}, new double[] {0}, 3);
    assertThat(moves.at(99)).isEqualTo(3);
    assertThat(moves.at(100)).isEqualTo(-10);
    assertThat(moves.at(150)).isEqualTo(-5);
    assertThat(moves.at(200)).isEqualTo(3);
  }

  private interface Back {
    void mix(float[] in, float[] left, float[] right, int frames);
  }

  /** What comes back of a signal, a block at a time. */
  private static void blocks(float[] in, float[] left, float[] right, Back back) {
    for (int from = 0; from + BLOCK <= in.length; from += BLOCK) {
      float[] l = new float[BLOCK];
      float[] r = new float[BLOCK];
      back.mix(java.util.Arrays.copyOfRange(in, from, from + BLOCK), l, r, BLOCK);
      System.arraycopy(l, 0, left, from, BLOCK);
      System.arraycopy(r, 0, right, from, BLOCK);
    }
  }

  /** A constant at 1 through a channel, the song running from tick 0. */
  private static float[] steady(Mix mix, int frames, int[] kicks) {
    float[] table = new float[frames + BLOCK];
    java.util.Arrays.fill(table, 1);
    return through(mix, table, frames, kicks);
  }

  private static float[] sine(double hertz, Mix mix, int frames, int[] kicks) {
    float[] table = new float[frames + BLOCK];
    for (int i = 0; i < table.length; i++) {
      table[i] = (float) Math.sin(2 * Math.PI * hertz * i / RATE);
    }
    return through(mix, table, frames, kicks);
  }

  private static float[] through(Mix mix, float[] table, int frames, int[] kicks) {
    Strip strip = Strip.of(mix, Movements.NONE, false, kicks);
    Channel channel = new Channel(RATE, BLOCK, strip);
    channel.audition(table, 0, 1, 1, table.length, 0.9f, 0);
    Stretch stretch = new Stretch(BLOCK);
    float[] out = new float[frames];
    for (int from = 0; from + BLOCK <= frames; from += BLOCK) {
      stretch.run(0, from * TICKS_A_FRAME, TICKS_A_FRAME, 1000.0 / 1920);
      channel.render(stretch, BLOCK, true);
      System.arraycopy(channel.left(), 0, out, from, BLOCK);
    }
    return out;
  }

  private static double level(float[] samples, double millis) {
    return Decibels.of(samples[(int) (millis / 1000 * RATE)]);
  }

  private static double loudest(float[] samples, int from, int length) {
    double out = 0;
    for (int i = from; i < from + length; i++) {
      out = Math.max(out, Math.abs(samples[i]));
    }
    return out;
  }

  private static double rms(float[] samples, int from, int length) {
    double sum = 0;
    for (int i = from; i < from + length; i++) {
      sum += samples[i] * samples[i];
    }
    return Math.sqrt(sum / length);
  }

  private static float[] noise(int length) {
    Random random = new Random(7);
    float[] out = new float[length];
    for (int i = 0; i < length; i++) {
      out[i] = 0.5f * (2 * random.nextFloat() - 1);
    }
    return out;
  }
}
