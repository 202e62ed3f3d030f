package westtide.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.rhythm.Feel;
import westtide.song.Cell;
import westtide.song.DrumVoice;
import westtide.song.Level;

class StyleBookTest {
  private static final StyleBook BOOK = StyleBook.shipped();

  /** Common practice: usual tempo and feel of each style. */
  @ParameterizedTest
  @CsvSource({"trap, 125, 150, HALF", "house, 118, 126, FULL", "boom bap, 84, 96, FULL"})
  void temposAndFeelsAreThoseOfPractice(String style, double low, double high, Feel feel) {
    Style found = BOOK.get(style);
    assertThat(found.tempo().low()).isEqualTo(low);
    assertThat(found.tempo().high()).isEqualTo(high);
    assertThat(found.feel()).isEqualTo(feel);
  }

  /**
   * Common practice: four to the floor with claps on 2 and 4, and the backbeat of half-time on beat
   * 3.
   */
  @Test
  void backbeatsStandWhereTheStylePutsThem() {
    assertThat(BOOK.get("house").groove().lanes().get(DrumVoice.KICK))
        .allMatch(lane -> lane.startsWith("X...X...X...X..."));
    assertThat(BOOK.get("house").groove().lanes().get(DrumVoice.CLAP))
        .allMatch(lane -> lane.startsWith("....x.......x..."));
    assertThat(BOOK.get("trap").groove().lanes().get(DrumVoice.CLAP))
        .allMatch(lane -> lane.startsWith("........X......."));
    assertThat(BOOK.get("boom-bap").groove().lanes().get(DrumVoice.SNARE))
        .allMatch(lane -> lane.charAt(4) == 'X' && lane.charAt(12) == 'X');
  }

  @Test
  void everyPreferenceHasAReason() {
    for (Style style : BOOK.styles()) {
      assertThat(style.reasons()).hasSizeGreaterThan(12);
      assertThat(style.reasons()).allMatch(r -> r.why().endsWith(".") && r.why().length() > 12);
    }
  }

  @Test
  void namesAreFoundHoweverTheyAreWrittenAndOthersAreListed() {
    assertThat(BOOK.find("Boom Bap")).isPresent();
    assertThat(BOOK.find("BOOM_BAP")).isPresent();
    assertThatThrownBy(() -> BOOK.get("polka"))
        .hasMessageContaining("polka")
        .hasMessageContaining("trap, house, boom-bap");
  }

  @Test
  void aLevelPlanDividesASection() {
    assertThat(new LevelPlan("out/half:tease").cells(16))
        .containsExactly(new Cell(0, Level.OUT, "A"), new Cell(8, Level.HALF, "tease"));
    assertThat(new LevelPlan("out/full").cells(1)).hasSize(1);
    assertThatThrownBy(() -> new LevelPlan("loud")).hasMessageContaining("hint");
  }
}
