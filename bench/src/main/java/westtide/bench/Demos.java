package westtide.bench;

import java.io.IOException;
import java.nio.file.Path;
import westtide.file.SongFile;
import westtide.song.Song;

/** The demo songs, read from the folder named by the system property {@code demos}. */
final class Demos {
  private Demos() {}

  static Song read(String name) throws IOException {
    return SongFile.read(Path.of(System.getProperty("demos"), name + SongFile.ENDING));
  }
}
