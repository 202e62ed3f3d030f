package westtide.song.form;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

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

  private static final Map<String, SectionWord> MEANINGS = meanings();

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

  /** The kind a name of one's own stands for, by the words in it; what says nothing is a groove. */
  public static SectionWord meant(String name) {
    String wanted = name.strip().toLowerCase(Locale.ROOT);
    for (Map.Entry<String, SectionWord> known : MEANINGS.entrySet()) {
      if (wanted.matches(".*\\b(" + known.getKey() + ")\\b.*")) {
        return known.getValue();
      }
    }
    return GROOVE;
  }

  private static Map<String, SectionWord> meanings() {
    Map<String, SectionWord> out = new LinkedHashMap<>();
    out.put("pre.*|lift|rise", PRE_HOOK);
    out.put("build.*|ramp", BUILD);
    out.put("main|refrain|theme|part b|hook.*|chorus.*", HOOK);
    out.put("drop.*", DROP);
    out.put("part a|verse.*|strophe|rap", VERSE);
    out.put("break.*|interlude|part d", BREAKDOWN);
    out.put("bridge.*|middle.*|part c|solo", BRIDGE);
    out.put("intro.*|start|opening", INTRO);
    out.put("outro.*|end|ending|coda|tag|fade", OUTRO);
    out.put("gap|pause|rest|silence", GAP);
    return out;
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
