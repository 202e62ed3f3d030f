package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;
import static westtide.Ensembles.after;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Ensembles;
import westtide.Songs;
import westtide.rhythm.Figure;
import westtide.rhythm.Hit;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.line.LineEdits;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.ChordPartEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.ChordMember;

/** Parts beside one another, held notes, and where every note comes from. */
class EnsembleScoreTest {
  private static final int BAR = 3840;

  private static String starts(Song song, String part) {
    return Score.of(song).part(PartId.of(part)).orElseThrow().notes().stream()
        .map(ScoredNote::start)
        .distinct()
        .map(String::valueOf)
        .collect(Collectors.joining(" "));
  }

  private static String notes(Song song, String part) {
    return Score.of(song).part(PartId.of(part)).orElseThrow().notes().stream()
        .map(n -> n.start() + "+" + n.ticks() + ":" + n.key() + "@" + n.velocity())
        .collect(Collectors.joining(" "));
  }

  /** At 120 BPM 25 ms are 48 ticks. */
  @Test
  void aHeldPadAStrummedGuitarAndAnOffBeatPluckStandOverOneProgression() {
    Song song =
        Ensembles.song(
            "A minor",
            "Am | F",
            2,
            Ensembles.chords("pad"),
            Ensembles.strummed("guitar", 25),
            Ensembles.chords("pluck", "..x-..x-..x-..x-"));
    assertThat(starts(song, "pad")).isEqualTo("0 3840");
    assertThat(starts(song, "guitar")).isEqualTo("0 48 96 144 3840 3888 3936 3984");
    assertThat(starts(song, "pluck")).isEqualTo("480 1440 2400 3360 4320 5280 6240 7200");
  }

  @Test
  void onePartLeavesNotesOfOneChordOut() {
    Song song =
        Ensembles.song(
            "A minor", "Am | Am", 2, Ensembles.chords("pad"), Ensembles.chords("guitar"));
    Song thinner =
        new ChordPartEdits(PartId.of("guitar"))
            .without("hook", 1, Set.of(ChordMember.FIFTH, ChordMember.BASS))
            .apply(song);
    assertThat(notes(thinner, "pad")).isEqualTo(notes(song, "pad"));
    List<ScoredNote> guitar = Score.of(thinner).part(PartId.of("guitar")).orElseThrow().notes();
    assertThat(guitar.stream().filter(n -> n.start() == 0)).hasSize(4);
    assertThat(guitar.stream().filter(n -> n.start() == BAR).map(n -> n.key() % 12))
        .containsExactlyInAnyOrder(9, 0);
  }

  @Test
  void aPartPlaysAnotherProgressionThanItsSection() {
    Song song = Ensembles.song("A minor", "Am | F", 2, Ensembles.chords("pad"));
    Song two =
        song.withProgressions(
            List.of(
                song.progressions().get(0),
                Songs.progression(song.brief(), "Dm | E").withName("other")));
    Song own = new ChordPartEdits(PartId.of("pad")).progression(Optional.of("other")).apply(two);
    ScoredPart pad = Score.of(own).parts().get(0);
    assertThat(pad.notes().get(0).key() % 12).isEqualTo(2);
    assertThat(pad.passages().get(0).chord(BAR).chord()).hasToString("E");
  }

  @Test
  void everyPartVariesInItsOwnWay() {
    Song song =
        Ensembles.song(
            "A minor", "Am | F | C | G", 4, Ensembles.chords("one"), Ensembles.chords("two"));
    Song varied =
        after(
            song,
            new ChordPartEdits(PartId.of("one")).vary(20, 7),
            new ChordPartEdits(PartId.of("two")).vary(20, 7));
    assertThat(notes(varied, "one")).isNotEqualTo(notes(varied, "two"));
    assertThat(notes(varied, "one")).isEqualTo(notes(varied, "one"));
  }

  // Held notes.

