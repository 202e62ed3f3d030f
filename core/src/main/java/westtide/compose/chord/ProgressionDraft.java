package westtide.compose.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import westtide.song.Brief;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.id.Seed;
import westtide.style.Style;
import westtide.theory.Key;
import westtide.theory.Scale;

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
    List<String> lines = new ArrayList<>(fitting());
    String hook = lines.get(random.nextInt(lines.size()));
    List<Progression> out = new ArrayList<>();
    out.add(row(HOOK, given.orElseGet(() -> spans(hook, brief.key()))));
    if (style.chords().second()) {
      if (lines.size() > 1) {
        lines.remove(hook);
      }
      out.add(row(VERSE, spans(Seed.pick(lines, random), brief.key())));
    }
    return out;
  }

  /**
   * The style's lines that are as much at home in this mode as in plain minor or major: in dorian a
   * line with a minor four chord is left out, in major whatever is written for minor. All lines
   * when none fits.
   */
  private List<String> fitting() {
    Key key = brief.key();
    Key minor = new Key(key.tonic(), Scale.MINOR);
    Key major = new Key(key.tonic(), Scale.MAJOR);
    List<String> out =
        style.chords().progressions().stream()
            .filter(
                line -> foreign(line, key) <= Math.min(foreign(line, minor), foreign(line, major)))
            .toList();
    return out.isEmpty() ? style.chords().progressions() : out;
  }

  private long foreign(String line, Key key) {
    Key scale = key.chordKey();
    return spans(line, key).stream()
        .flatMap(span -> span.chord().pitchClasses().stream())
        .filter(pitchClass -> !scale.contains(pitchClass))
        .count();
  }

  private static Progression row(String name, List<ChordSpan> spans) {
    return Progression.of(name, Notation.NUMERALS, spans);
  }

  private List<ChordSpan> spans(String line, Key key) {
    return ChordLine.in(key, brief.meter()).parse(line).orElseThrow();
  }
}
