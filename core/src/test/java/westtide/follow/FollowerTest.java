package westtide.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Figure;
import westtide.song.Brief;
import westtide.song.chord.ChordSpan;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.ChordVoicings;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingRange;

class FollowerTest {
  private static final Brief BRIEF = Songs.brief("A minor", 50);
  private static final VoicingRange RANGE = new VoicingRange(51, 58, 76);

  private static Harmony harmony(String chords, int bars) {
    return Harmony.of(Songs.progression(BRIEF, chords), bars, BRIEF);
  }

  private static String resolve(FollowRule rule, Harmony harmony, Integer... kicks) {
    return Follower.of(PartId.of("keys"), harmony, Key.parse("A minor"))
        .hearing(Arrays.asList(kicks))
        .resolve(rule)
        .stream()
        .map(note -> note.start() + "+" + note.ticks() + ":" + note.key())
        .collect(Collectors.joining(" "));
  }

  @Test
  void aChordThatComesBackStandsAsItStoodBefore() {
    List<ChordSpan> chords =
        List.of("Am7", "Fmaj7", "Am7", "C", "Fmaj7").stream()
            .map(name -> ChordSpan.of(Chord.parse(name), 3840))
            .toList();
    List<Voicing> voicings =
        ChordVoicings.of(FollowRule.Chords.of(RANGE, Optional.empty()), "hook", chords, 0);
    assertThat(voicings.get(2)).isEqualTo(voicings.get(0));
    assertThat(voicings.get(4)).isEqualTo(voicings.get(1));
  }

  @Test
  void aHeldChordLastsItsLengthAndIsItsChord() {
    List<Note> notes =
        Follower.of(PartId.of("keys"), harmony("Am9 . . C/G | Fmaj7", 2), BRIEF.key())
            .resolve(FollowRule.Chords.of(RANGE, Optional.empty()));
    assertThat(notes).filteredOn(n -> n.start() == 0).allMatch(n -> n.ticks() == 2880).hasSize(5);
    assertThat(notes).filteredOn(n -> n.start() == 2880).allMatch(n -> n.ticks() == 960);
    assertThat(notes)
        .filteredOn(n -> n.start() == 2880)
        .extracting(n -> n.key() % 12)
        .containsOnly(7, 0, 4);
  }

  @Test
  void anEighthNoteFigureIsCutWhereTheChordEnds() {
    FollowRule rule = FollowRule.Chords.of(RANGE, Optional.of(new Figure("x-------")));
    List<Note> notes =
        Follower.of(PartId.of("keys"), harmony("Am . . F", 1), BRIEF.key()).resolve(rule);
    assertThat(notes.stream().filter(n -> n.start() == 1920))
        .isNotEmpty()
        .allMatch(n -> n.ticks() == 960);
    assertThat(notes.stream().filter(n -> n.start() == 2880))
        .isNotEmpty()
        .allMatch(n -> n.ticks() == 960);
  }

  /** Common practice: every 808 starts with a kick; a slash bass is its note. */
  @ParameterizedTest
  @CsvSource({
    "Am, 1, 0+1440:33 1440+2400:33",
    "Am/C, 1, 0+1440:36 1440+2400:36",
    "C/G Am, 1, 0+1440:31 1440+480:31 1920+1920:33"
  })
  void aLocked808FollowsKicksAndBasses(String chords, int bars, String notes) {
    FollowRule rule = new FollowRule.Bass808(KickLink.LOCKED, new Figure("x"), 28);
    assertThat(resolve(rule, harmony(chords, bars), 0, 1440)).isEqualTo(notes);
  }

  @Test
  void withoutKicksThereIsOne808NoteAChord() {
    FollowRule rule = new FollowRule.Bass808(KickLink.LOCKED, new Figure("x"), 28);
    assertThat(resolve(rule, harmony("Am | F", 2))).isEqualTo("0+3840:33 3840+3840:29");
  }

  @Test
  void anIndependent808NeverHoldsOverAChord() {
    FollowRule rule =
        new FollowRule.Bass808(KickLink.INDEPENDENT, new Figure("........x-------"), 28);
    assertThat(resolve(rule, harmony("Am . . F", 1))).isEqualTo("1920+960:33");
  }

  @Test
  void everyFourthStrikeOfABassGoesToTheFifth() {
    FollowRule rule = new FollowRule.Bass(new Figure("x...x...x...x..."), 28, false, true);
    assertThat(resolve(rule, harmony("Am", 1)))
        .isEqualTo("0+240:33 960+240:33 1920+240:33 2880+240:40");
  }

  /** Common practice: a step-wise pick-up into the next chord, here from above and from below. */
  @ParameterizedTest
  @CsvSource({"Am | F, 31", "F | Am, 31", "Am | C, 35", "C | Am, 35"})
  void aPickUpIsTheScaleNoteBesideTheNextBass(String chords, int pickUp) {
    FollowRule rule = new FollowRule.Bass(new Figure("x---------------"), 28, true, false);
    List<Note> notes =
        Follower.of(PartId.of("keys"), harmony(chords, 2), BRIEF.key()).resolve(rule);
    assertThat(notes)
        .filteredOn(n -> n.start() == 3600)
        .extracting(Note::key)
        .containsExactly(pickUp);
    assertThat(notes.get(0).ticks()).isEqualTo(3600);
  }

  @Test
  void aBassThatStaysNeedsNoPickUp() {
    FollowRule rule = new FollowRule.Bass(new Figure("x---------------"), 28, true, false);
    assertThat(resolve(rule, harmony("Am | F/A", 2))).isEqualTo("0+3840:33 3840+3840:33");
  }
}
