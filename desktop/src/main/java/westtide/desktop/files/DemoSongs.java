package westtide.desktop.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.song.Song;

/** The songs that ship with the product: music for an invented radio serial on a tidal island. */
public final class DemoSongs {
  static final String FOLDER = "/westtide/desktop/demo/";

  private static final Shape<List<DemoSong>> LIST =
      Shape.list(
          RecordShape.of(
              DemoSong.class, Field.text("file"), Field.spread("outline", SongOutline.SHAPE)));

  private DemoSongs() {}

  /** What they are recognised by; no song is read for it. */
  public static List<DemoSong> list() {
    try (InputStream in = DemoSongs.class.getResourceAsStream(FOLDER + "outlines.json")) {
      return LIST.read(new ObjectMapper().readTree(in), "songs");
    } catch (IOException e) {
      throw new UncheckedIOException("the list of demo songs could not be read", e);
    }
  }

  /** The document of a list. */
  static JsonNode write(List<DemoSong> songs) {
    return LIST.write(songs);
  }

  /** All of them, read. */
  public static List<Song> all() {
    return list().stream().map(DemoSong::song).toList();
  }
}
