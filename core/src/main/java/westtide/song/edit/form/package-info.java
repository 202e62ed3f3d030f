/** Edits of sections, their cells and their links. */
package westtide.song.edit.form;
