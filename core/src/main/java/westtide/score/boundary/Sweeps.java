package westtide.score.boundary;

import java.util.List;
import java.util.Map;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.song.form.TransitionEffect;
import westtide.song.mix.Curve;

/** The movements of filters and fades at a boundary. */
final class Sweeps {
  private static final double OPEN = Curve.Kind.LOW_PASS.even(Curve.Kind.LOW_PASS.high());

  /** How far a low-pass closes at full depth: six octaves below 20 kHz are about 310 Hz. */
  private static final double OCTAVES = 6;

  private static final double SILENT_DECIBELS = -60;

  private Sweeps() {}

  static Map<AutomationTarget, List<Motion.Piece>> of(
      Boundaries.At at, TransitionEffect.Sweep.Way way) {
    double depth = at.what().depth() / 100.0;
    double closed = OPEN - OCTAVES * depth;
    return switch (way) {
      case OPENING -> lowPass(at, closed, OPEN);
      case CLOSING -> lowPass(at, OPEN, closed);
      case FADING -> fade(at, SILENT_DECIBELS * depth);
    };
  }

  private static Map<AutomationTarget, List<Motion.Piece>> lowPass(
      Boundaries.At at, double from, double to) {
    return Map.of(
        AutomationTarget.LOW_PASS, List.of(new Motion.Piece(at.from(), at.to(), from, to)));
  }

  private static Map<AutomationTarget, List<Motion.Piece>> fade(Boundaries.At at, double floor) {
    return Map.of(
        AutomationTarget.LEVEL,
        List.of(
            new Motion.Piece(at.from(), at.to(), 0, floor),
            new Motion.Piece(at.to(), Math.max(at.to(), at.end()), floor, floor)));
  }
}