  private static Part held(int start, int ticks, int bars) {
    return Songs.part(
        "pad", Role.LINE, new Pattern.Written(bars, List.of(new Note(start, ticks, 60, 100))));
  }

  private static Song cells(Song song, Cell... cells) {
    return song.withForm(song.form().each(s -> s.withCells(PartId.of("pad"), List.of(cells))));
  }

  /** Half is 72 % of the velocity, full 100 %. */
  @ParameterizedTest
  @CsvSource({
    "half, full, 0+3840:60@72 3840+3840:60@100",
    "full, full, 0+7680:60@100",
    "full, out, 0+3840:60@100",
    "out, full, 3840+3840:60@100"
  })
  void aNoteThatIsHeldOverAChangeOfLevelGoesOn(String first, String second, String heard) {
    Song song = Ensembles.song("C", "C", 2, held(0, 2 * BAR, 2));
    Song split =
        cells(song, new Cell(0, Level.parse(first), "A"), new Cell(1, Level.parse(second), "A"));
    assertThat(notes(split, "pad")).isEqualTo(heard);
  }

  @Test
  void whatGoesOnIsNotStruckAgainInTheScore() {
    Song song = Ensembles.song("C", "C", 2, held(0, 2 * BAR, 2));
    Song split = cells(song, new Cell(0, Level.HALF, "A"), new Cell(1, Level.FULL, "A"));
    assertThat(Score.of(split).parts().get(0).notes())
        .extracting(ScoredNote::since)
        .containsExactly(0, BAR);
    Song entering = cells(song, new Cell(0, Level.OUT, "A"), new Cell(1, Level.FULL, "A"));
    assertThat(Score.of(entering).parts().get(0).notes())
        .as("a part that comes in strikes what is under way")
        .extracting(ScoredNote::since)
        .containsExactly(0);
  }

  @Test
  void aHeldNoteRingsIntoAnotherPatternUntilThatStrikes() {
    Pattern.Written next = new Pattern.Written(2, List.of(new Note(BAR + 960, 960, 64, 100)));
    Part pad = Ensembles.with(held(0, 2 * BAR, 2), new NamedPattern("B", next));
    Song song = Ensembles.song("C", "C", 2, pad);
    Song turned = cells(song, new Cell(0, Level.FULL, "A"), new Cell(1, Level.HALF, "B"));
    assertThat(notes(turned, "pad")).isEqualTo("0+3840:60@100 3840+960:60@72 4800+960:64@72");
  }

  // Low parts.

