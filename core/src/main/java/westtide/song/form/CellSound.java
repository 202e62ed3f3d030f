package westtide.song.form;

import westtide.song.mix.Mix;
import westtide.song.mix.Range;

/**
 * How a part sounds over a cell where that is not as usual.
 *
 * @param octave octaves above (positive) or below where it is written, −2 to 2; drums stay
 * @param thinning which notes are left out
 * @param lowPass Hz above which nothing of it passes, 200 to 20 000; {@link Mix#OPEN} is open
 * @param instrument the preview instrument it is heard with; empty for the part's own
 */
public record CellSound(int octave, Thinning thinning, int lowPass, String instrument) {
  /** The furthest octave either way. */
  public static final int FARTHEST = 2;

  /** As the part usually sounds. */
  public static final CellSound USUAL = new CellSound(0, Thinning.NONE, Mix.OPEN, "");

  /** Checks the ranges. */
  public CellSound {
    Range.check("a cell's octave", octave, -FARTHEST, FARTHEST, "octaves");
    Range.check("a cell's low-pass", lowPass, 200, Mix.OPEN, "Hz");
    instrument = instrument.strip();
  }

  /** The same in another octave. */
  public CellSound withOctave(int other) {
    return new CellSound(other, thinning, lowPass, instrument);
  }

  /** The same with other notes left out. */
  public CellSound withThinning(Thinning other) {
    return new CellSound(octave, other, lowPass, instrument);
  }

  /** The same open up to another frequency in Hz. */
  public CellSound withLowPass(int hertz) {
    return new CellSound(octave, thinning, hertz, instrument);
  }

  /** The same heard with another instrument; an empty name is the part's own. */
  public CellSound withInstrument(String other) {
    return new CellSound(octave, thinning, lowPass, other);
  }
}
