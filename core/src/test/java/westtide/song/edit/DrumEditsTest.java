package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneShapes;
import westtide.rhythm.Meter;
import westtide.rhythm.Roll;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.When;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.Restart;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.drum.DrumStackEdits;
import westtide.song.form.Cell;
import westtide.song.id.PartId;
import westtide.song.pattern.GrooveChange;
import westtide.song.pattern.Pattern;

/** Edits of grooves and of the grooves that follow them. */
class DrumEditsTest {
  private static final LaneId KICK = DrumVoice.KICK.lane();
  private static final LaneId HAT = DrumVoice.CLOSED_HAT.lane();
  private static final DrumEdits A = new DrumEdits(PartId.of("drums"), "A");
  private static final DrumEdits B = new DrumEdits(PartId.of("drums"), "B");

  private static Song begun() {
    return Songs.draft("trap", 3);
  }

  private static Part drums(Song song) {
    return song.part(PartId.of("drums")).orElseThrow();
  }

  private static Pattern.Drums groove(Song song, String name) {
    return drums(song).groove(name, Meter.COMMON).orElseThrow();
  }

  private static Song grown() {
    Song song = begun();
    return A.groove().grow("B", groove(song, "A").over(4, Meter.COMMON)).apply(song);
  }

  @Test
  void aGrooveIsMadeLongerByRepeatingAndShorterByCutting() {
    Song song = begun();
    Pattern.Drums two = groove(song, "A");
    Pattern.Drums four = groove(A.groove().bars(4).apply(song), "A");
    assertThat(four.bars()).isEqualTo(4);
    for (DrumLane lane : two.lanes()) {
      assertThat(four.find(lane.id()).orElseThrow().lane().hits()).isEqualTo(lane.lane().over(64));
    }
    assertThat(groove(A.groove().bars(2).apply(A.groove().bars(4).apply(song)), "A"))
        .isEqualTo(two);
    assertThatThrownBy(() -> A.groove().bars(17).apply(song)).hasMessageContaining("1 to 16 bars");
  }

  /** An offset in all grooves reaches followers and those that stand alone, and nothing else. */
  @Test
  void aLaneIsPlayedOtherwiseInEveryGroove() {
    Song song = A.groove().blank("C").apply(A.nudge(HAT, 0, 7).apply(grown()));
    Song alone = B.whole("", HAT, lane -> lane.withGrid(StepGrid.THIRTY_SECONDS)).apply(song);
    for (Song before : List.of(song, alone)) {
      Song late = A.feelEverywhere("", HAT, feel -> feel.withNudge(20)).apply(before);
      for (var named : drums(before).patterns()) {
        Pattern.Drums was = groove(before, named.name());
        assertThat(groove(late, named.name()))
            .as(named.name())
            .isEqualTo(
                was.each(
                    lane ->
                        lane.id().equals(HAT)
                            ? lane.withFeel(groove(late, "A").find(HAT).orElseThrow().feel())
                            : lane));
        assertThat(groove(late, named.name()).find(HAT).stream())
            .allMatch(lane -> lane.feel().nudge() == 20);
      }
      assertThat(drums(late).pattern("B").pattern()).isInstanceOf(Pattern.Varied.class);
    }
  }

  /** What is not set but changed is changed once, whether a groove follows another or not. */
  @Test
  void aChangeInEveryGrooveIsMadeOnceInEach() {
    Song song = grown();
    long seed = groove(song, "A").find(HAT).orElseThrow().feel().seed();
    Song anew =
        A.everywhere("", HAT, l -> l.withFeel(l.feel().withSeed(l.feel().seed() + 1))).apply(song);
    assertThat(groove(anew, "B").find(HAT).orElseThrow().feel().seed()).isEqualTo(seed + 1);
  }

  @Test
  void aLaneIsCopiedToAnotherGrooveAndAnEmptyOneIsAdded() {
    Song song = A.groove().blank("C").apply(begun());
    assertThat(groove(song, "C").lanes()).isNotEmpty().allMatch(l -> l.lane().hits().isEmpty());
    assertThat(groove(song, "C").lanes())
        .extracting(DrumLane::id)
        .isEqualTo(groove(song, "A").lanes().stream().map(DrumLane::id).toList());
    Song copied = A.copyToGroove(KICK, "C").apply(song);
    assertThat(groove(copied, "C").find(KICK)).isEqualTo(groove(song, "A").find(KICK));
    assertThat(groove(copied, "C").find(HAT)).isEqualTo(groove(song, "C").find(HAT));
    assertThat(drums(song).pattern("C").pattern()).isInstanceOf(Pattern.Drums.class);
  }

