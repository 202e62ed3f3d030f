package westtide.file.disk;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** How this process is told from others in a file that says who has something. */
public final class ThisProcess {
  private static final String PROCESS = "process ";
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMMM HH:mm", Locale.ENGLISH);

  private ThisProcess() {}

  /** A line such as {@code "process 4711 on lantern since 26 November 18:30"}. */
  public static String words(Clock clock) {
    return start() + " since " + LocalDateTime.now(clock).format(TIME);
  }

  /** Whether a line says who has something, in these words. */
  static boolean isProcess(String line) {
    return line.startsWith(PROCESS);
  }

  /** Whether a line says that it is this process. */
  static boolean isThis(String line) {
    return line.startsWith(start() + " ");
  }

  private static String start() {
    return PROCESS + ProcessHandle.current().pid() + " on " + host();
  }

  private static String host() {
    try {
      return InetAddress.getLocalHost().getHostName();
    } catch (UnknownHostException e) {
      return "this machine";
    }
  }
}
