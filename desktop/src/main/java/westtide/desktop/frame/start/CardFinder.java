package westtide.desktop.frame.start;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.control.Button;

/** The cards of the start sheet in the order they were added, found by words. */
final class CardFinder {
  private static final double DIM = 0.25;

  private record Card(Button button, Predicate<String> fits) {}

  private final List<Card> cards = new ArrayList<>();

  /** Adds a card; {@code fits} is asked with words in lower case. */
  void add(Button button, Predicate<String> fits) {
    cards.add(new Card(button, fits));
  }

  /** Lets what was not looked for recede. */
  void show(String words) {
    String wanted = wanted(words);
    cards.forEach(card -> card.button().setOpacity(card.fits().test(wanted) ? 1 : DIM));
  }

  /** The first card that fits. */
  Optional<Button> first(String words) {
    String wanted = wanted(words);
    return cards.stream().filter(card -> card.fits().test(wanted)).map(Card::button).findFirst();
  }

  private static String wanted(String words) {
    return words.strip().toLowerCase(Locale.ROOT);
  }
}
