package westtide.desktop.room;

import java.util.function.Consumer;
import java.util.function.Supplier;
import westtide.desktop.files.GrooveFiles;
import westtide.desktop.files.SongExports;
import westtide.desktop.files.SongFiles;
import westtide.desktop.kit.PageSpace;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.Panels;
import westtide.desktop.play.PlayDesk;
import westtide.song.edit.Edit;

/**
 * What a room works with.
 *
 * @param open the open song
 * @param files opening and saving
 * @param exports writing the song for other programs
 * @param grooves single grooves as files
 * @param messages sentences for the person
 * @param background work beside the window
 * @param play playing and hearing
 * @param panels where panels in front of the window are shown
 * @param pages the place of the pages under the drawings
 * @param loops what was found of recordings
 */
public record RoomContext(
    OpenSong open,
    SongFiles files,
    SongExports exports,
    GrooveFiles grooves,
    Messages messages,
    Background background,
    PlayDesk play,
    Panels panels,
    PageSpace pages,
    LoopFacts loops) {
  /** Applies an edit to the open song. */
  public void apply(Edit edit) {
    open.apply(edit);
  }

  /** Computes something that takes longer than a frame beside the window, and hands it back. */
  public <T> void compute(Supplier<T> work, Consumer<T> then) {
    background.run(work::get, then);
  }
}
