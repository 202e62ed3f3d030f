/**
 * Lines in writing: text such as {@code "5 - . b6 5 - - -"} becomes notes and notes become text,
 * over degrees of the key or over degrees of the chords that are heard.
 */
package westtide.song.line;
