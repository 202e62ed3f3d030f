package westtide.style;

import java.util.List;
import westtide.rhythm.Figure;

/**
 * How the lines of a style talk: a grammar of rhythms and the notes they go to. A bar is an opening
 * half and an answer, the second of two bars an opening half and a close; a cycle is a rhythm of an
 * odd number of steps instead. Marked common practice, no published source.
 *
 * @param opens first halves of a bar, eight sixteenths each
 * @param answers second halves of a bar
 * @param closes second halves of the last bar of two
 * @param pitches which notes it goes to
 * @param cycles lengths in steps of lines that run against the bar; empty where none does
 * @param triplets whether a turn in triplets belongs to it
 */
public record LineLanguage(
    List<Figure> opens,
    List<Figure> answers,
    List<Figure> closes,
    Pitches pitches,
    List<Integer> cycles,
    boolean triplets) {
  /** Steps of half a bar. */
  public static final int HALF = 8;

  /** Which notes a line goes to. */
  public enum Pitches {
    /** All of the key. */
    KEY,
    /** Five of it: without the two that lie a semitone from a neighbour. */
    FIVE,
    /** Three or four, drawn for each line. */
    FEW
  }

  /** A plain language for styles that have none of their own. */
  public static final LineLanguage PLAIN =
      new LineLanguage(
          figures("x--x--x-", "x-x-x---", "..x-x---", "x-----x-"),
          figures("..x-x---", "x---....", "..x-....", "x-x-x---"),
          figures("x---....", "..x-----", "x-------"),
          Pitches.KEY,
          List.of(),
          false);

  /** Copies the lists and checks that every half is one. */
  public LineLanguage {
    opens = checked(opens);
    answers = checked(answers);
    closes = checked(closes);
    cycles = List.copyOf(cycles);
    for (int steps : cycles) {
      if (steps < 2 || steps > 32) {
        throw new IllegalArgumentException("a cycle has 2 to 32 steps, but was " + steps);
      }
    }
  }

  private static List<Figure> checked(List<Figure> halves) {
    if (halves.isEmpty() || halves.stream().anyMatch(half -> half.length() != HALF)) {
      throw new IllegalArgumentException(
          "a line language needs halves of a bar, eight steps each, but had " + halves);
    }
    return List.copyOf(halves);
  }

  /** Halves of a bar from their texts. */
  static List<Figure> figures(String... texts) {
    return List.of(texts).stream().map(Figure::new).toList();
  }
}
