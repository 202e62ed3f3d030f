package westtide.style;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StyleOutlineTest {
  private static final Path FOLDER = Path.of("src/main/resources/westtide/style");
  private static final String LIST = "outlines.json";
  private static final ObjectMapper MAPPER = new ObjectMapper();

  /**
   * The list that ships says of every style file what the file says. With {@code -Doutlines.write}
   * it is written anew: known styles keep their place, others come last.
   */
  @Test
  void theShippedListIsTrueToItsFiles() throws Exception {
    List<StyleOutline> found = outlines();
    if (Boolean.getBoolean("outlines.write")) {
      Files.writeString(FOLDER.resolve(LIST), text(found));
    }
    assertThat(Files.readString(FOLDER.resolve(LIST)))
        .as("a style file was added or changed: run this class with -Doutlines.write=true")
        .isEqualTo(text(found));
  }

  private static List<StyleOutline> outlines() throws IOException {
    List<String> order = new ArrayList<>();
    if (Files.exists(FOLDER.resolve(LIST))) {
      MAPPER
          .readTree(FOLDER.resolve(LIST).toFile())
          .forEach(entry -> order.add(entry.path("id").asText()));
    }
    files().stream().filter(id -> !order.contains(id)).forEach(order::add);
    List<StyleOutline> out = new ArrayList<>();
    for (String id : order) {
      if (files().contains(id)) {
        out.add(StyleOutline.of(StyleBook.file(id)));
      }
    }
    return out;
  }

  private static List<String> files() throws IOException {
    try (Stream<Path> files = Files.list(FOLDER)) {
      return files
          .map(file -> file.getFileName().toString())
          .filter(name -> name.endsWith(".json") && !name.equals(LIST))
          .map(name -> name.substring(0, name.length() - ".json".length()))
          .sorted()
          .toList();
    }
  }

  private static String text(List<StyleOutline> outlines) {
    List<String> lines = new ArrayList<>();
    StyleOutlineFields.write(outlines).forEach(entry -> lines.add(entry.toString()));
    return "[\n" + String.join(",\n", lines) + "\n]\n";
  }

  /** Common practice: what divides the bar in each style. */
  @ParameterizedTest
  @CsvSource({
    "trap, HALF_TIME",
    "drill, HALF_TIME",
    "boom-bap, BACKBEAT",
    "lo-fi, BACKBEAT",
    "house, FOUR_ON_THE_FLOOR",
    "techno, FOUR_ON_THE_FLOOR",
    "amapiano, OFF_BEAT"
  })
  void aStyleIsFoundInItsFamily(String id, BeatFamily family) {
    assertThat(StyleOutline.of(StyleBook.shipped().get(id)).family()).isEqualTo(family);
  }
}
