package westtide.desktop.form;

import java.util.Optional;
import westtide.song.form.TransitionKind;

/**
 * What can be chosen on the sheet of tanks: a tank, the name of a part, the head of a section, or
 * the sign of a transition.
 *
 * @param is what it is
 * @param section the place of the section, counted from 0; −1 for the name of a part
 * @param row the place of the part, counted from 0; 0 for heads and signs
 * @param fromBar the bar of the section the tank begins at or the sign stands at, from 0
 * @param beat the beat of that bar the tank begins on, from 0
 * @param sign what the sign stands for
 */
record TankMark(
    Kind is, int section, int row, int fromBar, int beat, Optional<TransitionKind> sign) {
  /** What kinds of marks there are. */
  enum Kind {
    NAME,
    TANK,
    HEAD,
    SIGN
  }

  private static final int NOWHERE = -1;

  /** A tank that begins with a bar. */
  TankMark(int section, int row, int fromBar) {
    this(section, row, fromBar, 0);
  }

  /** A tank that begins on a beat. */
  TankMark(int section, int row, int fromBar, int beat) {
    this(Kind.TANK, section, row, fromBar, beat, Optional.empty());
  }

  /** The name of a part. */
  static TankMark name(int row) {
    return new TankMark(Kind.NAME, NOWHERE, row, 0, 0, Optional.empty());
  }

  /** The head of a section. */
  static TankMark head(int section) {
    return new TankMark(Kind.HEAD, section, 0, 0, 0, Optional.empty());
  }

  /** The sign of a transition at a bar of a section. */
  static TankMark sign(int section, int bar, TransitionKind kind) {
    return new TankMark(Kind.SIGN, section, 0, bar, 0, Optional.of(kind));
  }

  boolean isName() {
    return is == Kind.NAME;
  }

  boolean isTank() {
    return is == Kind.TANK;
  }
}