  /** Percussion that sounds as something of its own is called that. */
  @Test
  void percussionIsCalledByItsSound() {
    LaneId first = new LaneId(DrumVoice.PERCUSSION, 2);
    LaneId second = new LaneId(DrumVoice.PERCUSSION, 3);
    Song song = begun();
    for (LaneId lane : List.of(first, second)) {
      song = A.addLane(lane).apply(song);
      song = A.sound("", lane, s -> s.withInstrument("zap")).apply(song);
    }
    assertThat(drums(song).name(first)).isEqualTo("Zap");
    assertThat(drums(song).name(second)).isEqualTo("Zap 2");
    assertThat(drums(song).name(DrumVoice.PERCUSSION.lane())).isEqualTo("Percussion");
    assertThat(drums(song).name(KICK)).isEqualTo("Kick");
  }

  /** Sections and followers call a groove by its new name, so that nothing sounds otherwise. */
  @Test
  void aRenamedGrooveSoundsAsBefore() {
    Song song = grown();
    Song renamed = A.groove().asPattern().rename(" main ").apply(song);
    assertThat(drums(renamed).patterns().get(0).name()).isEqualTo("main");
    assertThat(groove(renamed, "B")).isEqualTo(groove(song, "B"));
    assertThat(sounding(renamed)).isEqualTo(sounding(song));
    Song edited = new DrumEdits(PartId.of("drums"), "main").remove(KICK, 0).apply(renamed);
    assertThat(groove(edited, "B").lane(DrumVoice.KICK).orElseThrow().at(0)).isEmpty();
    assertThatThrownBy(() -> A.groove().asPattern().rename("B").apply(song))
        .hasMessageContaining("\"B\"");
    assertThatThrownBy(() -> A.groove().asPattern().rename(" ").apply(song))
        .hasMessageContaining("name");
  }

  @Test
  void aCarriedHitIsOneEditFromWhereItWasToWhereItIs() {
    Song song = begun();
    History history = History.unsaved(song);
    Hit hit = Hit.of(3, 77);
    history = history.plus(A.carry(KICK, 0, hit.withStep(1)), "drag 5");
    history = history.plus(A.carry(KICK, 1, hit.withStep(2)), "drag 5");
    StepLane kick = groove(history.song(), "A").lane(DrumVoice.KICK).orElseThrow();
    assertThat(kick.at(2)).contains(hit.withStep(2));
    assertThat(kick.at(0)).isEmpty();
    assertThat(history.undo().song()).isEqualTo(song);
  }

