package westtide.desktop;

import java.util.List;

/** The entry of the application; exit status 2 when the words make no sense. */
public final class Main {
  private Main() {}

  /** Checks the words and opens the window. */
  public static void main(String[] words) {
    try {
      Words.of(List.of(words));
    } catch (IllegalArgumentException e) {
      System.err.println("west-tide: " + e.getMessage());
      System.exit(2);
    }
    WestTide.open(words);
  }
}
