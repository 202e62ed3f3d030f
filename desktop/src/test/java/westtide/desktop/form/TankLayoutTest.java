package westtide.desktop.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.compose.SongDraft;
import westtide.song.Song;
import westtide.style.StyleBook;

class TankLayoutTest {
  private static final Song SONG = SongDraft.in(StyleBook.shipped().get("trap")).withSeed(1).song();

  @ParameterizedTest
  @CsvSource({"1000, 400, 0, 0", "500, 150, 1, 2", "200, 90, 3, 5", "120, 60, 4, 7"})
  void aPixelOfATickLiesInItsSectionAndBar(double width, double height, int row, int column) {
    TankLayout layout = new TankLayout(SONG, width, height, 1, 1, row, column);
    for (int section = 0; section < SONG.form().sections().size(); section++) {
      int start = SONG.form().startBar(section);
      double tick = (start + 1.5) * SONG.brief().meter().ticksPerBar();
      int now = section;
      boolean inView = section >= layout.columns().offset() && section < layout.columns().end();
      if (inView) {
        assertThat(layout.placeAt(layout.x(tick)))
            .hasValueSatisfying(
                place -> assertThat(place.section() + " " + place.bar()).isEqualTo(now + " 1"));
      } else {
        assertThat(layout.x(tick)).isNegative();
      }
    }
    assertThat(layout.placeAt(TankLayout.LEFT - 1)).isEmpty();
  }

  @Test
  void rowsFollowOneAnotherAndFillTheHeight() {
    TankLayout layout = new TankLayout(SONG, 1000, 300, 1, 1, 0, 0);
    for (int row = 0; row < SONG.parts().size(); row++) {
      assertThat(layout.rowAt(layout.top(row) + 1)).isEqualTo(row);
      assertThat(layout.top(row + 1) - layout.top(row)).isCloseTo(layout.rowHeight(), within(1e-9));
    }
    TankLayout low = new TankLayout(SONG, 1000, 170, 1, 1, 2, 0);
    assertThat(low.rows().scrolls()).isTrue();
    assertThat(low.rowAt(low.top(2) + 1)).isEqualTo(2);
  }

  /** Sections are drawn to scale where there is room. */
  @Test
  void longerSectionsAreWider() {
    double[] edges = new TankLayout(SONG, 1000, 300, 1, 1, 0, 0).edges();
    for (int i = 1; i < edges.length - 1; i++) {
      int before = SONG.form().sections().get(i - 1).bars();
      int bars = SONG.form().sections().get(i).bars();
      double wider = (edges[i + 1] - edges[i]) - (edges[i] - edges[i - 1]);
      assertThat(Math.signum(Math.round(wider))).isEqualTo(Math.signum(bars - before));
    }
  }
}
