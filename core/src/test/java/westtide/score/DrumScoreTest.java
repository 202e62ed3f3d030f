package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Hit;
import westtide.rhythm.Roll;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.When;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.Restart;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** What lanes and hits can be set to, as it sounds. */
class DrumScoreTest {
  private static final DrumEdits EDITS = new DrumEdits(PartId.of("drums"), "A");
  private static final LaneId HAT = DrumVoice.CLOSED_HAT.lane();

  private static Song song(int swing, int bars, Pattern.Drums groove) {
    return Songs.oneHook(
        Songs.brief("A minor", swing), "Am", bars, Songs.part("drums", Role.DRUMS, groove));
  }

  private static List<ScoredNote> notes(Song song, DrumVoice voice) {
    return Score.of(song).parts().get(0).notes().stream().filter(n -> n.of(voice)).toList();
  }

  private static List<Integer> starts(Song song, DrumVoice voice) {
    return notes(song, voice).stream().map(ScoredNote::start).toList();
  }

  /** Arithmetic: 960 ticks a quarter share into 3 eighth triplets, 6 sixteenth ones, 8. */
  @ParameterizedTest
  @CsvSource({"SIXTEENTHS, 240", "EIGHTH_TRIPLETS, 320", "TRIPLETS, 160", "THIRTY_SECONDS, 120"})
  void aLaneHasItsOwnGrid(StepGrid grid, int step) {
    Pattern.Drums hats = Songs.groove(1, DrumVoice.CLOSED_HAT, "xx..");
    Song song = EDITS.whole("grid", HAT, lane -> lane.withGrid(grid)).apply(song(50, 1, hats));
    assertThat(starts(song, DrumVoice.CLOSED_HAT))
        .startsWith(0, step, 4 * step, 5 * step)
        .allMatch(tick -> tick % (4 * step) == 0 || tick % (4 * step) == step);
  }

  /** A hit that is early on the first step of a cell is not lost between two cells. */
  @Test
  void anEarlyHitSoundsAtTheBeginningOfEveryCell() {
    Song song =
        EDITS
            .nudge(HAT, 0, -20)
            .apply(song(50, 4, Songs.groove(1, DrumVoice.CLOSED_HAT, "x.......x.......")));
    Section section = song.form().sections().get(0);
    List<Cell> cells = List.of(new Cell(0, Level.FULL, "A"), new Cell(2, Level.HALF, "A"));
    Song split = song.withForm(new Form(List.of(section.withCells(PartId.of("drums"), cells))));
    assertThat(starts(split, DrumVoice.CLOSED_HAT))
        .isEqualTo(starts(song, DrumVoice.CLOSED_HAT))
        .contains(2 * 3840 - 20)
        .hasSize(8);
  }

  /** Arithmetic: 58 % puts the second sixteenth at 278.4, rounded; a straight lane keeps 240. */
  @Test
  void aLaneSwingsByItself() {
    Pattern.Drums both =
        Songs.groove(
            1, DrumVoice.CLOSED_HAT, "xx..............", DrumVoice.RIM, "xx..............");
    Song song =
        EDITS
            .whole("own", HAT, lane -> lane.withSwing(Optional.of(Swing.STRAIGHT)))
            .apply(song(58, 1, both));
    assertThat(starts(song, DrumVoice.CLOSED_HAT)).containsExactly(0, 240);
    assertThat(starts(song, DrumVoice.RIM)).containsExactly(0, 278);
    Song more = EDITS.whole("own", HAT, l -> l.withSwing(Optional.of(Swing.of(66)))).apply(song);
    assertThat(starts(more, DrumVoice.CLOSED_HAT)).containsExactly(0, 317);
  }

  @Test
  void tripletsDoNotSwingUnlessTold() {
    Pattern.Drums hats = Songs.groove(1, DrumVoice.CLOSED_HAT, "xxx");
    Song song =
        EDITS
            .whole("grid", HAT, l -> l.withGrid(StepGrid.EIGHTH_TRIPLETS))
            .apply(song(66, 1, hats));
    assertThat(starts(song, DrumVoice.CLOSED_HAT)).startsWith(0, 320, 640, 960);
  }

  /** Five velocities over sixteen hits: 92 x 116/92 = 116 and so on; a dot silences. */
  @Test
  void accentsRunInTheirOwnLength() {
    Pattern.Drums hats = Songs.groove(1, DrumVoice.CLOSED_HAT, "xxxxxxxxxxxxxxxx");
    Song song =
        EDITS
            .whole("a", HAT, l -> l.withAccents(Optional.of(StepLane.parse("X.oxo"))))
            .apply(song(50, 1, hats));
    assertThat(notes(song, DrumVoice.CLOSED_HAT))
        .extracting(n -> n.start() / 240 + ":" + n.velocity())
        .startsWith("0:116", "2:56", "3:92", "4:56", "5:116", "7:56")
        .hasSize(13);
  }

