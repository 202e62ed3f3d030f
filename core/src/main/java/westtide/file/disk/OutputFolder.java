package westtide.file.disk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A folder that files are written into. */
public final class OutputFolder {
  private OutputFolder() {}

  /**
   * Makes the folder, and those above it, where it is missing.
   *
   * @throws UnusableFileException when something else has its name or it cannot be made
   */
  public static void make(Path folder) throws UnusableFileException {
    if (Files.exists(folder) && !Files.isDirectory(folder)) {
      throw new UnusableFileException(
          folder + " is a file, not a folder; choose a folder to write into.", null);
    }
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new UnusableFileException(
          "The folder "
              + folder
              + " could not be made: "
              + WholeFile.reason(e)
              + ". Choose another one.",
          e);
    }
  }
}
