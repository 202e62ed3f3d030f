package westtide.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * The words the application is started with: {@code demo [--exit-after SECONDS]}, {@code
 * screenshots DIR}, a song file, or nothing.
 *
 * @param demo whether to open the first demo song
 * @param file a song file to open
 * @param pictures the folder to write pictures of every view into
 * @param exitAfter seconds after which to end
 */
record Words(
    boolean demo, Optional<Path> file, Optional<Path> pictures, Optional<Double> exitAfter) {
  /**
   * Reads the words.
   *
   * @throws IllegalArgumentException with a sentence when they make no sense
   */
  static Words of(List<String> words) {
    Words out = new Words(false, Optional.empty(), Optional.empty(), Optional.empty());
    for (int i = 0; i < words.size(); i++) {
      String word = words.get(i);
      switch (word) {
        case "demo" -> out = new Words(true, out.file, out.pictures, out.exitAfter);
        case "screenshots" ->
            out =
                new Words(false, out.file, Optional.of(Path.of(after(words, i++))), out.exitAfter);
        case "--exit-after" ->
            out =
                new Words(
                    out.demo, out.file, out.pictures, Optional.of(seconds(after(words, i++))));
        default ->
            out = new Words(out.demo, Optional.of(Path.of(word)), out.pictures, out.exitAfter);
      }
    }
    return out;
  }

  private static String after(List<String> words, int index) {
    if (index + 1 >= words.size()) {
      throw new IllegalArgumentException(words.get(index) + " needs a word after it");
    }
    return words.get(index + 1);
  }

  private static double seconds(String text) {
    if (!text.matches("\\d{1,5}(\\.\\d{1,3})?")) {
      throw new IllegalArgumentException(
          "--exit-after needs a number of seconds, such as 20, but was \"" + text + "\"");
    }
    return Double.parseDouble(text);
  }
}
