package westtide.theory;

/** Reads and writes runs of sharps and flats; typed {@code #} and {@code b} stand for ♯ and ♭. */
final class Accidentals {
  private Accidentals() {}

  /** Typed signs turned into printed ones, for example {@code "b9#11"} into {@code "♭9♯11"}. */
  static String printed(String text) {
    return text.replace('#', '♯').replace('b', '♭');
  }

  /** Printed signs turned into typed ones. */
  static String typed(String text) {
    return text.replace('♯', '#').replace('♭', 'b');
  }

  /** The signs for a shift in semitones: 2 is {@code "♯♯"}, −1 is {@code "♭"}, 0 is empty. */
  static String of(int semitones) {
    return (semitones < 0 ? "♭" : "♯").repeat(Math.abs(semitones));
  }

  /** The shift in semitones of a run of typed signs such as {@code "##"}. */
  static int sum(String signs) {
    return signs.chars().map(c -> c == '#' ? 1 : -1).sum();
  }
}
