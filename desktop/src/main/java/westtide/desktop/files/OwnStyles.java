package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.file.StyleFile;
import westtide.file.disk.UnusableFileException;
import westtide.review.StyleTrial;
import westtide.style.Style;
import westtide.style.StyleBook;

/**
 * The styles a person saved, one file each in a folder of theirs. They stand behind the shipped
 * ones in the book; a file that is no style is passed over and logged.
 */
public final class OwnStyles {
  private static final Logger LOG = LoggerFactory.getLogger(OwnStyles.class);

  private final Path folder;
  private final StyleBook shipped;

  /** Styles kept behind a book in a folder, which is made when the first one is saved. */
  public OwnStyles(Path folder, StyleBook shipped) {
    this.folder = folder;
    this.shipped = shipped;
  }

  /** The book they stand behind. */
  public StyleBook shipped() {
    return shipped;
  }

  /** The folder the files lie in. */
  public Path folder() {
    return folder;
  }

  /** The shipped book and what lies in the folder now. */
  public StyleBook book() {
    StyleBook book = shipped;
    for (Style style : styles()) {
      book = book.with(style);
    }
    return book;
  }

  /** The styles in the folder, by name of file. */
  public List<Style> styles() {
    List<Style> out = new ArrayList<>();
    if (!Files.isDirectory(folder)) {
      return out;
    }
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.filter(OwnStyles::isStyle).sorted().toList()) {
        read(file, out);
      }
    } catch (IOException e) {
      LOG.warn("the folder of one's own styles could not be listed", e);
    }
    return out;
  }

  private static void read(Path file, List<Style> out) {
    try {
      out.add(tried(file));
    } catch (UnusableFileException e) {
      LOG.warn("a style of one's own was passed over", e);
    }
  }

  /**
   * Reads a style that songs can be drafted in.
   *
   * @throws UnusableFileException when the file is missing, no style, or no song can be drafted
   */
  public static Style tried(Path file) throws UnusableFileException {
    try {
      return StyleTrial.checked(StyleFile.read(file));
    } catch (IllegalArgumentException e) {
      throw new UnusableFileException(file + " is no usable style: " + e.getMessage() + ".", e);
    }
  }

  /**
   * Keeps a style.
   *
   * @throws UnusableFileException when the folder cannot be written
   */
  public Path save(Style style) throws UnusableFileException {
    Path file = folder.resolve(style.id() + StyleFile.ENDING);
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new UnusableFileException("the folder " + folder + " cannot be made", e);
    }
    StyleFile.write(style, file);
    return file;
  }

  /** Forgets a style; its file is deleted. */
  public void remove(Style style) {
    try {
      Files.deleteIfExists(folder.resolve(style.id() + StyleFile.ENDING));
    } catch (IOException e) {
      LOG.warn("a style could not be deleted", e);
    }
  }

  private static boolean isStyle(Path file) {
    return file.toString().endsWith(StyleFile.ENDING);
  }
}
