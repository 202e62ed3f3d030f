package westtide.drafts;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.file.midi.MidiFile;
import westtide.heard.Report;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.style.CoreParts;
import westtide.style.EnsembleHabit;
import westtide.style.Style;

/**
 * What arrangements are like, measured from their MIDI files by a program that shares nothing with
 * the application, {@code measure-arrangements.py}. The limits are common practice as the product
 * promises it. {@code ./west-tide measure} takes thirty seeds a style and writes docs/drafts.md.
 */
class ArrangementFiguresTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int BAR = 3840;
  private static final int MANY = 30;
  private static final String HEADER =
      "| style | parts | in the last hook | unlike the first | returns alike | drum bars in 16 |"
          + " tempos | keys | forms | progressions | groove distance | announced | landed |"
          + " lead under the chords | unison below | timing ms |";

  @TempDir Path folder;

  @Test
  void draftsAreArrangementsThatNeverReturnAlike() throws Exception {
    int seeds = Integer.getInteger("arrangements.seeds", 6);
    for (Style style : Songs.book().styles()) {
      for (long seed = 1; seed <= seeds; seed++) {
        write(style, Arranger.arranged(SongDraft.in(style).withSeed(seed)), seed);
      }
    }
    JsonNode figures = Reference.run("measure-arrangements.py", folder);
    List<String> rows = new ArrayList<>();
    figures.properties().forEach(style -> rows.add(row(style.getKey(), style.getValue())));
    Report.table("drafts.report", HEADER, rows);
    for (Style style : Songs.book().styles()) {
      holds(style.id(), figures.get(style.id()), seeds);
      standsAside(style, figures.get(style.id()));
    }
  }

  private static void holds(String name, JsonNode found, int seeds) {
    assertThat(found.get("parts").asInt()).as("parts of " + name).isGreaterThanOrEqualTo(8);
    assertThat(found.get("sounding in the last hook").asInt())
        .as("sounding in the last hook of " + name)
        .isGreaterThanOrEqualTo(7);
    assertThat(found.get("unlike the first hook").asInt())
        .as("parts of the last hook unlike the first of " + name)
        .isGreaterThanOrEqualTo(3);
    assertThat(found.get("sections that return alike").asInt()).as(name).isZero();
    assertThat(found.get("drum bars").asDouble()).as("drum bars of " + name).isGreaterThan(5.9);
    assertThat(found.get("groove distance").asDouble())
        .as("groove distance of " + name)
        .isGreaterThanOrEqualTo(0.25);
    assertThat(found.get("announced").asDouble()).as(name).isGreaterThanOrEqualTo(0.9);
    assertThat(found.get("landed").asDouble()).as(name).isEqualTo(1);
    if (seeds >= MANY) {
      assertThat(found.get("tempos").asInt()).as(name).isGreaterThanOrEqualTo(6);
      assertThat(found.get("keys").asInt()).as(name).isGreaterThanOrEqualTo(5);
      assertThat(found.get("forms").asInt()).as(name).isGreaterThanOrEqualTo(3);
      assertThat(found.get("progressions").asInt()).as(name).isGreaterThanOrEqualTo(10);
    }
  }

  /** Register, low end and timing; played styles stray by 2 to 6 ms, machine-made ones by none. */
  private static void standsAside(Style style, JsonNode found) {
    assertThat(found.get("lead under the chords").asDouble())
        .as("lead under the chords of " + style.id())
        .isLessThanOrEqualTo(0.15);
    assertThat(found.get("unison below").asDouble())
        .as("unison of sub and bass of " + style.id())
        .isLessThanOrEqualTo(0.2);
    double most = style.ensemble().timing() > 0 ? 6 : 0.5;
    double least = style.ensemble().timing() > 0 ? 2 : 0;
    assertThat(found.get("timing").asDouble()).as("timing of " + style.id()).isBetween(least, most);
  }

  private void write(Style style, Song song, long seed) throws IOException {
    String name = style.id() + "-" + seed;
    MidiFile.write(Score.of(song), folder.resolve(name + ".mid"));
    ObjectNode facts = JSON.createObjectNode().put("style", style.id());
    facts.put("tempo", song.brief().tempo().toString());
    facts.put("key", song.brief().key().toString());
    facts.put("form", forms(song));
    facts.put("progression", song.progressions().get(0).spans().toString());
    facts.put("tick", song.brief().tempo().millis(1));
    facts.put("lead", name(song, CoreParts.LEAD)).put("keys", name(song, CoreParts.KEYS));
    facts.put("sub", name(song, CoreParts.SUB)).put("bass", name(song, CoreParts.BASS));
    names(facts.putArray("drums"), song, Role.DRUMS);
    names(facts.putArray("marks"), song, Role.MARKS);
    ArrayNode sections = facts.putArray("sections");
    for (int i = 0; i < song.form().sections().size(); i++) {
      Section section = song.form().sections().get(i);
      int start = song.form().startBar(i) * BAR;
      sections
          .addObject()
          .put("kind", EnsembleHabit.word(section.word().kind()))
          .put("start", start)
          .put("end", start + section.bars() * BAR)
          .put("entry", before(song, i));
    }
    JSON.writeValue(folder.resolve(name + ".json").toFile(), facts);
  }

  private static String before(Song song, int place) {
    boolean gap =
        place > 0 && song.form().sections().get(place - 1).word().kind() == SectionKind.GAP;
    return gap ? "gap" : "";
  }

  private static String forms(Song song) {
    StringBuilder out = new StringBuilder();
    song.form().sections().forEach(s -> out.append(s.word()).append(s.bars()).append(' '));
    return out.toString();
  }

  private static String name(Song song, PartId id) {
    return song.part(id).map(Part::name).orElse("");
  }

  private static void names(ArrayNode into, Song song, Role role) {
    song.parts(role).forEach(part -> into.add(part.name()));
  }

  private static String row(String style, JsonNode f) {
    return String.format(
        Locale.ROOT,
        "| %s | %d | %d | %d | %d | %.0f | %d | %d | %d | %d | %.2f | %.0f %% | %.0f %% |"
            + " %.0f %% | %.0f %% | %.1f |",
        style,
        f.get("parts").asInt(),
        f.get("sounding in the last hook").asInt(),
        f.get("unlike the first hook").asInt(),
        f.get("sections that return alike").asInt(),
        f.get("drum bars").asDouble(),
        f.get("tempos").asInt(),
        f.get("keys").asInt(),
        f.get("forms").asInt(),
        f.get("progressions").asInt(),
        f.get("groove distance").asDouble(),
        100 * f.get("announced").asDouble(),
        100 * f.get("landed").asDouble(),
        100 * f.get("lead under the chords").asDouble(),
        100 * f.get("unison below").asDouble(),
        f.get("timing").asDouble());
  }
}
