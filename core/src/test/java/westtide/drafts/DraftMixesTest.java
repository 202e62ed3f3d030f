package westtide.drafts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.draft.Draft;
import westtide.heard.Report;
import westtide.heard.SummedStems;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.sound.Mixdown;
import westtide.style.CoreParts;
import westtide.style.EnsembleHabit;
import westtide.style.Style;

/**
 * How drafts are mixed, measured from their sound by {@code measure-mix.py}, which has Debian's
 * ffmpeg read loudness (EBU R 128) and shares nothing with the application. The limits are common
 * practice as the product promises it. {@code ./west-tide measure} takes more seeds a style and
 * writes docs/drafts.md; {@code -Dmixes.styles=dark,soul} looks at some styles alone.
 */
class DraftMixesTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int RATE = 48_000;
  private static final int ENOUGH = 3;
  private static final String HEADER =
      "| style | LUFS | dBTP | range LU | lead over chords LU | intro under hook LU |"
          + " verse under hook LU | build rises LU |";

  @TempDir Path folder;

  /** What one style's drafts measured, by name, in the order of seeds. */
  private record Figures(Map<String, List<Double>> found) {
    void add(JsonNode measured) {
      measured
          .properties()
          .forEach(
              one ->
                  found
                      .computeIfAbsent(one.getKey(), name -> new ArrayList<>())
                      .add(one.getValue().asDouble()));
    }

    boolean has(String name) {
      return found.containsKey(name);
    }

    double least(String name) {
      return found.get(name).stream().mapToDouble(x -> x).min().orElseThrow();
    }

    double most(String name) {
      return found.get(name).stream().mapToDouble(x -> x).max().orElseThrow();
    }

    double middle(String name) {
      List<Double> sorted = found.get(name).stream().sorted().toList();
      int half = sorted.size() / 2;
      return sorted.size() % 2 == 1
          ? sorted.get(half)
          : (sorted.get(half - 1) + sorted.get(half)) / 2;
    }

    /** The middle one, and from which to which. */
    String words(String name) {
      return !has(name)
          ? "–"
          : String.format(
              Locale.ROOT, "%.1f (%.1f to %.1f)", middle(name), least(name), most(name));
    }
  }

  @Test
  @Sampled
  void draftsStandInTheMixOfTheirStyle() throws Exception {
    assumeTrue(
        Reference.installed("ffmpeg"), "ffmpeg is not installed; its reading is passed over");
    int seeds = Integer.getInteger("mixes.seeds", Samples.count(1, 2));
    List<String> rows = new ArrayList<>();
    Map<String, Figures> all = new HashMap<>();
    List<String> only = List.of(System.getProperty("mixes.styles", "").split(","));
    for (Style style : Samples.few(1, Songs.book().styles())) {
      if (!only.contains("") && !only.contains(style.id())) {
        continue;
      }
      Figures figures = measured(style, seeds);
      rows.add(row(style, figures));
      System.out.println(rows.get(rows.size() - 1));
      all.put(style.id(), figures);
    }
    Report.table("drafts.report", HEADER, rows);
    all.forEach((style, figures) -> holds(style, figures, seeds));
  }

  /** One draft is measured while the next is rendered. */
  private Figures measured(Style style, int seeds) throws Exception {
    Figures figures = new Figures(new HashMap<>());
    ExecutorService beside = Executors.newSingleThreadExecutor();
    try {
      Future<JsonNode> before = null;
      for (long seed = 1; seed <= seeds; seed++) {
        Path place = Files.createDirectories(folder.resolve(Long.toString(seed % 2)));
        write(Draft.in(style, seed).song(), place);
        if (before != null) {
          figures.add(before.get());
        }
        before = beside.submit(() -> Reference.run("measure-mix.py", place));
      }
      figures.add(before.get());
    } finally {
      beside.shutdown();
    }
    return figures;
  }

  private static void holds(String style, Figures found, int seeds) {
    assertThat(found.least("loudness")).as("softest of " + style).isGreaterThanOrEqualTo(-15);
    assertThat(found.most("loudness")).as("loudest of " + style).isLessThanOrEqualTo(-13);
    assertThat(found.most("peak")).as("true peak of " + style).isLessThanOrEqualTo(-1);
    assertThat(found.middle("lead")).as("lead of " + style).isBetween(3.0, 6.0);
    assertThat(found.least("lead")).as("softest lead of " + style).isGreaterThanOrEqualTo(2.5);
    assertThat(found.most("lead")).as("loudest lead of " + style).isLessThanOrEqualTo(6.5);
    if (found.has("intro")) {
      assertThat(found.middle("intro")).as("intro of " + style).isLessThanOrEqualTo(9);
    }
    if (found.has("rise")) {
      assertThat(found.least("rise")).as("builds of " + style).isGreaterThanOrEqualTo(2);
    }
    if (seeds >= ENOUGH) {
      assertThat(found.middle("verse")).as("verses of " + style).isBetween(3.0, 6.0);
      assertThat(found.middle("range")).as("range of " + style).isBetween(5.0, 9.0);
    }
  }

  private static String row(Style style, Figures f) {
    return String.format(
        Locale.ROOT,
        "| %s | %s | %.1f | %s | %s | %s | %s | %s |",
        style.id(),
        f.words("loudness"),
        f.most("peak"),
        f.words("range"),
        f.words("lead"),
        f.words("intro"),
        f.words("verse"),
        f.words("rise"));
  }

  private static void write(Song song, Path folder) throws IOException {
    Mixdown mixdown = Mixdown.of(Score.of(song), RATE);
    int frames = (int) mixdown.frames();
    SummedStems mix = new SummedStems(frames);
    SummedStems lead = new SummedStems(frames);
    SummedStems chords = new SummedStems(frames);
    Map<PartId, Mixdown.Sink> stems = new HashMap<>();
    stems.put(CoreParts.LEAD, lead.one());
    song.parts(Role.CHORDS).forEach(part -> stems.put(part.id(), chords.one()));
    mixdown.mixAndStems(mix.one(), stems, Mixdown.Watch.NOBODY);
    mix.write(folder.resolve("mix.f32"));
    lead.write(folder.resolve("lead.f32"));
    chords.write(folder.resolve("chords.f32"));
    JSON.writeValue(folder.resolve("facts.json").toFile(), facts(song));
  }

  private static ObjectNode facts(Song song) {
    ObjectNode facts = JSON.createObjectNode();
    Form form = song.form();
    double tick = song.brief().tempo().millis(1) / 1000;
    facts.put("bar", tick * song.brief().meter().ticksPerBar());
    ArrayNode sections = facts.putArray("sections");
    for (int i = 0; i < form.sections().size(); i++) {
      Section section = form.sections().get(i);
      double start = tick * form.startTick(i, song.brief().meter());
      sections
          .addObject()
          .put("kind", EnsembleHabit.word(section.word().kind()))
          .put("word", section.word().toString())
          .put("start", start)
          .put("end", start + tick * section.ticks(song.brief().meter()));
    }
    return facts;
  }
}