  /** A lane of five against a groove of 32 steps; arithmetic. */
  @Test
  void lanesRestartWithTheGrooveEverySoManyStepsOrNever() {
    Pattern.Drums rim = Songs.groove(2, DrumVoice.RIM, "x....");
    Song song = song(50, 8, rim);
    assertThat(starts(song, DrumVoice.RIM)).contains(30 * 240, 32 * 240).doesNotContain(35 * 240);
    Song never = EDITS.groove().restart(Restart.NEVER).apply(song);
    assertThat(starts(never, DrumVoice.RIM)).hasSize(26).allMatch(tick -> tick % (5 * 240) == 0);
    Song twelve = EDITS.groove().restart(new Restart(12)).apply(song);
    assertThat(starts(twelve, DrumVoice.RIM))
        .startsWith(0, 5 * 240, 10 * 240, 12 * 240, 17 * 240, 22 * 240, 24 * 240);
  }

  /** Eight bars: the groove plays bars 1 to 6, something else follows. */
  @Test
  void hitsPlayOnTheFirstPassTheLastAndInFillBars() {
    DrumLane lane =
        DrumLane.of(
            DrumVoice.RIM,
            StepLane.empty(16)
                .with(Hit.of(0, 92).withWhen(When.at(When.Turn.FIRST)))
                .with(Hit.of(4, 92).withWhen(When.at(When.Turn.LAST)))
                .with(Hit.of(8, 92).withWhen(When.at(When.Turn.FILL))));
    Song song = song(50, 8, new Pattern.Drums(1, List.of(lane)));
    Section section =
        Section.of(
            SectionWord.HOOK,
            8,
            "hook",
            Map.of(
                PartId.of("drums"),
                List.of(new Cell(0, Level.FULL, "A"), new Cell(6, Level.OUT, "A"))));
    Song cut = song.withForm(new Form(List.of(section)));
    assertThat(starts(cut, DrumVoice.RIM))
        .containsExactly(0, 3 * 3840 + 1920, 5 * 3840 + 960, 5 * 3840 + 1920);
  }

  @Test
  void aRollOverABeatSharesItAndClimbs() {
    Hit hit = Hit.of(0, 100).withRoll(new Roll(3, 4, 0, 12));
    Pattern.Drums groove =
        new Pattern.Drums(1, List.of(DrumLane.of(DrumVoice.TOM, StepLane.empty(16).with(hit))));
    assertThat(notes(song(50, 1, groove), DrumVoice.TOM))
        .extracting(n -> n.start() + ":" + n.struck().orElseThrow().semitones())
        .containsExactly("0:0", "320:6", "640:12");
  }

  /** Lanes of one group: the one that rings wins; between equals the first. */
  @Test
  void lanesOfAChokeGroupSilenceOneAnother() {
    Pattern.Drums groove =
        Songs.groove(1, DrumVoice.RIM, "x...x...........", DrumVoice.TOM, "x.......x.......");
    Song song = song(50, 1, groove);
    assertThat(starts(song, DrumVoice.TOM)).containsExactly(0, 1920);
    Song grouped = song;
    for (DrumVoice voice : List.of(DrumVoice.RIM, DrumVoice.TOM)) {
      grouped = EDITS.sound("g", voice.lane(), s -> s.withChoke(3)).apply(grouped);
    }
    assertThat(starts(grouped, DrumVoice.TOM)).containsExactly(1920);
    assertThat(starts(grouped, DrumVoice.RIM)).containsExactly(0, 960);
  }

  @Test
  void stackedLanesSoundTogetherOnNotesOfTheirOwn() {
    Pattern.Drums groove = Songs.groove(1, DrumVoice.KICK, "x.......x.......");
    Song song = EDITS.stack(DrumVoice.KICK.lane()).apply(song(50, 1, groove));
    assertThat(notes(song, DrumVoice.KICK))
        .extracting(n -> n.start() + ":" + n.key())
        .containsExactly("0:35", "0:36", "1920:35", "1920:36");
  }

  /** An 808 that follows a kick with swing of its own starts where the kick starts. */
  @Test
  void theKicksOwnSwingIsWhereThe808Starts() {
    Pattern.Drums kick = Songs.groove(1, DrumVoice.KICK, "x..x............");
    Song song = song(62, 1, kick);
    Song straight =
        EDITS
            .whole("own", DrumVoice.KICK.lane(), l -> l.withSwing(Optional.of(Swing.STRAIGHT)))
            .apply(song);
    Song with =
        straight.withParts(
            List.of(
                straight.parts().get(0),
                Songs.part(
                    "808",
                    Role.SUB,
                    new Pattern.Following(
                        new westtide.song.pattern.FollowRule.Bass808(
                            westtide.song.pattern.KickLink.LOCKED,
                            new westtide.rhythm.Figure("x---"),
                            28)))));
    Section section =
        Section.of(
            SectionWord.HOOK,
            1,
            "hook",
            Map.of(
                PartId.of("drums"),
                List.of(new Cell(0, Level.FULL, "A")),
                PartId.of("808"),
                List.of(new Cell(0, Level.FULL, "A"))));
    Score score = Score.of(with.withForm(new Form(List.of(section))));
    assertThat(score.part(PartId.of("808")).orElseThrow().notes())
        .extracting(ScoredNote::start)
        .containsExactly(0, 720);
  }
}
