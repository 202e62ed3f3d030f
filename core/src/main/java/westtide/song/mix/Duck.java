package westtide.song.mix;

/**
 * A part stepping back for the kick: at the trigger it falls by the depth, stays there for the hold
 * and comes back along a curve.
 *
 * @param trigger what makes it step back
 * @param lane the drum lane it steps back for, by its code such as {@code SNARE}, where the trigger
 *     is a lane; else empty
 * @param depth how far, in tenths of a dB, 0 to 400
 * @param hold how long it stays down, in ms, 0 to 500
 * @param millis how long until it is all the way back, after the hold, 20 to 1000
 * @param curve how it comes back
 * @param below only what lies below this frequency in Hz steps back; 0 for all of it
 */
public record Duck(
    Trigger trigger, String lane, int depth, int hold, int millis, Return curve, int below) {
  /** No ducking. */
  public static final Duck NONE = new Duck(Trigger.NONE, 100, 180, 0);

  /** What makes a part step back. */
  public enum Trigger {
    NONE("not at all"),
    QUARTERS("on each beat"),
    KICK("side-chained to the kick"),
    LANE("side-chained to a drum lane");

    private final String title;

    Trigger(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** How a part comes back. */
  public enum Return {
    /** Fast at first, then ever slower. */
    SOON("soon"),
    /** Evenly in dB. */
    EVEN("evenly"),
    /** Slow at first, then ever faster, as a pump. */
    LATE("late");

    private final String title;

    Return(String title) {
      this.title = title;
    }

    /** How much of the depth is left, 1 to 0, when a share of the way back has passed. */
    public double left(double passed) {
      double rest = 1 - passed;
      return switch (this) {
        case SOON -> rest * rest;
        case EVEN -> rest;
        case LATE -> 1 - passed * passed;
      };
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks the ranges. */
  public Duck {
    Range.check("a duck's depth", depth, 0, 400, "tenths of a dB");
    Range.check("a duck's hold", hold, 0, 500, "ms");
    Range.check("a duck's time", millis, 20, 1000, "ms");
    Range.check("a duck's upper limit", below, 0, 2000, "Hz");
  }

  /** A duck without a hold that comes back soon. */
  public Duck(Trigger trigger, int depth, int millis, int below) {
    this(trigger, "", depth, 0, millis, Return.SOON, below);
  }

  /** The same curve at another trigger. */
  public Duck withTrigger(Trigger other) {
    return new Duck(other, other == Trigger.LANE ? lane : "", depth, hold, millis, curve, below);
  }

  /** The same curve whenever a drum lane is struck, named by its code. */
  public Duck withLane(String code) {
    return new Duck(Trigger.LANE, code, depth, hold, millis, curve, below);
  }

  /** The same duck to another depth, in tenths of a dB. */
  public Duck withDepth(int tenths) {
    return new Duck(trigger, lane, tenths, hold, millis, curve, below);
  }

  /** The same duck staying down for another time. */
  public Duck withHold(int other) {
    return new Duck(trigger, lane, depth, other, millis, curve, below);
  }

  /** The same duck over another time. */
  public Duck withMillis(int other) {
    return new Duck(trigger, lane, depth, hold, other, curve, below);
  }

  /** The same duck coming back otherwise. */
  public Duck withCurve(Return other) {
    return new Duck(trigger, lane, depth, hold, millis, other, below);
  }

  /** The same duck of only what lies below a frequency; 0 for all. */
  public Duck withBelow(int hertz) {
    return new Duck(trigger, lane, depth, hold, millis, curve, hertz);
  }

  /** The gain in dB, 0 or less, so many milliseconds after a trigger. */
  public double gain(double after) {
    double passed = Math.max(0, after - hold) / millis;
    return after < 0 || passed >= 1 ? 0 : -depth / 10.0 * curve.left(passed);
  }
}
