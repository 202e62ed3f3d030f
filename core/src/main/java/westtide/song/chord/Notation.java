package westtide.song.chord;

import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.RomanNumeral;

/** How a progression is shown in its typed line. */
public enum Notation {
  NAMES,
  NUMERALS;

  /** The chord as this notation writes it. */
  public String write(Chord chord, Key key) {
    return this == NAMES ? chord.toString() : RomanNumeral.of(chord, key).toString();
  }
}
