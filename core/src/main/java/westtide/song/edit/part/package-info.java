/** Edits of whole parts. */
package westtide.song.edit.part;
