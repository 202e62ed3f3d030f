package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.ScoredNote;
import westtide.song.Alternatives;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.form.AlternativeEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.CellSound;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.Thinning;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.theory.voicing.ChordMember;

/** Parts that enter, leave and change on any beat, and how they sound there. */
class CellEditsTest {
  private static final int BAR = 3840;
  private static final PartId KEYS = PartId.of("keys");
  private static final PartId DRUMS = PartId.of("drums");
  private static final Song SONG = Songs.draft("trap", 1);
  private static final SectionId HOOK = SONG.form().id(1);
  private static final int START = 8 * BAR;

  private static List<ScoredNote> notes(Song song, PartId part, int from, int to) {
    return Score.of(song).part(part).orElseThrow().between(from, to);
  }

  private static Section hook(Song song) {
    return song.form().sections().get(1);
  }

  @Test
  void aPartEntersAndLeavesOnABeat() {
    Song late = FormEdits.cut(HOOK, KEYS, 2, 2, true).apply(SONG);
    int enters = START + 2 * BAR + 2 * 960;
    assertThat(notes(late, KEYS, START, enters)).isEmpty();
    assertThat(notes(late, KEYS, enters, enters + 1))
        .as("it enters in the middle of the held chord")
        .isNotEmpty();
    Song early = FormEdits.cut(HOOK, DRUMS, 3, 1, false).apply(SONG);
    int leaves = START + 3 * BAR + 960;
    assertThat(notes(early, DRUMS, START, leaves)).isNotEmpty();
    assertThat(notes(early, DRUMS, leaves, START + 16 * BAR))
        .allMatch(note -> note.source().transition());
  }

  @Test
  void aChangeIsMovedAcrossOthersAndTakenAway() {
    Song two =
        Edit.together(
                "",
                List.of(
                    FormEdits.split(HOOK, KEYS, 4, 0),
                    FormEdits.level(HOOK, KEYS, 4, 0, Level.HALF),
                    FormEdits.split(HOOK, KEYS, 8, 0),
                    FormEdits.level(HOOK, KEYS, 8, 0, Level.LIFTED)))
            .apply(SONG);
    Song moved = FormEdits.moveChange(HOOK, KEYS, 4, 0, 10, 2).apply(two);
    assertThat(hook(moved).cells(KEYS))
        .extracting(cell -> cell.fromBar() + "." + cell.beat() + " " + cell.level())
        .containsExactly("0.0 full", "10.2 half");
    Song gone = FormEdits.removeChange(HOOK, KEYS, 10, 2).apply(moved);
    assertThat(hook(gone).cells(KEYS)).hasSize(1);
  }

  @Test
  void octaveThinningFilterAndInstrumentBelongToTheStretch() throws IOException {
    Song plain = FormEdits.split(HOOK, KEYS, 8, 0).apply(SONG);
    Song other =
        FormEdits.sound(
                HOOK,
                KEYS,
                8,
                0,
                "otherwise",
                sound ->
                    new CellSound(
                        1, Thinning.NONE.withoutMembers(Set.of(ChordMember.BASS)), 900, "organ"))
            .apply(plain);
    int half = START + 8 * BAR;
    List<ScoredNote> before = notes(plain, KEYS, half, half + 1);
    List<ScoredNote> after = notes(other, KEYS, half, half + 1);
    assertThat(after).hasSize(before.size() - 1).allMatch(n -> n.instrument().equals("organ"));
    assertThat(after.get(after.size() - 1).key())
        .isEqualTo(before.get(before.size() - 1).key() + 12);
    assertThat(notes(other, KEYS, START, half))
        .as("the first half is as it was")
        .isEqualTo(notes(plain, KEYS, START, half));
    Motion low = Score.of(other).part(KEYS).orElseThrow().motion(AutomationTarget.LOW_PASS);
    assertThat(low.at(half, 99)).isEqualTo(Math.log(900) / Math.log(2));
    assertThat(low.at(half - 1, 99)).isEqualTo(99);
    assertThat(Songs.filed(other)).isEqualTo(other);
  }

