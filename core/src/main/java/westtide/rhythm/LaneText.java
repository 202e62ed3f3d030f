package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import westtide.text.Reading;

/**
 * The typed form of a lane: {@code x} hit, {@code X} accent, {@code o} soft hit, {@code .} rest; a
 * digit 2 to 8 after a hit splits it into a roll, and {@code /4} lets it play on every fourth pass
 * of the lane only. Spaces are ignored; {@code |} closes a bar. {@code "x.o.x3.X/4"} has seven
 * steps.
 */
public final class LaneText {
  private static final Pattern SIGN = Pattern.compile("[xXo]([2-8])?(?:/(\\d{1,2}))?|[.]|[ |]+");

  private LaneText() {}

  /** Reads a lane whose bars may be of any length. */
  public static Reading<StepLane> read(String text) {
    return read(text, 1);
  }

  /**
   * Reads a lane; a {@code |} that does not close a bar of so many steps is a problem, and so is a
   * last bar that is cut short behind one. Without any {@code |} a lane may have any length.
   */
  public static Reading<StepLane> read(String text, int bar) {
    List<Hit> hits = new ArrayList<>();
    Matcher matcher = SIGN.matcher(text);
    int at = 0;
    int step = 0;
    while (at < text.length()) {
      if (!matcher.find(at) || matcher.start() != at) {
        return wrong(text, at);
      }
      char sign = text.charAt(at);
      if (sign == 'x' || sign == 'X' || sign == 'o') {
        int passes = matcher.group(2) == null ? 1 : Integer.parseInt(matcher.group(2));
        if (passes < 1 || passes > 64) {
          return Reading.problem(at + 1, "a hit plays on every 1st to 64th pass, such as x/4");
        }
        hits.add(hit(step, sign, matcher.group(1), passes));
      }
      boolean closes = matcher.group().indexOf('|') >= 0;
      if (closes && step % bar != 0) {
        int column = at + matcher.group().indexOf('|') + 1;
        return Reading.problem(
            column, "a bar has " + bar + " steps, but | stands after " + (step % bar) + " of them");
      }
      step += sign == ' ' || sign == '|' ? 0 : 1;
      at = matcher.end();
    }
    if (step == 0) {
      return Reading.problem(1, "a lane needs at least one step, such as x...");
    }
    if (text.indexOf('|') >= 0 && step % bar != 0) {
      return Reading.problem(
          text.length(),
          "the last bar has "
              + step % bar
              + " of "
              + bar
              + " steps; fill it up, or write the lane without | to repeat after "
              + step);
    }
    if (step > StepLane.LONGEST) {
      return Reading.problem(1, "a lane has 1 to 256 steps, but this has " + step);
    }
    return new Reading.Understood<>(new StepLane(step, hits));
  }

  private static Hit hit(int step, char sign, String strokes, int passes) {
    Hit plain = Hit.of(step, velocity(sign));
    Hit rolled = strokes == null ? plain : plain.withStrokes(Integer.parseInt(strokes));
    return passes == 1 ? rolled : rolled.withWhen(When.every(passes));
  }

  private static Reading<StepLane> wrong(String text, int at) {
    return Reading.problem(
        at + 1,
        "\""
            + text.charAt(at)
            + "\" is no sign of a lane; write x X o for hits and . for rests, after a hit 2 to 8"
            + " for a roll and /4 for every fourth pass");
  }

  static String format(StepLane lane) {
    return format(lane, lane.length());
  }

  /** The lane as text with {@code |} between its bars of so many steps, where it has whole ones. */
  public static String format(StepLane lane, int bar) {
    boolean whole = lane.length() % bar == 0;
    StringBuilder out = new StringBuilder();
    for (int step = 0; step < lane.length(); step++) {
      if (whole && step > 0 && step % bar == 0) {
        out.append('|');
      }
      out.append(lane.at(step).map(LaneText::sign).orElse("."));
    }
    return out.toString();
  }

  private static int velocity(char sign) {
    return switch (sign) {
      case 'X' -> Velocity.ACCENT;
      case 'o' -> Velocity.SOFT;
      default -> Velocity.HIT;
    };
  }

  /** How a hit is written; what its sign does not say is not in the text. */
  static String sign(Hit hit) {
    String mark = hit.velocity() >= 106 ? "X" : hit.velocity() >= 74 ? "x" : "o";
    String roll = hit.strokes() > 1 ? String.valueOf(hit.strokes()) : "";
    boolean every = hit.when().every() > 1 && hit.when().on() == hit.when().every();
    return mark + roll + (every ? "/" + hit.when().every() : "");
  }
}
