package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.desktop.files.OwnStyles;
import westtide.style.Style;
import westtide.style.StyleBook;

class OwnStylesTest {
  @TempDir private Path folder;

  @Test
  void aFileThatIsNoStyleIsPassedOverAndTheOthersAreRead() throws IOException {
    StyleBook shipped = StyleBook.shipped();
    OwnStyles own = new OwnStyles(folder, shipped);
    assertThat(own.book().styles()).isEqualTo(shipped.styles());
    own.save(shipped.get("drill").named("a-mine", "A mine", "First."));
    Files.writeString(folder.resolve("b-broken.style.json"), "{}");
    own.save(shipped.get("house").named("c-mine", "C mine", "Third."));
    assertThat(own.styles()).extracting(Style::id).containsExactly("a-mine", "c-mine");
    assertThat(own.book().styles()).hasSize(shipped.styles().size() + 2);
  }
}
