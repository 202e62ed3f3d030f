package westtide.song;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import westtide.text.Reading;

/**
 * The typed form of a form: sections with bars, {@code "intro 8, hook 16, groove 4 x2"}. A word of
 * one's own is kept as the section's name and matched to a kind, such as {@code "part B 16"}; words
 * after the bars say how it is announced and landed, such as {@code "hook 16 drums-out crash"}.
 */
public final class FormLine {
  private static final Pattern ITEM = Pattern.compile("[^,]+");
  private static final Pattern WORDS =
      Pattern.compile(
          "\\s*(\\p{L}[\\p{L}' -]*?)\\s+(\\d{1,9})(?:\\s*[x×]\\s*(\\d{1,3}))?"
              + "((?:\\s+[a-z][a-z-]*(?::\\d{1,3}){0,2}(?:\\s+\\d{1,2})?)*)\\s*");
  private static final Pattern MARK =
      Pattern.compile("([a-z][a-z-]*(?::\\d{1,3}){0,2})(?:\\s+(\\d{1,2}))?");

  /** Bars after a mark, such as {@code gap 2}, are bars of four beats: the line knows no meter. */
  private static final int BEATS = 4;

  private static final int MOST_BARS = 999;
  private static final int MOST_TIMES = 32;

  private FormLine() {}

  /**
   * A section to be.
   *
   * @param word what it is
   * @param name what it is called where that is not the word
   * @param bars its length
   * @param entry what announces and lands it
   */
  public record Item(SectionWord word, Optional<String> name, int bars, List<Transition> entry) {
    /** Copies what announces it. */
    public Item {
      entry = List.copyOf(entry);
    }

    static Item of(String called, int bars, List<Transition> entry) {
      Optional<SectionWord> known = SectionWord.find(called);
      return known
          .map(word -> new Item(word, Optional.empty(), bars, entry))
          .orElseGet(() -> new Item(SectionWord.meant(called), Optional.of(called), bars, entry));
    }

    /** What it is called. */
    public String title() {
      return name.orElse(word.toString());
    }

    /** The same with another length in bars. */
    public Item withBars(int other) {
      return new Item(word, name, other, entry);
    }

    /** Whether a section is the one that is meant. */
    public boolean means(Section section) {
      return section.word() == word && section.name().equals(name);
    }
  }

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
      if (words.group(1).length() > Section.LONGEST_NAME) {
        return Reading.problem(
            column, "a section's name has 1 to 24 letters, but was \"" + words.group(1) + "\"");
      }
      int length = Integer.parseInt(words.group(2));
      if (length < 1 || length > Section.MOST_BARS) {
        return Reading.problem(column, "a section has 1 to 128 bars, but was " + length);
      }
      int times = words.group(3) == null ? 1 : Integer.parseInt(words.group(3));
      if (times < 1 || times > MOST_TIMES) {
        return Reading.problem(column, "a section is repeated 1 to 32 times, but was " + times);
      }
      bars += length * times;
      if (bars > MOST_BARS) {
        return Reading.problem(column, "a song has at most 999 bars, but here it has " + bars);
      }
      List<String> marks = marks(words.group(4));
      Optional<String> unknown =
          marks.stream().filter(mark -> Transition.parse(mark).isEmpty()).findFirst();
      if (unknown.isPresent()) {
        return Reading.problem(
            column, "\"" + unknown.get() + "\" is no transition; use " + Transition.words());
      }
      List<Transition> entry =
          marks.stream().flatMap(mark -> Transition.parse(mark).stream()).toList();
      for (int i = 0; i < times; i++) {
        items.add(Item.of(words.group(1), length, i == 0 ? entry : List.of()));
      }
    }
    if (items.isEmpty()) {
      return Reading.problem(1, "type sections with bars, such as intro 8, hook 16, outro 8");
    }
    return new Reading.Understood<>(List.copyOf(items));
  }

  /** The words after the bars, bars after a word as its beats; "none" says that there is none. */
  private static List<String> marks(String text) {
    List<String> out = new ArrayList<>();
    Matcher matcher = MARK.matcher(text);
    while (matcher.find()) {
      boolean bars = matcher.group(2) != null;
      String word = matcher.group(1);
      if (!word.equals("none")) {
        out.add(bars ? word + ":" + BEATS * Integer.parseInt(matcher.group(2)) : word);
      }
    }
    return out;
  }

  /** A form as it is typed: names, bars, and what announces and lands each section. */
  public static String format(Form form) {
    return form.sections().stream().map(FormLine::format).collect(Collectors.joining(", "));
  }

  private static String format(Section section) {
    String words =
        section.entry().stream()
            .map(transition -> " " + transition.word())
            .collect(Collectors.joining());
    return section.title() + " " + section.bars() + words;
  }

  private static int leading(String text) {
    return text.length() - text.stripLeading().length();
  }
}
