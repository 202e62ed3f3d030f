package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;

/** Songs that are too large, deep or long, told before memory is taken. */
class SongLimitsTest {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  @TempDir private Path folder;

  private Path altered(Consumer<ObjectNode> change) throws IOException {
    ObjectNode tree = SongFile.tree(Songs.draft("trap", 1));
    change.accept(tree);
    return Files.write(folder.resolve("altered.tide"), MAPPER.writeValueAsBytes(tree));
  }

  private void refused(Path file, String... words) {
    assertThatThrownBy(() -> SongFile.open(file))
        .hasMessageContainingAll(words)
        .hasMessageNotContaining("\n")
        .satisfies(e -> assertThat(e.getMessage()).hasSizeLessThan(800));
  }

  /** Three gigabytes that take no room on the disk, and would take all of the memory. */
  @Test
  void aHugeFileIsNotRead() throws IOException {
    Path file = folder.resolve("huge.tide");
    try (RandomAccessFile hole = new RandomAccessFile(file.toFile(), "rw")) {
      hole.setLength(3L << 30);
    }
    refused(file, "3072.0 MB", "at most 16.0 MB");
    refused(Path.of("/dev/zero"), "it is no file");
    refused(folder, "it is no file");
  }

  @Test
  void aLongTextAndDeepListsAreRefused() throws IOException {
    refused(
        altered(tree -> tree.put("title", "x".repeat(2 << 20))), "a text of over 64 000 letters");
    refused(altered(tree -> tree.put("title", "x".repeat(500))), "500 letters in its title");
    Path deep = folder.resolve("deep.tide");
    Files.writeString(deep, "[".repeat(200_000));
    refused(deep, "lists over 60 deep");
    refused(Files.writeString(folder.resolve("empty.tide"), ""), "it is empty");
  }

  @Test
  void whatIsUnknownIsRepeatedShortly() throws IOException {
    refused(
        altered(
            tree -> ((ObjectNode) tree.path("parts").path(0)).put("role", "LOUD ".repeat(10_000))),
        "unknown role",
        "letters)");
  }

  @Test
  void barsAreCountedBeforeTicksOverflow() throws IOException {
    Path file =
        altered(
            tree -> {
              ArrayNode form = (ArrayNode) tree.path("form");
              JsonNode section = form.get(0);
              for (int i = 0; i < 5000; i++) {
                form.add(((ObjectNode) section.deepCopy()).put("id", 1000 + i).put("bars", 128));
              }
            });
    refused(file, "at most 4000 bars");
  }

  /** Forms that wait are counted too: each of them can be brought to the front. */
  @Test
  void notesOfAFormThatWaitsAreCounted() throws IOException {
    Path file =
        altered(
            tree -> {
              ArrayNode before = tree.putObject("alternatives").putArray("before");
              tree.withObject("/alternatives").putArray("after");
              ArrayNode waiting = before.addArray();
              JsonNode hook = tree.path("form").get(1);
              for (int i = 0; i < 120; i++) {
                waiting.add(((ObjectNode) hook.deepCopy()).put("id", 500 + i).put("bars", 32));
              }
              for (JsonNode part : tree.path("parts")) {
                for (JsonNode pattern : part.path("patterns")) {
                  if (pattern.path("kind").asText().equals("written")) {
                    ArrayNode notes = ((ObjectNode) pattern).putArray("notes");
                    for (int i = 0; i < 3_000; i++) {
                      notes.addArray().add(i % 3840).add(10).add(60).add(90);
                    }
                    ((ObjectNode) pattern).put("bars", 1);
                  }
                }
              }
            });
    refused(file, "notes; at most 2000000 can be");
  }

  /** Twenty thousand notes on one tick are fine; in a line of one step they would be millions. */
  @Test
  void notesAreCountedBeforeTheyAreMade() throws IOException {
    Path file =
        altered(
            tree -> {
              for (JsonNode part : tree.path("parts")) {
                for (JsonNode pattern : part.path("patterns")) {
                  if (pattern.path("kind").asText().equals("written")) {
                    ArrayNode notes = ((ObjectNode) pattern).putArray("notes");
                    for (int i = 0; i < 15_000; i++) {
                      notes.addArray().add(0).add(10).add(60).add(90);
                    }
                    ((ObjectNode) pattern).put("cycle", 2);
                  }
                }
              }
            });
    refused(file, "notes; at most 2000000 can be");
  }
}