  @Test
  void an808HearsTheKicksOfWhicheverDrumsPlay() {
    Part kit = Songs.part("kit", Role.DRUMS, Songs.groove(1, DrumVoice.SNARE, "....x.......x..."));
    Part kicks =
        Songs.part("kicks", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x.....x........."));
    FollowRule rule = new FollowRule.Bass808(KickLink.LOCKED, new Figure("x---------------"), 28);
    Part sub = Songs.part("808", Role.SUB, new Pattern.Following(rule));
    Song song = Ensembles.song("A minor", "Am", 1, kit, kicks, sub);
    assertThat(starts(song, "808")).isEqualTo("0 1440");
  }

  @Test
  void everyNoteKnowsItsPatternAndPlace() {
    Song song = Songs.draft("trap", 2);
    for (ScoredPart part : Score.of(song).parts()) {
      for (Passage passage : part.passages()) {
        for (ScoredNote note : passage.notes()) {
          boolean early = note.written() >= passage.end() || note.written() < passage.start();
          assertThat(early || note.source().pattern().equals(passage.name())).isTrue();
          passage
              .line()
              .ifPresent(
                  line ->
                      assertThat(line.notes().get(note.source().index()).key())
                          .isEqualTo(note.key() - (passage.level() == Level.HINT ? 12 : 0)));
          boolean announced = note.of(DrumVoice.CRASH);
          if (note.struck().isPresent() && !early && !announced) {
            assertThat(
                    passage
                        .groove()
                        .orElseThrow()
                        .find(note.struck().get().lane())
                        .orElseThrow()
                        .lane()
                        .at(note.source().index()))
                .isPresent();
          }
        }
      }
    }
  }

  @Test
  void passagesTellWhatIsHeardWhere() {
    Song song = Songs.draft("trap", 2);
    Score score = Score.of(song);
    for (ScoredPart part : score.parts()) {
      for (Passage passage : part.passages()) {
        assertThat(passage.level()).isNotEqualTo(Level.OUT);
        assertThat(song.form().id(passage.place())).isEqualTo(passage.section());
        assertThat(passage.harmony().progression())
            .isEqualTo(song.form().sections().get(passage.place()).progression());
      }
      assertThat(part.passages().stream().mapToInt(p -> p.notes().size()).sum())
          .isEqualTo((int) part.notes().stream().filter(n -> !n.source().transition()).count());
    }
  }

  // Taking over what an edit did not reach.

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void aScoreAfterAnEditIsTheScoreOfTheEditedSong(long seed) {
    Random random = new Random(seed);
    Song song = Songs.draft(seed % 2 == 0 ? "trap" : "house", seed);
    Score score = Score.of(song);
    for (int i = 0; i < 40; i++) {
      song = any(random, song, i).apply(song);
      score = score.after(song);
      assertThat(score).isEqualTo(Score.of(song));
    }
  }

  @Test
  void anEditOfOnePartLeavesTheNotesOfTheOthersAsTheyAre() {
    Song song = Songs.draft("trap", 1);
    Score before = Score.of(song);
    Song edited = new LineEdits(PartId.of("lead"), "A").transpose(2).apply(song);
    Score after = before.after(edited);
    assertThat(after.part(PartId.of("drums")).orElseThrow())
        .isSameAs(before.part(PartId.of("drums")).orElseThrow());
    assertThat(after.part(PartId.of("lead")).orElseThrow())
        .isNotSameAs(before.part(PartId.of("lead")).orElseThrow());
  }

  private static Edit any(Random random, Song song, int turn) {
    Part one = song.parts().get(random.nextInt(song.parts().size()));
    int place = random.nextInt(song.form().sections().size());
    DrumEdits drums = new DrumEdits(PartId.of("drums"), "A");
    return switch (random.nextInt(10)) {
      case 0 -> drums.place(DrumVoice.KICK.lane(), Hit.of(random.nextInt(16), 100));
      case 1 -> drums.remove(DrumVoice.KICK.lane(), random.nextInt(16));
      case 2 -> new LineEdits(PartId.of("lead"), "A").transpose(random.nextInt(5) - 2);
      case 3 ->
          FormEdits.level(song.form().id(place), one.id(), 0, Level.values()[random.nextInt(5)]);
      case 4 -> new ChordEdits("hook").remove(0);
      case 5 -> new PartEdits(one.id()).transpose(random.nextInt(24) - 12);
      case 6 ->
          one.role() == Role.DRUMS
              ? new PartEdits(one.id()).move(random.nextInt(4))
              : new PartEdits(one.id()).doubled(PartId.of("double-" + turn), "Double", 1, Set.of());
      case 7 -> FormEdits.move(song.form().id(place), 0);
      case 8 -> BriefEdits.transpose(random.nextInt(7) - 3);
      default -> FormEdits.resize(song.form().id(place), 2 + random.nextInt(8));
    };
  }

  @Test
  void sectionsKeepTheirIdsWhereverTheyGo() {
    Song song = Songs.draft("trap", 1);
    Form moved = FormEdits.move(song.form().id(1), 3).apply(song).form();
    assertThat(moved.id(3)).isEqualTo(song.form().id(1));
    assertThat(moved.place(song.form().id(1))).hasValue(3);
    Song added =
        FormEdits.add(1, song.form().sections().get(2).withId(westtide.song.id.SectionId.NEW))
            .apply(song);
    assertThat(added.form().sections()).extracting(s -> s.id().number()).doesNotHaveDuplicates();
  }
}
