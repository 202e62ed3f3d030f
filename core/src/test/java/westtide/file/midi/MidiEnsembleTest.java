package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Ensembles;
import westtide.Songs;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneSound;
import westtide.song.drum.PanSweep;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.mix.Effects;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.pattern.Pattern;
import westtide.style.Style;

/** Songs of many parts as Standard MIDI Files. */
class MidiEnsembleTest {
  @TempDir private Path folder;

  private static Part line(String id, int key) {
    return Songs.part(id, Role.LINE, new Pattern.Written(1, List.of(new Note(0, 960, key, 90))));
  }

  private static Song lines(int count, Part... more) {
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      parts.add(line("line-" + (i + 1), 40 + i));
    }
    parts.addAll(List.of(more));
    return Ensembles.song("C", "C", 1, parts.toArray(Part[]::new));
  }

  private List<MidiMessage> messages(Song song, int track) throws Exception {
    Path file = folder.resolve("song.mid");
    MidiFile.write(Score.of(song), file);
    Track found = MidiSystem.getSequence(file.toFile()).getTracks()[track];
    List<MidiMessage> out = new ArrayList<>();
    for (int i = 0; i < found.size(); i++) {
      out.add(found.get(i).getMessage());
    }
    return out;
  }

  private static List<Integer> ports(List<MidiMessage> messages) {
    return messages.stream()
        .filter(m -> m instanceof MetaMessage meta && meta.getType() == 0x21)
        .map(m -> (int) ((MetaMessage) m).getData()[0])
        .toList();
  }

  private static List<Integer> control(List<MidiMessage> messages, int control) {
    return messages.stream()
        .filter(
            m ->
                m instanceof ShortMessage s
                    && s.getCommand() == ShortMessage.CONTROL_CHANGE
                    && s.getData1() == control)
        .map(m -> ((ShortMessage) m).getData2())
        .toList();
  }

  /** A port has sixteen channels (MIDI 1.0); a port is named by FF 21 01 pp (from memory). */
  @Test
  void moreThanSixteenPartsGoOnToAnotherPort() throws Exception {
    Song song = lines(20);
    assertThat(ports(messages(song, 15))).containsExactly(0);
    assertThat(ports(messages(song, 16))).containsExactly(1);
    MidiPlan plan = MidiPlan.of(Score.of(song).parts());
    assertThat(plan.notices().get(0)).contains("line-16 on port 2").contains("one file a part");
    Set<MidiPlan.Place> places = new HashSet<>(plan.places().values());
    assertThat(places).as("no two parts share a channel").hasSize(20);
    assertThat(places).noneMatch(place -> place.channel() == 9);
  }

  @Test
  void sixteenChannelsAreEnoughForFifteenLinesAndDrums() throws Exception {
    Part drums = Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x..."));
    Song song = lines(15, drums);
    assertThat(ports(messages(song, 1))).isEmpty();
    assertThat(MidiPlan.of(Score.of(song).parts()).notices()).noneMatch(t -> t.contains("port"));
  }

  @Test
  void everyReaderSeesEveryNoteOfATwentyPartSong() throws Exception {
    Song song = lines(20);
    Path file = folder.resolve("many.mid");
    MidiFile.write(Score.of(song), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(listing.tracks()).hasSize(20);
      for (int i = 0; i < 20; i++) {
        assertThat(listing.tracks().get(i).name()).isEqualTo("line-" + (i + 1));
        assertThat(listing.tracks().get(i).notes())
            .containsExactly(new MidiListing.Listed(0, 960, 40 + i, 90));
      }
    }
  }

  /**
   * Controller 7 is 40 log10(value / 127) dB (General MIDI, from memory): 6 dB less is a factor of
   * 10^(−6/40) = 0.708; controller 10 is 64 in the middle.
   */
  @ParameterizedTest
  @CsvSource({"60, 0, 127, 64", "0, -100, 90, 1", "-60, 100, 64, 127", "-480, 50, 6, 96"})
  void levelAndPanAreControllers(int level, int pan, int volume, int side) throws Exception {
    Mix mix = Mix.PLAIN.withLevel(level).withPan(pan);
    Song song = Ensembles.song("C", "C", 1, line("lead", 60).withMix(mix));
    assertThat(control(messages(song, 1), 7)).containsExactly(volume);
    assertThat(control(messages(song, 1), 10)).containsExactly(side);
  }

  @Test
  void aSilentPartIsSilentThereToo() throws Exception {
    Mix silent = Mix.PLAIN.withLevel(Mix.SILENT);
    Song song = Ensembles.song("C", "C", 1, line("lead", 60).withMix(silent));
    assertThat(control(messages(song, 1), 7)).containsExactly(0);
  }

  /**
   * Fine tuning is registered parameter 0, 1 around 8192, a semitone each way; coarse tuning 0, 2
   * around 64 (MIDI 1.0, from memory). 70 + 60 cents are a semitone and 30: 8192 + 2458 = 83, 26.
   */
  @Test
  void aPartsCentsAreAddedToTheSongs() throws Exception {
    Song song =
        Ensembles.after(
            Ensembles.song("C", "C", 1, line("lead", 60)),
            BriefEdits.cents(70),
            new PartEdits(PartId.of("lead")).tune(60));
    assertThat(control(messages(song, 1), 100)).containsExactly(1, 127, 2, 127);
    assertThat(control(messages(song, 1), 6)).containsExactly(83, 65);
    assertThat(control(messages(song, 1), 38)).containsExactly(26, 0);
  }

  @Test
  void aTransposedPartIsWrittenWhereItSounds() throws Exception {
    Song song = Ensembles.song("C", "C", 1, Ensembles.transposed(line("lead", 60), -12));
    Path file = folder.resolve("down.mid");
    MidiFile.write(Score.of(song), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(listing.tracks().get(0).notes())
          .containsExactly(new MidiListing.Listed(0, 960, 48, 90));
    }
  }

  @Test
  void lanesOfOnePartNeverShareANote() {
    Pattern.Drums groove = Songs.groove(1, DrumVoice.KICK, "x...............");
    Song song = Ensembles.song("C", "C", 1, Songs.part("drums", Role.DRUMS, groove));
    DrumEdits edits = new DrumEdits(PartId.of("drums"), "A");
    var second = new westtide.song.drum.LaneId(DrumVoice.KICK, 2);
    Song stacked =
        Ensembles.after(
            song,
            edits.stack(DrumVoice.KICK.lane()),
            edits.lane(second, westtide.rhythm.StepLane.parse("........x.......")),
            edits.sound("", second, s -> s.withNote(36)));
    assertThat(LaneNotes.of(Score.of(stacked).parts()).byLane().values()).containsExactly(36, 35);
    Song together =
        edits.lane(second, westtide.rhythm.StepLane.parse("x...............")).apply(stacked);
    assertThat(LaneNotes.of(Score.of(together).parts()).byLane().values()).containsExactly(36, 35);
    assertThat(MidiPlan.of(Score.of(together).parts()).notices().get(0))
        .contains("Kick 2 as 35 instead of 36");
  }

  /** A second snare is snare 2, 40, before it is a side stick, 37 (General MIDI 1, from memory). */
  @Test
  void aSecondSnareIsASnareOfTheMap() {
    Part kit = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.SNARE, "....x..."));
    Pattern.Drums both = Songs.groove(1, DrumVoice.SNARE, "....x.x.", DrumVoice.RIM, "..x...x.");
    Part percussion = Songs.part("percussion", Role.DRUMS, both);
    Song song = Ensembles.song("C", "C", 1, kit, percussion);
    assertThat(LaneNotes.of(Score.of(song).parts()).byLane())
        .containsEntry(new LaneNotes.Lane(kit.id(), DrumVoice.SNARE.lane()), 38)
        .containsEntry(new LaneNotes.Lane(percussion.id(), DrumVoice.SNARE.lane()), 40)
        .containsEntry(new LaneNotes.Lane(percussion.id(), DrumVoice.RIM.lane()), 37);
  }

  @Test
  void twoDrumPartsShareANoteOnlyWhereTheySoundTheSame() {
    Part kit = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x......."));
    Part other = Songs.part("other", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "....x..."));
    assertThat(keys(kit, other)).containsExactly(36, 36);
    Part dusty = other.withPatch(Patch.of("dust kit"), 0);
    assertThat(keys(kit, dusty)).containsExactly(36, 35);
  }

  private static Collection<Integer> keys(Part... drums) {
    return LaneNotes.of(Score.of(Ensembles.song("C", "C", 1, drums)).parts()).byLane().values();
  }

  /**
   * Velocities are read as 40·log10(v / 127) dB (General MIDI, from memory): 6 dB less is a factor
   * of 10^(−6/40) = 0.708, of velocity 92 it is 65.
   */
  @Test
  void drumPartsShareAChannelAndVelocitiesCarryTheirLevels() throws Exception {
    Part kit = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x......."));
    Mix softer = kit.mix().withLevel(kit.mix().level() - 60).withPan(-40);
    Part other =
        Songs.part("other", Role.DRUMS, Songs.groove(1, DrumVoice.CLAP, "....x..."))
            .withMix(softer);
    Song song = Ensembles.song("C", "C", 1, kit, other);
    assertThat(ports(messages(song, 1))).isEmpty();
    assertThat(control(messages(song, 1), 7)).hasSize(1);
    assertThat(control(messages(song, 2), 7)).as("the channel has one level").isEmpty();
    Path file = folder.resolve("shared.mid");
    MidiFile.write(Score.of(song), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(listing.tracks().get(0).notes()).allMatch(note -> note.velocity() == 92);
      assertThat(listing.tracks().get(1).notes()).allMatch(note -> note.velocity() == 65);
    }
    assertThat(MidiPlan.of(Score.of(song).parts()).notices())
        .anyMatch(told -> told.contains("other shares channel 10") && told.contains("side"));
    MidiFile.write(Score.of(song), MidiOptions.USUAL.withPorts(Ports.EACH_DRUM_PART), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(listing.tracks().get(1).notes()).allMatch(note -> note.velocity() == 92);
    }
  }

  /** No song that ships, and no draft, needs a second port or has two lanes nobody can part. */
  @Test
  @Sampled
  void draftsAreWrittenOnOnePortWithAKeyALane() {
    for (Style style : Samples.few(6, Songs.book().styles())) {
      Score score = Score.of(Songs.draft(style.id(), 3));
      MidiPlan plan = MidiPlan.of(score.parts());
      assertThat(plan.ports()).as(style.id()).isFalse();
      Map<PartId, Set<Integer>> keys = new HashMap<>();
      plan.notes()
          .byLane()
          .forEach(
              (lane, key) ->
                  assertThat(keys.computeIfAbsent(lane.part(), p -> new HashSet<>()).add(key))
                      .as(style.id() + " " + lane)
                      .isTrue());
      for (ScoredPart part : score.parts()) {
        boolean piano = part.part().patch().instrument().contains("piano");
        assertThat(part.part().role() == Role.DRUMS || piano || part.part().program() > 0)
            .as(style.id() + " " + part.part().name() + " has its program")
            .isTrue();
      }
    }
  }

  @Test
  void twoDrumPartsKeepEveryStroke() throws Exception {
    Part kit = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x...x..."));
    Part other = Songs.part("other", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x...x..."));
    Song song = Ensembles.song("C", "C", 1, kit, other);
    Path file = folder.resolve("drums.mid");
    MidiFile.write(Score.of(song), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      Set<Integer> keys =
          listing.tracks().stream()
              .flatMap(track -> track.notes().stream())
              .map(MidiListing.Listed::key)
              .collect(Collectors.toSet());
      assertThat(keys).containsExactlyInAnyOrder(35, 36);
      assertThat(listing.tracks()).allMatch(track -> track.notes().size() == 4);
    }
    assertThat(MidiPlan.of(Score.of(song).parts()).notices())
        .anyMatch(told -> told.startsWith("other shares channel 10 with kit"));
    assertThat(MidiPlan.of(Score.of(song).parts(), Ports.EACH_DRUM_PART).notices())
        .anyMatch(told -> told.startsWith("other on port 2") && told.contains("channel 10"));
  }

  @Test
  void theFileListsItsLanesAndWhatItLeavesOut() throws Exception {
    Song song = Songs.draft("house", 1);
    PartId drums = PartId.of("drums");
    Song tuned =
        new DrumEdits(drums, "A")
            .sound("", DrumVoice.CLOSED_HAT.lane(), s -> s.withCents(150))
            .apply(song);
    Score score = Score.of(tuned);
    int track = 1 + MidiFile.playing(score).indexOf(score.part(drums).orElseThrow());
    String text =
        messages(tuned, track).stream()
            .filter(m -> m instanceof MetaMessage meta && meta.getType() == 1)
            .map(
                m ->
                    new String(
                        ((MetaMessage) m).getData(), java.nio.charset.StandardCharsets.UTF_8))
            .findFirst()
            .orElseThrow();
    assertThat(text).contains("Kick = 36").contains("Closed hat = 42");
    assertThat(MidiPlan.of(score.parts()).notices())
        .anyMatch(said -> said.contains("Closed hat by 150 cents"));
  }

  /**
   * Effects, ducking and the sides of lanes are nothing a MIDI file has; lane files have a side.
   */
  @Test
  void whatMidiLeavesOutIsNamed() throws Exception {
    Part keys = line("keys", 60).withMix(tremolo());
    Part drums = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.CLAP, "....x..."));
    Song song =
        new DrumEdits(drums.id(), "A")
            .sound("", DrumVoice.CLAP.lane(), s -> new LaneSound("", 0, -30, 40, 0, 39))
            .apply(Ensembles.song("C", "C", 1, keys, drums));
    Score score = Score.of(song);
    assertThat(MidiPlan.of(score.parts()).notices())
        .anyMatch(told -> told.contains("tremolo (keys)"))
        .anyMatch(told -> told.startsWith("kit:") && told.contains("Clap"));
    Path file = WrittenPieces.in(folder, MidiPieces.lanes(score)).get(0);
    Track track = MidiSystem.getSequence(file.toFile()).getTracks()[1];
    List<MidiMessage> found = new ArrayList<>();
    for (int i = 0; i < track.size(); i++) {
      found.add(track.get(i).getMessage());
    }
    assertThat(control(found, 10)).as("40 of 100 to the right").containsExactly(89);
  }

  /** One stroke a beat from the middle to the right and back: 64, 96 and 127 of the controller. */
  @Test
  void aLaneFileHasTheSideOfEveryStrokeOfASweep() throws Exception {
    Part kit = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.CLAP, "x...x...x...x..."));
    Part drums =
        kit.withSound(
            DrumVoice.CLAP.lane(),
            LaneSound.of(DrumVoice.CLAP.lane()).withSweep(new PanSweep(100, 8)).withReversed(true));
    Score score = Score.of(Ensembles.song("C", "C", 1, drums));
    Path file = WrittenPieces.in(folder, MidiPieces.lanes(score)).get(0);
    Track track = MidiSystem.getSequence(file.toFile()).getTracks()[1];
    Map<Long, Integer> sides = new TreeMap<>();
    for (int i = 0; i < track.size(); i++) {
      if (track.get(i).getMessage() instanceof ShortMessage message
          && message.getCommand() == ShortMessage.CONTROL_CHANGE
          && message.getData1() == 10) {
        sides.put(track.get(i).getTick(), message.getData2());
      }
    }
    assertThat(sides).containsEntry(0L, 64).containsEntry(960L, 96).containsEntry(1920L, 127);
    assertThat(MidiPlan.of(score.parts()).notices())
        .anyMatch(told -> told.contains("backwards") && told.contains("Clap"))
        .anyMatch(told -> told.contains("one file a lane"));
  }

  private static Mix tremolo() {
    Effects still = Effects.NONE;
    return Mix.PLAIN.withEffects(still.withTremolo(still.tremolo().withDepth(50)));
  }

  @Test
  void aDrumPartIsWrittenAsOneFileALane() throws Exception {
    Song song = Songs.draft("trap", 1);
    Score score = Score.of(song);
    ScoredPart drums = score.parts(Role.DRUMS).get(0);
    List<Path> files = WrittenPieces.in(folder, MidiPieces.lanes(score, drums));
    assertThat(files)
        .extracting(f -> f.getFileName().toString())
        .anyMatch(n -> n.endsWith("Drums Kick.mid"));
    int strokes = 0;
    for (Path file : files) {
      for (MidiListing listing : MidiListing.readBy(file).subList(0, 1)) {
        strokes += listing.tracks().get(0).notes().size();
      }
    }
    assertThat(strokes).isEqualTo(drums.notes().size());
  }

  @Test
  void namesThatComeOutTheSameNeverOverwriteEachOther() throws IOException {
    Song song =
        Ensembles.song(
            "C",
            "C",
            1,
            line("one", 60).withName("Bass/Lead"),
            line("two", 62).withName("BassLead"),
            line("three", 64).withName("basslead"));
    List<Path> files = WrittenPieces.in(folder, MidiPieces.parts(Score.of(song)));
    assertThat(files).hasSize(3).doesNotHaveDuplicates();
    assertThat(files).allMatch(Files::exists);
    assertThat(files.stream().map(f -> f.toString().toLowerCase(java.util.Locale.ROOT)).distinct())
        .hasSize(3);
  }

  /** Root, third, fifth and seventh are the lowest note as asked, in the file too. */
  @ParameterizedTest
  @CsvSource({"Cmaj7@0, 0", "Cmaj7@1, 4", "Cmaj7@2, 7", "Cmaj7@3, 11", "Am7@1, 0", "Dm9@3, 0"})
  void anInversionIsTrueInTheFile(String typed, int pitchClass) throws Exception {
    Song song = Ensembles.song("C", typed, 1, Ensembles.chords("keys"));
    Path file = folder.resolve("inverted.mid");
    MidiFile.write(Score.of(song), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      int lowest =
          listing.tracks().get(0).notes().stream()
              .mapToInt(MidiListing.Listed::key)
              .min()
              .orElse(0);
      assertThat(lowest % 12).isEqualTo(pitchClass);
    }
  }
}
