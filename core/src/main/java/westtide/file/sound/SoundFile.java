package westtide.file.sound;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Locale;
import westtide.file.disk.UnusableFileException;
import westtide.found.SoundNotes;
import westtide.song.found.Recording;

/**
 * Sounds read from files: WAV and AIFF of any rate and depth, and FLAC, in one channel or two. What
 * it is is read from its first bytes, not from its ending.
 */
public final class SoundFile {
  /** Endings of the files that are read. */
  public static final List<String> ENDINGS =
      List.of(".wav", ".wave", ".aif", ".aiff", ".aifc", ".flac");

  private static final long MOST_BYTES = 1_200L << 20;

  private SoundFile() {}

  /**
   * What was read.
   *
   * @param recording its samples
   * @param notes what the file says of itself
   */
  public record Sound(Recording recording, SoundNotes notes) {}

  /** Whether a file is called like a sound. */
  public static boolean isCalledSo(Path path) {
    String name = path.getFileName() == null ? "" : path.getFileName().toString();
    return ENDINGS.stream().anyMatch(name.toLowerCase(Locale.ROOT)::endsWith);
  }

  /**
   * Reads a sound; the file is left as it is.
   *
   * @throws UnusableFileException with one sentence when it is missing, too long or no sound
   */
  public static Sound read(Path path) throws UnusableFileException {
    try {
      if (!Files.isRegularFile(path)) {
        throw new UnusableFileException(
            Files.exists(path) ? path + " is no file" : path + " is not there", null);
      }
      if (Files.size(path) > MOST_BYTES) {
        throw new UnusableFileException(
            path + " is larger than " + (MOST_BYTES >> 20) + " MB", null);
      }
      try (FileChannel channel = FileChannel.open(path, StandardOpenOption.READ)) {
        return read(channel, named(path));
      }
    } catch (UnusableFileException e) {
      throw e;
    } catch (NoSuchFileException e) {
      throw new UnusableFileException(path + " is not there", e);
    } catch (IOException | IllegalArgumentException | UncheckedIOException e) {
      throw new UnusableFileException(path + " cannot be brought in: " + e.getMessage(), e);
    } catch (RuntimeException e) {
      throw new UnusableFileException(path + " cannot be brought in: it is damaged", e);
    }
  }

  private static Sound read(FileChannel channel, String name) throws IOException {
    Chunks chunks = new Chunks(channel);
    String first = chunks.text(0, 4);
    if (first.equals("RIFF") && chunks.text(8, 4).equals("WAVE")) {
      return new WavReader(chunks).read(name);
    }
    if (first.equals("FORM") && chunks.text(8, 4).startsWith("AIF")) {
      return new AiffReader(chunks).read(name);
    }
    if (first.equals("fLaC")) {
      return new FlacReader(channel).read(name);
    }
    throw new IllegalArgumentException("it is no WAV, AIFF or FLAC file");
  }

  private static String named(Path path) {
    String file = path.getFileName().toString();
    int dot = file.lastIndexOf('.');
    return dot > 0 ? file.substring(0, dot) : file;
  }
}
