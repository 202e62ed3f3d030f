package westtide.song.chord;

import java.util.Arrays;
import java.util.Optional;
import westtide.rhythm.Figure;

/** The typed form of a chord rhythm: the name of a family, or a figure of its own. */
public final class RhythmText {
  private RhythmText() {}

  /**
   * Reads {@code "held"}, {@code "pushed an eighth"} or a figure such as {@code "x--.x-.."}.
   *
   * @throws IllegalArgumentException when it is neither
   */
  public static ChordRhythm parse(String text) {
    String wanted = text.strip();
    Optional<RhythmFamily> family =
        Arrays.stream(RhythmFamily.values())
            .filter(f -> f.toString().equalsIgnoreCase(wanted))
            .findFirst();
    return family.map(RhythmFamily::rhythm).orElseGet(() -> ChordRhythm.of(new Figure(wanted)));
  }

  /** Writes a rhythm so that {@link #parse} reads it. */
  public static String format(ChordRhythm rhythm) {
    return RhythmFamily.of(rhythm)
        .map(RhythmFamily::toString)
        .orElseGet(() -> rhythm.figure().map(Figure::text).orElse("held"));
  }
}
