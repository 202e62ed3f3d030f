package westtide.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class DemoSongsTest {
  private static final Path LIST =
      Path.of("src/main/resources/westtide/desktop/demo/outlines.json");

  /** With {@code -Doutlines.write=true} the list is written anew. */
  @Test
  void theShippedListIsTrueToTheSongs() throws Exception {
    List<DemoSong> found = new ArrayList<>();
    for (var entry : new ObjectMapper().readTree(LIST.toFile())) {
      String file = entry.path("file").asText();
      found.add(new DemoSong(file, SongOutline.of(new DemoSong(file, null).song())));
    }
    List<String> lines = new ArrayList<>();
    DemoSongs.write(found).forEach(entry -> lines.add(entry.toString()));
    String text = "[\n" + String.join(",\n", lines) + "\n]\n";
    if (Boolean.getBoolean("outlines.write")) {
      Files.writeString(LIST, text);
    }
    assertThat(Files.readString(LIST))
        .as("a demo song changed: run this class with -Doutlines.write=true")
        .isEqualTo(text);
  }
}
