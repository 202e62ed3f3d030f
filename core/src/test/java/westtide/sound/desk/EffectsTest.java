package westtide.sound.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.song.mix.Effects;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Master;
import westtide.song.mix.ReverbKind;
import westtide.song.mix.Space;
import westtide.song.mix.Tremolo;
import westtide.sound.Spectrum;
import westtide.sound.block.Stretch;
import westtide.sound.effect.Echo;
import westtide.sound.effect.FilterRow;
import westtide.sound.effect.MonoLows;
import westtide.sound.reverb.Reverb;
import westtide.sound.reverb.ReverbShape;

class EffectsTest {
  private static final int RATE = 48_000;
  private static final int BLOCK = 256;

  /** Ticks a sample at 120 BPM. */
  private static final double TICKS = 1920.0 / RATE;

  /** Both sides of something that went through effects, the song running from tick 0. */
  private static float[][] through(Effects effects, float[] in) {
    Inserts inserts = new Inserts(RATE, BLOCK);
    Stretch stretch = new Stretch(BLOCK);
    FilterRow bands = new FilterRow(3);
    float[][] out = {in.clone(), in.clone()};
    float[] left = new float[BLOCK];
    float[] right = new float[BLOCK];
    for (int from = 0; from + BLOCK <= in.length; from += BLOCK) {
      System.arraycopy(in, from, left, 0, BLOCK);
      stretch.run(0, from * TICKS, TICKS, 1000.0 / 1920);
      bands.empty();
      inserts.equalise(effects, bands);
      bands.run(left, right, 0, BLOCK, true);
      boolean middle = inserts.run(effects, stretch, left, right, BLOCK, true);
      System.arraycopy(left, 0, out[0], from, BLOCK);
      System.arraycopy(middle ? left : right, 0, out[1], from, BLOCK);
    }
    return out;
  }

  private static float[] sine(double hertz, double seconds, double level) {
    float[] out = new float[(int) (seconds * RATE)];
    for (int i = 0; i < out.length; i++) {
      out[i] = (float) (level * Math.sin(2 * Math.PI * hertz * i / RATE));
    }
    return out;
  }

  private static double level(float[] samples) {
    double sum = 0;
    for (int i = samples.length / 2; i < samples.length; i++) {
      sum += samples[i] * samples[i];
    }
    return 10 * Math.log10(2 * sum / (samples.length / 2.0) + 1e-12);
  }

  @Test
  void nothingSetChangesNoSample() {
    float[] in = sine(330, 0.2, 0.5);
    assertThat(through(Effects.NONE, in)[0]).isEqualTo(in);
  }

  /** A shelf of 6 dB raises what lies well beyond its turn by 6 dB, and leaves the other end. */
  @ParameterizedTest
  @CsvSource({"40,60,0,0,6", "40,0,0,60,0", "12000,0,0,60,6", "12000,60,0,0,0", "1000,0,-90,0,-9"})
  void theThreeBandsRaiseWhatTheyName(double hertz, int low, int mid, int high, double expected) {
    Effects effects = Effects.NONE.withEqualiser(new Equaliser(low, mid, 1000, high));
    double heard = level(through(effects, sine(hertz, 0.5, 1))[0]);
    assertThat(heard).isCloseTo(expected, within(0.5));
  }

  /** Bursts of 300 ms: the first 5 ms against 100 to 200 ms. */
  private static double startAgainstTail(Effects effects) {
    float[] in = new float[RATE];
    for (int burst = 0; burst < 2; burst++) {
      float[] tone = sine(700, 0.3, 0.5);
      System.arraycopy(tone, 0, in, burst * RATE / 2, tone.length);
    }
    float[] out = through(effects, in)[0];
    int from = RATE / 2;
    double start = rms(out, from, from + RATE / 200);
    double tail = rms(out, from + RATE / 10, from + RATE / 5);
    return 20 * Math.log10(start / tail);
  }

  private static double rms(float[] samples, int from, int until) {
    double sum = 0;
    for (int i = from; i < until; i++) {
      sum += samples[i] * samples[i];
    }
    return Math.sqrt(sum / (until - from));
  }

