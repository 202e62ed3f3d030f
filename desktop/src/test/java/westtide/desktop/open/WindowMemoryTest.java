package westtide.desktop.open;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.review.finding.Stage;

/** How the window was left is read back, and a damaged file does no harm. */
class WindowMemoryTest {
  @TempDir Path folder;

  @Test
  void theWindowIsRemembered() {
    Path file = folder.resolve("data").resolve("window.properties");
    WindowMemory left =
        WindowMemory.USUAL
            .at(-30, 12, 1500, 900)
            .withRoom(Stage.FORM)
            .withPalette(Palette.NIGHT_WATCH)
            .withText(130);
    left.write(file);
    assertThat(WindowMemory.read(file)).isEqualTo(left);
  }

  @Test
  void whatCannotBeUsedIsAsUsualAndSizesStayInsideTheirRanges() throws IOException {
    Path file = folder.resolve("window.properties");
    assertThat(WindowMemory.read(file)).isEqualTo(WindowMemory.USUAL);
    Files.writeString(file, "room=CELLAR\nwidth=wide");
    assertThat(WindowMemory.read(file)).isEqualTo(WindowMemory.USUAL);
    Files.writeString(file, "width=3\nheight=4\ntext=900");
    WindowMemory held = WindowMemory.read(file);
    assertThat(held.width()).isEqualTo(1000);
    assertThat(held.height()).isEqualTo(700);
    assertThat(held.textPercent()).isEqualTo(200);
  }
}
