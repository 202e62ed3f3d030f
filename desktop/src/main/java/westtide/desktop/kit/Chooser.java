package westtide.desktop.kit;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * A list of which one thing is chosen. It opens on Down, Space, Enter or a click and is searched by
 * typing; what a person takes there is handed over, what is looked at or displayed is not.
 *
 * @param <T> what is chosen
 */
public final class Chooser<T> extends ListButton<T> {
  private final Consumer<T> take;
  private T value;

  /** A chooser among things that say themselves what they are; {@code label} says what for. */
  public Chooser(String id, String label, List<T> things, Consumer<T> take) {
    this(id, label, things, String::valueOf, take);
  }

  /** A chooser among things with words for each. */
  public Chooser(
      String id, String label, List<T> things, Function<T, String> words, Consumer<T> take) {
    super(id, label, words);
    this.take = take;
    offer(things);
  }

  /** Displays what is chosen now. */
  public void display(T thing) {
    value = thing;
    setText(thing == null ? "" : words().apply(thing));
    setAccessibleText(label() + ": " + getText());
  }

  /** Displays what is chosen now, and other things to choose from. */
  public void display(List<T> things, T thing) {
    offer(things);
    display(thing);
  }

  /** What is displayed. */
  public T value() {
    return value;
  }

  @Override
  T shown() {
    return value;
  }

  @Override
  void taken(T thing) {
    if (!thing.equals(value)) {
      display(thing);
      take.accept(thing);
    }
  }
}
