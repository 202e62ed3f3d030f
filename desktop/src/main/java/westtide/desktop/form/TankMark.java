package westtide.desktop.form;

/**
 * What can be chosen on the sheet of tanks: a tank, or the name of a part.
 *
 * @param section the place of the section, counted from 0; −1 for the name of a part
 * @param row the place of the part, counted from 0
 * @param fromBar the bar of the section the tank begins at, counted from 0
 */
record TankMark(int section, int row, int fromBar) {
  private static final int NAME = -1;

  /** The name of a part. */
  static TankMark name(int row) {
    return new TankMark(NAME, row, 0);
  }

  boolean isName() {
    return section == NAME;
  }
}
