package westtide.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the command line tells of a song, against the file it writes. */
class ShowTest {
  @TempDir private Path folder;
  private String song;

  private record Result(int status, String out, String err) {}

  private static Result run(String... words) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int status = Main.run(new PrintWriter(out, true), new PrintWriter(err, true), words);
    return new Result(status, out.toString(), err.toString());
  }

  @BeforeEach
  void draft() {
    song = folder.resolve("one.tide").toString();
    Result made =
        run(
            "new",
            "--style",
            "trap",
            "--seed",
            "3",
            "--tempo",
            "142",
            "--key",
            "F# minor",
            "--title",
            "One Lamp",
            "-o",
            song);
    assertThat(made.status()).as(made.err()).isZero();
  }

  private JsonNode json(String... more) throws IOException {
    String[] words =
        java.util.stream.Stream.concat(
                java.util.stream.Stream.of("show", song, "--json"), java.util.Arrays.stream(more))
            .toArray(String[]::new);
    Result notices = run(words);
    assertThat(notices.status()).as(notices.err()).isZero();
    return new ObjectMapper().readTree(notices.out());
  }

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  @Test
  void aSongIsToldInWords() {
    String notices = run("show", song).out();
    assertThat(notices)
        .contains("One Lamp", "F♯ minor", "142", "intro", "hook", "808", "bar")
        .doesNotContain("keys.A", "PartId");
    assertThat(run("show", song, "--notes").out().lines().count())
        .isGreaterThan(notices.lines().count() + 100);
  }

  @Test
  void jsonHasBriefProgressionsPartsAndForm() throws IOException {
    JsonNode notices = json();
    assertThat(notices.path("brief").path("key").asText()).isEqualTo("F♯ minor");
    assertThat(list(notices.path("progressions"))).isNotEmpty();
    assertThat(list(notices.path("parts")))
        .allMatch(part -> !part.path("name").asText().isEmpty())
        .allMatch(part -> !part.path("role").asText().isEmpty())
        .allMatch(part -> !part.path("instrument").asText().isEmpty())
        .allMatch(part -> part.path("patterns").size() > 0);
    assertThat(notices.path("form").get(0).path("fromBar").asInt()).isEqualTo(1);
    for (JsonNode section : notices.path("form")) {
      int first = section.path("fromBar").asInt();
      int last = first + section.path("bars").asInt() - 1;
      assertThat(list(section.path("plays")))
          .allMatch(p -> p.path("fromBar").asInt() >= first && p.path("toBar").asInt() <= last);
    }
    assertThat(notices.has("notes")).isFalse();
  }

  /** Read by javax.sound.midi, which knows nothing of songs; house has two claps on one note. */
  @ParameterizedTest
  @ValueSource(strings = {"trap", "house", "amapiano"})
  void everyNoteItListsIsInTheMidiFileAndNoOther(String style) throws Exception {
    song = folder.resolve(style + ".tide").toString();
    assertThat(run("new", "--style", style, "--seed", "3", "-o", song).status()).isZero();
    File midi = folder.resolve("one.mid").toFile();
    assertThat(run("export", song, "--midi", midi.toString()).status()).isZero();
    TreeSet<String> written = new TreeSet<>();
    for (Track track : MidiSystem.getSequence(midi).getTracks()) {
      for (int i = 0; i < track.size(); i++) {
        MidiEvent event = track.get(i);
        if (event.getMessage() instanceof ShortMessage message
            && message.getCommand() == ShortMessage.NOTE_ON
            && message.getData2() > 0) {
          written.add(event.getTick() + " " + message.getData1() + " " + message.getData2());
        }
      }
    }
    TreeSet<String> notices = new TreeSet<>();
    for (JsonNode note : json("--notes").path("notes")) {
      notices.add(
          note.path("start").asInt()
              + " "
              + note.path("key").asInt()
              + " "
              + note.path("velocity").asInt());
      assertThat(note.path("source").path("pattern").asText()).isNotEmpty();
    }
    assertThat(notices).hasSizeGreaterThan(500).isEqualTo(written);
  }

  /** Arithmetic: a bar of 4/4 has 3840 ticks, a beat 960. */
  @Test
  void placesAreBarBeatAndTick() throws IOException {
    for (JsonNode note : json("--notes").path("notes")) {
      String[] at = note.path("at").asText().split("\\.");
      int tick =
          (Integer.parseInt(at[0]) - 1) * 3840
              + (Integer.parseInt(at[1]) - 1) * 960
              + Integer.parseInt(at[2]);
      assertThat(tick).isEqualTo(note.path("start").asInt());
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"new", "export", "styles", "show"})
  void everyCommandExplainsItself(String command) {
    Result help = run(command, "--help");
    assertThat(help.status()).isZero();
    assertThat(help.out()).contains("Usage: west-tide " + command, "--help");
    assertThat(run("help", command).out()).isEqualTo(help.out());
    assertThat(run("help").out()).contains(command);
  }

  @Test
  void aFileALaneGoesIntoAFolder() throws Exception {
    Path lanes = folder.resolve("lanes");
    Result result = run("export", song, "--lanes", lanes.toString());
    assertThat(result.status()).as(result.err()).isZero();
    try (var files = Files.list(lanes)) {
      Map<String, Long> keys =
          files.collect(
              Collectors.toMap(file -> file.getFileName().toString(), ShowTest::differentKeys));
      assertThat(keys.values()).as("a lane has one key").containsOnly(1L);
      assertThat(keys.keySet())
          .anyMatch(name -> name.contains("Kick"))
          .anyMatch(name -> name.contains("Closed hat"));
    }
  }

  private static long differentKeys(Path file) {
    try {
      return java.util.Arrays.stream(MidiSystem.getSequence(file.toFile()).getTracks())
          .flatMap(track -> java.util.stream.IntStream.range(0, track.size()).mapToObj(track::get))
          .map(MidiEvent::getMessage)
          .filter(m -> m instanceof ShortMessage s && s.getCommand() == ShortMessage.NOTE_ON)
          .map(m -> ((ShortMessage) m).getData1())
          .distinct()
          .count();
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }
}
