package westtide.song.mix;

import java.util.List;
import westtide.rhythm.NoteValue;

/**
 * Level that moves up and down at a note value.
 *
 * @param depth how far down, 0 to 100 %; 0 when off
 * @param rate the note value of one movement
 * @param swing where the second of two movements begins, 50 to 75 % of both; 50 is even
 * @param stereo how far the right side moves against the left, 0 to 100 %
 */
public record Tremolo(int depth, NoteValue rate, int swing, int stereo) {
  /** The note values one movement may take. */
  public static final List<NoteValue> RATES =
      List.of(
          NoteValue.HALF,
          NoteValue.QUARTER,
          NoteValue.EIGHTH,
          NoteValue.EIGHTH_TRIPLET,
          NoteValue.SIXTEENTH,
          NoteValue.SIXTEENTH_TRIPLET);

  /** No movement. */
  public static final Tremolo STILL = new Tremolo(0, NoteValue.EIGHTH, 50, 0);

  /** Checks the ranges. */
  public Tremolo {
    Range.check("a tremolo's depth", depth, 0, 100, "%");
    if (!RATES.contains(rate)) {
      throw new IllegalArgumentException(
          "a tremolo moves at one of " + RATES + ", but was " + rate);
    }
    Range.check("a tremolo's swing", swing, 50, 75, "%");
    Range.check("a tremolo's stereo", stereo, 0, 100, "%");
  }

  /** The same to another depth. */
  public Tremolo withDepth(int percent) {
    return new Tremolo(percent, rate, swing, stereo);
  }

  /** The same at another note value. */
  public Tremolo withRate(NoteValue other) {
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
