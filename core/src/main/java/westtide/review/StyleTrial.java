package westtide.review;

import java.util.Optional;
import westtide.compose.SongDraft;
import westtide.score.Score;
import westtide.style.Style;

/**
 * Tries a style that came from outside, so that one that can be read but not drafted is refused.
 */
public final class StyleTrial {
  private static final int SEEDS = 3;

  private StyleTrial() {}

  /**
   * The style, once songs were drafted in it.
   *
   * @throws IllegalArgumentException when none can be; the message says why
   */
  public static Style checked(Style style) {
    problem(style)
        .ifPresent(
            why -> {
              throw new IllegalArgumentException(why);
            });
    return style;
  }

  /** Why no song can be drafted in it, as part of a sentence; empty when one can. */
  public static Optional<String> problem(Style style) {
    try {
      for (int seed = 1; seed <= SEEDS; seed++) {
        Score.of(SongDraft.in(style).withSeed(seed).song());
      }
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of("no song can be drafted in it, " + e.getMessage());
    } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
      return Optional.of("no song can be drafted in it; a number or a list in it is out of range");
    }
  }
}
