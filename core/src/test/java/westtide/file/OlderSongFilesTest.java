package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.zip.CRC32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.file.disk.UnusableFileException;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.part.TypedLines;
import westtide.song.form.CellSound;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/** Files of earlier versions, files with pieces that point to nothing, and files nobody meant. */
class OlderSongFilesTest {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  @TempDir private Path folder;

  private static Song first() throws IOException {
    return SongFile.read(Path.of("src/test/resources/version-1/lamp-room-confession.tide"));
  }

  /**
   * The notes of a song file of version 1, as the version that wrote it exported them: how many,
   * and the CRC-32 of the lines "start ticks key velocity" in order, reckoned by Python from its
   * MIDI file as {@code mido} reads it.
   */
  @ParameterizedTest
  @CsvSource({
    "Keys, 650, 1713653869",
    "Bell, 266, 859200354",
    "Drums, 1432, 1477933811",
    "808, 214, 1369010029",
    "Bass guitar, 102, 1441626571"
  })
  void aFileOfTheFirstVersionPlaysAsItDid(String name, int count, long crc) throws IOException {
    var part =
        Score.of(first()).parts().stream()
            .filter(scored -> scored.part().name().equals(name))
            .findFirst()
            .orElseThrow();
    String lines =
        part.notes().stream()
            .map(n -> n.start() + " " + n.ticks() + " " + n.key() + " " + n.velocity())
            .collect(Collectors.joining("\n"));
    CRC32 sum = new CRC32();
    sum.update(lines.getBytes(StandardCharsets.UTF_8));
    assertThat(part.notes()).hasSize(count);
    assertThat(sum.getValue()).isEqualTo(crc);
  }

  @Test
  void aFileOfTheFirstVersionIsWrittenAsThePresent() throws IOException {
    Song song = first();
    assertThat(song.parts(Role.LINE)).hasSize(1);
    assertThat(song.form().sections()).extracting(s -> s.id().number()).doesNotHaveDuplicates();
    Path file = folder.resolve("again.tide");
    SongFile.write(song, file);
    assertThat(Files.readString(file)).contains("\"version\" : 4").contains("\"role\" : \"LINE\"");
    assertThat(SongFile.read(file)).isEqualTo(song);
  }

  /** In version 3 a hint was thin by itself; in 1 and 2 it was only quiet. */
  @Test
  void whatMadeAHintThinBecomesValuesOfItsCells() throws IOException {
    Song song = Songs.draft("trap", 1);
    ObjectNode tree = (ObjectNode) MAPPER.readTree(SongFile.format(song));
    tree.put("version", 3);
    int hints = 0;
    for (JsonNode section : tree.get("form")) {
      for (JsonNode cells : section.get("cells")) {
        for (JsonNode cell : cells) {
          hints += cell.get("level").asText().equals("hint") ? 1 : 0;
          ((ObjectNode) cell).remove("sound");
        }
      }
    }
    assertThat(hints).isPositive();
    assertThat(SongFile.parse(tree.toString())).isEqualTo(song);
    tree.put("version", 2);
    assertThat(SongFile.parse(tree.toString()).form().sections())
        .flatExtracting(section -> section.cells().values())
        .flatExtracting(cells -> cells)
        .allMatch(cell -> cell.sound().equals(CellSound.USUAL));
  }

  /** Up to version 3 a bare figure was a member of the chord; now it is a degree of the key. */
  @Test
  void figuresOfEarlierLowLinesStayMembersOfTheirChords() throws IOException {
    Song drafted = Songs.draft("trap", 1);
    Song song =
        TypedLines.low(drafted, "808", "R - R5 - bR7 - >bR - ,R8 - R14 - bR")
            .orElseThrow()
            .apply(drafted);
    String now = SongFile.format(song);
    String earlier =
        now.replace("\"version\" : 4", "\"version\" : 3").replaceAll("R(\\d+)\"", "$1\"");
    assertThat(earlier).contains("\"b7\"").doesNotContain("R5");
    assertThat(SongFile.parse(earlier)).isEqualTo(SongFile.parse(now));
  }

  @Test
  void sectionsWithoutANumberAreNumberedAfterTheHighest() throws IOException {
    ObjectNode tree = (ObjectNode) MAPPER.readTree(SongFile.format(Songs.draft("trap", 1)));
    ArrayNode form = (ArrayNode) tree.get("form");
    ((ObjectNode) form.get(0)).put("id", 41);
    ((ObjectNode) form.get(1)).remove("id");
    ((ObjectNode) form.get(2)).remove("id");
    assertThat(SongFile.parse(tree.toString()).form().sections().subList(0, 3))
        .extracting(section -> section.id().number())
        .containsExactly(41, 42, 43);
  }

  @Test
  void findingsIgnoredInTheFirstVersionStayIgnored() throws IOException {
    ObjectNode tree = (ObjectNode) MAPPER.readTree(SongFile.format(Songs.draft("trap", 1)));
    tree.put("version", 1);
    ((ArrayNode) tree.get("leftAlone"))
        .add("drums.slip.A.CLAP.4.127")
        .add("lines.rub.960.61")
        .add("brief.tempo");
    assertThat(SongFile.parse(tree.toString()).dismissed())
        .containsExactly("drums.slip.drums.A.CLAP.4.127", "lines.rub.lead.A.960.61", "brief.tempo");
  }

