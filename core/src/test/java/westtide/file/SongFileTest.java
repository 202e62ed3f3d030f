package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Ensembles;
import westtide.Songs;
import westtide.file.disk.UnusableFileException;
import westtide.rhythm.Figure;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.NoteValue;
import westtide.rhythm.Roll;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.When;
import westtide.score.Score;
import westtide.song.Plan;
import westtide.song.Song;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.Strum;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.drum.PanSweep;
import westtide.song.drum.Restart;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.RowEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.ChordPartEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Duck;
import westtide.song.mix.Effects;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Gate;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.mix.ReverbKind;
import westtide.song.mix.Space;
import westtide.song.mix.Tremolo;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

class SongFileTest {
  @TempDir private Path folder;

  @ParameterizedTest
  @ValueSource(strings = {"trap", "house", "bounce", "techno", "dark", "lo-fi"})
  void aSongReadsBackAsItWas(String style) throws IOException {
    Path file = folder.resolve("song.tide");
    for (long seed = 0; seed < 10; seed++) {
      Song song = BriefEdits.leave("some.finding").apply(Songs.draft(style, seed));
      SongFile.write(song, file);
      assertThat(SongFile.read(file)).isEqualTo(song);
    }
  }

  @Test
  void soundAndMixReadBackAsTheyWere() throws IOException {
    Path file = folder.resolve("mixed.tide");
    Duck duck = new Duck(Duck.Trigger.LANE, "SNARE", 85, 40, 240, Duck.Return.LATE, 160);
    Effects effects =
        new Effects(
            new Equaliser(-15, 20, 1800, 35),
            30,
            -20,
            15,
            5,
            10,
            25,
            new Tremolo(60, NoteValue.SIXTEENTH_TRIPLET, 58, 80));
    Mix mix =
        new Mix(
            -75,
            -30,
            120,
            9000,
            33,
            12,
            DelayTime.SIXTEENTH,
            44,
            25,
            duck,
            new Gate(new Figure("x-.x.."), 75),
            new Space(ReverbKind.HALL, 55, false, 300, 6000),
            effects);
    Song song =
        Songs.draft("trap", 1)
            .withPart(
                PartId.of("lead"), part -> part.withPatch(Patch.of("flute").with("breath", 70), 73))
            .withPart(PartId.of("lead"), part -> part.withMix(mix));
    Curve opening = Curve.straight(Curve.Kind.LOW_PASS, 400, 18_000);
    song = MixEdits.master("glue", m -> new Master(12, 30, 20, -5, 10, -14)).apply(song);
    song =
        MixEdits.laneEffects(PartId.of("drums"), LaneId.parse("SNARE"), "tape", fx -> effects)
            .apply(song);
    song = FormEdits.curves(SectionId.of(2), PartId.of("keys"), List.of(opening)).apply(song);
    SongFile.write(song, file);
    assertThat(SongFile.read(file)).isEqualTo(song);
  }

  @Test
  void aFileFromBeforeThereWasSoundIsHeardAsItsRolesUsuallyAre() throws IOException {
    Path file = folder.resolve("older.tide");
    Song song = Songs.draft("house", 1);
    SongFile.write(song, file);
    ObjectMapper mapper = new ObjectMapper();
    ObjectNode tree = (ObjectNode) mapper.readTree(file.toFile());
    tree.withArray("parts").forEach(p -> ((ObjectNode) p).remove(List.of("sound", "mix")));
    mapper.writeValue(file.toFile(), tree);
    Song read = SongFile.read(file);
    assertThat(read.part(PartId.of("drums")).orElseThrow().patch()).isEqualTo(Patch.of("tide kit"));
    assertThat(read.part(PartId.of("keys")).orElseThrow().mix().lowCut()).isEqualTo(150);
    assertThat(read.form()).isEqualTo(song.form());
  }

  @ParameterizedTest
  @CsvSource({
    "'\"pan\" : 0', '\"pan\" : 900', a pan is -100 to 100",
    "'\"level\" : -110', '\"level\" : 200', a level is -600 to 60",
    "'\"trigger\" : \"KICK\"', '\"trigger\" : \"MOON\"', unknown trigger"
  })
  void aMixOutsideItsRangesIsRefused(String from, String to, String message) throws IOException {
    Path file = folder.resolve("odd.tide");
    SongFile.write(Songs.draft("trap", 1), file);
    Files.writeString(file, Files.readString(file).replace(from, to));
    assertThatThrownBy(() -> SongFile.read(file))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining(message);
  }

