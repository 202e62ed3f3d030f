package westtide.song.mix;

import westtide.rhythm.Ticks;

/**
 * Level that moves up and down at a note value.
 *
 * @param depth how far down, 0 to 100 %; 0 when off
 * @param rate the note value of one movement
 * @param swing where the second of two movements begins, 50 to 75 % of both; 50 is even
 * @param stereo how far the right side moves against the left, 0 to 100 %
 */
public record Tremolo(int depth, Rate rate, int swing, int stereo) {
  /** No movement. */
  public static final Tremolo STILL = new Tremolo(0, Rate.EIGHTH, 50, 0);

  /** How long one movement takes. */
  public enum Rate {
    HALF("1/2", Ticks.PER_QUARTER * 2),
    QUARTER("1/4", Ticks.PER_QUARTER),
    EIGHTH("1/8", Ticks.PER_QUARTER / 2),
    EIGHTH_TRIPLET("1/8 triplet", Ticks.PER_QUARTER / 3),
    SIXTEENTH("1/16", Ticks.PER_QUARTER / 4),
    SIXTEENTH_TRIPLET("1/16 triplet", Ticks.PER_QUARTER / 6);

    private final String title;
    private final int ticks;

    Rate(String title, int ticks) {
      this.title = title;
      this.ticks = ticks;
    }

    /** The length in ticks. */
    public int ticks() {
      return ticks;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks the ranges. */
  public Tremolo {
    Range.check("a tremolo's depth", depth, 0, 100, "%");
    Range.check("a tremolo's swing", swing, 50, 75, "%");
    Range.check("a tremolo's stereo", stereo, 0, 100, "%");
  }

  /** The same to another depth. */
  public Tremolo withDepth(int percent) {
    return new Tremolo(percent, rate, swing, stereo);
  }

  /** The same at another note value. */
  public Tremolo withRate(Rate other) {
    return new Tremolo(depth, other, swing, stereo);
  }

  /** The same with its second movements later. */
  public Tremolo withSwing(int percent) {
    return new Tremolo(depth, rate, percent, stereo);
  }

  /** The same with its sides further apart. */
  public Tremolo withStereo(int percent) {
    return new Tremolo(depth, rate, swing, percent);
  }
}