  @Test
  void startsBecomeHarderAndSofter() {
    double plain = startAgainstTail(Effects.NONE);
    assertThat(startAgainstTail(Effects.NONE.withAttack(80))).isGreaterThan(plain + 3);
    assertThat(startAgainstTail(Effects.NONE.withAttack(-80))).isLessThan(plain - 3);
  }

  /** At 120 BPM an eighth is 250 ms: open on the beat, closed half way through the eighth. */
  @Test
  void theTremoloMovesAtItsNoteValue() {
    Tremolo deep = Tremolo.STILL.withDepth(100);
    float[][] out = through(Effects.NONE.withTremolo(deep), sine(2000, 1, 1));
    for (int eighth = 1; eighth < 3; eighth++) {
      int at = eighth * RATE / 4;
      assertThat(rms(out[0], at - 240, at + 240)).as("open").isGreaterThan(0.65);
      int closed = at + RATE / 8;
      assertThat(rms(out[0], closed - 240, closed + 240)).as("closed").isLessThan(0.02);
    }
    Tremolo apart = deep.withStereo(100);
    float[][] sides = through(Effects.NONE.withTremolo(apart), sine(2000, 1, 1));
    int closed = RATE / 4 + RATE / 8;
    assertThat(rms(sides[1], closed - 240, closed + 240)).as("right").isGreaterThan(0.65);
  }

  @Test
  void chorusAndPhaserDifferOnBothSidesAndStayBounded() {
    for (Effects effects :
        new Effects[] {Effects.NONE.withChorus(100), Effects.NONE.withPhaser(100)}) {
      float[][] out = through(effects, sine(440, 1, 0.7));
      assertThat(out[0]).isNotEqualTo(out[1]);
      for (float sample : out[0]) {
        assertThat(Math.abs(sample)).isLessThan(1.4f);
      }
    }
  }

  /** Grain adds what was not there; tape rounds off and takes highs. */
  @Test
  void coloursColour() {
    float[] low = sine(500, 1, 0.8);
    float[] coarse = through(Effects.NONE.withGrain(90), low)[0];
    assertThat(Spectrum.shareAbove(coarse, RATE, 3000)).isGreaterThan(0.005);
    assertThat(Spectrum.shareAbove(low, RATE, 3000)).isLessThan(0.001);
    double taped = level(through(Effects.NONE.withTape(100), sine(12_000, 0.5, 0.2))[0]);
    double plain = level(sine(12_000, 0.5, 0.2));
    assertThat(taped).isLessThan(plain - 2);
  }

  /** The same signal on both sides of the threshold: what is loud is turned down, the rest not. */
  @Test
  void glueTurnsDownWhatIsLoudAndNeverFar() {
    MixBus bus = new MixBus(RATE, BLOCK);
    Master master = Master.PLAIN.withGlue(100);
    assertThat(level(glued(bus, master, 0.02))).isCloseTo(20 * Math.log10(0.02), within(0.1));
    double loud = level(glued(new MixBus(RATE, BLOCK), master, 0.9));
    assertThat(loud).isBetween(20 * Math.log10(0.9) - 8.2, 20 * Math.log10(0.9) - 2);
  }

  private static float[] glued(MixBus bus, Master master, double level) {
    float[] in = sine(300, 2, level);
    float[] left = new float[BLOCK];
    for (int from = 0; from + BLOCK <= in.length; from += BLOCK) {
      System.arraycopy(in, from, left, 0, BLOCK);
      bus.run(master, left, left.clone(), BLOCK);
      System.arraycopy(left, 0, in, from, BLOCK);
    }
    return in;
  }

