package westtide.score.boundary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.score.event.Source;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/** Silences to the tick and to the percent. */
class SilenceTest {
  /** Quarters of one bar at velocity 100. */
  private static final List<ScoredNote> QUARTERS = quarters();

  private static List<ScoredNote> quarters() {
    Note note = new Note(0, 960, 60, 100);
    Song song =
        Songs.oneHook(
            Songs.brief("C minor", 50),
            "Cm",
            1,
            Songs.part(
                "lead",
                Role.LINE,
                new Pattern.Written(
                    1,
                    List.of(
                        note, note.withStart(960), note.withStart(1920), note.withStart(2880)))));
    return Score.of(song).parts().get(0).notes();
  }

  private static List<String> left(int from, int to, int depth) {
    Silences silences = new Silences();
    silences.add(new Silence(from, to, depth, note -> true));
    return silences.left(QUARTERS).stream()
        .map(note -> note.start() + "-" + note.end() + " " + note.velocity())
        .toList();
  }

  @Test
  void aWholeSilenceLeavesOutWhatStartsInItAndEndsWhatSoundsIntoIt() {
    assertThat(left(960, 1920, 100)).containsExactly("0-960 100", "1920-2880 100", "2880-3840 100");
    assertThat(left(961, 1920, 100))
        .containsExactly("0-960 100", "960-961 100", "1920-2880 100", "2880-3840 100");
    assertThat(left(960, 1921, 100)).containsExactly("0-960 100", "2880-3840 100");
  }

  /** Arithmetic: 40 % down leaves 60 of 100; at 99 % one is left. */
  @Test
  void aSilenceOfSomeDepthLeavesTheRestOfTheVelocity() {
    assertThat(left(960, 1920, 40))
        .containsExactly("0-960 100", "960-1920 60", "1920-2880 100", "2880-3840 100");
    assertThat(left(960, 1920, 99)).contains("960-1920 1");
  }

  /** A hair early or late, a stroke goes or stays with the step it is written on. */
  @Test
  void aStrokeIsSilentWhereItIsWritten() {
    Silences silences = new Silences();
    silences.add(new Silence(960, 1920, 100, note -> true));
    List<ScoredNote> strokes = List.of(stroke(958, 960), stroke(1918, 1920), stroke(1922, 1680));
    assertThat(silences.left(strokes)).extracting(ScoredNote::start).containsExactly(1918);
  }

  private static ScoredNote stroke(int start, int written) {
    return new ScoredNote(
        start,
        100,
        38,
        90,
        written,
        0,
        0,
        Source.NONE,
        Optional.of(new ScoredNote.Struck(DrumVoice.SNARE.lane(), 0)),
        "");
  }
}
