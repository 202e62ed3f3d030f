package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Ensembles;
import westtide.Songs;
import westtide.rhythm.Figure;
import westtide.rhythm.Hit;
import westtide.score.event.ScoredNote;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.Pattern;
import westtide.theory.NoteName;
import westtide.theory.voicing.VoicingRange;

class ScoreTest {
  private static final Brief STRAIGHT = Songs.brief("F# minor", 50);
  private static final Figure OWN = new Figure("x-------........");

  private static Part drums(Pattern.Drums groove) {
    return Songs.part("drums", Role.DRUMS, groove);
  }

  private static Part sub(KickLink link) {
    FollowRule rule = new FollowRule.Bass808(link, OWN, 28);
    return Songs.part("808", Role.SUB, new Pattern.Following(rule));
  }

  private static String notes(Song song, PartId part) {
    return Score.of(song).part(part).orElseThrow().notes().stream()
        .map(note -> note.start() + "+" + note.ticks() + ":" + note.key())
        .collect(Collectors.joining(" "));
  }

  @Test
  void a808LockedToTheKickLastsToTheNextAndStandsOnTheRoots() {
    Part kick = drums(Songs.groove(1, DrumVoice.KICK, "x.....x........."));
    Song song = Songs.oneHook(STRAIGHT, "F#m | D", 2, kick, sub(KickLink.LOCKED));
    assertThat(notes(song, PartId.of("808")))
        .isEqualTo("0+1440:30 1440+2400:30 3840+1440:38 5280+2400:38");
  }

  @Test
  void aChordChangeWithoutAKickMovesThe808WhereTheBassMoves() {
    Part kick = drums(Songs.groove(1, DrumVoice.KICK, "x..............."));
    Song song = Songs.oneHook(STRAIGHT, "F#m A/F# D", 1, kick, sub(KickLink.LOCKED));
    assertThat(notes(song, PartId.of("808"))).isEqualTo("0+2560:30 2560+1280:38");
  }

  @Test
  void anIndependent808KeepsItsOwnRhythm() {
    Part kick = drums(Songs.groove(1, DrumVoice.KICK, "x.x.x.x.x.x.x.x."));
    Song song = Songs.oneHook(STRAIGHT, "F#m | D", 2, kick, sub(KickLink.INDEPENDENT));
    assertThat(notes(song, PartId.of("808"))).isEqualTo("0+1920:30 3840+1920:38");
  }

  /** Arithmetic: at 60 % the second sixteenth of a pair stands 48 ticks late. */
  @Test
  void swingMovesOffStepsAndWhateverFollowsThem() {
    Part kick = drums(Songs.groove(1, DrumVoice.KICK, "xx.x............"));
    Song song = Songs.oneHook(Songs.brief("F# minor", 60), "F#m", 1, kick, sub(KickLink.LOCKED));
    assertThat(Score.of(song).part(PartId.of("drums")).orElseThrow().notes())
        .extracting(ScoredNote::start)
        .containsExactly(0, 288, 768);
    assertThat(notes(song, PartId.of("808"))).isEqualTo("0+288:30 288+480:30 768+3072:30");
  }

  @Test
  void theClosedHatIsSilentWhereTheOpenOneStarts() {
    Part hats =
        drums(
            Songs.groove(
                1,
                DrumVoice.CLOSED_HAT,
                "x.x.x.x.x.x.x.x.",
                DrumVoice.OPEN_HAT,
                "..x...x........."));
    Song song = Songs.oneHook(STRAIGHT, "F#m", 1, hats);
    assertThat(Score.of(song).part(PartId.of("drums")).orElseThrow().notes())
        .filteredOn(note -> note.key() == DrumVoice.CLOSED_HAT.note())
        .extracting(ScoredNote::start)
        .containsExactly(0, 960, 1920, 2400, 2880, 3360);
  }

  @Test
  void aRollIsSplitEvenlyAndALaneOfItsOwnLengthRunsOn() {
    Part hats =
        drums(Songs.groove(1, DrumVoice.CLOSED_HAT, "x3....", DrumVoice.KICK, "x..............."));
    Song song = Songs.oneHook(STRAIGHT, "F#m", 1, hats);
    assertThat(Score.of(song).part(PartId.of("drums")).orElseThrow().notes())
        .filteredOn(note -> note.key() == DrumVoice.CLOSED_HAT.note())
        .extracting(ScoredNote::start)
        .containsExactly(0, 80, 160, 1200, 1280, 1360, 2400, 2480, 2560, 3600, 3680, 3760);
  }

  @ParameterizedTest
  @CsvSource({"OUT, 0", "HINT, 45", "HALF, 72", "FULL, 100", "LIFTED, 112"})
  void aTankScalesTheVelocities(Level level, int velocity) {
    Part lead =
        Songs.part("lead", Role.LINE, new Pattern.Written(1, List.of(new Note(0, 240, 70, 100))));
    Song song = Songs.oneHook(STRAIGHT, "F#m", 1, lead);
    Song filled = FormEdits.level(SectionId.of(1), PartId.of("lead"), 0, level).apply(song);
    List<ScoredNote> notes = Score.of(filled).part(PartId.of("lead")).orElseThrow().notes();
    assertThat(notes).hasSize(level == Level.OUT ? 0 : 1);
    assertThat(notes).allMatch(note -> note.velocity() == velocity);
  }

