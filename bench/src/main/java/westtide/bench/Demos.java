package westtide.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import westtide.file.SongFile;
import westtide.song.Song;

/** The demo songs, read from the folder named by the system property {@code demos}. */
final class Demos {
  /** Their names. */
  static final List<String> NAMES =
      List.of("lamp-room-confession", "ferry-without-passengers", "letters-in-the-salt");

  private Demos() {}

  static Song read(String name) throws IOException {
    return SongFile.read(Path.of(System.getProperty("demos"), name + SongFile.ENDING));
  }
}
