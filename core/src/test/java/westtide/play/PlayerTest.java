package westtide.play;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Role;
import westtide.sound.Engine;

@Timeout(60)
class PlayerTest {
  /** Takes what comes without waiting, and counts it. */
  private static class CountingOutput implements AudioOutput {
    private volatile long frames;
    private volatile float peak;

    @Override
    public String name() {
      return "counting output";
    }

    @Override
    public boolean audible() {
      return false;
    }

    @Override
    public int rate() {
      return 48_000;
    }

    @Override
    public void write(float[] left, float[] right, int length) {
      for (int i = 0; i < length; i++) {
        peak = Math.max(peak, Math.abs(left[i]));
      }
      frames = frames + length;
    }

    @Override
    public int pending() {
      return 0;
    }

    @Override
    public void rest() {}

    @Override
    public void close() {}
  }

  private static void waitFor(BooleanSupplier condition) {
    while (!condition.getAsBoolean()) {
      Thread.onSpinWait();
    }
  }

  @Test
  void playsFromASectionLoopsAndStops() {
    CountingOutput output = new CountingOutput();
    try (Player player = new Player(output)) {
      player.show(Score.of(Songs.draft("house", 1)));
      player.loop(4 * 3840, 5 * 3840);
      player.play(4 * 3840, 0);
      long[] frames = {0};
      waitFor(() -> player.gauges().playing());
      for (int i = 0; i < 50; i++) {
        frames[0] = output.frames + 4096;
        waitFor(() -> output.frames >= frames[0]);
        assertThat(player.gauges().tick()).isBetween(4.0 * 3840 - 60, 5.0 * 3840);
      }
      player.stop();
      waitFor(() -> !player.gauges().playing());
      assertThat(output.peak).isPositive();
      assertThatThrownBy(() -> player.loop(10, 10))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining("10 to 10");
    }
  }

  @Test
  void theFirstSoundIsQuiet() {
    CountingOutput output = new CountingOutput();
    try (Player player = new Player(output)) {
      player.show(Score.of(Songs.draft("trap", 1)));
      player.play(0, 0);
      waitFor(() -> output.frames > 20 * 48_000);
      assertThat(output.peak).isLessThanOrEqualTo((float) Math.pow(10, -1.05));
      player.listenAt(-3);
      waitFor(() -> output.peak > 0.15f);
    }
  }

  @Test
  void restsWhenNothingIsToBeHeard() {
    CountingOutput output = new CountingOutput();
    try (Player player = new Player(output)) {
      player.show(Score.of(Songs.draft("trap", 1)));
      player.play(0, 0);
      waitFor(() -> output.frames > 48_000);
      player.stop();
      long[] seen = {-1};
      AtomicLong still = new AtomicLong();
      waitFor(
          () -> {
            long now = output.frames;
            still.set(now == seen[0] ? still.get() + 1 : 0);
            seen[0] = now;
            return still.get() > 50_000_000;
          });
      assertThat(output.frames).isEqualTo(seen[0]);
    }
  }

  @Test
  void aClosedPlayerPassesOverWhatIsAskedOfIt() {
    CountingOutput output = new CountingOutput();
    Player player = new Player(output);
    Score score = Score.of(Songs.draft("trap", 1));
    player.show(score);
    player.close();
    long frames = output.frames;
    player.show(score);
    player.play(0, 0);
    player.hear(score.song().parts().get(0), 60, 100, 100);
    player.stop();
    assertThat(output.frames).isEqualTo(frames);
    assertThat(player.gauges().playing()).isFalse();
  }

  @Test
  void theSilentOutputKeepsTheTime() {
    AtomicLong now = new AtomicLong(1_000);
    SilentOutput output = new SilentOutput(48_000, now::get, now::addAndGet);
    float[] block = new float[Engine.BLOCK];
    for (int i = 0; i < 48_000 / Engine.BLOCK * 10; i++) {
      output.write(block, block, Engine.BLOCK);
    }
    assertThat(now.get() / 1e9).isBetween(9.9, 10.0);
    assertThat(output.pending() * 1000 / 48_000).isBetween(55, AudioOutput.AHEAD_MILLIS);
    assertThat(output.audible()).isFalse();
    output.rest();
    assertThat(output.pending()).isZero();
  }

  /** Making sounds ready takes a while; who presses stop in the meantime hears nothing. */
  @Test
  void whoStopsBeforeItStartedHearsNothing() {
    CountingOutput output = new CountingOutput();
    try (Player player = new Player(output)) {
      Score score = Score.of(Songs.draft("trap", 1));
      player.show(score);
      player.play(4 * 3840, 0);
      player.stop();
      player.hear(score.song().parts(Role.CHORDS).get(0), 60, 100, 100);
      waitFor(() -> output.frames > 0);
      long begun = output.frames;
      waitFor(() -> output.frames > begun + 4096 || player.gauges().playing());
      assertThat(player.gauges().playing()).isFalse();
      assertThat(player.gauges().tick()).isZero();
      player.play(4 * 3840, 0);
      waitFor(() -> player.gauges().playing());
    }
  }

  @Test
  void whatGoesWrongIsToldAndPlayingStartsAgain() {
    Queue<Throwable> troubles = new ConcurrentLinkedQueue<>();
    AtomicBoolean broken = new AtomicBoolean(true);
    CountingOutput output =
        new CountingOutput() {
          @Override
          public void write(float[] left, float[] right, int length) {
            if (broken.getAndSet(false)) {
              throw new IllegalStateException("the cable is out");
            }
            super.write(left, right, length);
          }
        };
    try (Player player = new Player(output, troubles::add)) {
      Score score = Score.of(Songs.draft("trap", 1));
      player.show(score);
      player.play(0, 0);
      waitFor(() -> !troubles.isEmpty());
      assertThat(troubles.peek()).hasMessage("the cable is out");
      player.show(score);
      player.play(0, 0);
      waitFor(() -> output.frames > 48_000);
      assertThat(player.gauges().playing()).isTrue();
      assertThat(troubles).hasSize(1);
    }
  }
}
