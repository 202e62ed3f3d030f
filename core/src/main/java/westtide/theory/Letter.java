package westtide.theory;

/** One of the seven letters of the staff, in the order C D E F G A B, with its height above C. */
public enum Letter {
  C(0),
  D(2),
  E(4),
  F(5),
  G(7),
  A(9),
  B(11);

  private final int semitones;

  Letter(int semitones) {
    this.semitones = semitones;
  }

  /** The height of the natural note above C, in semitones, 0 to 11. */
  public int semitones() {
    return semitones;
  }

  /** The letter {@code steps} staff steps higher (lower when negative), going round after B. */
  public Letter plus(int steps) {
    return values()[Math.floorMod(ordinal() + steps, values().length)];
  }
}