  @Test
  void softStrokesAndLanesAreLeftOut() {
    Song thin =
        FormEdits.sound(
                HOOK,
                DRUMS,
                0,
                0,
                "thinner",
                sound ->
                    sound.withThinning(
                        new Thinning(Set.of(), Set.of(DrumVoice.CLOSED_HAT.lane()), 90)))
            .apply(SONG);
    List<ScoredNote> left = notes(thin, DRUMS, START, START + 8 * BAR);
    assertThat(left).isNotEmpty().noneMatch(n -> n.of(DrumVoice.CLOSED_HAT));
    assertThat(left).filteredOn(n -> !n.source().transition()).allMatch(n -> n.velocity() >= 90);
  }

  /** Quiet and thin at once: velocity, low-pass, expression and register. */
  @Test
  void aHintIsQuietDullAndHigh() {
    PartId bell = PartId.of("lead");
    Song full =
        SONG.withForm(
            SONG.form()
                .with(
                    HOOK,
                    s ->
                        s.withCells(bell, List.of(new Cell(0, Level.FULL, "A")))
                            .withCells(KEYS, List.of(new Cell(0, Level.FULL, "A")))));
    Song hint =
        Edit.together(
                "",
                List.of(
                    FormEdits.level(HOOK, bell, 0, Level.HINT),
                    FormEdits.level(HOOK, KEYS, 0, Level.HINT)))
            .apply(full);
    ScoredNote loud = notes(full, bell, START, START + 4 * BAR).get(0);
    ScoredNote soft = notes(hint, bell, START, START + 4 * BAR).get(0);
    assertThat(soft.key()).as("a level moves no octave").isEqualTo(loud.key());
    assertThat(soft.velocity()).isLessThan(loud.velocity() / 2 + 1);
    ScoredPart part = Score.of(hint).part(bell).orElseThrow();
    assertThat(part.motion(AutomationTarget.EXPRESSION).at(START, 0)).isNegative();
    assertThat(part.motion(AutomationTarget.LOW_PASS).at(START, 14)).isLessThan(12);
    assertThat(notes(hint, KEYS, START, START + 1))
        .hasSize(notes(full, KEYS, START, START + 1).size() - 1);
  }

  /** What makes a hint thin stands in its cell and goes with the level, unless it was changed. */
  @Test
  void aHintsFilterIsAValueThatIsSeenAndChanged() {
    Song hint = FormEdits.level(HOOK, KEYS, 0, Level.HINT).apply(SONG);
    CellSound thin = hook(hint).cell(KEYS, 0).sound();
    assertThat(thin.lowPass()).isEqualTo(2200);
    assertThat(thin.octave()).isZero();
    assertThat(thin.thinning().without()).containsExactly(ChordMember.BASS);
    Song again = FormEdits.level(HOOK, KEYS, 0, Level.FULL).apply(hint);
    assertThat(hook(again).cell(KEYS, 0).sound()).isEqualTo(CellSound.USUAL);
    Song open = FormEdits.sound(HOOK, KEYS, 0, 0, "", s -> s.withLowPass(20_000)).apply(hint);
    assertThat(
            Score.of(open).part(KEYS).orElseThrow().motion(AutomationTarget.LOW_PASS).at(START, 14))
        .as("a hint that was opened is not filtered")
        .isEqualTo(14);
    Song own = FormEdits.sound(HOOK, KEYS, 0, 0, "", s -> s.withLowPass(900)).apply(SONG);
    assertThat(hook(FormEdits.level(HOOK, KEYS, 0, Level.HINT).apply(own)).cell(KEYS, 0).sound())
        .as("a sound of its own stays")
        .isEqualTo(CellSound.USUAL.withLowPass(900));
  }

