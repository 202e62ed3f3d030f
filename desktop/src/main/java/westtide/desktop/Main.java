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
    try {
      WestTide.open(words);
    } catch (UnsupportedOperationException e) {
      System.err.println(
          "west-tide: no window can be opened on the display "
              + System.getenv("DISPLAY")
              + "; start it where there is one, or without DISPLAY for a virtual one.");
      System.exit(2);
    }
  }
}
