package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.compose.SongDraft;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/**
 * One song from the words a producer types to what other programs see, expected values written by
 * hand.
 */
class ReadBackTest {
  private static final int BAR = 3840;

  @TempDir private Path folder;

  /** Standard theory: the notes of F♯m9, Dmaj7, A, E and Bm7 as pitch classes. */
  private static final Map<Integer, Set<Integer>> CHORDS =
      Map.of(
          0,
          Set.of(6, 9, 1, 4, 8),
          BAR,
          Set.of(2, 6, 9, 1),
          2 * BAR,
          Set.of(9, 1, 4),
          2 * BAR + BAR / 2,
          Set.of(4, 8, 11),
          3 * BAR,
          Set.of(11, 2, 6, 9));

  private static final TreeMap<Integer, Integer> ROOTS =
      new TreeMap<>(Map.of(0, 6, BAR, 2, 2 * BAR, 9, 2 * BAR + BAR / 2, 4, 3 * BAR, 11));

  @Test
  void otherProgramsSeeTheTempoKeyMarkersChordsAndRoots() throws Exception {
    Song song =
        SongDraft.in(Songs.book().get("trap"))
            .withTempo(Tempo.of(146))
            .withKey(Key.parse("F# minor"))
            .withChords("i9 | VImaj7 | III VII | iv7")
            .withForm("intro 8, hook 16, verse 16, hook 16, outro 8")
            .withSeed(7)
            .song();
    Path file = folder.resolve("song.mid");
    MidiFile.write(Score.of(song), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(60_000_000.0 / listing.tempo()).isBetween(145.99, 146.01);
      assertThat(listing.markers().keySet().stream().map(tick -> tick / BAR + 1))
          .containsExactly(1, 9, 25, 41, 57);
      assertThat(listing.markers().values())
          .containsExactly("intro", "hook", "verse", "hook 2", "outro");
      for (MidiListing.Track track : listing.tracks()) {
        assertThat(track.end()).isEqualTo(64 * BAR);
        assertThat(track.notes()).allMatch(note -> note.start() + note.ticks() <= 64 * BAR);
      }
      assertChords(track(listing, "Keys"));
      assertRoots(track(listing, "808"));
    }
  }

  private static MidiListing.Track track(MidiListing listing, String name) {
    return listing.tracks().stream().filter(t -> t.name().equals(name)).findFirst().orElseThrow();
  }

  private static void assertChords(MidiListing.Track keys) {
    Map<Integer, Set<Integer>> sounding =
        keys.notes().stream()
            .collect(
                Collectors.groupingBy(
                    MidiListing.Listed::start,
                    Collectors.mapping(note -> note.key() % 12, Collectors.toSet())));
    assertThat(sounding).isNotEmpty();
    sounding.forEach(
        (start, notes) -> {
          int place = start % (4 * BAR);
          Integer chord = new TreeMap<>(CHORDS).floorKey(place);
          assertThat(notes).as("at tick " + start).isEqualTo(CHORDS.get(chord));
        });
  }

  private static void assertRoots(MidiListing.Track sub) {
    assertThat(sub.notes()).isNotEmpty();
    for (MidiListing.Listed note : sub.notes()) {
      int place = note.start() % (4 * BAR);
      if (ROOTS.containsKey(place)) {
        assertThat(note.key() % 12).isEqualTo(ROOTS.get(place));
      }
      assertThat(note.key()).isBetween(28, 45);
    }
  }

  /**
   * Standard MIDI Files 1.0, table of variable-length quantities (from memory), for the distances a
   * song can have; the larger rows of the table lie beyond 999 bars.
   */
  @ParameterizedTest
  @CsvSource({
    "0, 00",
    "64, 40",
    "127, 7f",
    "128, 8100",
    "8192, c000",
    "16383, ff7f",
    "16384, 818000",
    "1048576, c08000",
    "2097151, ffff7f",
    "2097152, 81808000"
  })
  void distancesAreWrittenAsTheStandardWritesThem(int tick, String quantity) throws Exception {
    Path file = folder.resolve("distance.mid");
    MidiFile.write(Score.of(oneNoteAt(tick)), file);
    String hex = HexFormat.of().formatHex(Files.readAllBytes(file));
    assertThat(hex).as("after pan, the last at tick 0").contains("000a40" + quantity + "903c5a");
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(listing.tracks().get(0).notes())
          .containsExactly(new MidiListing.Listed(tick, 240, 60, 90));
    }
  }

  /**
   * Silent sections up to the bar of the tick, then a section whose line has one middle C there.
   */
  private static Song oneNoteAt(int tick) {
    Brief brief = Songs.brief("C", 50);
    Part lead =
        Songs.part(
            "lead", Role.LINE, new Pattern.Written(1, List.of(new Note(tick % BAR, 240, 60, 90))));
    Song song = Songs.oneHook(brief, "C", 1, lead);
    List<Section> sections = new java.util.ArrayList<>();
    for (int bars = tick / BAR; bars > 0; bars -= Section.MOST_BARS) {
      sections.add(
          Section.of(SectionWord.GAP, Math.min(bars, Section.MOST_BARS), "hook", Map.of()));
    }
    sections.add(
        Section.of(
            SectionWord.HOOK,
            2,
            "hook",
            Map.of(
                PartId.of("lead"),
                List.of(new Cell(0, Level.FULL, "A"), new Cell(1, Level.OUT, "A")))));
    return song.withForm(new Form(sections));
  }
}