  @Test
  void notesToldByTheirNumberAreToldByTheirPlace() throws IOException {
    Song song = Songs.draft("trap", 1);
    Note third =
        ((Pattern.Written) song.part(PartId.of("lead")).orElseThrow().usual().pattern())
            .notes()
            .get(2);
    ObjectNode tree = (ObjectNode) MAPPER.readTree(SongFile.format(song));
    ((ArrayNode) tree.get("leftAlone"))
        .add("lines.loud.lead.A.2")
        .add("lines.loud.lead.A.9999")
        .add("lines.loud.lead.A.960.61");
    assertThat(SongFile.parse(tree.toString()).dismissed())
        .containsExactly(
            "lines.loud.lead.A." + third.start() + "." + third.key(),
            "lines.loud.lead.A.9999",
            "lines.loud.lead.A.960.61");
  }

  @Test
  void whatPointsToNothingIsTakenOutAndTold() throws IOException {
    ObjectNode tree = (ObjectNode) MAPPER.readTree(SongFile.format(Songs.draft("trap", 1)));
    ObjectNode intro = (ObjectNode) tree.get("form").get(0);
    ((ObjectNode) intro.get("cells")).set("ghost", intro.get("cells").get("keys").deepCopy());
    ((ObjectNode) intro.get("cells").get("keys").get(0)).put("pattern", "lost");
    ((ObjectNode) tree.get("parts").get(1)).put("name", "Keys");
    Path file = folder.resolve("dangling.tide");
    Files.writeString(file, tree.toString());
    SongFile.Opened opened = SongFile.open(file);
    assertThat(opened.notices())
        .hasSize(3)
        .anyMatch(said -> said.contains("ghost"))
        .anyMatch(said -> said.contains("lost"))
        .anyMatch(said -> said.contains("Keys 2"));
    assertThat(opened.song().form().sections().get(0).cells())
        .doesNotContainKey(PartId.of("ghost"));
    SongFile.write(opened.song(), file);
    assertThat(Files.readString(file)).doesNotContain("ghost").doesNotContain("lost");
    assertThat(SongFile.open(file).notices()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "\"lowest\" : \\d+; \"lowest\" : 120; in the part; 12 to 60",
        "\"follows\" : \"low line\"; \"follows\" : \"moon\"; in the part; following rule",
        "\"ticks\" : \\d+; \"ticks\" : 0; in the progression; lasts at least one tick",
        "\"level\" : \"half\"; \"level\" : \"brimful\"; in the section; brimful"
      })
  void whatCannotBeIsRefusedInASentenceWithItsPlace(
      String from, String to, String place, String why) throws IOException {
    Path file = folder.resolve("impossible.tide");
    Files.writeString(file, SongFile.format(Songs.draft("trap", 1)).replaceFirst(from, to));
    assertThatThrownBy(() -> SongFile.read(file))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("impossible.tide")
        .hasMessageContaining(place)
        .hasMessageContaining(why);
  }

  /** A file that reads is a file that scores: anything else is refused in one sentence. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void anyAlteredFileIsReadAndScoredOrRefused(long seed) throws IOException {
    Random random = new Random(seed);
    String good = SongFile.format(Songs.draft(seed % 2 == 0 ? "trap" : "house", seed));
    Path file = folder.resolve("altered.tide");
    int read = 0;
    for (int i = 0; i < 250; i++) {
      JsonNode tree = MAPPER.readTree(good);
      for (int change = 0; change <= i % 3; change++) {
        alter(tree, random);
      }
      Files.writeString(file, tree.toString());
      try {
        Song song = SongFile.read(file);
        assertThat(Score.of(song).parts()).hasSameSizeAs(song.parts());
        read++;
      } catch (UnusableFileException refused) {
        assertThat(refused.getMessage()).contains("altered.tide").doesNotContain("\n");
      }
    }
    assertThat(read).as("some alterations do no harm").isBetween(20, 240);
  }

  private static void alter(JsonNode tree, Random random) {
    List<JsonNode> containers = new ArrayList<>();
    collect(tree, containers);
    JsonNode chosen = containers.get(random.nextInt(containers.size()));
    if (chosen instanceof ObjectNode object && !object.isEmpty()) {
      List<String> names = new ArrayList<>();
      object.fieldNames().forEachRemaining(names::add);
      String name = names.get(random.nextInt(names.size()));
      switch (random.nextInt(5)) {
        case 0 -> object.remove(name);
        case 1 -> object.put(name, random.nextInt(400) - 100);
        case 2 -> object.put(name, "x".repeat(random.nextInt(4)));
        case 3 -> object.putNull(name);
        default -> object.set(name, containers.get(random.nextInt(containers.size())).deepCopy());
      }
    } else if (chosen instanceof ArrayNode array && !array.isEmpty()) {
      int at = random.nextInt(array.size());
      switch (random.nextInt(3)) {
        case 0 -> array.remove(at);
        case 1 -> array.add(array.get(at).deepCopy());
        default -> array.set(at, MAPPER.getNodeFactory().numberNode(random.nextInt(300) - 50));
      }
    }
  }

  private static void collect(JsonNode node, List<JsonNode> out) {
    if (node.isContainerNode()) {
      out.add(node);
      node.forEach(child -> collect(child, out));
    }
  }

  @Test
  void idsThatCannotBeAreReplacedEverywhere() throws IOException {
    String text = SongFile.format(Songs.draft("trap", 1)).replace("\"lead\"", "\"the lead/1\"");
    Song song = SongFile.parse(text);
    Part line = song.parts(Role.LINE).get(0);
    assertThat(line.id()).isEqualTo(PartId.of("the-lead-1"));
    assertThat(song.form().sections().get(1).cells()).containsKey(line.id());
  }
}
