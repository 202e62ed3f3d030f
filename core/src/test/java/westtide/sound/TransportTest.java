package westtide.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.song.mix.Master;

class TransportTest {
  private static final int RATE = 48_000;

  /** A stretch that was played: its ticks and the block it lay in. */
  private record Passed(int from, int to, int block) {}

  private final List<Passed> passed = new ArrayList<>();
  private int block;

  private static PreparedScore empty(int ticks, double bpm) {
    return new PreparedScore(
        List.of(), ticks, bpm * 16, BarLines.of(Meter.COMMON, List.of()), Master.PLAIN);
  }

  private Transport transport(int ticks, double bpm) {
    Engine engine = new Engine(RATE, empty(ticks, bpm));
    return new Transport(engine, RATE, (from, to) -> passed.add(new Passed(from, to, block)));
  }

  private void pump(Transport transport, int blocks) {
    for (int i = 0; i < blocks; i++) {
      transport.block();
      block++;
    }
  }

  /** At 960 ticks a quarter, 120 BPM is 1920 ticks a second and 25 samples a tick. */
  @ParameterizedTest
  @ValueSource(doubles = {20, 61.7, 120, 146, 300})
  void everyTickIsPassedOnceAndInOrder(double bpm) {
    Transport transport = transport(40_000, bpm);
    transport.play(0);
    int blocks = (int) (40_000 / (bpm * 16) * RATE / Engine.BLOCK) + 2;
    pump(transport, blocks);
    int next = 0;
    for (Passed each : passed) {
      assertThat(each.from()).isEqualTo(next);
      next = each.to();
    }
    assertThat(next).isEqualTo(40_000);
    assertThat(transport.playing()).isFalse();
  }

  @Test
  void aTickFallsIntoTheBlockOfItsSample() {
    Transport transport = transport(400_000, 137.3);
    transport.play(0);
    pump(transport, 2000);
    double framesPerTick = RATE / (137.3 * 16);
    for (Passed each : passed) {
      for (int tick = each.from(); tick < each.to(); tick++) {
        long frame = Math.round(tick * framesPerTick);
        assertThat(frame / Engine.BLOCK).isEqualTo(each.block());
      }
    }
  }

  @Test
  void aLoopPassesItsTicksAgainAndAgainAndNothingElse() {
    Random random = new Random(3);
    for (int i = 0; i < 20; i++) {
      passed.clear();
      int from = random.nextInt(5000);
      int to = from + 1 + random.nextInt(4000);
      Transport transport = transport(20_000, 100 + random.nextInt(100));
      transport.loop(from, to);
      transport.play(from);
      pump(transport, 400);
      int next = from;
      for (Passed each : passed) {
        assertThat(each.from()).isEqualTo(next);
        assertThat(each.to()).isBetween(each.from(), to);
        next = each.to() == to ? from : each.to();
      }
      assertThat(transport.playing()).isTrue();
    }
  }

  @Test
  void aLoopBehindThePlaceIsPlayedPast() {
    Transport transport = transport(10_000, 120);
    transport.loop(0, 1000);
    transport.play(5000);
    pump(transport, 200);
    assertThat(passed.get(0).from()).isEqualTo(5000);
    assertThat(passed).allMatch(each -> each.from() >= 5000);
  }

  @Test
  void aTempoChangeGoesOnFromTheSameTick() {
    Transport transport = transport(100_000, 120);
    transport.play(0);
    pump(transport, 100);
    double before = transport.tick();
    transport.take(empty(100_000, 60));
    assertThat(transport.tick()).isCloseTo(before, within(1e-6));
    pump(transport, 100);
    double passedTicks = 100.0 * Engine.BLOCK / RATE * 960;
    assertThat(transport.tick() - before).isCloseTo(passedTicks, within(0.01));
    int next = 0;
    for (Passed each : passed) {
      assertThat(each.from()).isEqualTo(next);
      next = each.to();
    }
  }

  @Test
  void aLoopThatTheSongNoLongerHoldsIsGivenUp() {
    Transport transport = transport(10_000, 120);
    transport.loop(8000, 9000);
    transport.take(empty(5000, 120));
    transport.play(0);
    pump(transport, 600);
    assertThat(transport.playing()).isFalse();
  }

  @Test
  void standingStillPassesNothing() {
    Transport transport = transport(10_000, 120);
    transport.locate(777);
    pump(transport, 50);
    assertThat(passed).isEmpty();
    assertThat(transport.tick()).isEqualTo(777);
  }

  @Test
  void whatOnlyJustBeganIsNotHeardFromBeforeItsStart() {
    Transport transport = transport(10_000, 120);
    transport.play(5000);
    pump(transport, 1);
    assertThat(transport.tick()).isBetween(5000.0, 5020.0);
    assertThat(transport.heard(100)).isEqualTo(5000);
    pump(transport, 40);
    assertThat(transport.heard(100)).isCloseTo(transport.tick() - 100, within(0.001));
  }

  @Test
  void whatIsHeardInALoopLagsIntoThePassBefore() {
    Transport transport = transport(10_000, 120);
    transport.loop(1920, 3840);
    transport.play(1920);
    int framesOfLoop = RATE;
    pump(transport, framesOfLoop / Engine.BLOCK + 1);
    double into = transport.tick() - 1920;
    assertThat(into).isLessThan(30);
    assertThat(transport.heard(into + 100)).isCloseTo(3740, within(0.5));
    assertThat(transport.heard(into / 2)).isCloseTo(1920 + into / 2, within(0.5));
  }
}
