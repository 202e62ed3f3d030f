package westtide.file.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files are written whole or not at all, whatever the disk does. */
class WholeFileTest {
  private static final byte[] OLD = "old and dear".getBytes(StandardCharsets.UTF_8);
  private static final byte[] FRESH = "fresh".repeat(60_000).getBytes(StandardCharsets.UTF_8);

  @TempDir private Path folder;

  private static String rights(Path file) throws IOException {
    return PosixFilePermissions.toString(Files.getPosixFilePermissions(file));
  }

  private static String shell(String command) throws IOException, InterruptedException {
    Process process = new ProcessBuilder("sh", "-c", command).start();
    try (InputStream out = process.getInputStream()) {
      String said = new String(out.readAllBytes(), StandardCharsets.UTF_8).strip();
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      return said;
    }
  }

  /** As files are made by the shell, in the same process's umask. */
  @Test
  void aNewFileHasTheRightsNewFilesHave() throws Exception {
    WholeFile.write(folder.resolve("ours"), FRESH);
    shell("touch " + folder.resolve("theirs"));
    assertThat(rights(folder.resolve("ours"))).isEqualTo(rights(folder.resolve("theirs")));
  }

  @ParameterizedTest
  @ValueSource(strings = {"rw-rw-r--", "rw-------", "rwxr-x---"})
  void aReplacedFileKeepsItsRights(String rights) throws Exception {
    Path file = Files.write(folder.resolve("song"), OLD);
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString(rights));
    WholeFile.write(file, FRESH);
    assertThat(file).hasBinaryContent(FRESH);
    assertThat(rights(file)).isEqualTo(rights);
  }

  @Test
  void linksStayLinksEvenThoseThatLeadNowhereYet() throws Exception {
    Path real = Files.write(folder.resolve("real"), OLD);
    Path link = Files.createSymbolicLink(folder.resolve("link"), Path.of("real"));
    Path chain = Files.createSymbolicLink(folder.resolve("chain"), link);
    WholeFile.write(chain, FRESH);
    assertThat(Files.isSymbolicLink(chain)).isTrue();
    assertThat(real).hasBinaryContent(FRESH);
    Path nowhere = Files.createSymbolicLink(folder.resolve("nowhere"), Path.of("later"));
    WholeFile.write(nowhere, OLD);
    assertThat(folder.resolve("later")).hasBinaryContent(OLD);
    Path circle = Files.createSymbolicLink(folder.resolve("circle"), Path.of("circle"));
    assertThatThrownBy(() -> WholeFile.write(circle, OLD)).hasMessageContaining("circle");
  }

  /** A pipe is written to, and is a pipe afterwards. */
  @Test
  void whatIsNoFileIsWrittenToAndNeverReplaced() throws Exception {
    Path pipe = folder.resolve("pipe");
    shell("mkfifo " + pipe);
    Process reader = new ProcessBuilder("cat", pipe.toString()).start();
    WholeFile.write(pipe, OLD);
    assertThat(reader.getInputStream().readAllBytes()).isEqualTo(OLD);
    assertThat(shell("test -p " + pipe + " && echo pipe")).isEqualTo("pipe");
    WholeFile.write(Path.of("/dev/null"), FRESH);
    assertThat(shell("test -c /dev/null && echo device")).isEqualTo("device");
  }

  @Test
  void aFolderAndAMissingFolderAreToldInASentence() {
    assertThatThrownBy(() -> WholeFile.write(folder, OLD)).hasMessageContaining("it is a folder");
    assertThatThrownBy(() -> WholeFile.write(folder.resolve("a").resolve("b"), OLD))
        .hasMessageContaining("there is no folder");
    assertThatThrownBy(() -> WholeFile.write(folder.resolve("n".repeat(300)), OLD))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("could not be written");
  }

  @Test
  void whatACrashLeftGoesWithTheNextFileAndWhatIsBeingWrittenStays() throws Exception {
    Path left = Files.write(folder.resolve(".west-tide-0badcafe-1-1.part"), OLD);
    Files.setLastModifiedTime(left, FileTime.from(Instant.now().minusSeconds(3600)));
    Path other = Files.write(folder.resolve("mine.part"), OLD);
    WholeFile.write(
        folder.resolve("song"),
        out -> {
          out.write(FRESH);
          WholeFile.write(folder.resolve("another"), OLD);
          return true;
        });
    assertThat(left).doesNotExist();
    assertThat(other).exists();
    assertThat(folder.resolve("song")).hasBinaryContent(FRESH);
    assertThat(folder.toFile().list()).containsExactlyInAnyOrder("song", "another", "mine.part");
  }

  @ParameterizedTest
  @EnumSource(FaultyDisk.Fault.class)
  void aDiskThatFailsLeavesTheOldFileAndNothingElse(FaultyDisk.Fault fault) throws IOException {
    Path file = Files.write(folder.resolve("song"), OLD);
    WholeFile writing = new WholeFile(new FaultyDisk(fault), file);
    WholeFile.Content content =
        out -> {
          out.write(FRESH);
          return true;
        };
    if (fault.survived()) {
      assertThat(writing.write(content)).isTrue();
      assertThat(file).hasBinaryContent(FRESH);
    } else {
      assertThatThrownBy(() -> writing.write(content))
          .isInstanceOf(UnusableFileException.class)
          .hasMessageContaining(fault.said())
          .hasMessageNotContaining("Exception");
      assertThat(file).hasBinaryContent(OLD);
    }
    assertThat(folder.toFile().list()).containsExactly("song");
  }

  @Test
  void whatIsGivenUpLeavesTheOldFile() throws IOException {
    Path file = Files.write(folder.resolve("song"), OLD);
    assertThat(
            WholeFile.write(
                file,
                out -> {
                  out.write(FRESH);
                  return false;
                }))
        .isFalse();
    assertThat(file).hasBinaryContent(OLD);
    assertThat(folder.toFile().list()).containsExactly("song");
  }

  /** Another process may be between making its file and locking it. */
  @Test
  void aTemporaryFileThatIsYoungIsNobodysToClean() throws Exception {
    Path young = Files.write(folder.resolve(".west-tide-0badcafe-2-2.part"), OLD);
    WholeFile.write(folder.resolve("song"), OLD);
    assertThat(young).exists();
  }
}
