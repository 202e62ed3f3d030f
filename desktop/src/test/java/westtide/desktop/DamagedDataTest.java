package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.file.SongFile;
import westtide.review.finding.Stage;
import westtide.song.Song;
import westtide.sound.SharedTables;
import westtide.style.StyleBook;

/** Nothing in the folder of a person's things keeps the application from starting. */
class DamagedDataTest extends WindowTest {
  private static final List<String> FILES =
      List.of(
          "unsaved/left.unsaved",
          "versions/00000000-0000-0000-0000-000000000000/1700000000000.tide",
          "versions/x",
          "recent-files.txt",
          "deliver-folders.txt",
          "preferences.properties",
          "window.properties",
          "styles/own.style.json",
          "forms/own.form.json");

  private static Map<String, byte[]> damages() throws IOException {
    Map<String, byte[]> out = new LinkedHashMap<>();
    out.put("empty", new byte[0]);
    out.put("no text", new byte[] {0, (byte) 0xff, (byte) 0xfe, 0x1b, '[', (byte) 0xc3, 0x28});
    out.put("null", text("null"));
    out.put("half", text("{\"format\": \"west-tide"));
    out.put("deep", text("[".repeat(90_000)));
    out.put("numbers", text("{\"version\": 1e400, \"file\": 7, \"kept\": {}, \"song\": []}"));
    out.put("far", text("{\"kept\": \"+1000000000-01-01T00:00:00Z\", \"song\": " + draft() + "}"));
    out.put("paths", text("{\"file\": \"\\u0000\", \"song\": " + draft() + "}"));
    out.put(
        "properties",
        text("x=99999999999\nwidth=-1\ntext=NaN\nroom=NOWHERE\nlistening=7e9\nbreak=\\u00zz"));
    out.put("long", text("a".repeat(300_000) + "\n\u0000\n/\n\t\t\t"));
    return out;
  }

  private static byte[] text(String words) {
    return words.getBytes(StandardCharsets.UTF_8);
  }

  private static String draft() throws IOException {
    Song song = SongDraft.in(StyleBook.shipped().get("trap")).song();
    Path file = Files.createTempFile("song", ".tide");
    SongFile.write(song, file);
    return Files.readString(file);
  }

  @Test
  void theApplicationStartsWithAnythingInItsFolder() throws Exception {
    int tried = 0;
    for (Map.Entry<String, byte[]> damage : damages().entrySet()) {
      Path data = folder.resolve("damaged-" + tried);
      for (String name : FILES) {
        Path file = data.resolve(name);
        Files.createDirectories(file.getParent());
        Files.write(file, damage.getValue());
      }
      starts(data, damage.getKey());
      tried++;
    }
    assertThat(tried).isEqualTo(damages().size());
  }

  @Test
  void foldersInThePlaceOfFilesAreNoHindrance() throws Exception {
    Path data = folder.resolve("folders");
    for (String name : FILES) {
      Files.createDirectories(data.resolve(name).resolve("inside"));
    }
    starts(data, "folders");
  }

  @Test
  void filesInThePlaceOfFoldersAreNoHindrance() throws Exception {
    Path data = Files.createDirectories(folder.resolve("files"));
    for (String name : List.of("unsaved", "versions", "styles", "forms")) {
      Files.writeString(data.resolve(name), "in the way");
    }
    starts(data, "files");
  }

  /** Shows the start sheet, begins a song and goes through the rooms. */
  private void starts(Path data, String damage) {
    List<Throwable> thrown = new ArrayList<>();
    interact(
        () -> {
          try {
            Shell other =
                new Shell(
                    new Environment(
                        data,
                        folder.resolve("documents"),
                        clock::get,
                        Clock.systemDefaultZone(),
                        Environment::silent,
                        SharedTables.all(),
                        (score, watch) -> java.util.Optional.empty()));
            other.scene(1280, 800);
            other.showStart();
            other.begin(SongDraft.in(StyleBook.shipped().get("trap")).song());
            for (Stage stage : Stage.values()) {
              other.go(stage);
            }
            other.run("form-plans");
            other.run("versions");
            assertThat(other.open().isOpen()).isTrue();
            other.close();
          } catch (RuntimeException | Error e) {
            thrown.add(e);
          }
        });
    assertThat(thrown).as(damage).isEmpty();
  }
}
