package westtide.file.disk;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** How this process is told from others in a file that says who has something. */
public final class ThisProcess {
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMMM HH:mm", Locale.ENGLISH);

  private ThisProcess() {}

  /** A line such as {@code "process 4711 on lantern since 26 November 18:30"}. */
  public static String words(Clock clock) {
    return "process "
        + ProcessHandle.current().pid()
        + " on "
        + host()
        + " since "
        + LocalDateTime.now(clock).format(TIME);
  }

  private static String host() {
    try {
      return InetAddress.getLocalHost().getHostName();
    } catch (UnknownHostException e) {
      return "this machine";
    }
  }
}
