package westtide.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Meter;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.song.line.Note;
import westtide.song.pattern.LineFit;

/** How a line sits on its chords; expected figures counted by hand. */
class LineFitTest {
  private static LineFit fit(String chords, int... startsAndKeys) {
    List<Note> notes = new ArrayList<>();
    for (int i = 0; i < startsAndKeys.length; i += 2) {
      notes.add(new Note(startsAndKeys[i], 240, startsAndKeys[i + 1], 90));
    }
    Progression row = Songs.progression(Songs.brief("C", 50), chords);
    return new LineFit(notes, row.over(4 * 3840), Meter.COMMON);
  }

  @Test
  void onlyNotesOnBeatsCountAsStrong() {
    LineFit fit = fit("C", 0, 60, 240, 61, 960, 62, 1920, 64, 2000, 70);
    assertThat(fit.strong()).extracting(Note::start).containsExactly(0, 960, 1920);
    assertThat(fit.chordToneShare()).isEqualTo(2 / 3.0);
    assertThat(fit("C", 240, 61).chordToneShare()).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 65, 960, 64, 1",
    "0, 65, 240, 64, 0",
    "0, 65, 240, 67, 1",
    "240, 65, 960, 67, 0",
    "0, 67, 960, 64, 0"
  })
  void aRubIsASemitoneAboveAToneOnABeatThatDoesNotFall(
      int start, int key, int nextStart, int nextKey, int rubs) {
    assertThat(fit("C", start, key, nextStart, nextKey).rubs()).hasSize(rubs);
  }

  @ParameterizedTest
  @CsvSource({"60, 67, 65, 0", "60, 67, 69, 1", "67, 60, 62, 0", "60, 65, 67, 0", "60, 72, 60, 1"})
  void aLeapPastAFourthWantsAStepBack(int first, int second, int third, int open) {
    assertThat(fit("C", 0, first, 960, second, 1920, third).openLeaps()).isEqualTo(open);
  }

  @Test
  void leapsAndRangeAreCounted() {
    LineFit fit = fit("C", 0, 60, 240, 62, 480, 65, 720, 64, 960, 72);
    assertThat(fit.leapShare()).isEqualTo(0.5);
    assertThat(fit.range()).isEqualTo(12);
    assertThat(fit("C", 0, 60).leapShare()).isZero();
  }

  @Test
  void theChordIsTheOneTheNoteStartsOn() {
    LineFit fit = fit("C | G7", 0, 65, 3840, 65);
    assertThat(fit.onChord(fit.notes().get(0))).isFalse();
    assertThat(fit.onChord(fit.notes().get(1))).isTrue();
  }

  /**
   * The first four bars of the theme of Beethoven's Ninth, public domain, from memory, over C, G, C
   * and G: of its fourteen notes on beats nine belong to the chord below.
   */
  @Test
  void theChordTonesOfAKnownTuneAreCounted() {
    int[] keys = {64, 64, 65, 67, 67, 65, 64, 62, 60, 60, 62, 64};
    List<Note> tune = new ArrayList<>();
    for (int i = 0; i < keys.length; i++) {
      tune.add(new Note(960 * i, 960, keys[i], 90));
    }
    tune.add(new Note(11520, 1440, 64, 90));
    tune.add(new Note(12960, 480, 62, 90));
    tune.add(new Note(13440, 1920, 62, 90));
    Brief brief = Songs.brief("C major", 50);
    List<PlacedChord> chords = Songs.progression(brief, "C | G | C | G").over(15360);
    LineFit fit = new LineFit(tune, chords, Meter.COMMON);
    assertThat(fit.strong()).hasSize(14);
    assertThat(fit.chordToneShare()).isEqualTo(9 / 14.0);
    assertThat(fit.onChord(tune.get(tune.size() - 1))).isTrue();
  }
}
