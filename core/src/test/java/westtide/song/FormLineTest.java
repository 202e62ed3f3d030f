package westtide.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.compose.form.FormDraft;
import westtide.rhythm.Meter;
import westtide.song.edit.History;
import westtide.song.edit.LinkedSections;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.text.Reading;

class FormLineTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "intro 8, hook 16; intro 8, hook 16",
        " Pre-Hook 4 ,DROP 32; pre-hook 4, drop 32",
        "chorus 8; chorus 8"
      })
  void formsAreRead(String typed, String shown) {
    String read =
        FormLine.parse(typed).orElseThrow().stream()
            .map(item -> item.word() + " " + item.bars())
            .collect(Collectors.joining(", "));
    assertThat(read).isEqualTo(shown);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "intro 8, groove 4 x0; 10; repeated 1 to 32 times",
        "intro; 1; needs",
        "hook 0; 1; 1 to 128",
        "hook 129; 1; 1 to 128",
        "intro 8, tag 513 beats; 10; 1 to 512 beats",
        "''; 1; type sections",
        "hook 128, hook 128, hook 128, hook 128, hook 128, hook 128, hook 128, hook 128; 71; 999"
      })
  void aWrongFormPointsToo(String typed, int column, String message) {
    Reading.Problem<List<FormLine.Item>> problem =
        (Reading.Problem<List<FormLine.Item>>) FormLine.parse(typed);
    assertThat(problem.column()).isEqualTo(column);
    assertThat(problem.message()).contains(message);
  }

  /**
   * Words of one's own keep their name and are what they most likely mean; repeats are written out.
   */
  @ParameterizedTest
  @CsvSource({
    "main 16, HOOK",
    "part B 8, HOOK",
    "break 8, BREAKDOWN",
    "Middle eight 8, BRIDGE",
    "coda 4, OUTRO",
    "Lift 4, PRE_HOOK",
    "Lanternlight 8, GROOVE"
  })
  void aWordOfOnesOwnIsMatchedToAKind(String typed, SectionWord word) {
    FormLine.Item item = FormLine.parse(typed).orElseThrow().get(0);
    assertThat(item.word()).isEqualTo(word);
    assertThat(typed).startsWith(item.name().orElseThrow());
  }

  /** Tags and gaps are also so many beats long; what is formatted is what is read. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "hook 8, tag 6 beats, gap 1 beat, hook 8 stop; 4/4; 8 0, 2 2, 1 1, 8 0",
        "verse 4, tag 4 beats crash; 3/4; 4 0, 2 1"
      })
  void lengthsAreBarsOrBeats(String typed, String in, String lengths) {
    Meter meter = Meter.parse(in);
    List<FormLine.Item> items = FormLine.parse(typed, meter).orElseThrow();
    assertThat(items)
        .extracting(item -> item.length().bars() + " " + item.length().lastBeats())
        .isEqualTo(List.of(lengths.split(", ")));
    List<Section> sections =
        items.stream()
            .map(
                item ->
                    Section.of(item.word(), item.bars(), "hook", Map.of())
                        .withName(item.name())
                        .withLength(item.length())
                        .withEntry(item.entry()))
            .toList();
    assertThat(FormLine.format(new Form(sections), meter)).isEqualTo(typed);
  }

  @Test
  void aGapInBarsIsBarsOfTheMeter() {
    Reading<List<FormLine.Item>> waltz = FormLine.parse("hook 8 gap 2", new Meter(3, 4));
    assertThat(waltz.orElseThrow().get(0).entry().get(0).beats()).isEqualTo(6);
  }

  /**
   * What stands several times in a row keeps its number, and its word where it is kept the same.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "one 2, two 2 x4; one 2, two 2 x4",
        "one 2, two 2 x3 linked, one 2; one 2, two 2 x3 linked, one 2",
        "hook 8 x2 crash, outro 4; hook 8 x2 crash, outro 4",
        "hook 8, hook 8 crash; hook 8, hook 8 crash",
        "verse 8, verse 8, verse 4; verse 8 x2, verse 4"
      })
  void repeatsStayInTheLine(String typed, String shown) {
    Song song = Songs.draft("trap", 1);
    List<FormLine.Item> items = FormLine.parse(typed).orElseThrow();
    Form form = FormDraft.in(Songs.book().get("trap"), song).form(items, song.form());
    Song made = LinkedSections.repeated(song.withForm(form), items);
    assertThat(FormLine.format(made.form(), Meter.COMMON)).isEqualTo(shown);
    boolean linked = typed.contains("linked");
    assertThat(made.form().sections().stream().anyMatch(s -> s.link().isPresent()))
        .isEqualTo(linked);
  }

  /** An edit of one of them reaches those that were typed as the same, and no others. */
  @ParameterizedTest
  @CsvSource({"x3 linked, 3", "x3, 1"})
  void typedAsLinkedTheyChangeTogether(String times, int changed) {
    Song song = Songs.draft("trap", 1);
    List<FormLine.Item> items = FormLine.parse("intro 4, hook 8 " + times).orElseThrow();
    Form form = FormDraft.in(Songs.book().get("trap"), song).form(items, song.form());
    History history = History.saved(LinkedSections.repeated(song.withForm(form), items));
    PartId keys = PartId.of("keys");
    Song after =
        history.plus(FormEdits.level(history.song().form().id(2), keys, 0, Level.HINT)).song();
    assertThat(
            after.form().sections().stream()
                .filter(s -> s.cell(keys, 0).level() == Level.HINT)
                .count())
        .isEqualTo(changed);
  }

  @Test
  void aSectionIsRepeatedByTimes() {
    assertThat(FormLine.parse("intro 8, groove 4 x2, hook 16 × 3").orElseThrow())
        .extracting(item -> item.word() + " " + item.bars())
        .containsExactly("intro 8", "groove 4", "groove 4", "hook 16", "hook 16", "hook 16");
  }
}
