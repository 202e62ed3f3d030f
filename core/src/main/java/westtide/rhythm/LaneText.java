package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;

/**
 * The typed form of a lane: {@code x} hit, {@code X} accent, {@code o} soft hit, {@code .} rest, a
 * digit 2 to 8 after a hit splits it into a roll; spaces and {@code |} are ignored. {@code
 * "x.o.x3.."} has seven steps.
 */
final class LaneText {
  private LaneText() {}

  static StepLane parse(String text) {
    List<Hit> hits = new ArrayList<>();
    int step = 0;
    for (int column = 0; column < text.length(); column++) {
      char sign = text.charAt(column);
      if (sign == ' ' || sign == '|') {
        continue;
      }
      if (sign >= '2'
          && sign <= '8'
          && !hits.isEmpty()
          && last(hits).step() == step - 1
          && last(hits).strokes() == 1) {
        hits.set(hits.size() - 1, last(hits).withStrokes(sign - '0'));
        continue;
      }
      if (sign != '.') {
        hits.add(Hit.of(step, velocity(sign, text, column)));
      }
      step++;
    }
    if (step == 0) {
      throw new IllegalArgumentException("a lane needs at least one step, such as x...");
    }
    return new StepLane(step, hits);
  }

  static String format(StepLane lane) {
    StringBuilder out = new StringBuilder();
    for (int step = 0; step < lane.length(); step++) {
      out.append(lane.at(step).map(LaneText::sign).orElse("."));
    }
    return out.toString();
  }

  private static Hit last(List<Hit> hits) {
    return hits.get(hits.size() - 1);
  }

  private static int velocity(char sign, String text, int column) {
    return switch (sign) {
      case 'x' -> Velocity.HIT;
      case 'X' -> Velocity.ACCENT;
      case 'o' -> Velocity.SOFT;
      default ->
          throw new IllegalArgumentException(
              "a lane is written with x X o . and a digit 2 to 8 after a hit, but column "
                  + (column + 1)
                  + " of \""
                  + text
                  + "\" is "
                  + sign);
    };
  }

  private static String sign(Hit hit) {
    String mark = hit.velocity() >= 106 ? "X" : hit.velocity() >= 74 ? "x" : "o";
    return hit.strokes() > 1 ? mark + hit.strokes() : mark;
  }
}
