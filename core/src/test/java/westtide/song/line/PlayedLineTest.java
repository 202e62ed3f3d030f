package westtide.song.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.play.SimulatedPads;
import westtide.play.SimulatedPlayer;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.PlayedChords;
import westtide.theory.Key;

/** What was played becomes written notes: on the grid, on the way to it, or to the tick. */
class PlayedLineTest {
  private static final List<Note> LINE =
      List.of(
          new Note(0, 480, 69, 96),
          new Note(720, 240, 72, 80),
          new Note(1440, 480, 71, 110),
          new Note(2640, 960, 64, 64));

  private static List<PlayedNote> performed(Swing swing) {
    return new SimulatedPlayer(LINE, swing, 0.5, SimulatedPads.Hand.PRACTISED).performance();
  }

  @ParameterizedTest
  @ValueSource(ints = {50, 58, 66})
  void quantisedAWholePlayerIsFoundAgainHoweverTheSongSwings(int percent) {
    Swing swing = Swing.of(percent);
    List<Note> notes = new PlayedLine(swing, 240, 100, 3840).notes(performed(swing));
    assertThat(notes).extracting(Note::start).containsExactly(0, 720, 1440, 2640);
    assertThat(notes).extracting(Note::key).containsExactly(69, 72, 71, 64);
  }

  /** Arithmetic: half the strength leaves half of what each note is off, to the tick. */
  @Test
  void halfTheStrengthGoesHalfTheWayAndNoneKeepsThePlaying() {
    List<PlayedNote> played =
        List.of(new PlayedNote(60, 41, 200, 90), new PlayedNote(62, 439, 230, 101));
    assertThat(new PlayedLine(Swing.STRAIGHT, 240, 50, 3840).notes(played))
        .containsExactly(new Note(21, 200, 60, 90), new Note(460, 230, 62, 101));
    assertThat(new PlayedLine(Swing.STRAIGHT, 240, 0, 3840).notes(played))
        .containsExactly(new Note(41, 200, 60, 90), new Note(439, 230, 62, 101));
  }

  @Test
  void whatLeadsInStandsOnTheFirstBeatAndNothingCrossesTheEnd() {
    List<PlayedNote> played =
        List.of(
            new PlayedNote(60, 3835, 400, 90),
            new PlayedNote(62, 3600, 900, 90),
            new PlayedNote(62, 3500, 900, 70));
    List<Note> notes = new PlayedLine(Swing.STRAIGHT, 240, 0, 3840).notes(played);
    assertThat(notes)
        .containsExactly(
            new Note(0, 400, 60, 90), new Note(3500, 100, 62, 70), new Note(3600, 240, 62, 90));
  }

  /** Common practice: the names of four chords in A minor, played in inversions with the hand. */
  @Test
  void chordsPlayedWithTheHandBecomeSymbolsInTheirVoicing() {
    List<Note> hand =
        List.of(
            new Note(0, 1800, 57, 80),
            new Note(20, 1800, 60, 84),
            new Note(35, 1800, 64, 88),
            new Note(1930, 1800, 57, 80),
            new Note(1925, 1800, 60, 80),
            new Note(1940, 1800, 65, 80),
            new Note(3860, 900, 72, 70),
            new Note(5760, 1800, 55, 80),
            new Note(5770, 1800, 59, 80),
            new Note(5780, 1800, 62, 80));
    List<Note> sorted = Songs.inOrder(hand);
    List<ChordSpan> spans = new PlayedChords(Key.parse("A minor"), Meter.COMMON).of(sorted, 2);
    assertThat(spans)
        .extracting(span -> span.chord().root().toString())
        .containsExactly("A", "F", "G");
    assertThat(spans).extracting(ChordSpan::ticks).containsExactly(1920, 3840, 1920);
    assertThat(spans.get(1).articulation().own().orElseThrow().keys()).containsExactly(57, 60, 65);
  }
}