  @Test
  void whatIsNearTheEndStaysThereAndComesBack() {
    Section marked =
        hook(SONG)
            .withTransitions(
                14,
                List.of(westtide.song.form.Transition.of(westtide.song.form.TransitionKind.STOP)))
            .withCurves(
                KEYS,
                List.of(
                    new Curve(
                        Curve.Kind.LEVEL, 14, 2, westtide.song.mix.CurveShape.straight(0, -60))));
    Section longer = marked.withBars(24);
    assertThat(longer.at(22)).hasSize(1);
    assertThat(longer.curves().get(KEYS).get(0).fromBar()).isEqualTo(22);
    assertThat(longer.withBars(16)).isEqualTo(marked);
  }

  @Test
  void threeFormsStandSideBySideAndPartsGoFromOneToAnother() throws IOException {
    Song second = AlternativeEdits.add().apply(SONG);
    Song changed = FormEdits.level(HOOK, KEYS, 0, Level.HINT).apply(second);
    Song third = AlternativeEdits.add().apply(changed);
    assertThat(third.alternatives().count()).isEqualTo(Alternatives.MOST);
    assertThat(AlternativeEdits.add().apply(third)).isEqualTo(third);
    Song first = AlternativeEdits.show(0).apply(third);
    assertThat(first.form()).isEqualTo(SONG.form());
    assertThat(AlternativeEdits.takePart(1, KEYS).apply(first).form()).isEqualTo(changed.form());
    assertThat(Songs.filed(third)).isEqualTo(third);
    Song without = new PartEdits(KEYS).remove().apply(third);
    assertThat(without.alternatives().all(without.form()))
        .allMatch(form -> form.sections().stream().noneMatch(s -> s.cells().containsKey(KEYS)));
    Song renamed = new PatternEdits(DRUMS, "thin").rename("sparse").apply(third);
    assertThat(AlternativeEdits.show(0).apply(renamed).form().sections().get(2).cell(DRUMS, 0))
        .extracting(Cell::pattern)
        .isEqualTo("sparse");
    Song last = AlternativeEdits.remove().apply(AlternativeEdits.remove().apply(third));
    assertThat(last.alternatives()).isEqualTo(Alternatives.NONE);
  }

  @Test
  void theMainPartIsMarkedUnmarkedAndGoesWithThePart() throws IOException {
    Song marked = new PartEdits(KEYS).main().apply(SONG);
    assertThat(marked.main()).contains(KEYS);
    assertThat(Songs.filed(marked)).isEqualTo(marked);
    assertThat(new PartEdits(KEYS).main().apply(marked)).isEqualTo(SONG);
    assertThat(new PartEdits(KEYS).remove().apply(marked).main()).isEmpty();
  }

  /** Kick and backbeat of a bar come over two; hats go on. */
  @Test
  void halfTimeSpreadsKickAndBackbeat() {
    Song half = new SectionEdits(HOOK, SectionEdits.Scope.THIS).halfTime().apply(SONG);
    for (DrumVoice voice : List.of(DrumVoice.KICK, DrumVoice.CLAP)) {
      long before = strokes(SONG, voice);
      assertThat(strokes(half, voice)).as(voice.toString()).isBetween(before / 3, before * 2 / 3);
    }
    assertThat(SONG.parts(Role.DRUMS).get(0).patterns())
        .hasSizeLessThan(half.parts(Role.DRUMS).get(0).patterns().size());
  }

  private static long strokes(Song song, DrumVoice voice) {
    return notes(song, DRUMS, START, START + 12 * BAR).stream().filter(n -> n.of(voice)).count();
  }

  @Test
  void whatLiesOutsideItsRangeIsRefusedInWords() {
    assertThatThrownBy(() -> CellSound.USUAL.withOctave(3)).hasMessageContaining("-2 to 2");
    assertThatThrownBy(() -> CellSound.USUAL.withLowPass(20)).hasMessageContaining("200 to 20000");
    assertThatThrownBy(() -> Thinning.NONE.withSoftest(128)).hasMessageContaining("0 to 127");
  }
}
