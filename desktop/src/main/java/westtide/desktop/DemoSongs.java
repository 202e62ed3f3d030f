package westtide.desktop;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import westtide.file.SongFile;
import westtide.song.Song;

/** The songs that ship with the product: music for an invented radio serial on a tidal island. */
public final class DemoSongs {
  private static final List<String> NAMES =
      List.of(
          "lamp-room-confession",
          "ferry-without-passengers",
          "letters-in-the-salt",
          "salt-market-sunrise",
          "breakwater-alarm",
          "kettle-on-pier-nine");

  private static final List<Song> ALL = NAMES.stream().map(DemoSongs::read).toList();

  private DemoSongs() {}

  /** All of them; the first is the one the demo opens. */
  public static List<Song> all() {
    return ALL;
  }

  private static Song read(String name) {
    try (InputStream in = DemoSongs.class.getResourceAsStream("demo/" + name + SongFile.ENDING)) {
      return SongFile.read(in);
    } catch (IOException e) {
      throw new UncheckedIOException("the demo song " + name + " could not be read", e);
    }
  }
}
