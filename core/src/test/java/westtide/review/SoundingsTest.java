package westtide.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.Stage;
import westtide.review.form.Energy;
import westtide.rhythm.Figure;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.edit.part.ChordEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.line.Note;
import westtide.song.mix.Mix;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.Pattern;
import westtide.sound.Listening;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingRange;

/** Every finding is provoked by a song that has it, and its fix takes it away. */
class SoundingsTest {
  private static final Brief BRIEF = Songs.brief("F# minor", 50);

  @Test
  void adviceOnTheLengthFitsTheFigure() {
    String shortSong =
        take(Songs.oneHook(BRIEF, "F#m | D | Bm7", 3, keys())).at(Stage.FORM).findings().stream()
            .filter(f -> f.id().code().startsWith("form.length"))
            .map(Finding::why)
            .findFirst()
            .orElseThrow();
    assertThat(shortSong).contains("lengthen a section or add one").doesNotContain("shorten");
    String longSong =
        take(twice(Songs.oneHook(BRIEF, "F#m | D | Bm7", 128, keys())))
            .at(Stage.FORM)
            .findings()
            .stream()
            .filter(f -> f.id().code().startsWith("form.length"))
            .map(Finding::why)
            .findFirst()
            .orElseThrow();
    assertThat(longSong).contains("shorten a section or delete one").doesNotContain("lengthen");
  }

  private static Song twice(Song song) {
    Section hook = song.form().sections().get(0).withId(SectionId.NEW);
    return song.withForm(new Form(List.of(song.form().sections().get(0), hook)));
  }

  private static Soundings take(Song song) {
    return Soundings.of(Score.of(song), Songs.book().get("trap"));
  }

  private static Optional<Finding> find(Song song, Stage stage, String idStart) {
    return take(song).at(stage).findings().stream()
        .filter(finding -> finding.id().code().startsWith(idStart))
        .findFirst();
  }

  /** The finding is there, and gone once its fix was applied. */
  private static Finding fixes(Song song, Stage stage, String idStart) {
    Finding finding = find(song, stage, idStart).orElseThrow();
    Song fixed = finding.fix().orElseThrow().edit().apply(song);
    assertThat(find(fixed, stage, finding.id().code())).as(finding.title()).isEmpty();
    return finding;
  }

  private static Part lead(Note... notes) {
    return Songs.part("lead", Role.LINE, new Pattern.Written(1, List.of(notes)));
  }

  private static Part sub() {
    FollowRule rule =
        new FollowRule.Bass808(KickLink.INDEPENDENT, new Figure("x---------------"), 28);
    return Songs.part("808", Role.SUB, new Pattern.Following(rule));
  }

  @ParameterizedTest
  @CsvSource({
    "C#7, raised seventh",
    "B7, dominant seventh",
    "D#m, borrowed from F♯ major",
    "C, No usual reason"
  })
  void aNoteOutsideTheKeySaysWhyItMayBeMeant(String chord, String reason) {
    Song song = Songs.oneHook(BRIEF, "F#m | " + chord, 2);
    Finding finding = fixes(song, Stage.CHORDS, "chords.outside.hook.1");
    assertThat(finding.why()).containsIgnoringCase(reason);
    assertThat(finding.where()).isEqualTo("hook, bar 2.1");
    assertThat(finding.severity()).isEqualTo(Severity.NOTE);
  }

  @Test
  void aChangeThatHoldsNoNoteIsJoinedByASeventh() {
    Finding finding = fixes(Songs.oneHook(BRIEF, "A | Bm", 2), Stage.CHORDS, "chords.stranger");
    assertThat(finding.title()).contains("A to Bm");
    assertThat(find(Songs.oneHook(BRIEF, "F#m | D", 2), Stage.CHORDS, "chords.stranger")).isEmpty();
  }

  /** What a style speaks in is no slip: trap has the chord a semitone above home, house has not. */
  @Test
  void theChordLanguageOfAStyleIsRespected() {
    Song trap = Songs.oneHook(BRIEF, "F#m | G", 2);
    assertThat(find(trap, Stage.CHORDS, "chords.outside")).isEmpty();
    assertThat(find(Songs.oneHook(BRIEF, "F#m | E", 2), Stage.CHORDS, "chords.stranger")).isEmpty();
    Soundings house = Soundings.of(Score.of(trap), Songs.book().get("house"));
    assertThat(house.at(Stage.CHORDS).findings())
        .anyMatch(finding -> finding.why().contains("semitone above home"));
  }

