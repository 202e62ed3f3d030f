/**
 * The chords of a song: rows of chords with their lengths, how each is played, and the line they
 * are typed in.
 */
package westtide.song.chord;
