package westtide.song;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.compose.form.FormDraft;
import westtide.song.edit.PatternEdits;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** Places of patterns and rows in bars of the song. */
class HeardPlaceTest {
  private static final PartId DRUMS = PartId.of("drums");
  private static final int BAR = 3840;

  /** An intro of four bars without drums, then eight bars that play A, then eight that play C. */
  private static Song song() {
    Song song = new GrooveEdits(DRUMS, "A").blank("C").apply(Songs.draft("trap", 1));
    Form form =
        FormDraft.in(Songs.book().get("trap"), song)
            .form(FormLine.parse("intro 4, hook 8, verse 8").orElseThrow());
    Song laid = song.withForm(form);
    laid = FormEdits.play(laid.form().id(1), DRUMS, "A").apply(laid);
    laid = FormEdits.play(laid.form().id(2), DRUMS, "C").apply(laid);
    return laid.withForm(
        laid.form()
            .with(laid.form().id(0), s -> s.withCells(DRUMS, java.util.List.of(Cell.out()))));
  }

  @ParameterizedTest
  @CsvSource({"A, 0, 5.1.1", "A, 5040, 6.2.2", "C, 0, 13.1.1", "C, 3840, 14.1.1"})
  void aPlaceOfAGrooveIsCountedWhereItIsHeardFirst(String groove, int tick, String place) {
    assertThat(new HeardPlace(song()).of(DRUMS, groove, tick)).isEqualTo(place);
  }

  @Test
  void whatIsNowhereHeardIsCountedInItself() {
    Song song = new PatternEdits(DRUMS, "A").copyAs("Z").apply(song());
    assertThat(new HeardPlace(song).of(DRUMS, "Z", BAR)).isEqualTo("2.1.1 of Z");
  }

  @Test
  void aGrooveThatIsOnlyHeardAsItsVariationIsCountedThere() {
    Song song = song();
    Pattern.Drums a =
        song.part(DRUMS).orElseThrow().groove("A", song.brief().meter()).orElseThrow();
    Song grown = new GrooveEdits(DRUMS, "A").grow("A2", a).apply(song);
    Song varied = FormEdits.play(grown.form().id(1), DRUMS, "A2").apply(grown);
    assertThat(new HeardPlace(varied).of(DRUMS, "A", 0)).isEqualTo("5.1.1");
  }

  @Test
  void aChordIsCountedWhereItsRowIsHeardFirst() {
    Song song = song();
    var row = song.progression(song.form().sections().get(1).progression());
    String first = song.form().sections().get(0).progression().equals(row.name()) ? "1" : "5";
    assertThat(new HeardPlace(song).of(row, 960)).isEqualTo("bar " + first + ".2");
  }
}
