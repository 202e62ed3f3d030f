package westtide.song.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.theory.Key;
import westtide.theory.Pitch;

class NoteShapesTest {
  private static final Key C = Key.parse("C major");

  private static List<Note> line(String names) {
    List<Note> out = new ArrayList<>();
    for (String name : names.split(" ")) {
      out.add(new Note(out.size() * 480, 480, Pitch.parse(name).midi(), 90));
    }
    return out;
  }

  private static String names(List<Note> notes) {
    return notes.stream().map(n -> C.pitch(n.key()).toString()).collect(Collectors.joining(" "));
  }

  private static List<Note> random(long seed) {
    Random random = new Random(seed);
    return IntStream.range(0, 12)
        .mapToObj(
            i ->
                new Note(
                    i * 240 + random.nextInt(100),
                    60 + random.nextInt(300),
                    48 + random.nextInt(24),
                    40 + random.nextInt(80)))
        .toList();
  }

  /**
   * The opening of the children's round Frère Jacques (public domain, from memory) upside down and
   * backwards, as a first course of counterpoint has it done.
   */
  @Test
  void aThemeIsMirroredAndReversed() {
    List<Note> theme = line("C4 D4 E4 C4 E4 F4 G4");
    assertThat(names(NoteShapes.mirrored(theme, C))).isEqualTo("C4 B3 A3 C4 A3 G3 F3");
    assertThat(names(NoteShapes.reversed(theme))).isEqualTo("G4 F4 E4 C4 E4 D4 C4");
  }