  /** A chord a row comes back to was chosen. */
  @Test
  void whatARowSaysAgainIsMeant() {
    assertThat(find(Songs.oneHook(BRIEF, "F#m | C", 2), Stage.CHORDS, "chords.outside"))
        .isPresent();
    Song again = Songs.oneHook(BRIEF, "F#m | C | F#m | C", 4);
    assertThat(find(again, Stage.CHORDS, "chords.outside")).isEmpty();
  }

  @Test
  void chordMeasuresAreArithmetic() {
    List<Measure> measures =
        take(Songs.oneHook(BRIEF, "F#m | D | Bm7", 3, keys())).at(Stage.CHORDS).measures();
    assertThat(measures)
        .extracting(Measure::shown)
        .containsExactly("1.5", "2.5", "20", "67 · 33 · 0");
  }

  /** A part that plays the chords close, its hand from 58 to 76. */
  private static Part keys() {
    FollowRule rule = FollowRule.Chords.of(new VoicingRange(51, 58, 76), Optional.empty());
    return Songs.part("keys", Role.CHORDS, new Pattern.Following(rule));
  }

  /** Common practice: small intervals below E3 are mud; one edit leaves the crowding note out. */
  @Test
  void mudIsFoundAndThinned() {
    Song song = Songs.oneHook(BRIEF, "F#m | D", 2, keys());
    Song muddy =
        new ChordEdits("hook")
            .articulation(
                "low", 0, m -> m.withOwn(Optional.of(new Voicing(List.of(42, 45, 57, 61)))))
            .apply(song);
    Finding finding = fixes(muddy, Stage.CHORDS, "chords.mud");
    assertThat(finding.title()).contains("F♯m").contains("F♯2");
    assertThat(find(song, Stage.CHORDS, "chords.mud")).isEmpty();
  }

  @Test
  void twoChordsThatOnlyTakeTurnsAreAsked() {
    Song song = Songs.oneHook(BRIEF, "F#m | D | F#m | D | F#m | D", 6);
    assertThat(find(song, Stage.CHORDS, "chords.turning").orElseThrow().title())
        .contains("3 times");
    Song other = Songs.oneHook(BRIEF, "F#m | D | F#m | D | F#m | E", 6);
    assertThat(find(other, Stage.CHORDS, "chords.turning")).isEmpty();
  }

