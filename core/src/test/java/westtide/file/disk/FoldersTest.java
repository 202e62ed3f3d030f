package westtide.file.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Where things are kept, by an environment given by hand. */
class FoldersTest {
  @TempDir private Path folder;
  private final Map<String, String> environment = new HashMap<>();
  private final Map<String, String> properties = new HashMap<>();

  private Folders folders() {
    properties.put("java.io.tmpdir", folder.resolve("tmp").toString());
    properties.put("user.name", "mara");
    return Folders.of(environment::get, properties::get);
  }

  @Test
  void theOneThatWasAskedForComesFirst() {
    environment.put("HOME", folder.resolve("home").toString());
    Path share = folder.resolve("home").resolve(".local").resolve("share");
    assertThat(folders().data()).isEqualTo(share.resolve("west-tide")).isDirectory();
    environment.put("XDG_DATA_HOME", folder.resolve("xdg").toString());
    assertThat(folders().data()).isEqualTo(folder.resolve("xdg").resolve("west-tide"));
    environment.put("WEST_TIDE_HOME", folder.resolve("own").toString());
    assertThat(folders().data()).isEqualTo(folder.resolve("own"));
    properties.put(Folders.PROPERTY, folder.resolve("told").toString());
    assertThat(folders().data()).isEqualTo(folder.resolve("told"));
    assertThat(folders().notice()).isEmpty();
    assertThat(folders().log()).isEqualTo(folder.resolve("told").resolve("west-tide.log"));
  }

  @Test
  void aRelativePathCountsForNothing() {
    environment.put("XDG_DATA_HOME", "here");
    environment.put("HOME", folder.resolve("home").toString());
    assertThat(folders().data()).startsWith(folder.resolve("home"));
  }

  @Test
  void withoutAHomeOrWithOneThatIsAFileItIsATemporaryFolderAndTold() throws IOException {
    assertThat(folders().data()).isEqualTo(folder.resolve("tmp").resolve("west-tide-mara"));
    assertThat(folders().notice().orElseThrow()).contains("no home folder", "kept in");
    Path file = Files.writeString(folder.resolve("file"), "no folder");
    environment.put("HOME", file.toString());
    assertThat(folders().notice().orElseThrow()).contains(file + "/", "cannot be written");
    assertThat(folders().data()).isDirectory();
  }

  /** A name in a folder everybody can write may have been taken: no link is followed. */
  @Test
  void aPlantedLinkIsNotFollowed() throws IOException {
    Path tmp = Files.createDirectories(folder.resolve("tmp"));
    Path theirs = Files.createDirectory(folder.resolve("theirs"));
    Files.createSymbolicLink(tmp.resolve("west-tide-mara"), theirs);
    assertThat(folders().data()).isEqualTo(tmp.resolve("west-tide-mara-2")).isDirectory();
    assertThat(theirs.toFile().list()).isEmpty();
  }

  @Test
  void whatIsKeptIsForItsOwnerAlone() throws IOException {
    environment.put("HOME", folder.resolve("home").toString());
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folders().data())))
        .isEqualTo("rwx------");
    environment.clear();
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folders().data())))
        .isEqualTo("rwx------");
  }

  @Test
  void withoutAFolderForTemporaryFilesThereIsOneAllTheSame() {
    properties.remove("java.io.tmpdir");
    assertThat(
            Folders.of(environment::get, name -> name.equals("user.name") ? "mara" : null).data())
        .isDirectory();
  }
}
