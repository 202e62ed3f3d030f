package westtide.desktop.files;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import westtide.file.SongFile;
import westtide.song.Song;

/**
 * A song that ships with the product.
 *
 * @param file the name of its file, without ending
 * @param outline what it is recognised by
 */
public record DemoSong(String file, SongOutline outline) {
  /** The song, read now. */
  public Song song() {
    try (InputStream in =
        DemoSong.class.getResourceAsStream(DemoSongs.FOLDER + file + SongFile.ENDING)) {
      return SongFile.read(in);
    } catch (IOException e) {
      throw new UncheckedIOException("the demo song " + file + " could not be read", e);
    }
  }
}
