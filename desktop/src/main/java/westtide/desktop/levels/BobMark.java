package westtide.desktop.levels;

/**
 * What can be chosen on the plumb lines: the bob of a part, or its name.
 *
 * @param index the place of the part, counted from 0
 * @param name whether it is the name
 */
record BobMark(int index, boolean name) {}
