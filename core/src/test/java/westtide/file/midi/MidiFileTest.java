package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.SongDraft;
import westtide.file.FileNames;
import westtide.file.disk.UnusableFileException;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.theory.Key;

/** MIDI files as their bytes should be, and as independent readers list them. */
class MidiFileTest {
  @TempDir private Path folder;

  /** Writes a song, and has it read back by the independent readers. */
  private Path write(Song song) throws IOException, InterruptedException {
    Path file = folder.resolve("song.mid");
    Score score = Score.of(song);
    MidiFile.write(score, file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertSame(score, listing, MidiFile.playing(score));
    }
    return file;
  }

  /** Standard MIDI Files 1.0 (from memory): header, tempo, meter and key signature events. */
  @Test
  void headerAndMetaEventsAreThoseOfTheStandard() throws Exception {
    Song song =
        SongDraft.in(Songs.book().get("trap"))
            .withTempo(Tempo.of(120))
            .withKey(Key.parse("F# minor"))
            .song();
    String hex = HexFormat.of().formatHex(Files.readAllBytes(write(song)));
    assertThat(hex).startsWith("4d546864" + "00000006" + "0001" + "0007" + "03c0");
    assertThat(hex).contains("ff510307a120").contains("ff580404021808").contains("ff59020301");
  }

  /**
   * Every note, tempo, marker, name and program, as Debian's midicsv and python3-mido list them.
   */
  @ParameterizedTest
  @ValueSource(strings = {"trap", "house", "boom-bap"})
  void independentReadersListTheScoreNoteForNote(String style) throws Exception {
    for (long seed = 1; seed <= 2; seed++) {
      Score score = Score.of(BriefEdits.title("Read back").apply(Songs.draft(style, seed)));
      Path file = folder.resolve(style + seed + ".mid");
      MidiFile.write(score, file);
      for (MidiListing listing : MidiListing.readBy(file)) {
        assertSame(score, listing, MidiFile.playing(score));
      }
    }
  }

  @Test
  void everyPartAloneIsReadBackToo() throws Exception {
    Score score = Score.of(BriefEdits.title("Parts").apply(Songs.draft("boom-bap", 3)));
    List<Path> files = WrittenPieces.in(folder, MidiPieces.parts(score));
    List<ScoredPart> playing = MidiFile.playing(score);
    assertThat(files).hasSameSizeAs(playing);
    for (int i = 0; i < files.size(); i++) {
      assertThat(files.get(i).getFileName())
          .hasToString("Parts 90 Dm " + playing.get(i).part().name() + ".mid");
      for (MidiListing listing : MidiListing.readBy(files.get(i))) {
        assertSame(score, listing, List.of(playing.get(i)));
      }
    }
  }

  private static void assertSame(Score score, MidiListing listing, List<ScoredPart> parts) {
    assertThat(listing.ticksPerQuarter()).isEqualTo(960);
    assertThat(listing.tempo()).isEqualTo(score.song().brief().tempo().microsPerQuarter());
    TreeMap<Integer, String> markers = new TreeMap<>();
    for (int i = 0; i < score.song().form().sections().size(); i++) {
      markers.put(score.song().form().startBar(i) * 3840, score.song().form().label(i));
    }
    assertThat(listing.markers()).isEqualTo(markers);
    assertThat(listing.tracks()).hasSameSizeAs(parts);
    for (int i = 0; i < parts.size(); i++) {
      MidiListing.Track track = listing.tracks().get(i);
      ScoredPart part = parts.get(i);
      boolean drums = part.part().role() == Role.DRUMS;
      assertThat(track.name()).isEqualTo(part.part().name());
      assertThat(track.program()).isEqualTo(drums ? 0 : part.part().program());
      assertThat(track.channels()).allMatch(channel -> drums == (channel == 9)).hasSize(1);
      assertThat(track.notes()).containsExactlyInAnyOrderElementsOf(listed(part.notes()));
      assertThat(track.end()).isEqualTo(score.ticks());
    }
  }

