package westtide.song.edit;

import java.util.function.UnaryOperator;
import westtide.song.Song;

/**
 * A change a person made, by the name they see in undo, such as "Move hat late by 12 ticks".
 *
 * @param name what was done, in a few words
 * @param change the function from the song before to the song after
 * @param mergeKey edits that follow each other with the same non-empty key become one, as while
 *     dragging
 */
public record Edit(String name, UnaryOperator<Song> change, String mergeKey) {
  /** An edit that stands alone. */
  public static Edit of(String name, UnaryOperator<Song> change) {
    return new Edit(name, change, "");
  }

  /** The same edit, merging with others of that key. */
  public Edit merging(String key) {
    return new Edit(name, change, key);
  }

  /** The song after the edit. */
  public Song apply(Song song) {
    return change.apply(song);
  }
}
