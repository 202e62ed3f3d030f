package westtide.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.file.disk.OutputFolder;
import westtide.file.disk.UnusableFileException;
import westtide.file.sound.SoundFile;
import westtide.file.sound.SoundWriter;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.found.FoundSound;
import westtide.song.found.Recording;

/**
 * The recordings of songs in files, each once by what is in it: beside a song in a folder called as
 * the song with {@code .d} behind, and for songs the application keeps in one folder for all.
 */
final class SoundShelf {
  /** The folder of sounds of songs the application keeps. */
  static final String FOLDER = "sounds";

  private static final String ENDING = ".wav";

  private SoundShelf() {}

  /** The folder beside a song file. */
  static Path beside(Path song) {
    return song.resolveSibling(song.getFileName() + ".d");
  }

  /** The folder for songs kept in a folder of the application. */
  static Path common(Path kept) {
    Path folder = kept.toAbsolutePath().getParent();
    return folder.resolve(FOLDER);
  }

  /**
   * Keeps the recordings of a song in a folder; those that are there stay as they are.
   *
   * @throws UnusableFileException when the folder cannot be written
   */
  static void keep(Song song, Path folder) throws UnusableFileException {
    for (Part part : song.parts()) {
      Optional<FoundSound> found = part.found().filter(one -> one.recording().isThere());
      if (found.isPresent()) {
        keep(found.get(), folder);
      }
    }
  }

  private static void keep(FoundSound found, Path folder) throws UnusableFileException {
    Path file = file(folder, found.recording());
    if (Files.exists(file)) {
      return;
    }
    try {
      OutputFolder.make(folder);
    } catch (IOException e) {
      throw new UnusableFileException(folder + " cannot be made: " + e.getMessage(), e);
    }
    SoundWriter.write(found.recording(), found.origin(), file);
  }

  private static Path file(Path folder, Recording recording) {
    return folder.resolve(recording.id() + ENDING);
  }

  /**
   * The song with its recordings, looked for in folders in their order.
   *
   * @param notices told what is missing, a sentence each
   */
  static Song filled(Song song, List<Path> folders, List<String> notices) {
    Map<String, Optional<Recording>> known = new LinkedHashMap<>();
    List<Part> parts = new ArrayList<>();
    for (Part part : song.parts()) {
      if (part.found().isEmpty() || part.found().get().recording().isThere()) {
        parts.add(part);
        continue;
      }
      Recording named = part.found().get().recording();
      Optional<Recording> read = known.computeIfAbsent(named.id(), id -> read(named, folders));
      if (read.isEmpty()) {
        notices.add(
            "The sound \""
                + named.name()
                + "\" of "
                + part.name()
                + " is missing, so that part is silent; bring the same sound in again and it takes"
                + " its place.");
      }
      parts.add(read.map(there -> part.withFound(f -> f.withRecording(there))).orElse(part));
    }
    return song.withParts(parts);
  }

  private static Optional<Recording> read(Recording named, List<Path> folders) {
    for (Path folder : folders) {
      Path file = file(folder, named);
      if (Files.isRegularFile(file)) {
        try {
          Recording read = SoundFile.read(file).recording().withName(named.name());
          if (read.id().equals(named.id())) {
            return Optional.of(read);
          }
        } catch (UnusableFileException e) {
          continue;
        }
      }
    }
    return Optional.empty();
  }
}
