package westtide.song;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import westtide.text.Reading;

/** The typed form of a form: section words with bars, {@code "intro 8, hook 16, verse 16"}. */
public final class FormLine {
  private static final Pattern ITEM = Pattern.compile("[^,]+");
  private static final Pattern WORDS =
      Pattern.compile("\\s*([A-Za-z][A-Za-z -]*?)\\s+(\\d{1,9})\\s*");
  private static final int MOST_BARS = 999;

  private FormLine() {}

  /**
   * A section to be.
   *
   * @param word what it is called
   * @param bars its length
   */
  public record Item(SectionWord word, int bars) {}

  /** Reads a line into its sections. */
  public static Reading<List<Item>> parse(String line) {
    List<Item> items = new ArrayList<>();
    Matcher matcher = ITEM.matcher(line);
    int bars = 0;
    while (matcher.find()) {
      int column = matcher.start() + 1 + leading(matcher.group());
      Matcher words = WORDS.matcher(matcher.group());
      if (!words.matches()) {
        return Reading.problem(
            column,
            "\"" + matcher.group().strip() + "\" needs a section word and bars, such as hook 16");
      }
      Optional<SectionWord> word = SectionWord.find(words.group(1));
      if (word.isEmpty()) {
        return Reading.problem(
            column, "\"" + words.group(1) + "\" is no section; use one of " + SectionWord.list());
      }
      int length = Integer.parseInt(words.group(2));
      if (length < 1 || length > Section.MOST_BARS) {
        return Reading.problem(column, "a section has 1 to 128 bars, but was " + length);
      }
      bars += length;
      if (bars > MOST_BARS) {
        return Reading.problem(column, "a song has at most 999 bars, but here it has " + bars);
      }
      items.add(new Item(word.get(), length));
    }
    if (items.isEmpty()) {
      return Reading.problem(1, "type sections with bars, such as intro 8, hook 16, outro 8");
    }
    return new Reading.Understood<>(List.copyOf(items));
  }

  private static int leading(String text) {
    return text.length() - text.stripLeading().length();
  }
}
