package westtide.desktop;

import java.nio.file.Path;
import java.util.function.LongPredicate;
import java.util.function.LongSupplier;

/**
 * What the application finds around it, passed in so that tests can give it their own.
 *
 * @param data where it keeps its list of recent files, its log and unsaved work
 * @param documents where new songs go unless another place is chosen
 * @param millis a clock in milliseconds
 * @param running tells whether a process number is in use
 */
public record Surroundings(Path data, Path documents, LongSupplier millis, LongPredicate running) {
  /** Those of this machine and this user. */
  static Surroundings ofUser() {
    Path user = Path.of(System.getProperty("user.home"));
    String home = System.getProperty("west.tide.home", user.resolve(".west-tide").toString());
    return new Surroundings(
        Path.of(home),
        user,
        System::currentTimeMillis,
        process -> ProcessHandle.of(process).isPresent());
  }
}
