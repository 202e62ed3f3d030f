package westtide.play;

import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import java.util.function.Supplier;

/**
 * An output that goes on whatever becomes of the device: one that is missing, lost or stuck is
 * replaced by silence that keeps the time, and taken up again once it is found. Devices are opened
 * and closed on a thread of their own; the audio thread never waits for that.
 */
public final class SteadyOutput implements AudioOutput {
  /** A device that does not take a block for so long is stuck: blocks last a few milliseconds. */
  private static final long STUCK_NANOS = 2_000_000_000L;

  private static final long LOOK_EVERY_NANOS = 5_000_000_000L;
  private static final long CHECK_EVERY_MS = 500;

  private final Supplier<Optional<AudioOutput>> devices;
  private final AudioOutput silence;
  private final LongSupplier nanos;
  private final ScheduledExecutorService keeper;
  private final long everyMs;
  private volatile Consumer<Boolean> told = found -> {};
  private volatile AudioOutput current;
  private volatile AudioOutput lost;
  private volatile long writingSince = Long.MIN_VALUE;
  private volatile boolean wanted;
  private long lookedAt;

  /**
   * An output on the first device there is.
   *
   * @param devices looks for a device of the rate of the silence
   * @param silence keeps the time where there is none
   * @param nanos a clock
   */
  public SteadyOutput(
      Supplier<Optional<AudioOutput>> devices, AudioOutput silence, LongSupplier nanos) {
    this(devices, silence, nanos, CHECK_EVERY_MS);
  }

  /** One that looks after its device only when it is asked to where {@code everyMs} is 0. */
  SteadyOutput(
      Supplier<Optional<AudioOutput>> devices,
      AudioOutput silence,
      LongSupplier nanos,
      long everyMs) {
    this.everyMs = everyMs;
    this.devices = devices;
    this.silence = silence;
    this.nanos = nanos;
    this.current = devices.get().orElse(silence);
    this.lookedAt = nanos.getAsLong();
    this.keeper =
        Executors.newSingleThreadScheduledExecutor(
            run -> {
              Thread thread = new Thread(run, "looking after the audio device");
              thread.setDaemon(true);
              return thread;
            });
  }

  /** Looks after the device from now on. */
  @Override
  public void watch(Consumer<Boolean> listener) {
    told = listener;
    if (everyMs > 0) {
      keeper.scheduleWithFixedDelay(this::check, everyMs, everyMs, TimeUnit.MILLISECONDS);
    }
  }

  /** Lets a stuck device go, closes a lost one, and looks for another one while it is wanted. */
  void check() {
    long now = nanos.getAsLong();
    long since = writingSince;
    if (since != Long.MIN_VALUE && now - since > STUCK_NANOS) {
      lose(current);
    }
    AudioOutput gone = lost;
    if (gone != null) {
      lost = null;
      close(gone);
      lookedAt = now;
      told.accept(false);
    }
    if (current == silence && wanted && now - lookedAt >= LOOK_EVERY_NANOS) {
      wanted = false;
      lookedAt = now;
      devices.get().ifPresent(this::take);
    }
  }

  private void take(AudioOutput found) {
    current = found;
    told.accept(true);
  }

  private void lose(AudioOutput device) {
    if (device != silence && current == device) {
      current = silence;
      lost = device;
    }
  }

  private static void close(AudioOutput gone) {
    try {
      gone.close();
    } catch (RuntimeException e) {
      System.getLogger(SteadyOutput.class.getName())
          .log(System.Logger.Level.INFO, "A lost device could not be closed", e);
    }
  }

  @Override
  public String name() {
    return current.name();
  }

  @Override
  public boolean audible() {
    return current.audible();
  }

  @Override
  public int rate() {
    return silence.rate();
  }

  @Override
  public void write(float[] left, float[] right, int frames) {
    AudioOutput device = current;
    wanted = true;
    writingSince = device == silence ? Long.MIN_VALUE : nanos.getAsLong();
    try {
      device.write(left, right, frames);
    } catch (RuntimeException e) {
      lose(device);
    } finally {
      writingSince = Long.MIN_VALUE;
    }
  }

  @Override
  public int pending() {
    AudioOutput device = current;
    try {
      return device.pending();
    } catch (RuntimeException e) {
      lose(device);
      return 0;
    }
  }

  @Override
  public void rest() {
    AudioOutput device = current;
    try {
      device.rest();
    } catch (RuntimeException e) {
      lose(device);
    }
  }

  @Override
  public void close() {
    keeper.shutdownNow();
    close(current);
  }
}