  @ParameterizedTest
  @CsvSource({"1, D4 E4 F4 D4", "-1, B3 C4 D4 B3", "7, C5 D5 E5 C5"})
  void aLineMovesWithinItsKey(int steps, String moved) {
    assertThat(names(NoteShapes.inKey(line("C4 D4 E4 C4"), C, steps))).isEqualTo(moved);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void doneTwiceItIsTheLineAgain(long seed) {
    List<Note> line = random(seed);
    assertThat(NoteShapes.reversed(NoteShapes.reversed(line))).isEqualTo(line);
    List<Note> inScale = line.stream().map(note -> note.withKey(C.nearest(note.key()))).toList();
    assertThat(NoteShapes.mirrored(NoteShapes.mirrored(inScale, C), C)).isEqualTo(inScale);
    assertThat(NoteShapes.stretched(NoteShapes.stretched(line, 2, 1), 1, 2)).isEqualTo(line);
    assertThat(NoteShapes.inKey(NoteShapes.inKey(inScale, C, 3), C, -3)).isEqualTo(inScale);
  }

  @Test
  void legatoFillsTheGapsAndStaccatoHalves() {
    List<Note> line = List.of(new Note(0, 240, 60, 90), new Note(960, 480, 62, 90));
    assertThat(NoteShapes.legato(line)).extracting(Note::ticks).containsExactly(960, 480);
    assertThat(NoteShapes.staccato(line)).extracting(Note::ticks).containsExactly(120, 240);
  }

  @ParameterizedTest
  @CsvSource({"100, 240", "50, 220", "0, 200"})
  void startsAreDrawnTowardsTheGridByStrength(int strength, int start) {
    List<Note> late = List.of(new Note(200, 100, 60, 90));
    assertThat(NoteShapes.quantised(late, 240, strength).get(0).start()).isEqualTo(start);
  }

  @Test
  void humanisedNotesStayNearAndTheSeedDecides() {
    List<Note> line = line("C4 D4 E4 F4 G4 A4 B4 C5");
    List<Note> loose = NoteShapes.humanised(line, 20, 10, 7);
    for (int i = 0; i < line.size(); i++) {
      assertThat(loose.get(i).start())
          .isBetween(line.get(i).start() - 20, line.get(i).start() + 20);
      assertThat(loose.get(i).velocity()).isBetween(80, 100);
    }
    assertThat(loose).isEqualTo(NoteShapes.humanised(line, 20, 10, 7)).isNotEqualTo(line);
    assertThat(NoteShapes.humanised(line, 20, 10, 8)).isNotEqualTo(loose);
  }

  /** Nine repeats in a beat and a half: sixths of a step (common practice). */
  @Test
  void aRampFillsItsNoteAndRisesToItsVelocity() {
    Note note = new Note(960, 1440, 30, 120);
    List<Note> ramp = NoteShapes.ramp(note, 9, 0);
    assertThat(ramp).hasSize(9).allMatch(n -> n.key() == 30);
    assertThat(ramp.get(0).start()).isEqualTo(960);
    assertThat(ramp.get(8).end()).isEqualTo(note.end());
    assertThat(ramp.get(8).velocity()).isEqualTo(120);
    for (int i = 1; i < 9; i++) {
      assertThat(ramp.get(i).start()).isEqualTo(ramp.get(i - 1).end());
      assertThat(ramp.get(i).velocity()).isGreaterThan(ramp.get(i - 1).velocity());
    }
    assertThat(NoteShapes.ramp(note, 5, 12).get(4).key()).isEqualTo(42);
    assertThatThrownBy(() -> NoteShapes.ramp(note, 25, 0)).hasMessageContaining("2 to 24");
  }

  @Test
  void aChoppedNoteKeepsItsStretchInPieces() {
    List<Note> pieces = NoteShapes.chopped(List.of(new Note(120, 600, 40, 90, 60)), 240);
    assertThat(pieces)
        .containsExactly(
            new Note(120, 120, 40, 90, 60), new Note(240, 240, 40, 90), new Note(480, 240, 40, 90));
  }

  @Test
  void onlyTheLastNoteIsChanged() {
    List<Note> line = line("C4 D4 E4");
    assertThat(names(NoteShapes.lastChanged(line, C, 0))).isEqualTo("C4 D4 D4");
    assertThat(names(NoteShapes.lastChanged(line, C, 1))).isEqualTo("C4 D4 F4");
  }

  /** Arithmetic: pitches turned round keep every start; starts turned round keep every pitch. */
  @Test
  void notesOrRhythmAreTurnedRoundByThemselves() {
    List<Note> motif =
        List.of(new Note(0, 480, 60, 90), new Note(480, 240, 62, 80), new Note(1440, 960, 67, 99));
    List<Note> notes = NoteShapes.notesTurned(motif);
    assertThat(notes).extracting(Note::start).containsExactly(0, 480, 1440);
    assertThat(notes).extracting(Note::ticks).containsExactly(480, 240, 960);
    assertThat(notes).extracting(Note::key).containsExactly(67, 62, 60);
    assertThat(NoteShapes.notesTurned(notes)).isEqualTo(motif);
    List<Note> rhythm = NoteShapes.rhythmTurned(motif, 3840);
    assertThat(rhythm).extracting(Note::start).containsExactly(1440, 3120, 3360);
    assertThat(rhythm).extracting(Note::ticks).containsExactly(960, 240, 480);
    assertThat(rhythm).extracting(Note::key).containsExactly(60, 62, 67);
  }

  /**
   * Rhythm and velocities stay, pitches are of the key and inside the range, an octave at least.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void randomPitchesKeepRhythmScaleAndRange(long seed) {
    List<Note> line = random(seed);
    List<Note> drawn = NoteShapes.randomPitches(line, C, seed);
    int low = line.stream().mapToInt(Note::key).min().orElseThrow();
    int high = Math.max(low + 12, line.stream().mapToInt(Note::key).max().orElseThrow());
    assertThat(drawn).hasSameSizeAs(line);
    for (int i = 0; i < line.size(); i++) {
      assertThat(drawn.get(i).withKey(60)).isEqualTo(line.get(i).withKey(60));
      assertThat(drawn.get(i).key()).isBetween(low, high);
      assertThat(C.contains(drawn.get(i).key() % 12)).isTrue();
    }
    assertThat(NoteShapes.randomPitches(line, C, seed)).isEqualTo(drawn);
    assertThat(NoteShapes.randomPitches(line, C, seed + 1)).isNotEqualTo(drawn);
  }
}
