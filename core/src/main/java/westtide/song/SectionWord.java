package westtide.song;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** The names people give sections; any style takes any of them. */
public enum SectionWord {
  INTRO("intro", SectionKind.INTRO),
  VERSE("verse", SectionKind.VERSE),
  PRE_HOOK("pre-hook", SectionKind.PRE_HOOK),
  BUILD("build", SectionKind.PRE_HOOK),
  HOOK("hook", SectionKind.HOOK),
  CHORUS("chorus", SectionKind.HOOK),
  DROP("drop", SectionKind.HOOK),
  GROOVE("groove", SectionKind.GROOVE),
  BRIDGE("bridge", SectionKind.BRIDGE),
  BREAKDOWN("breakdown", SectionKind.BRIDGE),
  GAP("gap", SectionKind.GAP),
  OUTRO("outro", SectionKind.OUTRO);

  private final String title;
  private final SectionKind kind;

  SectionWord(String title, SectionKind kind) {
    this.title = title;
    this.kind = kind;
  }

  /** The word, in any case. */
  public static Optional<SectionWord> find(String text) {
    String wanted = text.strip().toLowerCase(Locale.ROOT);
    return Arrays.stream(values()).filter(word -> word.title.equals(wanted)).findFirst();
  }

  /** All words in a sentence's list. */
  public static String list() {
    return Arrays.stream(values()).map(SectionWord::toString).collect(Collectors.joining(", "));
  }

  /** What the section does. */
  public SectionKind kind() {
    return kind;
  }

  @Override
  public String toString() {
    return title;
  }
}
