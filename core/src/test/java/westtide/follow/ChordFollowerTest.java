package westtide.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Figure;
import westtide.song.Brief;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Progression;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.Strum;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.theory.NoteName;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingRange;

class ChordFollowerTest {
  private static final Brief BRIEF = Songs.brief("A minor", 50);
  private static final FollowRule.Chords RULE =
      FollowRule.Chords.of(new VoicingRange(51, 58, 76), Optional.empty());

  private static List<Note> play(FollowRule.Chords rule, Progression row, int bars) {
    return Follower.of(PartId.of("keys"), Harmony.of(row, bars, BRIEF), BRIEF.key()).resolve(rule);
  }

  /** The strikes as {@code tick+length}, each once. */
  private static String strikes(List<Note> notes) {
    Map<Integer, Integer> out = new TreeMap<>();
    notes.forEach(note -> out.put(note.start(), note.ticks()));
    return out.entrySet().stream()
        .map(e -> e.getKey() + "+" + e.getValue())
        .collect(Collectors.joining(" "));
  }

  private static Set<Integer> sounding(List<Note> notes, int tick) {
    Set<Integer> out = new TreeSet<>();
    notes.stream()
        .filter(n -> n.start() <= tick && n.end() > tick)
        .forEach(n -> out.add(n.key() % 12));
    return out;
  }

  @Test
  void aPushedChordComesEarlyForEveryoneWhoFollows() {
    Progression row = Songs.progression(BRIEF, "Am | <<F | C");
    List<Note> notes = play(RULE, row, 3);
    assertThat(strikes(notes)).isEqualTo("0+3360 3360+4320 7680+3840");
    FollowRule bass = new FollowRule.Bass(new Figure("x-x-x-x-x-x-x-x-"), 33, false, false);
    List<Note> low =
        Follower.of(PartId.of("keys"), Harmony.of(row, 3, BRIEF), BRIEF.key()).resolve(bass);
    assertThat(low)
        .filteredOn(n -> n.start() == 3360)
        .extracting(n -> n.key() % 12)
        .containsOnly(5);
  }

  /** What each family is described as, read off its strikes in 4/4 at 960 ticks a quarter. */
  @ParameterizedTest
  @CsvSource({
    "HELD, 0+3840 3840+3840",
    "SHORT_SHORT_LONG, 0+960 960+960 1920+1920 3840+960 4800+960 5760+1920",
    "PUSHED, 0+3360 3360+4320",
    "PUSHED_SIXTEENTH, 0+3600 3600+4080",
    "OFF_BEATS, 480+480 1440+480 2400+480 3360+480 4320+480 5280+480 6240+480 7200+480"
  })
  void aFamilyIsStruckAsItIsCalled(RhythmFamily family, String expected) {
    Progression row = Songs.progression(BRIEF, "Am | F").withRhythm(Optional.of(family.rhythm()));
    assertThat(strikes(play(RULE, row, 2))).isEqualTo(expected);
  }

  @Test
  void aQuickSwitchBorrowsTheNextChordForAMoment() {
    Progression row =
        Songs.progression(BRIEF, "Am | F")
            .withRhythm(Optional.of(RhythmFamily.QUICK_SWITCH.rhythm()));
    List<Note> notes = play(RULE, row, 2);
    assertThat(sounding(notes, 2640)).contains(5).doesNotContain(4);
    assertThat(sounding(notes, 2880)).contains(4).doesNotContain(5);
  }

  @Test
  void aPushInAFigureIsHeldOverItsWrittenPlace() {
    ChordRhythm rhythm = new ChordRhythm(Optional.of(new Figure("x---x---x---x---")), 480);
    Progression row = Songs.progression(BRIEF, "Am | F").withRhythm(Optional.of(rhythm));
    assertThat(strikes(play(RULE, row, 2)))
        .isEqualTo("0+960 960+960 1920+960 2880+480 3360+1440 4800+960 5760+960 6720+960");
  }

  @Test
  void aRestSilencesChordsBassAnd808() {
    Progression row = Songs.progression(BRIEF, "Am:12 -:4");
    assertThat(strikes(play(RULE, row, 1))).isEqualTo("0+2880");
    FollowRule bass = new FollowRule.Bass(new Figure("x---x---x---x---"), 33, false, false);
    assertThat(Follower.of(PartId.of("keys"), Harmony.of(row, 1, BRIEF), BRIEF.key()).resolve(bass))
        .extracting(Note::start)
        .containsExactly(0, 960, 1920);
    FollowRule sub = new FollowRule.Bass808(KickLink.LOCKED, new Figure("x---------------"), 28);
    assertThat(
            strikes(
                Follower.of(PartId.of("808"), Harmony.of(row, 1, BRIEF), BRIEF.key())
                    .hearing(List.of(0, 960, 2880, 3360))
                    .resolve(sub)))
        .isEqualTo("0+960 960+1920");
  }