  /** Common practice: one note at velocity 127 among 80s is an error people find by scrolling. */
  @Test
  void oneHitFarAboveItsNeighboursIsAsked() {
    Part drums =
        Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.CLAP, "x.x.x.x.x......."));
    Song song = Songs.oneHook(BRIEF, "F#m", 1, drums);
    Song slip =
        new DrumEdits(PartId.of("drums"), "A").velocity(DrumVoice.CLAP.lane(), 4, 127).apply(song);
    assertThat(find(song, Stage.DRUMS, "drums.slip")).isEmpty();
    Finding finding = fixes(slip, Stage.DRUMS, "drums.slip");
    assertThat(finding.title()).isEqualTo("Clap at 127 among 92s");
    assertThat(finding.where()).isEqualTo("drums, groove A, 1.2.1");
    assertThat(finding.fix().orElseThrow().label()).isEqualTo("bring it to 92");
  }

  @Test
  void swingWithNothingToActOnGetsAGhostOnStepEight() {
    Part drums =
        Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.SNARE, "....x.......x..."));
    Song song = Songs.oneHook(Songs.brief("F# minor", 58), "F#m", 1, drums);
    fixes(song, Stage.DRUMS, "drums.swing");
    assertThat(find(Songs.oneHook(BRIEF, "F#m", 1, drums), Stage.DRUMS, "drums.swing")).isEmpty();
  }

  /** Common practice: an 808 is a sub from about E1 to A2, 41 to 110 Hz. */
  @ParameterizedTest
  @CsvSource({"16, too low, 23 Hz", "43, too high, 185 Hz"})
  void an808OutsideItsRangeIsBroughtBack(int lowest, String way, String hertz) {
    Song song =
        LowEndEdits.lowest(PartId.of("808"), lowest).apply(Songs.oneHook(BRIEF, "F#m", 1, sub()));
    Finding finding = fixes(song, Stage.LOW_END, "lowend.range");
    assertThat(finding.title()).contains(way).contains(hertz);
    assertThat(finding.severity()).isEqualTo(Severity.WARNING);
  }

  /** Common practice: a line leaves everything below about 150 Hz to the 808; D3 is 146.8 Hz. */
  @ParameterizedTest
  @CsvSource({"50, true", "51, false"})
  void aLineUnderAnOctaveOfRoomIsLifted(int key, boolean clashes) {
    Song song = Songs.oneHook(BRIEF, "F#m", 1, sub(), lead(new Note(0, 960, key, 90)));
    assertThat(find(song, Stage.LOW_END, "lowend.clash").isPresent()).isEqualTo(clashes);
    if (clashes) {
      fixes(song, Stage.LOW_END, "lowend.clash");
    }
  }

  @Test
  void aSemitoneAboveAChordToneOnABeatRubs() {
    Song song =
        Songs.oneHook(BRIEF, "F#m", 1, lead(new Note(0, 960, 74, 90), new Note(960, 960, 69, 90)));
    Finding finding = fixes(song, Stage.LINES, "lines.rub");
    assertThat(finding.title()).startsWith("D rubs");
    Song resolved =
        Songs.oneHook(BRIEF, "F#m", 1, lead(new Note(0, 240, 74, 90), new Note(240, 960, 73, 90)));
    assertThat(find(resolved, Stage.LINES, "lines.rub")).isEmpty();
  }

  @Test
  void aLineThatEndsOffTheChordOrLeavesTheKeyIsAsked() {
    Song song =
        Songs.oneHook(BRIEF, "F#m", 1, lead(new Note(0, 240, 69, 90), new Note(240, 240, 71, 90)));
    fixes(song, Stage.LINES, "lines.end");
    Song outside =
        Songs.oneHook(
            BRIEF, "F#m", 1, lead(new Note(240, 240, 72, 90), new Note(480, 240, 69, 90)));
    fixes(outside, Stage.LINES, "lines.outside");
  }

  @Test
  void aHookThatDoesNotRiseIsFilled() {
    Song song = Songs.draft("trap", 1);
    for (PartId part :
        List.of(PartId.of("keys"), PartId.of("lead"), PartId.of("drums"), PartId.of("808"))) {
      song = FormEdits.level(SectionId.of(2), part, 0, Level.OUT).apply(song);
      song = FormEdits.join(SectionId.of(2), part).apply(song);
    }
    Finding finding = fixes(song, Stage.FORM, "form.flat.#2");
    assertThat(finding.where()).isEqualTo("bars 9–24");
  }

  @Test
  void emptyBarsAreFoundAndFilled() {
    Part keys =
        Songs.part(
            "keys",
            Role.CHORDS,
            new Pattern.Following(
                FollowRule.Chords.of(
                    new westtide.theory.voicing.VoicingRange(51, 58, 76), Optional.empty())));
    Song song = Songs.oneHook(BRIEF, "F#m", 4, keys);
    Section gap =
        Section.of(SectionWord.GAP, 2, "hook", Map.of(PartId.of("keys"), List.of(Cell.out())));
    Song holed = song.withForm(new Form(List.of(song.form().sections().get(0), gap)));
    assertThat(fixes(holed, Stage.FORM, "form.empty").title())
        .isEqualTo("Nothing plays from bar 5");
  }

  @Test
  void tempoAndSwingOutsideTheStyleAreAsked() {
    Song song = BriefEdits.tempo(Tempo.of(90)).apply(Songs.draft("trap", 1));
    assertThat(fixes(song, Stage.BRIEF, "brief.tempo").fix().orElseThrow().label())
        .isEqualTo("set it to 125");
  }

  @Test
  void aFindingLeftAloneIsNotRaisedAgainUntilItIsRecalled() {
    Song song = Songs.oneHook(BRIEF, "F#m | C", 2);
    Finding finding = find(song, Stage.CHORDS, "chords.outside").orElseThrow();
    Song left = BriefEdits.leave(finding.id().code()).apply(song);
    assertThat(find(left, Stage.CHORDS, finding.id().code())).isEmpty();
    assertThat(find(BriefEdits.recallLeft().apply(left), Stage.CHORDS, finding.id().code()))
        .isPresent();
  }

  @Test
  void energyRisesWithTheTanksAndIsNothingInSilence() {
    Song song = Songs.draft("trap", 1);
    double previous = -1;
    for (Level level : Level.values()) {
      Song filled = song;
      for (Part part : song.parts()) {
        filled = FormEdits.join(SectionId.of(2), part.id()).apply(filled);
        filled = FormEdits.pattern(SectionId.of(2), part.id(), 0, "A").apply(filled);
        filled = FormEdits.level(SectionId.of(2), part.id(), 0, level).apply(filled);
      }
      double energy = Energy.of(Score.of(filled)).mean(8, 16);
      assertThat(energy).isGreaterThan(previous).isBetween(0.0, 100.0);
      previous = energy;
    }
    assertThat(Energy.of(Score.of(song)).bars()).hasSize(song.form().bars());
  }

  /** An intro lies at most 9 LU under the hook (common practice). */
  @Test
  void anIntroThatIsTooQuietIsFound() {
    Song song = Songs.draft("trap", 1);
    List<Double> sections = new java.util.ArrayList<>();
    song.form().sections().forEach(section -> sections.add(-12.0));
    for (double intro : new double[] {-26, -19}) {
      sections.set(0, intro);
      Listening heard = new Listening(-12, -10, -9, -1, 0, 0.6, Optional.empty(), sections);
      List<Finding> found =
          Soundings.of(Score.of(song), Songs.book().get("trap"))
              .with(heard, song)
              .at(Stage.FORM)
              .findings();
      Optional<Finding> quiet =
          found.stream().filter(f -> f.id().code().startsWith("form.quietintro")).findFirst();
      assertThat(quiet.isPresent()).isEqualTo(intro < -21);
      quiet.ifPresent(f -> assertThat(f.title()).contains("14 LU"));
      quiet.ifPresent(f -> assertThat(f.fix().orElseThrow().edit().apply(song)).isNotEqualTo(song));
    }
  }

  private static Listening heard(double pushed, double overlap) {
    return new Listening(-12, -10, -9, -1, pushed, 0.6, Optional.of(overlap), List.of());
  }

  @Test
  void whatIsHeardIsMeasuredWhereItMatters() {
    Song song = Songs.draft("house", 1);
    Soundings soundings = take(song).with(heard(1, 0.2), song);
    assertThat(soundings.at(Stage.LEVELS).measures())
        .extracting(Measure::name)
        .contains("loudness, LUFS", "peak, dBFS", "gain reduction, dB");
    assertThat(soundings.at(Stage.LOW_END).measures())
        .extracting(Measure::name)
        .contains("energy under 120 Hz", "kick with 808 as loud");
    assertThat(soundings.findings(Severity.NOTE))
        .noneMatch(f -> f.id().check() == Check.LEVELS_PUSHED);
  }

  @Test
  void aLimiterThatWorksTooHardIsTurnedDown() {
    Song song = Songs.draft("trap", 1);
    Finding finding =
        take(song).with(heard(7, 0.2), song).at(Stage.LEVELS).findings().stream()
            .filter(f -> f.id().check() == Check.LEVELS_PUSHED)
            .findFirst()
            .orElseThrow();
    Song fixed = finding.fix().orElseThrow().edit().apply(song);
    int before = song.part(PartId.of("drums")).orElseThrow().mix().level();
    assertThat(fixed.part(PartId.of("drums")).orElseThrow().mix().level()).isEqualTo(before - 50);
  }

  @Test
  void aKickUnderAnUnduckedEightOhEightIsFoundAndDucked() {
    Song song = Songs.draft("trap", 1).withPart(PartId.of("808"), p -> p.withMix(Mix.PLAIN));
    Finding finding =
        take(song).with(heard(1, 0.9), song).at(Stage.LOW_END).findings().stream()
            .filter(f -> f.id().check() == Check.LOWEND_OVERLAP)
            .findFirst()
            .orElseThrow();
    Song fixed = finding.fix().orElseThrow().edit().apply(song);
    assertThat(take(fixed).with(heard(1, 0.9), fixed).at(Stage.LOW_END).findings())
        .noneMatch(f -> f.id().check() == Check.LOWEND_OVERLAP);
    Song left = song.withDismissed(java.util.Set.of("lowend.overlap"));
    assertThat(take(left).with(heard(1, 0.9), left).at(Stage.LOW_END).findings())
        .noneMatch(f -> f.id().check() == Check.LOWEND_OVERLAP);
  }

  @Test
  void lowsBesideTheMiddleArePutThere() {
    Song song =
        Songs.draft("trap", 1).withPart(PartId.of("808"), p -> p.withMix(p.mix().withPan(-40)));
    Finding finding = fixes(song, Stage.LEVELS, "levels.middle.808");
    assertThat(finding.title()).contains("40").contains("left");
  }

  @Test
  void aLineThatKeepsItsLowsUnderAnEightOhEightIsCut() {
    Song song =
        Songs.draft("trap", 1).withPart(PartId.of("keys"), p -> p.withMix(p.mix().withLowCut(40)));
    Finding finding = fixes(song, Stage.LEVELS, "levels.lows.keys");
    assertThat(finding.why()).contains("100 to 150 Hz");
  }
}
