package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.file.SongLock;
import westtide.file.disk.HeldLock;

/** The hold this window has on the file of its song: the lock, and what was in it. */
final class FileGuard {
  private static final Logger LOG = LoggerFactory.getLogger(FileGuard.class);

  private final Clock clock;
  private Optional<Grip> held = Optional.empty();
  private Optional<KnownFile> asked = Optional.empty();

  FileGuard(Clock clock) {
    this.clock = clock;
  }

  /**
   * A hold on a file.
   *
   * @param file the file, and what was in it
   * @param lock its lock, where there can be one
   * @param owner who else has it
   */
  record Grip(KnownFile file, Optional<HeldLock> lock, Optional<String> owner) {
    /** Whether nobody can be kept from opening the file at the same time. */
    boolean unlocked() {
      return lock.isEmpty() && owner.isEmpty();
    }

    void release() {
      try {
        if (lock.isPresent()) {
          lock.get().close();
        }
      } catch (IOException e) {
        LOG.warn("A lock could not be given back", e);
      }
    }

    /** The same after this window wrote the file. */
    Grip asWritten() {
      return new Grip(KnownFile.of(file.path()), lock, owner);
    }
  }

  /** Asks for a file; what is held already stays held. */
  synchronized Grip ask(Path path) {
    Path file = path.toAbsolutePath();
    KnownFile known = KnownFile.of(file);
    if (held.filter(own -> own.file().path().equals(file)).isPresent()) {
      return new Grip(known, held.get().lock(), Optional.empty());
    }
    SongLock.Answer answer = SongLock.of(file, clock);
    return new Grip(known, answer.lock(), answer.owner());
  }

  /** Holds a file in place of the one that was held. */
  synchronized void hold(Grip grip) {
    held.filter(old -> !old.lock().equals(grip.lock())).ifPresent(Grip::release);
    held = Optional.of(grip);
  }

  /** Gives back a hold that came to nothing, unless it is the one that is held. */
  synchronized void drop(Grip grip) {
    if (held.filter(own -> own.lock().equals(grip.lock())).isEmpty()) {
      grip.release();
    }
  }

  /** Lets the file go unless it is this one. */
  synchronized void keepOnly(Optional<Path> file) {
    Optional<Path> wanted = file.map(Path::toAbsolutePath);
    if (!held.map(grip -> grip.file().path()).equals(wanted)) {
      release();
    }
  }

  /** Lets the file go. */
  synchronized void release() {
    held.ifPresent(Grip::release);
    held = Optional.empty();
  }

  /** Whether somebody else wrote the file since this window read or wrote it. */
  synchronized boolean changed() {
    Optional<KnownFile> now = held.map(grip -> KnownFile.of(grip.file().path()));
    boolean changed = !now.equals(held.map(Grip::file));
    asked = changed ? now : Optional.empty();
    return changed;
  }

  /** As {@link #changed}, but only where it is not what a person was asked about already. */
  synchronized boolean changedAgain() {
    Optional<KnownFile> before = asked;
    return changed() && !asked.equals(before);
  }
}
