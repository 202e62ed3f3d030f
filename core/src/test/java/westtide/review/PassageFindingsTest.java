package westtide.review;

import static org.assertj.core.api.Assertions.assertThat;
import static westtide.Ensembles.after;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Ensembles;
import westtide.Songs;
import westtide.review.finding.Finding;
import westtide.review.finding.Measure;
import westtide.review.finding.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.RowEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.VoicingKind;

/** Findings speak of what is really played where. */
class PassageFindingsTest {
  private static List<Finding> at(Song song, Stage stage) {
    return Soundings.of(Score.of(song), Songs.book().get("trap")).at(stage).findings();
  }

  private static Optional<Finding> find(Song song, Stage stage, String id) {
    return at(song, stage).stream().filter(f -> f.id().code().startsWith(id)).findFirst();
  }

  private static Part lead(String id, Note... notes) {
    return Songs.part(id, Role.LINE, new Pattern.Written(1, List.of(notes)));
  }

  /** A hook over C and a verse over D flat, both played by everything. */
  private static Song twoProgressions(Part... parts) {
    Song song = Ensembles.song("C", "C", 1, parts);
    Map<PartId, List<Cell>> cells = song.form().sections().get(0).cells();
    return song.withProgressions(
            List.of(
                song.progressions().get(0),
                Songs.progression(song.brief(), "Db").withName("verse")))
        .withForm(
            new Form(
                List.of(
                    song.form().sections().get(0),
                    Section.of(SectionWord.VERSE, 1, "verse", cells))));
  }

  /** A line that plays one bar of the first section, and one that plays the hook throughout. */
  @Test
  void theFiguresOfTheLinesAreThoseOfTheLineHeardLongest() {
    Part brief = lead("brief", new Note(0, 960, 62, 90));
    Part leads = lead("lead", new Note(0, 960, 60, 90), new Note(960, 960, 67, 90));
    Song song = twoProgressions(brief, leads);
    Song sparse =
        song.withForm(
            song.form()
                .each(
                    section ->
                        section.word().kind() == SectionKind.HOOK
                            ? section
                            : section.withCells(
                                PartId.of("brief"), List.of(new Cell(0, Level.OUT, "")))));
    List<Measure> measures =
        Soundings.of(Score.of(sparse), Songs.book().get("trap")).at(Stage.LINES).measures();
    assertThat(measures)
        .isEqualTo(
            Soundings.of(Score.of(sparse), Songs.book().get("trap"))
                .measures(Stage.LINES, PartId.of("lead"), "A"));
  }

  /** C is a chord tone over C and a major seventh over D flat; D rubs a semitone above D flat. */
  @Test
  void aLineIsHeardOverTheChordsOfTheSectionItPlaysIn() {
    Song song = twoProgressions(lead("lead", new Note(0, 960, 67, 90), new Note(960, 960, 62, 90)));
    Finding rub = find(song, Stage.LINES, "lines.rub").orElseThrow();
    assertThat(rub.title()).startsWith("D rubs");
    assertThat(rub.where()).isEqualTo("lead A, verse, 2.2.1");
    Song fixed = rub.fix().orElseThrow().edit().apply(song);
    assertThat(at(fixed, Stage.LINES)).extracting(Finding::id).doesNotContain(rub.id());
    List<Measure> measures =
        Soundings.of(Score.of(song), Songs.book().get("trap"))
            .measures(Stage.LINES, PartId.of("lead"), "A");
    assertThat(measures.get(0).shown()).as("one of four beats is a chord tone").isEqualTo("25 %");
  }

  @Test
  void everyLineAndEveryPatternThatPlaysIsLookedAt() {
    Pattern.Written wrong = new Pattern.Written(1, List.of(new Note(0, 960, 61, 90)));
    Part counter =
        Ensembles.with(lead("counter", new Note(0, 960, 60, 90)), new NamedPattern("B", wrong));
    Song song = Ensembles.song("C", "C", 2, lead("lead", new Note(0, 960, 60, 90)), counter);
    assertThat(find(song, Stage.LINES, "lines.")).isEmpty();
    Song playing =
        song.withForm(
            song.form()
                .each(
                    s ->
                        s.withCells(
                            PartId.of("counter"),
                            List.of(new Cell(0, Level.FULL, "A"), new Cell(1, Level.FULL, "B")))));
    assertThat(find(playing, Stage.LINES, "lines.rub.counter.B")).isPresent();
  }