  @Test
  void fieldsOfANewerVersionAreKeptAtEveryDepth() throws IOException {
    Path file = folder.resolve("newer.tide");
    SongFile.write(Songs.draft("trap", 1), file);
    String newer =
        Files.readString(file)
            .replaceFirst("\"version\" : 4", "\"version\" : 5,\n  \"mood\" : { \"dark\" : 7 }")
            .replaceFirst("\"name\" : \"Drums\"", "\"name\" : \"Drums\", \"pan\" : [ 1, 2 ]")
            .replaceFirst("\"section\" : \"hook\"", "\"section\" : \"hook\", \"fade\" : \"slow\"");
    Files.writeString(file, newer);
    Song song = BriefEdits.title("Edited").apply(SongFile.read(file));
    SongFile.write(song, file);
    String written = Files.readString(file);
    assertThat(written)
        .contains("\"mood\"")
        .contains("\"dark\" : 7")
        .contains("\"pan\" : [ 1, 2 ]");
    assertThat(written).contains("\"fade\" : \"slow\"").contains("\"title\" : \"Edited\"");
    SongFile.write(SongFile.read(file), file);
    assertThat(file).content().isEqualTo(written);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "\"tempo\" : \"142\"; \"tempo\" : \"9999\"; tempo must be 20 to 300",
        "\"role\" : \"DRUMS\"; \"role\" : \"ZITHER\"; unknown role",
        "\"bars\" : 8,; ; bars",
        "\"format\" : \"west-tide song\"; \"format\" : \"letter\"; not a West Tide song",
        "\"progression\" : \"hook\"; \"progression\" : \"lost\"; asks for the progression",
        "\"key\" : \"F♯ minor\"; \"key\" : \"H moll\"; H moll",
        "\"notes\" : [ [; \"notes\" : [ [ \"x\", ; whole number"
      })
  void aDamagedFileGivesOneSentenceAndIsLeftAlone(String from, String to, String message)
      throws IOException {
    Path file = folder.resolve("damaged.tide");
    SongFile.write(Songs.draft("trap", 1), file);
    String damaged = Files.readString(file).replace(from, to == null ? "" : to);
    Files.writeString(file, damaged);
    assertThatThrownBy(() -> SongFile.read(file))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("damaged.tide is damaged and was left as it is")
        .hasMessageContaining(message)
        .satisfies(e -> assertThat(e.getMessage().lines()).hasSize(1));
    assertThat(Files.readString(file)).isEqualTo(damaged);
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 40, 400, 4000})
  void aFileCutShortIsDamaged(int length) throws IOException {
    Path file = folder.resolve("cut.tide");
    SongFile.write(Songs.draft("trap", 1), file);
    Files.writeString(file, Files.readString(file).substring(0, length));
    assertThatThrownBy(() -> SongFile.read(file)).isInstanceOf(UnusableFileException.class);
  }

  @Test
  void bytesThatAreNoTextAndAMissingFileAreSaid() throws IOException {
    Path file = folder.resolve("noise.tide");
    Files.write(file, new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1, (byte) 0xc3});
    assertThatThrownBy(() -> SongFile.read(file)).hasMessageContaining("not a text file");
    assertThatThrownBy(() -> SongFile.read(folder.resolve("none.tide")))
        .hasMessageContaining("does not exist");
  }

  @Test
  void workLeftByACrashIsFoundAndThatOfARunningProcessIsNot() throws IOException {
    Song song = Songs.draft("house", 2);
    Clock clock = Clock.fixed(Instant.parse("2026-11-26T18:30:00Z"), ZoneOffset.UTC);
    Recovery crashed = Recovery.in(folder, clock);
    Recovery running = Recovery.in(folder, clock);
    SongFile.write(Songs.draft("house", 3), folder.resolve("mine.tide"));
    crashed.keep(song, Optional.of(folder.resolve("mine.tide")));
    running.keep(Songs.draft("trap", 1), Optional.empty());
    Files.writeString(folder.resolve("333.unsaved"), "half a fi");
    Files.writeString(folder.resolve("notes.txt"), "something else");
    crashed.close();
    Recovery.Found found = Recovery.in(folder, clock).left();
    assertThat(found.unreadable()).containsExactly(folder.resolve("333.unsaved"));
    assertThat(found.work()).hasSize(1);
    Recovery.Left left = found.work().get(0);
    assertThat(left.song()).isEqualTo(song);
    assertThat(left.file()).contains(folder.resolve("mine.tide").toAbsolutePath());
    assertThat(left.kept()).isEqualTo(clock.instant());
    left.discard();
    assertThat(Recovery.in(folder, clock).left().work()).isEmpty();
    running.close();
    assertThat(Recovery.in(folder, clock).left().work()).hasSize(1);
  }

  @Test
  void keptWorkThatIsInItsFileIsNotOffered() throws IOException {
    Song song = Songs.draft("house", 2);
    Path file = folder.resolve("mine.tide");
    SongFile.write(song, file);
    Recovery crashed = Recovery.in(folder.resolve("unsaved"), Clock.systemUTC());
    crashed.keep(song, Optional.of(file));
    crashed.close();
    assertThat(Recovery.in(folder.resolve("unsaved"), Clock.systemUTC()).left().work()).isEmpty();
    assertThat(folder.resolve("unsaved")).isEmptyDirectory();
  }

  @Test
  void everyMannerOfAChordAndThePlanReadBack() throws IOException {
    Path file = folder.resolve("chords.tide");
    ChordEdits hook = new ChordEdits("hook");
    Strum strum = new Strum(false, 35, -40);
    Voicing own = new Voicing(List.of(51, 60, 64, 71));
    List<Edit> edits =
        List.of(
            hook.articulation("a", 0, m -> m.withStrum(Optional.of(strum)).withPush(480)),
            hook.articulation(
                "b", 1, m -> m.withInversion(Optional.of(2)).withOwn(Optional.of(own))),
            hook.articulation(
                "c", 2, m -> m.withKind(Optional.of(VoicingKind.SHELL)).withRest(true)),
            hook.rhythm(Optional.of(RhythmFamily.PUSHED.rhythm())),
            hook.octave(-1),
            new ChordPartEdits(PartId.of("keys")).spread(VoicingKind.DROP_2),
            new ChordPartEdits(PartId.of("keys")).vary(9, 77),
            new PartEdits(PartId.of("keys"))
                .doubled(
                    PartId.of("octaves"), "Octaves", 1, Set.of(ChordMember.BASS, ChordMember.TOP)),
            RowEdits.pedal(SectionKind.HOOK, Optional.of(NoteName.parse("F#"))),
            new DrumEdits(PartId.of("drums"), "A")
                .change(
                    "d",
                    DrumVoice.KICK.lane(),
                    0,
                    h ->
                        h.withRoll(new Roll(3, 4, -30, 5))
                            .withPitch(-7)
                            .withFlam(25)
                            .withWhen(When.on(3, 8).withPercent(40).withSeed(11))),
            new DrumEdits(PartId.of("drums"), "A")
                .feel("f", DrumVoice.CLAP.lane(), f -> new LaneFeel(-14, 9, 6, 42)),
            new DrumEdits(PartId.of("drums"), "A")
                .whole(
                    "w",
                    DrumVoice.CLOSED_HAT.lane(),
                    lane ->
                        lane.withGrid(StepGrid.TRIPLETS)
                            .withSwing(Optional.of(Swing.of(57)))
                            .withAccents(Optional.of(StepLane.parse("X.oxo")))
                            .withRestart(Optional.of(new Restart(12)))),
            new DrumEdits(PartId.of("drums"), "A").stack(DrumVoice.CLAP.lane()),
            new GrooveEdits(PartId.of("drums"), "A").restart(new Restart(60)),
            new DrumEdits(PartId.of("drums"), "A")
                .sound(
                    "s",
                    new LaneId(DrumVoice.CLAP, 2),
                    s ->
                        new LaneSound("snare", -300, -45, 30, 2, 40)
                            .withReverb(35)
                            .withDelay(20)
                            .withSweep(new PanSweep(-80, 24))
                            .withReversed(true)),
            new GrooveEdits(PartId.of("drums"), "A")
                .grow("B", Songs.groove(4, DrumVoice.RIM, "x..x")),
            new GrooveEdits(PartId.of("drums"), "B").restart(Restart.NEVER),
            BriefEdits.cents(-35),
            BriefEdits.swing(Swing.of(58).on(Swing.Grid.EIGHTHS)),
            BriefEdits.plan(new Plan(170, Map.of("Drums", 40), java.util.Set.of("Drums"))));
    Song song = Songs.draft("house", 1);
    for (Edit edit : edits) {
      song = edit.apply(song);
    }
    SongFile.write(song, file);
    assertThat(SongFile.read(file)).isEqualTo(song);
  }

  /** Rules of their own, doubles, kept voicings, notes left out, transposed parts, two rows. */
  @Test
  void anEnsembleReadsBackAsItWasAndIsWrittenTheSameAgain() throws IOException {
    PartId keys = PartId.of("keys");
    PartId pad = PartId.of("pad");
    Song ensemble =
        Ensembles.after(
            Songs.draft("trap", 3),
            RowEdits.copy("hook", "calm"),
            new PartEdits(keys).duplicate(pad),
            new ChordPartEdits(pad).rhythm(Optional.of(RhythmFamily.OFF_BEATS.rhythm())),
            new ChordPartEdits(pad).strum(Optional.of(new Strum(false, 40, 10))),
            new ChordPartEdits(pad).progression(Optional.of("calm")),
            new ChordPartEdits(pad).without("calm", 0, Set.of(ChordMember.FIFTH)),
            new ChordPartEdits(pad).vary(11, 5),
            new PartEdits(PartId.of("lead")).doubled(PartId.of("high"), "High", 1, Set.of()),
            new PartEdits(PartId.of("high")).doubling(rule -> rule.withVelocity(-20)),
            new PartEdits(PartId.of("bass")).transpose(-12),
            new PartEdits(PartId.of("bass")).tune(-15),
            BriefEdits.key(Key.parse("A dorian")),
            BriefEdits.transpose(2));
    Path file = folder.resolve("ensemble.tide");
    SongFile.write(ensemble, file);
    SongFile.Opened opened = SongFile.open(file);
    assertThat(opened.notices()).isEmpty();
    assertThat(opened.song()).isEqualTo(ensemble);
    assertThat(Score.of(opened.song())).isEqualTo(Score.of(ensemble));
    Path again = folder.resolve("again.tide");
    SongFile.write(opened.song(), again);
    assertThat(again).hasSameBinaryContentAs(file);
  }
}
