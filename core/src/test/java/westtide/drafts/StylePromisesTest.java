package westtide.drafts;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.compose.SongDraft;
import westtide.song.form.SectionKind;
import westtide.song.form.Transition;
import westtide.song.id.PartId;
import westtide.style.FormHabit;
import westtide.style.Style;

/**
 * Reads every text of the style book for what it promises and finds it in the notes of drafts:
 * where a sentence has the words of a promise, one of three drafts has to keep it.
 */
class StylePromisesTest {
  private static final int DRAFTS = 3;
  private static final int TEXTS = 600;

  /**
   * A text of a style.
   *
   * @param where its place in the style, such as {@code drums/lanes/KICK}
   * @param text what it says
   * @param node what it is said of
   */
  private record Text(String where, String text, JsonNode node) {
    /** The part it speaks of: the member's, or the one its topic is about. */
    PartId part() {
      if (where.startsWith("ensemble/members/")) {
        return PartId.of(node.get("id").asText());
      }
      Map<String, String> parts =
          Map.of(
              "sub", "808", "bass", "bass", "keys-part", "keys", "chords", "keys", "lead", "lead");
      return PartId.of(parts.getOrDefault(where, "drums"));
    }

    String lane() {
      return where.substring(where.lastIndexOf('/') + 1);
    }
  }

  @Test
  void everyPromiseOfATextIsKeptByADraft() {
    List<String> broken = new ArrayList<>();
    List<Promise> all = Promise.all();
    int promises = 0;
    for (Style style : Songs.book().styles()) {
      List<HeardDraft> drafts = drafts(style);
      for (Text text : texts(style.id())) {
        for (Promise promise : all) {
          if (promise.made(text.where(), text.text())) {
            promises++;
            if (drafts.stream().noneMatch(draft -> kept(promise, draft, text))) {
              broken.add(style.id() + " " + text.where() + ": " + text.text() + " " + promise);
            }
          }
        }
      }
    }
    assertThat(String.join("\n", broken)).isEmpty();
    assertThat(promises).as("promises that were found").isGreaterThan(220);
  }

  private static boolean kept(Promise promise, HeardDraft draft, Text text) {
    return promise.kept().by(draft, new Promise.Subject(text.part(), text.lane()));
  }

  /** A sentence about a boundary names only marks that stand there. */
  @Test
  void whatATextSaysOfABoundaryIsMarkedThere() {
    Map<Pattern, Set<String>> words = new LinkedHashMap<>();
    word(words, "(?<!reversed )\\bcrash", "crash");
    word(words, "reversed crash", "reverse");
    word(words, "riser", "riser");
    word(words, "\\bstops?\\b|silence|cut clean|nothing before", "stop", "snare-stop", "gap");
    word(words, "first snare", "snare-stop");
    word(words, "\\bruns? up|bass run|longer run|run of the bass", "run");
    word(words, "without (the )?kick|kick (drops|is gone)|turn", "kickless");
    word(
        words,
        "without (808 and )?drums|drums leave|missing beat|beat is missing",
        "drums-out",
        "gap");
    word(words, "fades?\\b", "fade");
    word(words, "\\bsweep|\\bnoise", "sweep");
    word(words, "low-pass|filter|tops close|darkens", "open", "close");
    word(words, "snares? (close|fills?|figure)|rising snares|short roll", "build", "fill");
    word(words, "\\btoms\\b", "toms");
    word(words, "\\bimpact\\b|deep hit|one hit|soft hit", "impact");
    word(words, "stutters", "ramp");
    word(words, "\\brings?\\b", "tail");
    word(words, "four sticks", "count");
    word(words, "\\bheld\\b|riff holds", "hold");
    List<String> broken = new ArrayList<>();
    for (Style style : Songs.book().styles()) {
      for (Text text : texts(style.id())) {
        if (text.where().startsWith("transitions/at/")) {
          words.forEach((said, marks) -> check(broken, style, text, said, marks));
        }
      }
    }
    assertThat(String.join("\n", broken)).isEmpty();
  }

  private static void word(Map<Pattern, Set<String>> words, String said, String... marks) {
    words.put(Pattern.compile(said, Pattern.CASE_INSENSITIVE), Set.of(marks));
  }

  private static void check(
      List<String> broken, Style style, Text text, Pattern said, Set<String> marks) {
    boolean marked =
        List.of(text.node().get("marks").asText().split(" ")).stream()
            .anyMatch(mark -> marks.contains(mark.split(":")[0]));
    if (said.matcher(text.text()).find() && !marked) {
      broken.add(style.id() + " " + text.where() + ": " + text.text() + " wants " + marks);
    }
  }

  /** Every kind of mark that stands in a draft is heard: as notes, or as notes that are missing. */
  @Test
  void everyMarkOfADraftIsHeard() {
    List<String> broken = new ArrayList<>();
    for (Style style : Songs.book().styles()) {
      HeardDraft draft = HeardDraft.of(SongDraft.in(style));
      for (int i = 1; i < draft.song().form().sections().size(); i++) {
        for (Transition mark : draft.song().form().sections().get(i).entry()) {
          if (!HeardMarks.heard(draft, i, mark)) {
            broken.add(style.id() + " section " + (i + 1) + ": " + mark);
          }
        }
      }
    }
    assertThat(String.join("\n", broken)).isEmpty();
  }

  /** A build keeps the low end back; the hook after it has it. */
  @Test
  void buildsKeepTheLowEndBack() {
    for (Style style : Songs.book().styles()) {
      HeardDraft draft = HeardDraft.of(SongDraft.in(style).withSeed(2));
      for (int place : draft.places(SectionKind.PRE_HOOK)) {
        assertThat(draft.in(PartId.of("808"), place)).as(style.name()).isEmpty();
      }
    }
  }

  @Test
  void allTextsAreRead() {
    long texts = Songs.book().styles().stream().mapToLong(s -> texts(s.id()).size()).sum();
    assertThat(texts).isGreaterThan(TEXTS);
  }

  /** Drafts from different seeds in different forms of the style. */
  private static List<HeardDraft> drafts(Style style) {
    List<HeardDraft> out = new ArrayList<>();
    List<FormHabit.Template> forms = style.form().templates();
    for (int seed = 1; seed <= DRAFTS; seed++) {
      String line = forms.get(seed % forms.size()).line();
      out.add(HeardDraft.of(SongDraft.in(style).withSeed(seed).withPlan(line)));
    }
    return out;
  }

  private static List<Text> texts(String style) {
    try (InputStream in = Style.class.getResourceAsStream(style + ".json")) {
      List<Text> out = new ArrayList<>();
      collect(new ObjectMapper().readTree(in), "", out);
      return out;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void collect(JsonNode node, String where, List<Text> out) {
    for (String field : List.of("why", "summary")) {
      if (node.has(field)) {
        out.add(new Text(where, node.get(field).asText(), node));
      }
    }
    node.properties()
        .forEach(child -> collect(child.getValue(), under(where, child.getKey()), out));
    for (int i = 0; node.isArray() && i < node.size(); i++) {
      String name = node.get(i).has("id") ? node.get(i).get("id").asText() : String.valueOf(i);
      collect(node.get(i), under(where, name), out);
    }
  }

  private static String under(String where, String name) {
    return where.isEmpty() ? name : where + "/" + name;
  }
}
