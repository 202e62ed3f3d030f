/**
 * Changes to a song: named functions from song to song, and the history they lead through.
 *
 * <p>Each class makes the edits of one stage; a song and an edit enter, the song after it leaves.
 * Nothing here keeps state: {@link westtide.song.edit.History} is a value too.
 */
package westtide.song.edit;