  @Test
  void lowsStandInTheMiddleAndHighsWhereTheyWere() {
    for (double hertz : new double[] {50, 4000}) {
      MonoLows lows = new MonoLows(RATE, BLOCK);
      float[] in = sine(hertz, 1, 0.5);
      float[] left = new float[BLOCK];
      float[] right = new float[BLOCK];
      float[] out = new float[in.length];
      for (int from = 0; from + BLOCK <= in.length; from += BLOCK) {
        System.arraycopy(in, from, left, 0, BLOCK);
        Arrays.fill(right, 0);
        lows.run(left, right, BLOCK);
        System.arraycopy(right, 0, out, from, BLOCK);
      }
      double crossed = level(out);
      if (hertz < 100) {
        assertThat(crossed).as("half of it on the other side").isCloseTo(-12, within(3.0));
      } else {
        assertThat(crossed).as("hardly any on the other side").isLessThan(-35);
      }
    }
  }

  /**
   * With 90 % feedback the third repeat is nearly as loud as the first; with none there is none.
   */
  @ParameterizedTest
  @CsvSource({"90,true", "0,false"})
  void feedbackDecidesHowOftenItRepeats(int feedback, boolean repeats) {
    Echo echo = new Echo(RATE, BLOCK);
    echo.repeats(Space.USUAL.withFeedback(feedback).withPingPong(false).withRepeats(20, 20_000));
    echo.distance(4800);
    float[] in = new float[BLOCK];
    float[] left = new float[BLOCK];
    float[] right = new float[BLOCK];
    double third = 0;
    for (int from = 0; from < 20_000; from += BLOCK) {
      Arrays.fill(in, 0);
      if (from == 0) {
        in[0] = 1;
      }
      Arrays.fill(left, 0);
      Arrays.fill(right, 0);
      echo.mix(in, left, right, BLOCK);
      assertThat(left).as("stays in its place").isEqualTo(right);
      for (int i = 0; i < BLOCK; i++) {
        third = from + i > 14_000 && from + i < 15_000 ? Math.max(third, left[i]) : third;
      }
    }
    assertThat(third > 0.2).isEqualTo(repeats);
  }

  /**
   * A room is dense when its samples are spread as those of noise (Abel and Huang 2006; from
   * memory): 32 % lie beyond their standard deviation. A small room is by 40 ms, a hall by 100.
   */
  @ParameterizedTest
  @EnumSource(ReverbKind.class)
  void roomsAreDenseSoonAndDieAway(ReverbKind kind) {
    ReverbShape shape = ReverbShape.of(kind);
    Reverb room = new Reverb(RATE, BLOCK, shape);
    float[] out = new float[4 * RATE];
    float[] other = new float[4 * RATE];
    float[] in = new float[BLOCK];
    float[] left = new float[BLOCK];
    float[] right = new float[BLOCK];
    for (int from = 0; from + BLOCK <= out.length; from += BLOCK) {
      Arrays.fill(in, 0);
      if (from == 0) {
        in[0] = 1;
      }
      Arrays.fill(left, 0);
      Arrays.fill(right, 0);
      room.mix(in, left, right, BLOCK);
      System.arraycopy(left, 0, out, from, BLOCK);
      System.arraycopy(right, 0, other, from, BLOCK);
    }
    int at = (kind == ReverbKind.HALL ? 100 : 40) * RATE / 1000;
    double deviation = rms(out, at, at + 960);
    int beyond = 0;
    for (int i = at; i < at + 960; i++) {
      beyond += Math.abs(out[i]) > deviation ? 1 : 0;
    }
    assertThat(beyond / 960.0 / 0.3173).as("echo density").isBetween(0.8, 1.2);
    int first = 0;
    while (Math.abs(out[first]) < 1e-4) {
      first++;
    }
    assertThat(1000.0 * first / RATE).as("first reflection, ms").isLessThan(8);
    double fallen =
        20 * Math.log10(rms(out, RATE / 4, RATE / 2) / rms(out, RATE / 2, 3 * RATE / 4));
    assertThat(fallen * 4 / 60 * shape.seconds()).as("60 dB in its time").isBetween(0.8, 1.7);
    double both = 0;
    for (int i = 0; i < RATE; i++) {
      both += out[i] * other[i];
    }
    double alike = both / RATE / (rms(out, 0, RATE) * rms(other, 0, RATE));
    assertThat(alike).as("left against right").isBetween(-0.25, 0.25);
  }
}
