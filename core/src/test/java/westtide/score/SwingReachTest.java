package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Swing;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;

class SwingReachTest {
  /** Steps 2, 4 … are the second sixteenths of their pairs, steps 3, 7 … the second eighths. */
  @ParameterizedTest
  @CsvSource({
    "x...x...x...x..., SIXTEENTHS, 0",
    "x..xx..xx..xx..x, SIXTEENTHS, 4",
    "x.x.x.x.x.x.x.x., SIXTEENTHS, 0",
    "x.x.x.x.x.x.x.x., EIGHTHS, 4",
    "xxxxxxxxxxxxxxxx, SIXTEENTHS, 8"
  })
  void onlyTheSecondOfAPairIsMoved(String lane, Swing.Grid grid, int moved) {
    Brief brief = Songs.brief("A minor", 60);
    Part drums = Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.SNARE, lane));
    var song = BriefEdits.swing(Swing.of(60).on(grid)).apply(Songs.oneHook(brief, "Am", 1, drums));
    SwingReach reach = SwingReach.of(Score.of(song));
    assertThat(reach.moved()).isEqualTo(moved);
    assertThat(reach.notes()).isEqualTo((int) lane.chars().filter(c -> c == 'x').count());
  }
}
