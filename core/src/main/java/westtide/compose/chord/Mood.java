package westtide.compose.chord;

import java.util.List;

/**
 * What a progression should feel like. Which degrees and colours a mood leans on is common
 * practice; the weights are our own.
 */
public enum Mood {
  DARK("dark", new int[] {6, 1, 2, 3, 2, 5, 3}, List.of("5", "m", "")),
  SAD("sad", new int[] {6, 2, 3, 5, 3, 5, 3}, List.of("m", "m7", "add9", "maj7", "m9")),
  WARM("warm", new int[] {4, 5, 3, 5, 3, 4, 2}, List.of("m9", "maj9", "9", "13", "m7", "maj7")),
  BRIGHT("bright", new int[] {5, 3, 3, 6, 5, 5, 2}, List.of("", "add9", "maj7", "6", "maj9")),
  TENSE("tense", new int[] {6, 4, 1, 3, 6, 2, 4}, List.of("m", "m7", "7", "m7b5", "7b9", "dim")),
  DREAMY("dreamy", new int[] {3, 3, 4, 6, 2, 6, 2}, List.of("maj9", "maj7", "m9", "add9", "m11"));

  private final String title;
  private final int[] degrees;
  private final List<String> colours;

  Mood(String title, int[] degrees, List<String> colours) {
    this.title = title;
    this.degrees = degrees;
    this.colours = colours;
  }

  /** How much the mood likes a degree of the key, 1 to 7. */
  int weight(int degree) {
    return degrees[degree - 1];
  }

  /** The qualities it likes, as suffixes. */
  List<String> colours() {
    return colours;
  }

  @Override
  public String toString() {
    return title;
  }
}
