package westtide.style;

import westtide.song.mix.Range;

/**
 * How much louder the drafts of a style are heard than its score alone tells: what the room, the
 * strips and the limiter add is alike in all of them. The middle of measured drafts.
 *
 * @param lead the lead over the chords, in tenths of a LU
 * @param mix the whole mix, in tenths of a LU
 */
public record Calibration(int lead, int mix) {
  /** The middle of the shipped styles, for a style nobody has measured. */
  public static final Calibration USUAL = new Calibration(-3, -21);

  private static final int MOST = 120;

  /** Checks the ranges. */
  public Calibration {
    Range.check("how much louder a lead is heard", lead, -MOST, MOST, "tenths of a LU");
    Range.check("how much louder a mix is heard", mix, -MOST, MOST, "tenths of a LU");
  }
}
