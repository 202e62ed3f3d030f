/**
 * Resolves following parts: chords and kick hits enter, notes of chords, 808 and bass leave.
 *
 * <p>Ticks are counted from the start of a section and are not yet swung.
 */
package westtide.follow;
