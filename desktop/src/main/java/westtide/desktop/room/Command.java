package westtide.desktop.room;

import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.input.KeyCombination;

/**
 * Something a person can do, from a button, a key or the list of commands.
 *
 * @param id the same in every session, also the id of its row in the list
 * @param title what it does, in a few words
 * @param keys its shortcut, if it has one
 * @param possible whether it can be done now
 * @param anywhere whether it is done without bringing its room in front
 * @param run does it
 */
public record Command(
    String id,
    String title,
    Optional<KeyCombination> keys,
    BooleanSupplier possible,
    boolean anywhere,
    Runnable run) {
  /** A command that can always be done and has no shortcut. */
  public static Command of(String id, String title, Runnable run) {
    return new Command(id, title, Optional.empty(), () -> true, false, run);
  }

  /** The same command with a shortcut such as {@code "Shortcut+S"}. */
  public Command withKeys(String combination) {
    return new Command(
        id, title, Optional.of(KeyCombination.valueOf(combination)), possible, anywhere, run);
  }

  /** The same command, possible only under a condition. */
  public Command when(BooleanSupplier condition) {
    return new Command(id, title, keys, condition, anywhere, run);
  }

  /** The same command, done wherever the person is. */
  public Command everywhere() {
    return new Command(id, title, keys, possible, true, run);
  }

  /** The same command doing something else. */
  public Command doing(Runnable other) {
    return new Command(id, title, keys, possible, anywhere, other);
  }
}
