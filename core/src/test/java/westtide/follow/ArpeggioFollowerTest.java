package westtide.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Figure;
import westtide.score.Score;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.line.ArpeggioEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.theory.Key;

/** Orders and rates on worked examples (common practice). */
class ArpeggioFollowerTest {
  private static final Brief BRIEF = Songs.draft("trap", 1).brief().withKey(Key.parse("C major"));

  private static List<Note> play(Arpeggio rule, String chords, int bars) {
    Harmony harmony = Harmony.of(Songs.progression(BRIEF, chords), bars, BRIEF);
    return new ArpeggioFollower(rule, harmony).resolve();
  }

  private static String names(List<Note> notes, int count) {
    return notes.stream()
        .limit(count)
        .map(note -> BRIEF.key().pitch(note.key()).toString())
        .collect(Collectors.joining(" "));
  }

  @ParameterizedTest
  @CsvSource({
    "UP, 1, C4 E4 G4 C4 E4 G4",
    "DOWN, 1, G4 E4 C4 G4 E4 C4",
    "BOTH, 1, C4 E4 G4 E4 C4 E4",
    "UP, 2, C4 E4 G4 C5 E5 G5",
    "INSIDE_OUT, 1, E4 G4 C4 E4 G4 C4",
    "CHORD, 1, C4 E4 G4 C4 E4 G4"
  })
  void theNotesOfAChordComeInOrder(Arpeggio.Order order, int octaves, String names) {
    Arpeggio rule = Arpeggio.of(60).withOrder(order).withOctaves(octaves);
    assertThat(names(play(rule, "C", 1), 6)).isEqualTo(names);
  }

  @Test
  void theOrderStartsAnewWithEveryChordAndTheStepsGoOn() {
    Arpeggio rule = Arpeggio.of(60).withRate(Arpeggio.Rate.QUARTER).withSteps(new Figure("Xx."));
    List<Note> notes = play(rule, "C | F", 2);
    assertThat(names(notes, 6)).isEqualTo("C4 E4 G4 C4 F4 A4");
    assertThat(notes).extracting(Note::start).containsExactly(0, 960, 2880, 3840, 5760, 6720);
    assertThat(notes.get(0).velocity()).isGreaterThan(notes.get(1).velocity());
  }

  @ParameterizedTest
  @CsvSource({"QUARTER,4", "EIGHTH,8", "EIGHTH_TRIPLET,12", "SIXTEENTH,16", "THIRTY_SECOND,32"})
  void aRateFillsTheBar(Arpeggio.Rate rate, int notes) {
    List<Note> played = play(Arpeggio.of(48).withRate(rate).withGate(50), "C", 1);
    assertThat(played).hasSize(notes).allMatch(note -> note.ticks() == rate.ticks() / 2);
  }

  @Test
  void theLevelHasALengthOfItsOwnAndTheFlourishDoublesTheLastBeat() {
    List<Note> swell = play(Arpeggio.of(60).withSwell(2), "C", 4);
    assertThat(swell.get(15).velocity()).isGreaterThan(swell.get(0).velocity() + 30);
    assertThat(swell.get(16).velocity()).isEqualTo(swell.get(0).velocity());
    List<Note> flourish = play(Arpeggio.of(60).withFlourish(2), "C", 2);
    assertThat(flourish).hasSize(16 + 2);
  }

  @Test
  void aRandomOrderIsDrawnFromItsSeed() {
    Arpeggio rule = Arpeggio.of(60).withOrder(Arpeggio.Order.RANDOM).withSeed(5);
    assertThat(play(rule, "Cmaj7", 2)).isEqualTo(play(rule, "Cmaj7", 2));
    assertThat(play(rule.withSeed(6), "Cmaj7", 2)).isNotEqualTo(play(rule, "Cmaj7", 2));
  }

  @Test
  void aSecondArpeggioSharesNeitherRegisterNorSide() {
    Song song = Songs.draft("lo-fi", 2);
    Part lead = song.parts(Role.LINE).get(0);
    ArpeggioEdits edits = new ArpeggioEdits(lead.id(), lead.patterns().get(0).name());
    Song one = edits.begin(Arpeggio.of(60)).apply(song);
    Song two = edits.second(PartId.of("second")).apply(one);
    Part second = two.part(PartId.of("second")).orElseThrow();
    Part first = two.part(lead.id()).orElseThrow();
    assertThat(Integer.signum(second.mix().pan())).isNotEqualTo(Integer.signum(first.mix().pan()));
    int top =
        Score.of(two).part(lead.id()).orElseThrow().notes().stream()
            .filter(note -> note.source().pattern().equals(lead.patterns().get(0).name()))
            .mapToInt(note -> note.key())
            .max()
            .orElseThrow();
    int bottom =
        Score.of(two).part(second.id()).orElseThrow().notes().stream()
            .filter(note -> note.source().pattern().equals(lead.patterns().get(0).name()))
            .mapToInt(note -> note.key())
            .min()
            .orElseThrow();
    assertThat(bottom).isGreaterThan(top);
  }
}