  /** Notes as a file holds them: one a slide leads out of lasts into the next for the slide. */
  private static List<MidiListing.Listed> listed(List<ScoredNote> notes) {
    List<MidiListing.Listed> out = new ArrayList<>();
    for (int i = 0; i < notes.size(); i++) {
      ScoredNote note = notes.get(i);
      ScoredNote next = i + 1 < notes.size() ? notes.get(i + 1) : note;
      boolean slid = next.slide() > 0 && next.start() == note.end() && next.key() != note.key();
      int over = slid ? Math.min(next.slide(), Math.max(1, next.ticks() - 1)) : 0;
      out.add(
          new MidiListing.Listed(note.start(), note.ticks() + over, note.key(), note.velocity()));
    }
    return out;
  }

  @Test
  void theSameSongGivesTheSameBytes() throws Exception {
    byte[] first = Files.readAllBytes(write(Songs.draft("house", 9)));
    assertThat(Files.readAllBytes(write(Songs.draft("house", 9)))).isEqualTo(first);
  }

  @Test
  void namesAreMadeOfTitleTempoAndKeyAndSafe() {
    Song song = BriefEdits.title("a/b: \"c\"?").apply(Songs.draft("trap", 1));
    assertThat(FileNames.midi(song)).isEqualTo("ab c 142 F#m.mid");
    assertThat(FileNames.midi(BriefEdits.title(" .. ").apply(song))).startsWith("Untitled 142");
  }

  @Test
  void aPlaceThatCannotBeWrittenLeavesNothingBehind() throws IOException {
    Path nowhere = folder.resolve("missing").resolve("song.mid");
    assertThatThrownBy(() -> MidiFile.write(Score.of(Songs.draft("trap", 1)), nowhere))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("missing");
    Path taken = Files.createDirectories(folder.resolve("taken.mid").resolve("inside"));
    assertThatThrownBy(() -> MidiFile.write(Score.of(Songs.draft("trap", 1)), taken.getParent()))
        .isInstanceOf(UnusableFileException.class);
    try (var left = Files.list(folder)) {
      assertThat(left.map(p -> p.getFileName().toString())).containsExactly("taken.mid");
    }
  }

  /**
   * MIDI 1.0 (from memory): fine tuning is registered parameter 0, 1; 8192 is in tune and 4096 more
   * are half a semitone. Data entry 12288 is 96 and 0. Drums keep their pitch.
   */
  @Test
  void aSongTunedByCentsSaysSoOnEveryPitchedChannel() throws Exception {
    Song song = BriefEdits.cents(50).apply(Songs.draft("trap", 1));
    long pitched =
        MidiFile.playing(Score.of(song)).stream()
            .filter(part -> part.part().role() != Role.DRUMS)
            .count();
    assertThat(tunedChannels(song)).hasSize((int) pitched).doesNotContain(9);
  }

  private Set<Integer> tunedChannels(Song song) throws Exception {
    Path file = folder.resolve("tuned.mid");
    MidiFile.write(Score.of(song), file);
    Set<Integer> out = new TreeSet<>();
    for (Track track : MidiSystem.getSequence(file.toFile()).getTracks()) {
      List<String> controls = new ArrayList<>();
      int channel = -1;
      for (int i = 0; i < track.size(); i++) {
        if (track.get(i).getMessage() instanceof ShortMessage message
            && message.getCommand() == ShortMessage.CONTROL_CHANGE
            && message.getData1() != 7
            && message.getData1() != 10
            && message.getData1() != 11
            && message.getData1() != 74) {
          controls.add(message.getData1() + "=" + message.getData2());
          channel = message.getChannel();
        }
      }
      if (controls.equals(List.of("101=0", "100=1", "6=96", "38=0", "101=127", "100=127"))) {
        out.add(channel);
      }
    }
    return out;
  }
}
