package westtide.desktop.kit;

import java.util.function.Consumer;
import java.util.function.Function;

/**
 * A list of things to do something with: what is taken is handed over at once, and the button says
 * again what it is for.
 *
 * @param <T> what is taken
 */
public final class Picker<T> extends ListButton<T> {
  private final Consumer<T> take;

  /** A picker of things that say themselves what they are. */
  public Picker(String id, String prompt, Consumer<T> take) {
    this(id, prompt, String::valueOf, take);
  }

  /** A picker with words for each thing. */
  public Picker(String id, String prompt, Function<T, String> words, Consumer<T> take) {
    super(id, prompt, words);
    this.take = take;
    setText(prompt);
  }

  /** As wide as what it is for. */
  @Override
  void fit() {
    setPrefWidth(USE_COMPUTED_SIZE);
  }

  @Override
  T shown() {
    return null;
  }

  @Override
  void taken(T thing) {
    take.accept(thing);
  }
}
