/** Edits of found sound: how it fits, where it is cut, what of it is heard. */
package westtide.song.edit.found;
