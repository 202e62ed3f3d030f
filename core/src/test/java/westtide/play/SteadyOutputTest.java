package westtide.play;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** Devices that are missing, lost and stuck, by a clock that is turned by hand. */
class SteadyOutputTest {
  private static final long SECOND = 1_000_000_000L;

  private final AtomicLong nanos = new AtomicLong();
  private final Deque<Device> devices = new ArrayDeque<>();
  private final Device silence = new Device(false);
  private final List<Boolean> told = new ArrayList<>();
  private final float[] block = new float[64];

  private static final class Device implements AudioOutput {
    private final boolean audible;
    private final CountDownLatch closed = new CountDownLatch(1);
    private volatile int blocks;
    private volatile boolean broken;
    private volatile boolean stuck;

    Device(boolean audible) {
      this.audible = audible;
    }

    @Override
    public String name() {
      return audible ? "a device" : "silence";
    }

    @Override
    public boolean audible() {
      return audible;
    }

    @Override
    public int rate() {
      return 48_000;
    }

    @Override
    public void write(float[] left, float[] right, int frames) {
      if (broken) {
        throw new IllegalStateException("unplugged");
      }
      if (stuck) {
        try {
          closed.await(20, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
          Thread.currentThread().interrupt();
        }
        throw new IllegalStateException("closed");
      }
      blocks = blocks + 1;
    }

    @Override
    public int pending() {
      return 0;
    }

    @Override
    public void rest() {}

    @Override
    public void close() {
      closed.countDown();
    }
  }

  private SteadyOutput output() {
    SteadyOutput output =
        new SteadyOutput(() -> Optional.ofNullable(devices.poll()), silence, nanos::get, 0);
    output.watch(told::add);
    return output;
  }

  private void after(SteadyOutput output, long seconds) {
    nanos.addAndGet(seconds * SECOND);
    output.check();
  }

  @Test
  void aLostDeviceIsToldReplacedBySilenceAndFoundAgain() {
    Device first = new Device(true);
    devices.add(first);
    try (SteadyOutput output = output()) {
      output.write(block, block, 64);
      assertThat(output.audible()).isTrue();
      first.broken = true;
      output.write(block, block, 64);
      assertThat(output.audible()).isFalse();
      output.write(block, block, 64);
      assertThat(silence.blocks).as("time goes on").isEqualTo(1);
      after(output, 1);
      assertThat(told).containsExactly(false);
      assertThat(first.closed.getCount()).isZero();
      Device second = new Device(true);
      devices.add(second);
      output.write(block, block, 64);
      after(output, 5);
      output.write(block, block, 64);
      assertThat(second.blocks).isEqualTo(1);
      assertThat(told).containsExactly(false, true);
    }
  }

  @Test
  void aDeviceThatTakesNothingForTwoSecondsIsLetGo() throws InterruptedException {
    Device stuck = new Device(true);
    stuck.stuck = true;
    devices.add(stuck);
    try (SteadyOutput output = output()) {
      Thread audio = new Thread(() -> output.write(block, block, 64));
      audio.start();
      while (audio.getState() != Thread.State.TIMED_WAITING) {
        Thread.onSpinWait();
      }
      after(output, 3);
      audio.join(10_000);
      assertThat(audio.isAlive()).isFalse();
      assertThat(output.audible()).isFalse();
      assertThat(told).containsExactly(false);
    }
  }

  @Test
  void aMachineWithoutADeviceIsAskedAgainOnlyWhileSomethingPlays() {
    try (SteadyOutput output = output()) {
      Device late = new Device(true);
      devices.add(late);
      after(output, 60);
      assertThat(output.audible()).isFalse();
      output.write(block, block, 64);
      after(output, 6);
      assertThat(output.audible()).isTrue();
    }
  }
}
