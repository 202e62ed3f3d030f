/** Edits of written lines, phrases, arpeggios and low lines. */
package westtide.song.edit.line;