  @Test
  void aSlipThatComesBackIsToldOnce() {
    Song song = Ensembles.song("C", "C", 8, lead("lead", new Note(0, 960, 61, 90)));
    assertThat(at(song, Stage.LINES).stream().filter(f -> f.id().code().startsWith("lines.rub")))
        .hasSize(1);
  }

  /** Every house groove of the book has a kick on every beat; on whichever grid it is written. */
  @ParameterizedTest
  @ValueSource(strings = {"x...x...x...x...", "x.......x.......x.......x......."})
  void aKickIsThereOnWhateverGridItIsWritten(String lane) {
    StepGrid grid = lane.length() == 32 ? StepGrid.THIRTY_SECONDS : StepGrid.SIXTEENTHS;
    Pattern.Drums groove =
        Songs.groove(1, DrumVoice.KICK, lane, DrumVoice.CLAP, "....x.......x...");
    Song song =
        new DrumEdits(PartId.of("drums"), "A")
            .whole("", DrumVoice.KICK.lane(), l -> l.withGrid(grid))
            .apply(Ensembles.song("A minor", "Am", 4, Songs.part("drums", Role.DRUMS, groove)));
    List<Finding> findings =
        Soundings.of(Score.of(song), Songs.book().get("house")).at(Stage.DRUMS).findings();
    assertThat(findings)
        .noneMatch(
            f -> f.id().code().startsWith("drums.missing") && f.id().code().contains("KICK"));
  }

  @Test
  void aMissingKickIsPlacedOnTheLanesOwnGrid() {
    Pattern.Drums groove = Songs.groove(1, DrumVoice.KICK, "x...............x.......x.......");
    Song song =
        new DrumEdits(PartId.of("drums"), "A")
            .whole("", DrumVoice.KICK.lane(), l -> l.withGrid(StepGrid.THIRTY_SECONDS))
            .apply(Ensembles.song("A minor", "Am", 4, Songs.part("drums", Role.DRUMS, groove)));
    Finding missing =
        Soundings.of(Score.of(song), Songs.book().get("house")).at(Stage.DRUMS).findings().stream()
            .filter(f -> f.id().code().startsWith("drums.missing"))
            .findFirst()
            .orElseThrow();
    Song fixed = missing.fix().orElseThrow().edit().apply(song);
    StepLane kick =
        ((Pattern.Drums) fixed.parts().get(0).usual().pattern()).lane(DrumVoice.KICK).orElseThrow();
    assertThat(kick.length()).isEqualTo(32);
    assertThat(kick.hits()).extracting(Hit::step).containsExactly(0, 8, 16, 24);
  }

