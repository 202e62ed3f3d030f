package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;

/** Unsaved work of other sessions, also where somebody has had a hand in it. */
class RecoveryTest {
  private static final Song SONG = Songs.draft("trap", 1);
  private static final ObjectMapper MAPPER = new ObjectMapper();

  @TempDir private Path folder;

  private Path crashed(Optional<Path> file) throws IOException {
    Recovery recovery = Recovery.in(folder.resolve("unsaved"), Clock.systemUTC());
    recovery.keep(BriefEdits.title("Unsaved").apply(SONG), file);
    recovery.close();
    try (var kept = Files.list(folder.resolve("unsaved"))) {
      return kept.filter(path -> path.toString().endsWith(".unsaved")).findFirst().orElseThrow();
    }
  }

  private Recovery.Left left() throws IOException {
    Recovery.Found found = Recovery.in(folder.resolve("unsaved"), Clock.systemUTC()).left();
    assertThat(found.unreadable()).isEmpty();
    assertThat(found.work()).hasSize(1);
    return found.work().get(0);
  }

  private static void change(Path kept, String field, String value) throws IOException {
    ObjectNode tree = (ObjectNode) MAPPER.readTree(kept.toFile());
    tree.put(field, value);
    MAPPER.writeValue(kept.toFile(), tree);
  }

  @Test
  void workBelongsToTheSongItWasMadeIn() throws Exception {
    Path song = folder.resolve("song.tide");
    SongFile.write(SONG, song);
    crashed(Optional.of(song));
    assertThat(left().file()).contains(song);
    assertThat(left().note()).isEmpty();
  }

  /** A file that is no song is never what recovered work is saved to. */
  @Test
  void workThatNamesWhatIsNoSongOpensAsACopy() throws Exception {
    Path kept = crashed(Optional.empty());
    Path system = Files.writeString(folder.resolve("profile"), "export PATH");
    Path named = Files.writeString(folder.resolve("fake.tide"), "export PATH");
    for (Path target : List.of(system, named, folder, folder.resolve("gone.tide"))) {
      change(kept, "file", target.toString());
      assertThat(left().file()).as(target.toString()).isEmpty();
      assertThat(left().note()).as(target.toString()).isPresent();
    }
    assertThat(system).hasContent("export PATH");
    Path link = Files.createSymbolicLink(folder.resolve("link.tide"), system);
    change(kept, "file", link.toString());
    assertThat(left().file()).as("a link to no song").isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "+1000000000-12-31T23:59:59Z",
        "-1000000000-01-01T00:00:00Z",
        "+999999999-01-01T00:00:00Z",
        "1969-01-01T00:00:00Z",
        "soon",
        ""
      })
  void aTimeThatCannotBeIsThatOfTheFile(String time) throws Exception {
    Path kept = crashed(Optional.empty());
    change(kept, "kept", time);
    assertThat(left().kept())
        .isBetween(Instant.now().minus(Duration.ofHours(1)), Instant.now().plusSeconds(60));
  }

  @Test
  void workOfANewerVersionIsSaidToBe() throws Exception {
    Path song = folder.resolve("song.tide");
    SongFile.write(SONG, song);
    Path kept = crashed(Optional.of(song));
    ObjectNode tree = (ObjectNode) MAPPER.readTree(kept.toFile());
    ((ObjectNode) tree.get("song")).put("version", 99);
    MAPPER.writeValue(kept.toFile(), tree);
    assertThat(left().file()).isEmpty();
    assertThat(left().note().orElseThrow()).contains("newer version");
  }
}
