package westtide.song.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.text.Reading;

/**
 * The typed form of a form: sections with bars, {@code "intro 8, hook 16, groove 4 x2"}. A word of
 * one's own is kept as the section's name and matched to a kind, such as {@code "part B 16"}; words
 * after the bars say how it is announced and landed, such as {@code "hook 16 drums-out crash"}.
 * Sections that stand several times in a row are written once with their number, {@code "two 2
 * x4"}; {@code "two 2 x4 linked"} keeps them the same.
 */
public final class FormLine {
  private static final Pattern ITEM = Pattern.compile("[^,]+");
  private static final Pattern WORDS =
      Pattern.compile(
          "\\s*(\\p{L}[\\p{L}' -]*?)\\s+(\\d{1,9})(\\s*beats?\\b)?(?:\\s*[x×]\\s*(\\d{1,3})(\\s+linked\\b)?)?"
              + "((?:\\s+[a-z][a-z-]*(?::\\d{1,3}){0,2}(?:\\s+\\d{1,2})?)*)\\s*");
  private static final Pattern LENGTH =
      Pattern.compile("\\s*(\\d{1,9})(?:\\s*(bars?|beats?))?\\s*");
  private static final Pattern MARK =
      Pattern.compile("([a-z][a-z-]*(?::\\d{1,3}){0,2})(?:\\s+(\\d{1,2}))?");

  private static final int MOST_BARS = 999;
  private static final int MOST_TIMES = 32;

  private FormLine() {}

  /** How a section stands to the one before it. */
  public enum Repeat {
    /** It is another one. */
    NONE,
    /** It was typed as the same once more, and is free to change. */
    AGAIN,
    /** It is kept the same. */
    LINKED
  }

  /**
   * A section to be.
   *
   * @param word what it is
   * @param name what it is called where that is not the word
   * @param length its bars, the last of them as long as it is
   * @param entry what announces and lands it
   * @param repeat how it stands to the one before it
   */
  public record Item(
      SectionWord word,
      Optional<String> name,
      BarLines.Stretch length,
      List<Transition> entry,
      Repeat repeat) {
    /** Copies what announces it. */
    public Item {
      entry = List.copyOf(entry);
    }

    static Item of(String called, BarLines.Stretch length, List<Transition> entry) {
      Optional<SectionWord> known = SectionWord.find(called);
      return known
          .map(word -> new Item(word, Optional.empty(), length, entry, Repeat.NONE))
          .orElseGet(
              () ->
                  new Item(
                      SectionWord.meant(called), Optional.of(called), length, entry, Repeat.NONE));
    }

    /** The same section once more. */
    private Item again(boolean linked) {
      return new Item(word, name, length, List.of(), linked ? Repeat.LINKED : Repeat.AGAIN);
    }

    /** What it is called. */
    public String title() {
      return name.orElse(word.toString());
    }

    /** Its length in bars, the last one counted even where it is short. */
    public int bars() {
      return length.bars();
    }

    /** The same with another length in bars. */
    public Item withBars(int other) {
      return new Item(word, name, new BarLines.Stretch(other, 0), entry, repeat);
    }

    /** Whether a section is the one that is meant. */
    public boolean means(Section section) {
      return section.word() == word && section.name().equals(name);
    }
  }

  /** Reads a line into its sections, beats counted in 4/4, as plans of styles are written. */
  public static Reading<List<Item>> parse(String line) {
    return parse(line, Meter.COMMON);
  }

