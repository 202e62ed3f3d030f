package westtide.score.event;

import westtide.song.mix.Curve;

/** What of a part can move over the song. */
public enum AutomationTarget {
  /** dB added to its level; several add up. */
  LEVEL(0),
  /** dB of expression added to its level: hints, gates; several add up. */
  EXPRESSION(0),
  /** Left −100 to right 100; it stands for the part's own. */
  PAN(0),
  /** Low-pass in octaves above 1 Hz; of several the lowest counts. */
  LOW_PASS(Curve.Kind.LOW_PASS.even(Curve.Kind.LOW_PASS.high())),
  /** Low cut in octaves above 1 Hz; of several the highest counts. */
  HIGH_PASS(Curve.Kind.HIGH_PASS.even(Curve.Kind.HIGH_PASS.low())),
  /** Percent sent to the room; it stands for the part's own. */
  ROOM(0),
  /** Percent sent to the delay; it stands for the part's own. */
  DELAY(0),
  /** Percent of width; it stands for the part's own. */
  WIDTH(0);

  private final double rest;

  AutomationTarget(double rest) {
    this.rest = rest;
  }

  /** The value that changes nothing, or what is meant where nothing stands for the part's own. */
  public double rest() {
    return rest;
  }

  /** What two movements at once come to. */
  double together(double one, double other) {
    return switch (this) {
      case LEVEL, EXPRESSION -> one + other;
      case LOW_PASS -> Math.min(one, other);
      case HIGH_PASS -> Math.max(one, other);
      case PAN, ROOM, DELAY, WIDTH -> other;
    };
  }
}
