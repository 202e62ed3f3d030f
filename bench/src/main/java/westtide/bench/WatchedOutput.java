package westtide.bench;

import java.util.concurrent.locks.LockSupport;
import westtide.play.AudioOutput;
import westtide.play.SilentOutput;

/** A silent output that keeps the time of the machine; whoever watches blocks builds on it. */
abstract class WatchedOutput implements AudioOutput {
  static final int RATE = 48_000;

  private final AudioOutput silent =
      new SilentOutput(RATE, System::nanoTime, LockSupport::parkNanos);

  @Override
  public String name() {
    return silent.name();
  }

  @Override
  public boolean audible() {
    return false;
  }

  @Override
  public int rate() {
    return RATE;
  }

  @Override
  public void write(float[] left, float[] right, int frames) {
    silent.write(left, right, frames);
  }

  @Override
  public int pending() {
    return silent.pending();
  }

  @Override
  public void rest() {
    silent.rest();
  }

  @Override
  public void close() {
    silent.close();
  }
}
