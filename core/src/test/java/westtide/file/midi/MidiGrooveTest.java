package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.file.disk.UnusableFileException;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Roll;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.edit.line.LineEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;
import westtide.style.Style;

/** Single grooves written as MIDI, listed by independent readers, and read again. */
class MidiGrooveTest {
  private static final PartId DRUMS = PartId.of("drums");

  /** Swing there and back may round by a tick or two. */
  private static final int ROUNDING = 2;

  @TempDir Path folder;

  private static Stream<Style> styles() {
    return Songs.book().styles().stream();
  }

  /**
   * Every hit of every style's groove is where the independent readers (midicsv, mido) list it, and
   * comes back on its step.
   */
  @ParameterizedTest
  @MethodSource("styles")
  void everyStylesGrooveIsListedByOtherReadersAndReadAgain(Style style)
      throws IOException, InterruptedException {
    LaneId stacked = new LaneId(DrumVoice.CLAP, 2);
    Song song =
        new DrumEdits(PartId.of("drums"), "A").drop(stacked).apply(Songs.draft(style.id(), 5));
    Path file = folder.resolve(style.id() + ".mid");
    MidiFile.writePattern(song, PartId.of("drums"), "A", file);
    Pattern.Drums groove =
        song.part(PartId.of("drums")).orElseThrow().groove("A", Meter.COMMON).orElseThrow();
    List<ScoredNote> scored = written(Score.of(PatternSong.of(song, PartId.of("drums"), "A")));
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(listing.tracks()).hasSize(1);
      assertThat(listing.tracks().get(0).channels()).containsExactly(9);
      assertThat(listing.tracks().get(0).end()).isEqualTo(groove.bars() * 3840);
      assertThat(listing.tracks().get(0).notes())
          .extracting(note -> note.start() + ":" + note.key() + ":" + note.velocity())
          .containsExactlyInAnyOrderElementsOf(
              scored.stream().map(n -> n.start() + ":" + n.key() + ":" + n.velocity()).toList());
    }
    MidiGroove read = MidiGroove.read(file, Meter.COMMON, song.brief().swing());
    assertThat(read.unknown()).isEmpty();
    assertThat(read.groove().bars()).isEqualTo(groove.bars());
    Song again =
        new GrooveEdits(PartId.of("drums"), "A").replace("read", read.groove()).apply(song);
    List<Integer> there = places(song);
    List<Integer> back = places(again);
    assertThat(back).hasSameSizeAs(there);
    for (int i = 0; i < there.size(); i++) {
      assertThat(back.get(i)).isCloseTo(there.get(i), within(ROUNDING));
    }
  }

  private static List<Integer> places(Song song) {
    return Score.of(PatternSong.of(song, PartId.of("drums"), "A")).parts().get(0).notes().stream()
        .map(ScoredNote::start)
        .sorted()
        .toList();
  }

  /** General MIDI 1 percussion map (from memory): toms 41 43 45 47 48 50, two kicks 36 and 35. */
  @Test
  void tomsOfOtherPitchesAreTheTomsOfTheMap() throws IOException {
    StepLane toms =
        StepLane.empty(16)
            .with(Hit.of(0, 90).withPitch(5))
            .with(Hit.of(4, 90).withPitch(-1))
            .with(Hit.of(8, 90).withRoll(new Roll(3, 4, 0, -6)));
    Pattern.Drums groove = new Pattern.Drums(1, List.of(DrumLane.of(DrumVoice.TOM, toms)));
    Song song =
        Songs.oneHook(Songs.brief("A minor", 50), "Am", 1, Songs.part("drums", Role.DRUMS, groove));
    assertThat(written(Score.of(song)))
        .extracting(ScoredNote::key)
        .containsExactly(50, 45, 47, 43, 41);
  }

  /** General MIDI has one clap, 39; the nearest of its family that is free is the rim, 38 or 40. */
  @Test
  void lanesThatSoundTogetherNeverMerge() {
    Pattern.Drums groove = Songs.groove(1, DrumVoice.CLAP, "x...x...........");
    Song song =
        Songs.oneHook(Songs.brief("A minor", 50), "Am", 1, Songs.part("drums", Role.DRUMS, groove));
    DrumEdits edits = new DrumEdits(PartId.of("drums"), "A");
    Song stacked = edits.stack(DrumVoice.CLAP.lane()).apply(song);
    Song softer = edits.velocity(DrumVoice.CLAP.lane(), 0, 40).apply(stacked);
    assertThat(written(Score.of(softer)))
        .extracting(note -> note.start() + ":" + note.key() + ":" + note.velocity())
        .containsExactlyInAnyOrder("0:39:40", "0:38:92", "960:39:92", "960:38:92");
  }

  @Test
  void aFileThatIsNoGrooveIsRefusedInASentence() throws IOException {
    Path text = Files.writeString(folder.resolve("words.mid"), "not music");
    assertThatThrownBy(() -> MidiGroove.read(text, Meter.COMMON, Swing.STRAIGHT))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("words.mid could not be read");
    Song song = new LineEdits(PartId.of("lead"), "A").transpose(24).apply(Songs.draft("trap", 1));
    Path bells = folder.resolve("bells.mid");
    MidiFile.writePattern(song, PartId.of("lead"), "A", bells);
    assertThatThrownBy(() -> MidiGroove.read(bells, Meter.COMMON, Swing.STRAIGHT))
        .hasMessageContaining("35 to 82");
  }

  private static List<ScoredNote> written(Score score) {
    ScoredPart drums = score.parts().get(0);
    return MidiDrums.written(drums, LaneNotes.of(List.of(drums)));
  }

  /** A file whose drums enter late is read from there, and never as a groove of nothing. */
  @Test
  void drumsThatEnterLateAreReadFromThere() throws IOException {
    Song song = Songs.draft("trap", 1);
    int bars = song.form().bars();
    Song late =
        song.withForm(
            new Form(
                List.of(
                    song.form()
                        .sections()
                        .get(0)
                        .withBars(24)
                        .withCells(DRUMS, List.of(Cell.out())),
                    song.form().sections().get(1))));
    assertThat(bars).isPositive();
    Path file = folder.resolve("late.mid");
    MidiFile.write(Score.of(late), file);
    MidiGroove read = MidiGroove.read(file, Meter.COMMON, late.brief().swing());
    assertThat(read.groove().lanes()).isNotEmpty();
    assertThat(read.groove().lanes())
        .anyMatch(lane -> lane.lane().hits().stream().anyMatch(hit -> hit.step() < 16));
  }
}
