package westtide.file.disk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * Where this person's things are kept: logs, unsaved work, saved versions, styles and settings. The
 * one place that decides it (XDG Base Directory Specification 0.8, from memory).
 *
 * @param data the folder, which can be written
 * @param notice what to tell, when it is not the one that was asked for
 */
public record Folders(Path data, Optional<String> notice) {
  private static final String NAME = "west-tide";

  /** The property by which the process may be told, and the log is. */
  public static final String PROPERTY = "west.tide.home";

  /** Decides for this process, and tells the log, which begins after this. */
  public static Folders ofUser() {
    Folders folders = of(System::getenv, System::getProperty);
    System.setProperty(PROPERTY, folders.data().toString());
    PrivateFolder.closeFiles(folders.data(), "*.log");
    return folders;
  }

  /**
   * The folder that was asked for by property or {@code WEST_TIDE_HOME}; else the one below {@code
   * XDG_DATA_HOME}; else {@code ~/.local/share/west-tide}. Where none can be written it is one for
   * temporary files, and the notice says so.
   */
  static Folders of(UnaryOperator<String> environment, UnaryOperator<String> property) {
    Optional<Path> wanted =
        Stream.of(
                absolute(property.apply(PROPERTY)),
                absolute(environment.apply("WEST_TIDE_HOME")),
                absolute(environment.apply("XDG_DATA_HOME")).map(data -> data.resolve(NAME)),
                absolute(environment.apply("HOME")).map(Folders::share),
                absolute(property.apply("user.home")).map(Folders::share))
            .flatMap(Optional::stream)
            .findFirst();
    if (wanted.isPresent() && writable(wanted.get())) {
      return new Folders(wanted.get(), Optional.empty());
    }
    Path temporary =
        PrivateFolder.below(Path.of(temporaries(property)), NAME, property.apply("user.name"));
    String why = wanted.map(path -> path + " cannot be written").orElse("there is no home folder");
    return new Folders(
        temporary, Optional.of(why + "; unsaved work and settings are kept in " + temporary + "."));
  }

  private static String temporaries(UnaryOperator<String> property) {
    return Optional.ofNullable(property.apply("java.io.tmpdir"))
        .filter(text -> !text.isBlank())
        .orElse("/tmp");
  }

  private static Path share(Path home) {
    return home.resolve(".local").resolve("share").resolve(NAME);
  }

  /** Relative paths count for nothing, as the specification has it. */
  private static Optional<Path> absolute(String path) {
    try {
      return Optional.ofNullable(path)
          .filter(text -> !text.isBlank())
          .map(Path::of)
          .filter(Path::isAbsolute);
    } catch (InvalidPathException e) {
      return Optional.empty();
    }
  }

  private static boolean writable(Path folder) {
    try {
      PrivateFolder.make(folder);
      return Files.isWritable(folder);
    } catch (IOException e) {
      return false;
    }
  }

  /** The file of the log of the window. */
  public Path log() {
    return data.resolve("west-tide.log");
  }
}
