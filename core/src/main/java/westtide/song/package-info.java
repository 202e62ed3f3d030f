/**
 * The document: a song is a brief, progressions, parts with patterns, and a form.
 *
 * <p>Everything here is an immutable value. A change is an {@link westtide.song.edit.Edit}, a named
 * function from song to song; {@link westtide.song.edit.History} is the list of songs it led
 * through. Following parts are kept as rules and resolved elsewhere.
 */
package westtide.song;
