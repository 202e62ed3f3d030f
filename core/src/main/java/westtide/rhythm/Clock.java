package westtide.rhythm;

import java.util.Locale;

/** Writes lengths of time as minutes and seconds. */
public final class Clock {
  private Clock() {}

  /** Milliseconds as {@code "2:05"}. */
  public static String of(double millis) {
    long seconds = Math.round(millis / 1000);
    return String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
  }
}
