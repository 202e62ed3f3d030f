package westtide.desktop;

import westtide.song.Edit;

/**
 * What a room works with.
 *
 * @param open the open song
 * @param files opening, saving and exporting
 * @param messages sentences for the person
 */
public record Desk(OpenSong open, SongFiles files, Messages messages) {
  /** Applies an edit to the open song. */
  public void apply(Edit edit) {
    open.apply(edit);
  }
}
