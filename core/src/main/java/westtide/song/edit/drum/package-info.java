/** Edits of grooves and lanes. */
package westtide.song.edit.drum;
