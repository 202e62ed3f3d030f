package westtide.rhythm;

/** MIDI velocities, 1 to 127, and the three that lane text can say. */
public final class Velocity {
  /** {@code o} in lane text: a ghost. */
  public static final int SOFT = 56;

  /** {@code x} in lane text. */
  public static final int HIT = 92;

  /** {@code X} in lane text. */
  public static final int ACCENT = 116;

  /** The loudest a note can be. */
  public static final int HIGHEST = 127;

  private Velocity() {}

  /** A velocity held inside 1 to 127. */
  public static int held(long velocity) {
    return (int) Math.max(1, Math.min(HIGHEST, velocity));
  }

  /** Returns the velocity, or throws when it is not 1 to 127. */
  public static int checked(int velocity) {
    if (velocity < 1 || velocity > HIGHEST) {
      throw new IllegalArgumentException("velocity must be 1 to 127, but was " + velocity);
    }
    return velocity;
  }
}
