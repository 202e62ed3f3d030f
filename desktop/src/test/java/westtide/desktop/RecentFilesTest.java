package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.desktop.files.RecentFiles;

class RecentFilesTest {
  @TempDir private Path folder;

  private Path file(String name) throws IOException {
    return Files.writeString(folder.resolve(name), "");
  }

  @Test
  void theNewestComesFirstEachOnceAndTheListIsShort() throws IOException {
    RecentFiles recent = new RecentFiles(folder.resolve("sub").resolve("recent.txt"));
    assertThat(recent.files()).isEmpty();
    for (int i = 0; i < 11; i++) {
      recent.add(file(i + ".tide"));
    }
    recent.add(folder.resolve("5.tide"));
    assertThat(recent.files())
        .hasSize(8)
        .startsWith(folder.resolve("5.tide"), folder.resolve("10.tide"));
    assertThat(recent.files()).doesNotHaveDuplicates();
  }

  @Test
  void filesThatAreGoneAreLeftOutAndADamagedListIsNoList() throws IOException {
    RecentFiles recent = new RecentFiles(folder.resolve("recent.txt"));
    recent.add(file("here.tide"));
    recent.add(file("gone.tide"));
    Files.delete(folder.resolve("gone.tide"));
    assertThat(recent.files()).containsExactly(folder.resolve("here.tide"));
    Files.write(folder.resolve("recent.txt"), new byte[] {(byte) 0xff, (byte) 0xc0, 0});
    assertThat(recent.files()).isEmpty();
  }
}
