package westtide.desktop.play;

import java.util.function.Consumer;
import java.util.function.LongSupplier;

/**
 * Counts the time that was listened and says when a break would do the loudness good. Time without
 * sound as long as a short break starts the count anew.
 */
public final class BreakReminder {
  private static final long MINUTE = 60_000;
  private static final long REST = 5 * MINUTE;

  private final LongSupplier millis;
  private final Consumer<String> say;
  private long listened;
  private long last;
  private long quietSince;

  /** A reminder on a clock in milliseconds. */
  public BreakReminder(LongSupplier millis, Consumer<String> say) {
    this.millis = millis;
    this.say = say;
    this.last = millis.getAsLong();
    this.quietSince = last;
  }

  /** Told now and then whether the song plays; {@code minutes} 0 never reminds. */
  public void hear(boolean playing, int minutes) {
    long now = millis.getAsLong();
    long passed = now - last;
    last = now;
    if (!playing) {
      listened = now - quietSince >= REST ? 0 : listened;
      return;
    }
    quietSince = now;
    listened += passed;
    if (minutes > 0 && listened >= minutes * MINUTE) {
      listened = 0;
      say.accept(
          "You have listened for "
              + minutes
              + " minutes. A few minutes of quiet keep your ears, and your judgement, fresh.");
    }
  }
}
