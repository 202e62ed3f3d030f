package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;

/**
 * A rhythm with lengths, as text: {@code x} strikes, {@code -} holds on, {@code .} rests, {@code X}
 * and {@code o} are louder and softer strikes, and {@code >} strikes what comes next, ahead of its
 * time. {@code "x--.x-.."} strikes on steps 1 and 5 and holds for three and two steps.
 *
 * @param text the steps without spaces; its length is the length of the figure, 1 to 256
 */
public record Figure(String text) {
  /**
   * A struck note of a figure.
   *
   * @param step the step it starts on, from 0
   * @param steps how long it is held, 1 or more
   * @param velocity 1 to 127
   * @param ahead whether the next chord is struck
   */
  public record Stroke(int step, int steps, int velocity, boolean ahead) {}

  /** Drops spaces and bar lines and checks the signs. */
  public Figure {
    text = text.replaceAll("[ |]", "");
    if (!text.matches("[xXo>.-]{1,256}") || text.startsWith("-") || text.contains(".-")) {
      throw new IllegalArgumentException(
          "a figure is written with x X o or > (the next chord), - after a strike to hold it, and . to"
              + " rest, but was \""
              + text
              + "\"");
    }
  }

  /** Steps before the figure starts again. */
  public int length() {
    return text.length();
  }

  /** The strokes in order. */
  public List<Stroke> strokes() {
    List<Stroke> out = new ArrayList<>();
    for (int step = 0; step < text.length(); step++) {
      char sign = text.charAt(step);
      if (sign != '.' && sign != '-') {
        out.add(new Stroke(step, held(step), velocity(sign), sign == '>'));
      }
    }
    return out;
  }

  private int held(int step) {
    int end = step + 1;
    while (end < text.length() && text.charAt(end) == '-') {
      end++;
    }
    return end - step;
  }

  private static int velocity(char sign) {
    return switch (sign) {
      case 'X' -> Velocity.ACCENT;
      case 'o' -> Velocity.SOFT;
      default -> Velocity.HIT;
    };
  }

  @Override
  public String toString() {
    return text;
  }
}