  /** Any edit of a lane, drawn from a seed. */
  private static Edit any(Random random, Song song, DrumEdits edits) {
    List<DrumLane> lanes = groove(song, edits.pattern()).lanes();
    LaneId id = lanes.get(random.nextInt(lanes.size())).id();
    int step = random.nextInt(lanes.get(0).lane().length());
    int some = random.nextInt(70);
    return switch (random.nextInt(18)) {
      case 0 -> edits.place(id, Hit.of(random.nextInt(4), 1 + random.nextInt(127)));
      case 1 -> edits.remove(id, step);
      case 2 -> edits.velocity(id, step, 1 + random.nextInt(127));
      case 3 -> edits.nudge(id, step, random.nextInt(241) - 120);
      case 4 -> edits.typed(id, StepLane.parse("x.o.X3..x/4"));
      case 5 -> edits.shape("t", id, lane -> LaneShapes.turned(lane, some));
      case 6 -> edits.shape("r", id, LaneShapes::reversed);
      case 7 -> edits.whole("g", id, l -> l.withGrid(StepGrid.values()[some % 4]));
      case 8 -> edits.whole("s", id, l -> l.withSwing(Optional.of(Swing.of(60))));
      case 9 -> edits.whole("a", id, l -> l.withAccents(Optional.of(StepLane.parse("X.oxo"))));
      case 10 -> edits.feel("f", id, f -> f.withVelocity(some % 20));
      case 11 -> edits.sound("c", id, s -> s.withChoke(some % 4));
      case 12 -> edits.stack(id);
      case 13 -> edits.drop(id);
      case 14 -> edits.copyTo(id, lanes.get(0).id());
      case 15 -> edits.copyBar(id, 0, Optional.empty());
      case 16 -> edits.groove().restart(new Restart(some));
      default -> edits.change("w", id, step, h -> h.withRoll(Roll.of(4)).withWhen(When.every(4)));
    };
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void anyEditsAndAsManyUndosGiveTheSameSong(long seed) {
    Random random = new Random(seed);
    History history = History.saved(grown());
    Song first = history.song();
    for (int i = 0; i < 60; i++) {
      DrumEdits edits = random.nextBoolean() ? A : B;
      history = history.plus(any(random, history.song(), edits));
    }
    assertThat(history.song()).isNotEqualTo(first);
    while (history.undoable().isPresent()) {
      history = history.undo();
    }
    assertThat(history.song()).isEqualTo(first);
  }

  /** Whatever is changed in a groove that follows, it is what it was changed to. */
  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14, 15})
  void aGrooveThatFollowsIsWhatItWasChangedTo(long seed) {
    Random random = new Random(seed);
    Song song = grown();
    Song alone = B.groove().unlink().apply(song);
    assertThat(drums(alone).pattern("B").pattern()).isInstanceOf(Pattern.Drums.class);
    for (int i = 0; i < 40; i++) {
      Edit edit = any(random, song, B);
      song = edit.apply(song);
      alone = edit.apply(alone);
      assertThat(groove(song, "B").lanes())
          .as(edit.name(song))
          .containsExactlyInAnyOrderElementsOf(groove(alone, "B").lanes());
      assertThat(groove(song, "B").restart()).isEqualTo(groove(alone, "B").restart());
    }
  }

  @Test
  void aGrooveThatFollowsTakesItsParentsChangesWhereItHasNoneOfItsOwn() {
    Song song = B.place(KICK, Hit.of(1, 77)).apply(grown());
    assertThat(((Pattern.Varied) drums(song).pattern("B").pattern()).changes())
        .containsExactly(new GrooveChange.OnStep(KICK, 1, Optional.of(Hit.of(1, 77))));
    Song changed = A.place(KICK, Hit.of(2, 50)).apply(A.place(KICK, Hit.of(1, 30)).apply(song));
    StepLane kick = groove(changed, "B").find(KICK).orElseThrow().lane();
    assertThat(kick.at(1)).map(Hit::velocity).contains(77);
    assertThat(kick.at(2)).map(Hit::velocity).contains(50);
    assertThat(kick.at(34)).map(Hit::velocity).contains(50);
    Song back = B.groove().follow().apply(changed);
    assertThat(groove(back, "B")).isEqualTo(groove(back, "A").over(4, Meter.COMMON));
  }

  @Test
  void takingAParentAwayLeavesItsFollowersAsTheyWere() {
    Song song = B.place(KICK, Hit.of(1, 77)).apply(grown());
    Pattern.Drums before = groove(song, "B");
    Song without = A.groove().asPattern().drop().apply(song);
    assertThat(drums(without).find("A")).isEmpty();
    assertThat(drums(without).pattern("B").pattern()).isEqualTo(before);
  }

  /**
   * Arithmetic: a lane of 5 steps that restarts after 8 plays on 1 and 6, then again on 9 and 14.
   */
  @Test
  void aLaneRestartsByItself() {
    Song song =
        A.whole("", HAT, l -> l.withRestart(Optional.of(new Restart(8))))
            .apply(A.lane(HAT, StepLane.parse("x....")).apply(begun()));
    Pattern.Drums groove = groove(song, "A");
    assertThat(groove.laid(groove.find(HAT).orElseThrow(), Meter.COMMON))
        .extracting(laid -> laid.tick() / 240 + 1)
        .startsWith(1, 6, 9, 14);
    Pattern.Drums with =
        groove(A.whole("", HAT, l -> l.withRestart(Optional.empty())).apply(song), "A");
    assertThat(with.laid(with.find(HAT).orElseThrow(), Meter.COMMON))
        .extracting(laid -> laid.tick() / 240 + 1)
        .startsWith(1, 6, 11, 16);
  }

  @Test
  void typedAccentsWinOverAccentsThatRunAlong() {
    Song cycled =
        A.whole("", HAT, l -> l.withAccents(Optional.of(StepLane.parse("X.o")))).apply(begun());
    Song plain = A.typed(HAT, StepLane.parse("x.x.x.x.")).apply(cycled);
    assertThat(groove(plain, "A").find(HAT).orElseThrow().accents()).isPresent();
    Song accented = A.typed(HAT, StepLane.parse("X.x.o.x.")).apply(cycled);
    assertThat(groove(accented, "A").find(HAT).orElseThrow().accents()).isEmpty();
  }

  @Test
  void paintingInOneDragIsOneStepToUndo() {
    History history = History.saved(begun());
    for (int step : new int[] {1, 2, 3}) {
      history = history.plus(A.place(HAT, Hit.of(step, 92)), "drag 7");
    }
    assertThat(groove(history.song(), "A").find(HAT).orElseThrow().lane().at(3)).isPresent();
    assertThat(history.undo().undoable()).isEmpty();
    History again = history.plus(A.remove(HAT, 3), "drag 8");
    assertThat(again.undo().song()).isEqualTo(history.song());
  }

  @Test
  void aBarIsCopiedToOneOrToAll() {
    Song song = A.typed(KICK, StepLane.parse("x...............|..o.............")).apply(begun());
    Song one = A.copyBar(KICK, 1, Optional.of(0)).apply(song);
    assertThat(groove(one, "A").find(KICK).orElseThrow().lane())
        .hasToString("..o...............o.............");
    Song all = A.copyBar(KICK, 0, Optional.empty()).apply(song);
    assertThat(groove(all, "A").find(KICK).orElseThrow().lane())
        .hasToString("x...............x...............");
    Song five =
        A.copyBar(KICK, 0, Optional.of(1))
            .apply(A.typed(KICK, StepLane.parse("x....")).apply(song));
    assertThat(groove(five, "A").find(KICK).orElseThrow().lane())
        .hasToString("x....x....x....xx....x....x....x");
  }

  @Test
  void lanesAreStackedUpToNineAndTheLastOneStays() {
    Song song = begun();
    for (int i = 0; i < 12; i++) {
      song = A.stack(KICK).apply(song);
    }
    assertThat(groove(song, "A").lanes().stream().filter(l -> l.voice() == DrumVoice.KICK))
        .hasSize(9);
    for (DrumLane lane : groove(song, "A").lanes()) {
      song = A.drop(lane.id()).apply(song);
    }
    assertThat(groove(song, "A").lanes()).hasSize(1);
  }

  /** Common practice: claps apart with a snare between, two kicks, an open hat under the snare. */
  @Test
  void drumsAreStackedAsUsual() {
    DrumStackEdits layers = new DrumStackEdits(A);
    LaneId second = new LaneId(DrumVoice.CLAP, 2);
    Song song = layers.clapsApart().apply(begun());
    assertThat(drums(song).sound(DrumVoice.CLAP.lane()).pan()).isNegative();
    assertThat(drums(song).sound(second).pan()).isPositive();
    assertThat(groove(song, "A").find(second).orElseThrow().feel().nudge()).isPositive();
    assertThat(layers.clapsApart().apply(song)).isEqualTo(song);
    Song kicks = layers.twoKicks().apply(song);
    assertThat(drums(kicks).sound(new LaneId(DrumVoice.KICK, 2)).instrument())
        .isEqualTo("click kick");
    Song clap = layers.clapBeforeSnare().apply(song);
    assertThat(groove(clap, "A").find(DrumVoice.CLAP.lane()).orElseThrow().feel().nudge())
        .isNegative();
    assertThat(layers.clapBeforeSnare().apply(clap)).isEqualTo(song);
    Song house = layers.openHatUnderSnare().apply(Songs.draft("boom-bap", 1));
    StepLane hats = groove(house, "A").find(DrumVoice.OPEN_HAT.lane()).orElseThrow().lane();
    assertThat(List.of(4, 12, 20, 28)).allMatch(step -> hats.at(step).isPresent());
  }

  /** Common practice: four quarter notes of a stick open an intro. */
  @Test
  void fourSticksOpenTheSong() {
    Song song = StickCount.in(PartId.of("drums")).apply(begun());
    assertThat(Score.of(song).part(PartId.of("drums")).orElseThrow().between(0, 3840))
        .extracting(note -> note.start() + ":" + note.struck().orElseThrow().lane())
        .containsExactly("0:Stick", "960:Stick", "1920:Stick", "2880:Stick");
    Cell before = begun().form().sections().get(0).cell(PartId.of("drums"), 1);
    assertThat(song.form().sections().get(0).cell(PartId.of("drums"), 1))
        .isEqualTo(new Cell(1, before.level(), before.pattern()));
    assertThat(StickCount.in(PartId.of("drums")).apply(song)).isEqualTo(song);
  }

  private static String sounding(Song song) {
    return Score.of(song).part(PartId.of("drums")).orElseThrow().notes().stream()
        .map(n -> n.start() + "+" + n.ticks() + " " + n.key() + " " + n.velocity())
        .collect(Collectors.joining("; "));
  }

  @Test
  void allDrumsAreTunedEachFromWhereItIs() {
    Song song = A.sound("", KICK, s -> s.withCents(-2350)).apply(begun());
    Song tuned = A.tuneAll(-100).apply(song);
    assertThat(drums(tuned).sound(KICK).cents()).as("held inside the range").isEqualTo(-2400);
    assertThat(drums(tuned).sound(HAT).cents()).isEqualTo(drums(song).sound(HAT).cents() - 100);
    assertThat(groove(tuned, "A")).isEqualTo(groove(song, "A"));
  }
}
