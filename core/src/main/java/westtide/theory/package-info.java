/**
 * Pitch, spelling, interval, scale, key, chord symbol, Roman numeral, voicing and voice leading.
 *
 * <p>Text such as {@code "F#m9"} or {@code "♭II"} enters; spelled values leave, and their {@code
 * toString} is text that {@code parse} accepts again. Nothing here knows about time.
 */
package westtide.theory;
