package westtide.theory;

/** What stands after the slash of a Roman numeral: a member of the chord or a degree of the key. */
public sealed interface NumeralBass {
  /**
   * A member of the chord by number: {@code I/3} has its own third in the bass.
   *
   * @param degree the number of the chord tone, such as 3, 5 or 7
   */
  record Member(int degree) implements NumeralBass {
    @Override
    public String toString() {
      return Integer.toString(degree);
    }
  }

  /**
   * A degree of the key: {@code VI/VII} stands over the seventh degree. It never means an applied
   * dominant.
   *
   * @param accidental semitones the degree is raised or lowered
   * @param degree 1 to 7
   */
  record KeyDegree(int accidental, int degree) implements NumeralBass {
    @Override
    public String toString() {
      return Accidentals.of(accidental) + RomanNumeral.ROMAN.get(degree - 1);
    }
  }
}