  @Test
  void whatOneDrumPartLacksAnotherMayPlay() {
    Part claps =
        Songs.part("claps", Role.DRUMS, Songs.groove(1, DrumVoice.CLAP, "....x.......x..."));
    Part kicks =
        Songs.part("kicks", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x...x...x...x..."));
    Song song = Ensembles.song("A minor", "Am", 4, kicks, claps);
    assertThat(Soundings.of(Score.of(song), Songs.book().get("house")).at(Stage.DRUMS).findings())
        .noneMatch(f -> f.id().code().startsWith("drums.missing"));
  }

  @Test
  void aSlipInThePercussionIsFoundToo() {
    Part kit = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x...x...x...x..."));
    Part perc = Songs.part("perc", Role.DRUMS, Songs.groove(1, DrumVoice.RIM, "x.x.x.x........."));
    Song song = Ensembles.song("A minor", "Am", 4, kit, perc);
    Song slip =
        new DrumEdits(PartId.of("perc"), "A").velocity(DrumVoice.RIM.lane(), 4, 127).apply(song);
    assertThat(find(slip, Stage.DRUMS, "drums.slip.perc.A").orElseThrow().where())
        .isEqualTo("perc, groove A, 1.2.1");
  }

  @Test
  void every808AndEveryPartThatDipsIntoItIsFound() {
    Song song = Songs.draft("trap", 1);
    PartId second = PartId.of("second");
    Song two =
        after(
            song,
            new PartEdits(PartId.of("808")).duplicate(second),
            LowEndEdits.lowest(second, 50));
    assertThat(find(two, Stage.LOW_END, "lowend.range.second").orElseThrow().title())
        .startsWith("808 2 at");
    Song low = new PartEdits(PartId.of("keys")).transpose(-24).apply(song);
    Finding clash = find(low, Stage.LOW_END, "lowend.clash.keys").orElseThrow();
    Song lifted = clash.fix().orElseThrow().edit().apply(low);
    assertThat(Score.of(lifted).part(PartId.of("keys")).orElseThrow().notes().get(0).key())
        .isEqualTo(Score.of(low).part(PartId.of("keys")).orElseThrow().notes().get(0).key() + 12);
  }

  @Test
  void aColourThatNobodyPlaysIsSaid() {
    Song stacks = Ensembles.song("A minor", "Am9 | Fsus2", 2, Ensembles.chords("keys"));
    Song thin =
        new westtide.song.edit.part.ChordPartEdits(PartId.of("keys"))
            .spread(VoicingKind.TWO_NOTES)
            .apply(stacks);
    Finding lost = find(thin, Stage.CHORDS, "chords.lost").orElseThrow();
    assertThat(lost.title()).contains("Am9");
    Song fixed = lost.fix().orElseThrow().edit().apply(thin);
    assertThat(find(fixed, Stage.CHORDS, "chords.lost")).isEmpty();
    Song beside = new PartEdits(PartId.of("keys")).duplicate(PartId.of("pad")).apply(thin);
    Song close =
        new westtide.song.edit.part.ChordPartEdits(PartId.of("pad"))
            .spread(VoicingKind.CLOSE)
            .apply(beside);
    assertThat(find(close, Stage.CHORDS, "chords.lost")).as("another part plays it").isEmpty();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void soundingsAfterAnEditAreThoseOfTheEditedSong(long seed) {
    java.util.Random random = new java.util.Random(seed);
    Song song = Songs.draft("trap", seed);
    Score score = Score.of(song);
    Soundings soundings = Soundings.of(score, Songs.book().get("trap"));
    for (int i = 0; i < 25; i++) {
      Part one = song.parts().get(random.nextInt(song.parts().size()));
      song =
          switch (random.nextInt(9)) {
            case 0 -> new PartEdits(one.id()).transpose(random.nextInt(13) - 6).apply(song);
            case 1 ->
                new DrumEdits(PartId.of("drums"), "A")
                    .place(DrumVoice.CLAP.lane(), Hit.of(random.nextInt(16), 127))
                    .apply(song);
            case 2 -> new ChordEdits("hook").duplicate(0).apply(song);
            case 3 -> RowEdits.copy("hook", "copy " + i).apply(song);
            case 4 -> song.withMain(Optional.of(one.id()));
            case 5 -> westtide.song.edit.form.FormEdits.move(song.form().id(2), 0).apply(song);
            case 6 -> song.withBrief(song.brief().withTempo(westtide.rhythm.Tempo.of(120 + i)));
            case 7 -> new PartEdits(one.id()).rename("Part " + i).apply(song);
            default ->
                westtide.song.edit.form.FormEdits.level(
                        song.form().id(1), one.id(), 0, Level.values()[random.nextInt(5)])
                    .apply(song);
          };
      score = score.after(song);
      soundings = soundings.after(score);
      assertThat(notices(soundings))
          .isEqualTo(notices(Soundings.of(score, Songs.book().get("trap"))));
    }
  }

  private static List<String> notices(Soundings soundings) {
    return java.util.Arrays.stream(Stage.values())
        .flatMap(
            stage ->
                java.util.stream.Stream.concat(
                    soundings.at(stage).measures().stream().map(m -> m.name() + m.shown()),
                    soundings.at(stage).findings().stream().map(f -> f.id() + f.where())))
        .toList();
  }
}
