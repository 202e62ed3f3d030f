package westtide.song.mix;

/**
 * A part stepping back for the kick: at the trigger it falls by the depth and comes back along a
 * curve.
 *
 * @param trigger what makes it step back
 * @param depth how far, in tenths of a dB, 0 to 400
 * @param millis how long until it is all the way back, 20 to 1000
 * @param below only what lies below this frequency in Hz steps back; 0 for all of it
 */
public record Duck(Trigger trigger, int depth, int millis, int below) {
  /** No ducking. */
  public static final Duck NONE = new Duck(Trigger.NONE, 100, 180, 0);

  /** What makes a part step back. */
  public enum Trigger {
    NONE("not at all"),
    QUARTERS("on each beat"),
    KICK("side-chained to the kick");

    private final String title;

    Trigger(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks the ranges. */
  public Duck {
    Range.check("a duck's depth", depth, 0, 400, "tenths of a dB");
    Range.check("a duck's time", millis, 20, 1000, "ms");
    Range.check("a duck's upper limit", below, 0, 2000, "Hz");
  }

  /** The same curve at another trigger. */
  public Duck withTrigger(Trigger other) {
    return new Duck(other, depth, millis, below);
  }

  /** The same duck to another depth, in tenths of a dB. */
  public Duck withDepth(int tenths) {
    return new Duck(trigger, tenths, millis, below);
  }

  /** The same duck over another time. */
  public Duck withMillis(int other) {
    return new Duck(trigger, depth, other, below);
  }

  /** The same duck of only what lies below a frequency; 0 for all. */
  public Duck withBelow(int hertz) {
    return new Duck(trigger, depth, millis, hertz);
  }
}
