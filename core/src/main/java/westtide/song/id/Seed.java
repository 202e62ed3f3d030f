package westtide.song.id;

import java.util.List;
import java.util.Random;

/**
 * What a draft starts from.
 *
 * @param value any number
 */
public record Seed(long value) {
  /**
   * A source of randomness for one purpose, so that a new take of the drums leaves the line alone.
   */
  public Random random(String purpose) {
    return new Random(value * 1_000_003L + purpose.hashCode());
  }

  /** Another one, so far on. */
  public Seed plus(long more) {
    return new Seed(value * 31 + more);
  }

  /** One of several, each as likely. */
  public static <T> T pick(List<T> choices, Random random) {
    if (choices.isEmpty()) {
      throw new IllegalArgumentException(
          "there is nothing to draw from: a list of the style is empty");
    }
    return choices.get(random.nextInt(choices.size()));
  }
}