  @Test
  void aWrittenLineRepeatsAndIsCutWhereItsCellEnds() {
    Part lead =
        Songs.part(
            "lead", Role.LINE, new Pattern.Written(1, List.of(new Note(2880, 1920, 70, 90))));
    Song song = Songs.oneHook(STRAIGHT, "F#m", 3, lead);
    Song half =
        FormEdits.level(SectionId.of(1), PartId.of("lead"), 2, Level.OUT)
            .apply(FormEdits.split(SectionId.of(1), PartId.of("lead"), 2).apply(song));
    assertThat(notes(half, PartId.of("lead"))).isEqualTo("2880+1920:70 6720+960:70");
  }

  @Test
  void aFigureStrikesEachChordAndLosesNone() {
    FollowRule rule =
        FollowRule.Chords.of(
            new VoicingRange(51, 58, 76), java.util.Optional.of(new Figure("x-..x-..........")));
    Part keys = Songs.part("keys", Role.CHORDS, new Pattern.Following(rule));
    Song song = Songs.oneHook(STRAIGHT, "F#m D", 1, keys);
    Set<Integer> starts = new HashSet<>();
    Score.of(song)
        .part(PartId.of("keys"))
        .orElseThrow()
        .notes()
        .forEach(note -> starts.add(note.start()));
    assertThat(starts).containsExactlyInAnyOrder(0, 960, 1920);
  }

  @Test
  void aBassStepsIntoTheNextChordWithANoteOfTheKey() {
    FollowRule rule = new FollowRule.Bass(new Figure("x---------------"), 28, true, false);
    Part bass = Songs.part("bass", Role.BASS, new Pattern.Following(rule));
    Song song = Songs.oneHook(STRAIGHT, "F#m | D", 2, bass);
    assertThat(notes(song, PartId.of("bass"))).isEqualTo("0+3600:30 3600+240:37 3840+3840:38");
  }

  /** What every draft's score keeps to, in every style, over many seeds. */
  @Test
  void everyDraftIsPlayable() {
    for (String style : List.of("trap", "house", "boom-bap")) {
      for (long seed = 0; seed < 25; seed++) {
        Song song = Songs.draft(style, seed);
        Score score = Score.of(song);
        assertThat(score.ticks()).isEqualTo(song.form().bars() * 3840);
        for (ScoredPart part : score.parts()) {
          assertThat(part.notes()).as(part.part().name()).isNotEmpty();
          assertThat(part.notes()).allMatch(n -> n.start() >= 0 && n.end() <= score.ticks());
          assertNoneStartsTwice(part.notes());
        }
        assert808OnBasses(song, score);
      }
    }
  }

  private static void assertNoneStartsTwice(List<ScoredNote> notes) {
    int[] until = new int[128];
    for (ScoredNote note : notes) {
      assertThat(note.start()).isGreaterThanOrEqualTo(until[note.key()]);
      until[note.key()] = note.end();
    }
  }

  private static void assert808OnBasses(Song song, Score score) {
    int bar = 3840;
    for (int i = 0; i < song.form().sections().size(); i++) {
      Section section = song.form().sections().get(i);
      int start = song.form().startBar(i) * bar;
      List<PlacedChord> chords = song.progression(section.progression()).over(section.bars() * bar);
      for (PlacedChord chord : chords) {
        int from = start + chord.start();
        assertThat(score.parts(Role.SUB).get(0).between(from, from + 1))
            .filteredOn(note -> note.start() == from)
            .allMatch(note -> note.key() % 12 == chord.chord().bass().pitchClass());
      }
    }
  }

  /** A soft stroke 30 ticks before the hit; 0.55 of velocity 92 is 51. */
  @Test
  void aFlamIsASoftStrokeBeforeTheHit() {
    Pattern.Drums groove =
        Songs.groove(1, DrumVoice.SNARE, "....x...........")
            .withLane(DrumVoice.SNARE.lane(), lane -> lane.with(Hit.of(4, 92).withFlam(30)));
    Song song =
        Songs.oneHook(Songs.brief("A minor", 50), "Am", 1, Songs.part("drums", Role.DRUMS, groove));
    assertThat(Score.of(song).parts().get(0).notes())
        .extracting(note -> note.start() + ":" + note.velocity())
        .containsExactly("930:51", "960:92");
  }

  @Test
  void aHitOnEveryFourthPassIsHeardOnTheFourthBar() {
    Pattern.Drums groove = Songs.groove(1, DrumVoice.TOM, "x/4...............");
    Song song =
        Songs.oneHook(Songs.brief("A minor", 50), "Am", 8, Songs.part("drums", Role.DRUMS, groove));
    assertThat(Score.of(song).parts().get(0).notes())
        .extracting(ScoredNote::start)
        .containsExactly(3 * 3840, 7 * 3840);
  }

