package westtide.file.disk;

import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;

/** The disk files are written to; a port, so that a full, slow or vanishing one can be tried. */
interface Disk {
  /** The disk of this machine. */
  Disk LOCAL = new LocalDisk();

  /** A file that is being written, held by a lock until it is closed. */
  interface Writing extends Closeable {
    /** Where its bytes go. */
    OutputStream out();

    /** Returns when every byte written so far would survive a power cut. */
    void flush() throws IOException;
  }

  /**
   * Makes a file that must not be there yet.
   *
   * @param rights what it is made with; none is the rights new files have
   * @throws IOException when it is there or cannot be made
   */
  Writing create(Path file, FileAttribute<?>... rights) throws IOException;

  /** Gives a file the rights, owner and group of another, as far as this person may. */
  void dressLike(Path file, Path model) throws IOException;

  /** Puts a file in the place of another in one step, and flushes the folder it is in. */
  void replace(Path file, Path target) throws IOException;

  /** Deletes a file if it is there. */
  void delete(Path file) throws IOException;
}
