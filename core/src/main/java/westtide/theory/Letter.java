package westtide.theory;

import java.util.List;

/** One of the seven letters of the staff, in the order C D E F G A B, with its height above C. */
public enum Letter {
  C(0),
  D(2),
  E(4),
  F(5),
  G(7),
  A(9),
  B(11);

  /** How many letters there are before they begin again. */
  static final int COUNT = 7;

  private static final List<Letter> ROUND = List.of(values());

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
    return ROUND.get(Math.floorMod(ordinal() + steps, COUNT));
  }
}
