package westtide.text;

/** Text from files and systems as messages repeat it: one line, and never more than is read. */
public final class Plain {
  /** Letters of the longest word of a file or a system that a message repeats. */
  private static final int WORD = 120;

  private Plain() {}

  /** A word on one line, without control characters, shortened at its end. */
  public static String of(String text) {
    return of(text, WORD);
  }

  /** A text of at most so many letters on one line, without control characters. */
  public static String of(String text, int most) {
    String start = text.substring(0, Math.min(text.length(), most + 1));
    String line = start.replaceAll("\\p{Cntrl}+", " ").strip();
    return text.length() <= most
        ? line
        : line.substring(0, Math.min(line.length(), most)) + "… (" + text.length() + " letters)";
  }
}
