package westtide.song.edit;

import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import westtide.song.Song;

/**
 * A change a person made, by the name they see in undo, such as "Move hat late by 12 ticks".
 *
 * @param title what was done to a song, in a few words; it may name a part as the song does
 * @param change the function from the song before to the song after
 */
public record Edit(Function<Song, String> title, UnaryOperator<Song> change) {
  /** An edit that stands alone. */
  public static Edit of(String name, UnaryOperator<Song> change) {
    return new Edit(song -> name, change);
  }

  /** An edit whose name speaks of the song before it, such as of a part by its name. */
  public static Edit named(Function<Song, String> title, UnaryOperator<Song> change) {
    return new Edit(title, change);
  }

  /** Several edits one after another, as one with a name of its own. */
  public static Edit together(String name, List<Edit> edits) {
    return of(
        name,
        song -> {
          Song out = song;
          for (Edit edit : edits) {
            out = edit.apply(out);
          }
          return out;
        });
  }

  /** Its name when it is applied to a song. */
  public String name(Song before) {
    return title.apply(before);
  }

  /** The song after the edit; sections that are linked to one it changed are changed with it. */
  public Song apply(Song song) {
    return LinkedSections.kept(song, change.apply(song));
  }
}
