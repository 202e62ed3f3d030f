package westtide.bench;

import java.util.Optional;
import java.util.concurrent.locks.LockSupport;

/**
 * A process that only sleeps, a millisecond at a time, and says when it overslept: nothing of the
 * application's kept it from waking, so the machine was taken away. A line is the end of such a
 * sleep in nanoseconds of the machine's clock, which all processes share.
 */
final class LightSleeper {
  private static final long SLEEP_NANOS = 1_000_000;
  private static final long LOOK_EVERY = 1000;
  private static final long OVERSLEPT_NANOS = 4_000_000;

  private LightSleeper() {}

  /** Sleeps until it is ended, or whoever started it has ended however. */
  public static void main(String[] words) {
    Optional<ProcessHandle> starter = ProcessHandle.current().parent();
    for (long sleeps = 0; sleeps % LOOK_EVERY != 0 || isThere(starter); sleeps++) {
      long before = System.nanoTime();
      LockSupport.parkNanos(SLEEP_NANOS);
      long now = System.nanoTime();
      if (now - before > SLEEP_NANOS + OVERSLEPT_NANOS) {
        System.out.println(now);
      }
    }
  }

  private static boolean isThere(Optional<ProcessHandle> starter) {
    return ProcessHandle.current().parent().equals(starter);
  }
}