  /** Reads a line into its sections, beats counted in a meter. */
  public static Reading<List<Item>> parse(String line, Meter meter) {
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
      int number = Integer.parseInt(words.group(2));
      boolean inBeats = words.group(3) != null;
      Optional<String> wrong = wrongLength(number, inBeats, meter);
      if (wrong.isPresent()) {
        return Reading.problem(column, wrong.get());
      }
      BarLines.Stretch length = length(number, inBeats, meter);
      int times = words.group(4) == null ? 1 : Integer.parseInt(words.group(4));
      if (times < 1 || times > MOST_TIMES) {
        return Reading.problem(column, "a section is repeated 1 to 32 times, but was " + times);
      }
      bars += length.bars() * times;
      if (bars > MOST_BARS) {
        return Reading.problem(column, "a song has at most 999 bars, but here it has " + bars);
      }
      List<String> marks = marks(words.group(6), meter);
      Optional<String> unknown =
          marks.stream().filter(mark -> Transition.parse(mark).isEmpty()).findFirst();
      if (unknown.isPresent()) {
        return Reading.problem(
            column, "\"" + unknown.get() + "\" is no transition; use " + Transition.words());
      }
      List<Transition> entry =
          marks.stream().flatMap(mark -> Transition.parse(mark).stream()).toList();
      Item item = Item.of(words.group(1), length, entry);
      items.add(item);
      for (int i = 1; i < times; i++) {
        items.add(item.again(words.group(5) != null));
      }
    }
    if (items.isEmpty()) {
      return Reading.problem(1, "type sections with bars, such as intro 8, hook 16, outro 8");
    }
    return new Reading.Understood<>(List.copyOf(items));
  }

  /** A length as it is typed by itself: {@code "16"}, {@code "16 bars"} or {@code "6 beats"}. */
  public static BarLines.Stretch length(String text, Meter meter) {
    Matcher matcher = LENGTH.matcher(text);
    if (!matcher.matches()) {
      throw new IllegalArgumentException(
          "a length is bars such as 16, or beats such as 6 beats, but was \"" + text + "\"");
    }
    int number = Integer.parseInt(matcher.group(1));
    boolean inBeats = matcher.group(2) != null && matcher.group(2).startsWith("beat");
    wrongLength(number, inBeats, meter)
        .ifPresent(
            why -> {
              throw new IllegalArgumentException(why);
            });
    return length(number, inBeats, meter);
  }

  private static BarLines.Stretch length(int number, boolean inBeats, Meter meter) {
    return inBeats ? BarLines.Stretch.ofBeats(number, meter) : new BarLines.Stretch(number, 0);
  }

  private static Optional<String> wrongLength(int number, boolean inBeats, Meter meter) {
    int most = Section.MOST_BARS * (inBeats ? meter.beats() : 1);
    String unit = inBeats ? " beats" : " bars";
    return number >= 1 && number <= most
        ? Optional.empty()
        : Optional.of("a section has 1 to " + most + unit + ", but was " + number);
  }

  /** The words after the bars, bars after a word as its beats; "none" says that there is none. */
  private static List<String> marks(String text, Meter meter) {
    List<String> out = new ArrayList<>();
    Matcher matcher = MARK.matcher(text);
    while (matcher.find()) {
      boolean bars = matcher.group(2) != null;
      String word = matcher.group(1);
      if (!word.equals("none")) {
        out.add(bars ? word + ":" + meter.beats() * Integer.parseInt(matcher.group(2)) : word);
      }
    }
    return out;
  }

  /** A form as it is typed: names, bars, and what announces and lands each section. */
  public static String format(Form form, Meter meter) {
    List<Section> sections = form.sections();
    List<String> out = new ArrayList<>();
    int next;
    for (int i = 0; i < sections.size(); i = next) {
      next = i + 1;
      while (next < sections.size() && repeats(sections.get(i), sections.get(next))) {
        next++;
      }
      out.add(format(sections.get(i), next - i, meter));
    }
    return String.join(", ", out);
  }

  /** Whether a section reads as one before it, with nothing that announces it. */
  private static boolean repeats(Section first, Section later) {
    return later.title().equals(first.title())
        && later.length().equals(first.length())
        && later.entry().isEmpty()
        && later.link().map(SectionLink::group).equals(first.link().map(SectionLink::group));
  }

  private static String format(Section section, int times, Meter meter) {
    String repeats = times == 1 ? "" : " x" + times + (section.link().isPresent() ? " linked" : "");
    String words =
        section.entry().stream()
            .map(transition -> " " + transition.word())
            .collect(Collectors.joining());
    BarLines.Stretch own = section.length();
    String length = own.cut(meter) ? own.words(meter) : String.valueOf(own.bars());
    return section.title() + " " + length + repeats + words;
  }

  private static int leading(String text) {
    return text.length() - text.stripLeading().length();
  }
}