  /**
   * Arithmetic: the lane's nudge and the hit's own add up; varied places stay within the amount.
   */
  @Test
  void aLaneIsLateAsAWholeAndItsHitsDiffer() {
    DrumEdits edits = new DrumEdits(PartId.of("drums"), "A");
    Pattern.Drums plain = Songs.groove(1, DrumVoice.CLOSED_HAT, "x...x...x...x...");
    Song song =
        Songs.oneHook(Songs.brief("A minor", 50), "Am", 4, Songs.part("drums", Role.DRUMS, plain));
    Song late = edits.feel("Move", DrumVoice.CLOSED_HAT.lane(), f -> f.withNudge(14)).apply(song);
    assertThat(Score.of(late).parts().get(0).notes())
        .extracting(note -> note.start() % 960)
        .containsOnly(14);
    Song loose =
        edits
            .feel("Vary", DrumVoice.CLOSED_HAT.lane(), f -> f.withTicks(9).withVelocity(10))
            .apply(late);
    List<ScoredNote> notes = Score.of(loose).parts().get(0).notes();
    assertThat(notes).isEqualTo(Score.of(loose).parts().get(0).notes());
    assertThat(notes).allMatch(n -> n.start() % 960 >= 5 && n.start() % 960 <= 23);
    assertThat(notes).allMatch(n -> Math.abs(n.velocity() - 92) <= 10);
    assertThat(notes.stream().map(ScoredNote::velocity).distinct().count()).isGreaterThan(5);
    Song anew = edits.feel("Anew", DrumVoice.CLOSED_HAT.lane(), f -> f.withSeed(2)).apply(loose);
    assertThat(Score.of(anew).parts().get(0).notes()).isNotEqualTo(notes);
  }

  @Test
  void notesStandInOrderAndAStretchHasThoseThatStartInIt() {
    for (String style : List.of("trap", "amapiano", "boom bap")) {
      Score score = Score.of(Songs.draft(style, 3));
      for (ScoredPart part : score.parts()) {
        assertThat(part.notes())
            .isSortedAccordingTo(
                Comparator.comparingInt(ScoredNote::start).thenComparingInt(ScoredNote::key));
        for (int from = -960; from < score.ticks(); from += 3000) {
          int start = from;
          int end = from + 4321;
          List<ScoredNote> expected =
              part.notes().stream().filter(n -> n.start() >= start && n.start() < end).toList();
          assertThat(part.between(start, end)).isEqualTo(expected);
        }
      }
    }
  }

  /** Common practice: an 808 plays one note at a time, however far its notes were drawn. */
  @Test
  void a808IsCutWhereItsNextNoteStarts() {
    Pattern written =
        new Pattern.Written(1, List.of(new Note(0, 3840, 30, 100), new Note(960, 960, 33, 100)));
    Song song = Songs.oneHook(STRAIGHT, "F#m", 1, Songs.part("808", Role.SUB, written));
    assertThat(notes(song, PartId.of("808"))).isEqualTo("0+960:30 960+960:33");
    Song chord = Songs.oneHook(STRAIGHT, "F#m", 1, Songs.part("keys", Role.LINE, written));
    assertThat(notes(chord, PartId.of("keys"))).isEqualTo("0+3840:30 960+960:33");
  }

  /** Common practice: over a pedal the bass stays and the chords move. */
  @Test
  void overAPedalTheLowPartsStayAndTheChordsMove() {
    Part kick = drums(Songs.groove(1, DrumVoice.KICK, "x..............."));
    Part keys = Ensembles.chords("keys");
    Song song = Songs.oneHook(STRAIGHT, "F#m | D | E", 3, kick, sub(KickLink.LOCKED), keys);
    Song pedal =
        song.withForm(song.form().each(s -> s.withPedal(Optional.of(NoteName.parse("C#")))));
    assertThat(lowest(song, "808")).containsExactly(6, 2, 4);
    assertThat(lowest(pedal, "808")).containsExactly(1, 1, 1);
    assertThat(lowest(pedal, "keys")).containsExactly(1, 1, 1);
    assertThat(classes(pedal, "keys"))
        .containsExactly(Set.of(1, 6, 9), Set.of(1, 2, 6, 9), Set.of(1, 4, 8, 11));
  }

  private static List<Integer> lowest(Song song, String part) {
    return bars(song, part)
        .map(keys -> keys.stream().min(Integer::compare).orElseThrow() % 12)
        .toList();
  }

  private static List<Set<Integer>> classes(Song song, String part) {
    return bars(song, part)
        .map(keys -> keys.stream().map(k -> k % 12).collect(Collectors.toSet()))
        .toList();
  }

  private static Stream<List<Integer>> bars(Song song, String part) {
    var scored = Score.of(song).part(PartId.of(part)).orElseThrow();
    return IntStream.range(0, song.form().bars())
        .mapToObj(bar -> scored.between(bar * 3840, bar * 3840 + 3840))
        .map(notes -> notes.stream().map(ScoredNote::key).toList());
  }
}
