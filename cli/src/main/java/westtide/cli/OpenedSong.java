package westtide.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import westtide.file.SongFile;
import westtide.file.disk.UnusableFileException;
import westtide.score.Score;
import westtide.text.Plain;

/** A song as a command reads it: what was mended or may be missing is told beside the result. */
final class OpenedSong {
  private static final int LONGEST = 1000;

  private OpenedSong() {}

  /**
   * Opens a song, scored, and tells what there is to tell of its file.
   *
   * @throws UnusableFileException when it cannot be read or played
   */
  static Score in(Path file, PrintWriter told) throws UnusableFileException {
    SongFile.Opened opened = SongFile.open(file);
    if (opened.newer()) {
      told.println(
          file + " was written by a newer version; what this one does not know is left out here.");
    }
    opened.notices().forEach(notice -> told.println(Plain.of(notice, LONGEST)));
    return opened.score();
  }
}
