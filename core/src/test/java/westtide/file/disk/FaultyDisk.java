package westtide.file.disk;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.util.concurrent.locks.LockSupport;

/** The disk of this machine, going wrong in one way. */
final class FaultyDisk implements Disk {
  private static final int ROOM = 100_000;

  private final Fault fault;

  /** What goes wrong. */
  enum Fault {
    FULL("No space left on device"),
    FULL_WHEN_FLUSHED("No space left on device"),
    SLOW(""),
    FOLDER_READ_ONLY("it may not be changed"),
    FOLDER_GONE("it does not exist"),
    PULLED_OUT("Input/output error");

    private final String said;

    Fault(String said) {
      this.said = said;
    }

    String said() {
      return said;
    }

    boolean survived() {
      return this == SLOW;
    }
  }

  FaultyDisk(Fault fault) {
    this.fault = fault;
  }

  @Override
  public Writing create(Path file, FileAttribute<?>... rights) throws IOException {
    if (fault == Fault.FOLDER_READ_ONLY) {
      throw new AccessDeniedException(file.toString());
    }
    return new Failing(Disk.LOCAL.create(file, rights), file);
  }

  private final class Failing implements Writing {
    private final Writing real;
    private final Path file;
    private int written;

    Failing(Writing real, Path file) {
      this.real = real;
      this.file = file;
    }

    @Override
    public OutputStream out() {
      OutputStream out = real.out();
      return new OutputStream() {
        @Override
        public void write(int one) throws IOException {
          write(new byte[] {(byte) one}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
          if (fault == Fault.SLOW) {
            LockSupport.parkNanos(1_000_000);
          }
          int fits = fault == Fault.FULL ? Math.min(length, ROOM - written) : length;
          out.write(bytes, from, fits);
          written += fits;
          if (fits < length) {
            throw new FileSystemException(file.toString(), null, fault.said());
          }
        }
      };
    }

    @Override
    public void flush() throws IOException {
      if (fault == Fault.FULL_WHEN_FLUSHED) {
        throw new IOException(fault.said());
      }
      real.flush();
    }

    @Override
    public void close() throws IOException {
      real.close();
    }
  }

  @Override
  public void dressLike(Path file, Path model) throws IOException {
    Disk.LOCAL.dressLike(file, model);
  }

  @Override
  public void replace(Path file, Path target) throws IOException {
    if (fault == Fault.FOLDER_GONE) {
      throw new NoSuchFileException(file.toString());
    }
    if (fault == Fault.PULLED_OUT) {
      throw new FileSystemException(target.toString(), null, fault.said());
    }
    Disk.LOCAL.replace(file, target);
  }

  @Override
  public void delete(Path file) throws IOException {
    Disk.LOCAL.delete(file);
  }
}
