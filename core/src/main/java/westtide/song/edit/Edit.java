package westtide.song.edit;

import java.util.function.Function;
import java.util.function.UnaryOperator;
import westtide.song.Song;

/**
 * A change a person made, by the name they see in undo, such as "Move hat late by 12 ticks".
 *
 * @param title what was done to a song, in a few words; it may name a part as the song does
 * @param change the function from the song before to the song after
 * @param mergeKey edits that follow each other with the same non-empty key become one, as while
 *     dragging
 */
public record Edit(Function<Song, String> title, UnaryOperator<Song> change, String mergeKey) {
  /** An edit that stands alone. */
  public static Edit of(String name, UnaryOperator<Song> change) {
    return new Edit(song -> name, change, "");
  }

  /** An edit whose name speaks of the song before it, such as of a part by its name. */
  public static Edit named(Function<Song, String> title, UnaryOperator<Song> change) {
    return new Edit(title, change, "");
  }

  /** The same edit, merging with others of that key. */
  public Edit merging(String key) {
    return new Edit(title, change, key);
  }

  /** Its name when it is applied to a song. */
  public String name(Song before) {
    return title.apply(before);
  }

  /** The song after the edit. */
  public Song apply(Song song) {
    return change.apply(song);
  }
}
