package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import westtide.song.Brief;
import westtide.song.ChordLine;
import westtide.song.ChordSpan;
import westtide.song.Notation;
import westtide.song.Progression;
import westtide.style.Style;

/** Chooses the progressions of a song from its style. */
public final class ProgressionDraft {
  /** The progression every song has. */
  public static final String HOOK = "hook";

  /** The progression of the verses where a style gives them their own. */
  public static final String VERSE = "verse";

  private final Style style;
  private final Brief brief;
  private final Random random;

  /** Drafts in a style, in the key of a brief. */
  public ProgressionDraft(Style style, Brief brief, Seed seed) {
    this.style = style;
    this.brief = brief;
    this.random = seed.random("progressions");
  }

  /**
   * The hook's progression, as given or drawn, and the verse's where the style draws a second one.
   */
  public List<Progression> draw(Optional<List<ChordSpan>> given) {
    List<String> lines = new ArrayList<>(style.chords().progressions());
    String hookLine = lines.remove(random.nextInt(lines.size()));
    List<Progression> out = new ArrayList<>();
    out.add(new Progression(HOOK, Notation.NUMERALS, given.orElseGet(() -> spans(hookLine))));
    if (style.chords().second()) {
      out.add(new Progression(VERSE, Notation.NUMERALS, spans(Seed.pick(lines, random))));
    }
    return out;
  }

  private List<ChordSpan> spans(String line) {
    return ChordLine.in(brief).parse(line).orElseThrow();
  }
}
