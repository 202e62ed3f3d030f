package westtide.song.pattern;

/**
 * How far a part sounds from where it is written: {@code +12} plays an octave up, {@code +50 ct} a
 * quarter tone. Voicings and velocities stay as they are.
 *
 * @param semitones −36 to 36
 * @param cents hundredths of a semitone, −100 to 100
 */
public record Transposition(int semitones, int cents) {
  /** Where it is written. */
  public static final Transposition NONE = new Transposition(0, 0);

  /** The farthest a part is transposed, in semitones. */
  public static final int FARTHEST = 36;

  private static final int MOST_CENTS = 100;

  /** Checks the ranges. */
  public Transposition {
    if (Math.abs(semitones) > FARTHEST) {
      throw new IllegalArgumentException(
          "a part is transposed by -36 to 36 semitones, but was " + semitones);
    }
    if (Math.abs(cents) > MOST_CENTS) {
      throw new IllegalArgumentException("a part is tuned by -100 to 100 cents, but was " + cents);
    }
  }

  /** The same tuning other semitones away. */
  public Transposition withSemitones(int other) {
    return new Transposition(other, cents);
  }

  /** The same semitones tuned otherwise. */
  public Transposition withCents(int other) {
    return new Transposition(semitones, other);
  }

  /** The same whole octaves further, as far as parts are transposed. */
  public Transposition plusOctaves(int octaves) {
    int moved = semitones + 12 * octaves;
    while (Math.abs(moved) > FARTHEST) {
      moved -= 12 * Integer.signum(moved);
    }
    return new Transposition(moved, cents);
  }

  /** A MIDI note where it sounds; one that would leave 0 to 127 stays an octave nearer. */
  public int key(int written) {
    int moved = written + semitones;
    while (moved > 127) {
      moved -= 12;
    }
    while (moved < 0) {
      moved += 12;
    }
    return moved;
  }
}
