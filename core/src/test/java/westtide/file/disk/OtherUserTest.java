package westtide.file.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.file.SongLock;

/**
 * Another user of the machine, who may write into a folder everybody can, tries to reach what this
 * person has. It takes an administrator to be two people, and the system's own tools to be one.
 */
class OtherUserTest {
  private static final String USER = "nobody";

  @TempDir private Path folder;
  private Path shared;
  private Path secret;

  @BeforeEach
  void twoPeople() throws Exception {
    assumeTrue(System.getProperty("user.name").equals("root"));
    Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx--x--x"));
    shared = Files.createDirectory(folder.resolve("shared"));
    run("chmod", "1777", shared.toString());
    secret = Files.writeString(folder.resolve("secret"), "theirs alone");
    Files.setPosixFilePermissions(secret, PosixFilePermissions.fromString("rw-------"));
    assumeTrue(other("test -w " + shared) == 0);
    assertThat(other("cat " + secret)).as("the secret is one").isNotZero();
  }

  private static int run(String... command) throws Exception {
    return new ProcessBuilder(command)
        .redirectErrorStream(true)
        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
        .start()
        .waitFor();
  }

  /** What a command of the other user comes to; 0 is done. */
  private int other(String command) throws Exception {
    List<String> words = new ArrayList<>(List.of("setpriv", "--reuid=" + USER));
    words.addAll(List.of("--regid=nogroup", "--clear-groups", "sh", "-c", command));
    try {
      return run(words.toArray(String[]::new));
    } catch (IOException noSuchTool) {
      return 1;
    }
  }

  private Folders folders() {
    Map<String, String> told = Map.of("java.io.tmpdir", shared.toString(), "user.name", "mara");
    return Folders.of(Map.<String, String>of()::get, told::get);
  }

  @Test
  void aFolderTheyMadeBeforehandIsNotUsed() throws Exception {
    assertThat(other("mkdir -m 777 " + shared + "/west-tide-mara")).isZero();
    Path data = folders().data();
    assertThat(data).isNotEqualTo(shared.resolve("west-tide-mara")).isDirectory();
    WholeFile.keep(data.resolve("recent-files.txt"), "a song nobody else knows of");
    assertThat(other("ls " + data)).as("they cannot look into it").isNotZero();
    assertThat(other("cat " + data + "/recent-files.txt")).isNotZero();
  }

  @Test
  void aLinkTheyPlantedLeadsNowhere() throws Exception {
    assertThat(other("ln -s " + folder + " " + shared + "/west-tide-mara")).isZero();
    assertThat(folders().data()).startsWith(shared).isNotEqualTo(shared.resolve("west-tide-mara"));
  }

  @Test
  void aLockTheyPlantedWritesNowhereAndKeepsNobodyOut() throws Exception {
    Path song = Files.writeString(shared.resolve("song.tide"), "a song");
    assertThat(other("ln -s " + secret + " " + shared + "/.song.tide.lock")).isZero();
    SongLock.Answer answer = SongLock.of(song, Clock.systemUTC());
    assertThat(answer.unlocked()).as("it is told that nobody can be kept out").isTrue();
    assertThat(secret).hasContent("theirs alone");
    assertThat(
            other("rm " + shared + "/.song.tide.lock && echo x > " + shared + "/.song.tide.lock"))
        .isZero();
    SongLock.Answer after = SongLock.of(song, Clock.systemUTC());
    assertThat(after.owner()).as("nobody holds what they left").isEmpty();
    after.lock().ifPresent(OtherUserTest::close);
  }

  private static void close(HeldLock lock) {
    try {
      lock.close();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
