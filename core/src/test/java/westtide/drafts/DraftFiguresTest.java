package westtide.drafts;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.file.midi.MidiFile;
import westtide.heard.Report;
import westtide.rhythm.Feel;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.pattern.LowLine;
import westtide.style.LineLanguage;
import westtide.style.Style;
import westtide.theory.NoteName;

/**
 * What drafts are like, measured from their MIDI files by a program that shares nothing with the
 * application, {@code measure-drafts.py}. The limits are common practice as the product promises
 * it. {@code ./west-tide measure} takes fifty seeds a style and writes docs/drafts.md.
 */
class DraftFiguresTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int BAR = 3840;

  private static final String HEADER =
      "| style | lead rhythms | most shared | changed unit | third unit higher | velocity range | 808"
          + " sounds in hooks | same-pitch pick-ups | downbeats off the bass | leaps past a fifth |"
          + " slides in 4 bars |";

  @TempDir Path folder;

  @Test
  void leadsSpeakInManyRhythmsAndTheLowEndKeepsItsRules() throws Exception {
    int seeds = Integer.getInteger("drafts.seeds", 14);
    for (Style style : Songs.book().styles()) {
      for (long seed = 1; seed <= seeds; seed++) {
        write(style, Songs.draft(style.id(), seed), seed);
      }
    }
    JsonNode figures = Reference.run("measure-drafts.py", folder);
    List<String> rows = new ArrayList<>();
    figures.properties().forEach(style -> rows.add(row(style.getKey(), style.getValue())));
    Report.table("drafts.report", HEADER, rows);
    for (Style style : Songs.book().styles()) {
      holds(style, figures.get(style.id()), seeds);
    }
  }

  private static void holds(Style style, JsonNode found, int seeds) {
    String name = style.id();
    assertThat(found.get("lead rhythms").asInt())
        .as("lead rhythms of " + name)
        .isGreaterThanOrEqualTo(seeds < 50 ? 7 : 12);
    assertThat(found.get("shared rhythms").asDouble())
        .as("rhythms " + name + " shares with " + found.get("shared with"))
        .isLessThanOrEqualTo(0.2);
    assertThat(found.get("lead out of range").asInt()).as("range of " + name).isZero();
    assertThat(found.get("lead outside").asInt()).as("scale of " + name).isZero();
    for (String role : new String[] {"sub", "bass"}) {
      assertThat(found.path(role + " pick-ups on the same note").asInt()).as(name).isZero();
      assertThat(found.path(role + " not on the bass").asInt()).as(name).isZero();
    }
    assertThat(share(found, "sub leaps past a fifth", "sub moves")).as(name).isLessThan(0.1);
    if (style.feel() == Feel.HALF) {
      assertThat(share(found, "sub ticks", "hook ticks")).as(name).isBetween(0.6, 0.85);
    }
    if (style.sub().grammar().slides()) {
      // a stop before the next section can silence the slide that leads to it
      assertThat(share(found, "slides", "hook four bars")).as(name).isGreaterThanOrEqualTo(0.8);
    }
    if (seeds >= 50) {
      assertThat(share(found, "third unit higher", "leads")).as(name).isBetween(0.4, 0.6);
    }
    if (style.lead().language().pitches() != LineLanguage.Pitches.FEW) {
      assertThat(share(found, "velocity range", "leads")).as(name).isGreaterThanOrEqualTo(30);
    }
  }

  private static double share(JsonNode found, String part, String whole) {
    return found.path(part).asDouble() / Math.max(1, found.path(whole).asDouble());
  }

  private void write(Style style, Song song, long seed) throws IOException {
    String name = style.id() + "-" + seed;
    Score score = Score.of(song);
    MidiFile.write(score, folder.resolve(name + ".mid"));
    ObjectNode facts = JSON.createObjectNode().put("style", style.id());
    facts.put("lead", part(song, Role.LINE).name());
    facts.put("low", style.lead().low()).put("high", style.lead().high());
    ArrayNode scale = facts.putArray("scale");
    song.brief().key().notes().stream().map(NoteName::pitchClass).forEach(scale::add);
    for (Role role : new Role[] {Role.SUB, Role.BASS}) {
      String word = role == Role.SUB ? "sub" : "bass";
      Part part = part(song, role);
      facts.put(word, part.name());
      facts.put(
          "pedal " + word, part.rules(LowLine.class).get(0).pitches() == LowLine.Pitches.PEDAL);
    }
    ArrayNode sections = facts.putArray("sections");
    for (int i = 0; i < song.form().sections().size(); i++) {
      Section section = song.form().sections().get(i);
      int start = song.form().startBar(i) * BAR;
      boolean hook = section.word().kind() == SectionKind.HOOK;
      sections
          .addObject()
          .put("kind", hook ? "hook" : "other")
          .put("start", start)
          .put("end", start + section.bars() * BAR);
    }
    chords(facts, score);
    JSON.writeValue(folder.resolve(name + ".json").toFile(), facts);
  }

  private static Part part(Song song, Role role) {
    return song.parts(role).get(0);
  }

  /** The chords heard, section by section, in whichever part plays there first. */
  private static void chords(ObjectNode facts, Score score) {
    ArrayNode chords = facts.putArray("chords");
    Set<Integer> done = new HashSet<>();
    for (Role role : new Role[] {Role.SUB, Role.BASS, Role.LINE}) {
      for (Passage passage : score.parts(role).get(0).passages()) {
        if (done.add(passage.place())) {
          passage.harmony().chords().forEach(chord -> add(chords, passage, chord));
        }
      }
    }
  }

  private static void add(ArrayNode chords, Passage passage, PlacedChord chord) {
    ObjectNode node =
        chords
            .addObject()
            .put("start", passage.sectionStart() + chord.start())
            .put("end", passage.sectionStart() + chord.end())
            .put("bass", chord.chord().bass().pitchClass());
    ArrayNode tones = node.putArray("tones");
    chord.chord().pitchClasses().forEach(tones::add);
  }

  private static String row(String style, JsonNode f) {
    return String.format(
        Locale.ROOT,
        "| %s | %d | %.0f %% with %s | %.0f %% | %.0f %% | %.0f | %.0f %% | %d | %d | %.1f %% |"
            + " %.1f |",
        style,
        f.get("lead rhythms").asInt(),
        100 * f.get("shared rhythms").asDouble(),
        f.get("shared with").asText(),
        100 * share(f, "leads with a changed unit", "leads"),
        100 * share(f, "third unit higher", "leads"),
        share(f, "velocity range", "leads"),
        100 * share(f, "sub ticks", "hook ticks"),
        f.path("sub pick-ups on the same note").asInt()
            + f.path("bass pick-ups on the same note").asInt(),
        f.path("sub not on the bass").asInt() + f.path("bass not on the bass").asInt(),
        100 * share(f, "sub leaps past a fifth", "sub moves"),
        share(f, "slides", "hook four bars"));
  }
}