  /** At 120 BPM a quarter of 960 ticks is 500 ms, so 25 ms are 48 ticks. */
  @Test
  void aStrumEntersNoteByNote() {
    Progression row = Songs.progression(BRIEF, "Am7");
    Progression strummed =
        row.withSpans(
            List.of(
                row.spans().get(0).withArticulation(m -> m.withStrum(Optional.of(Strum.up(25))))));
    List<Note> notes = play(RULE, strummed, 1);
    assertThat(notes).extracting(Note::start).containsExactly(0, 48, 96, 144);
    assertThat(notes).extracting(Note::key).isSorted();
    assertThat(notes).allMatch(note -> note.end() == 3840);
  }

  @Test
  void aStrumCanSlowDownOrHurryAndComeFromAbove() {
    Voicing voicing = new Voicing(List.of(48, 60, 64, 67, 71));
    assertThat(new Strum(true, 20, 0).late(voicing, 2)).isEqualTo(40);
    assertThat(new Strum(true, 20, 100).late(voicing, 2)).isLessThan(40);
    assertThat(new Strum(true, 20, -100).late(voicing, 2)).isGreaterThan(40);
    assertThat(new Strum(false, 20, 0).late(voicing, 4)).isZero();
    assertThat(new Strum(false, 20, 0).late(voicing, 0)).isEqualTo(80);
  }

  @Test
  void velocitiesVaryBySeedAndStayWithinTheAmount() {
    Progression row = Songs.progression(BRIEF, "Am7 Dm7 | G7 Cmaj7");
    List<Note> plain = play(RULE, row, 2);
    FollowRule.Chords varied = RULE.withVary(new FollowRule.Vary(12, 5));
    List<Note> first = play(varied, row, 2);
    assertThat(first).isEqualTo(play(varied, row, 2));
    assertThat(first).isNotEqualTo(play(RULE.withVary(new FollowRule.Vary(12, 6)), row, 2));
    for (int i = 0; i < plain.size(); i++) {
      assertThat(first.get(i).velocity())
          .isCloseTo(plain.get(i).velocity(), org.assertj.core.data.Offset.offset(12));
    }
    assertThat(first.stream().map(Note::velocity).distinct().count()).isGreaterThan(4);
  }

  @Test
  void aLayerFollowsAnOctaveUpWithoutWhatIsLeftOut() {
    Progression row = Songs.progression(BRIEF, "Am7 | Fmaj7");
    FollowRule.Chords layer =
        RULE.withLayer(new FollowRule.Layer(1, Set.of(ChordMember.BASS, ChordMember.SEVENTH)));
    List<Note> all = play(RULE, row, 2);
    List<Note> up = play(layer, row, 2);
    assertThat(sounding(up, 0)).containsOnly(0, 4);
    assertThat(sounding(up, 3840)).containsOnly(9, 0);
    assertThat(up).allMatch(note -> all.stream().anyMatch(a -> a.key() + 12 == note.key()));
  }

  @Test
  void aPedalHoldsTheBassUnderMovingChords() {
    Progression row = Songs.progression(BRIEF, "Am | F | G");
    Harmony over = Harmony.of(row, 3, BRIEF).overPedal(NoteName.parse("A"));
    List<Note> notes = Follower.of(PartId.of("keys"), over, BRIEF.key()).resolve(RULE);
    for (int bar = 0; bar < 3; bar++) {
      int start = bar * 3840;
      int lowest =
          notes.stream().filter(n -> n.start() == start).mapToInt(Note::key).min().orElseThrow();
      assertThat(lowest % 12).isEqualTo(9);
    }
  }

  @Test
  void aRegisterMovesEveryNote() {
    Progression row = Songs.progression(BRIEF, "Am | F");
    List<Note> usual = play(RULE, row, 2);
    List<Note> high = play(RULE, row.withOctave(1), 2);
    assertThat(high)
        .extracting(Note::key)
        .isEqualTo(usual.stream().map(n -> n.key() + 12).toList());
  }
}
