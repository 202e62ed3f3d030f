package westtide.song.found;

/**
 * A piece played otherwise than it is.
 *
 * @param piece which, from 0; {@value #WHOLE} for the whole loop
 * @param reversed whether it is played backwards
 * @param semitones how far it is played higher and shorter, as a sampler does, −24 to 24
 */
public record Take(int piece, boolean reversed, int semitones) {
  /** The whole loop. */
  public static final int WHOLE = -1;

  /** Checks the ranges. */
  public Take {
    if (piece < WHOLE || semitones < -24 || semitones > 24) {
      throw new IllegalArgumentException(
          "a piece is moved by −24 to 24 semitones, but was by " + semitones);
    }
  }
}
