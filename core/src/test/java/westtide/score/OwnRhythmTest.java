package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.file.SongFile;
import westtide.file.disk.UnusableFileException;
import westtide.score.event.ScoredNote;
import westtide.song.Brief;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.PatternEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.edit.line.LinePatternEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/** Lines against the bar, notes of every nth pass, and rhythms taken from another part. */
class OwnRhythmTest {
  private static final Brief BRIEF = Songs.brief("A minor", 50);
  private static final PartId LEAD = PartId.of("lead");
  private static final PartId BASS = PartId.of("bass");

  @TempDir Path folder;

  private static Song song(Pattern lead, Pattern bass) {
    return Songs.oneHook(
        BRIEF,
        "Am | F",
        4,
        Songs.part("lead", Role.LINE, lead),
        Songs.part("bass", Role.BASS, bass));
  }

  private static Pattern.Written line(Note... notes) {
    return new Pattern.Written(1, List.of(notes));
  }

  private static List<Integer> starts(Song song, PartId part) {
    return Score.of(song).part(part).orElseThrow().notes().stream().map(ScoredNote::start).toList();
  }

  private Song saved(Song song) throws UnusableFileException {
    Path file = folder.resolve("own-rhythm.tide");
    SongFile.write(song, file);
    return SongFile.read(file);
  }

  /** Arithmetic: five sixteenths are 1200 ticks, so that a bar of 3840 never divides by them. */
  @Test
  void aLineOfFiveStepsRunsAgainstTheBarAndStartsAgainWhereItShould() {
    Pattern.Written five = line(new Note(0, 240, 69, 90)).withCycle(new LineCycle(5, 0));
    Song song = song(five, line(new Note(0, 240, 45, 90)));
    assertThat(starts(song, LEAD)).startsWith(0, 1200, 2400, 3600, 4800).hasSize(13);
    Song restarting = new LinePatternEdits(LEAD, "A").cycle(new LineCycle(5, 1)).apply(song);
    assertThat(starts(restarting, LEAD)).startsWith(0, 1200, 2400, 3600, 3840, 5040).hasSize(16);
  }

  @Test
  void aNoteOfEveryFourthPassIsHeardOnceInFour() {
    Pattern.Written line = line(new Note(0, 240, 69, 90), new Note(480, 240, 81, 90).withEvery(4));
    assertThat(starts(song(line, line(new Note(0, 240, 45, 90))), LEAD))
        .containsExactly(0, 3840, 7680, 11520, 12000);
  }

  @Test
  void aBorrowedRhythmGoesOnFollowingAndEndsWithItsModel() throws UnusableFileException {
    Song song =
        song(
            line(new Note(0, 960, 69, 90), new Note(960, 960, 72, 80)),
            line(new Note(240, 240, 45, 100), new Note(1920, 480, 41, 100)));
    Song borrowed = new LinePatternEdits(LEAD, "A").borrow(BASS).apply(song);
    List<ScoredNote> notes = Score.of(borrowed).part(LEAD).orElseThrow().notes();
    assertThat(notes.subList(0, 4))
        .extracting(ScoredNote::start)
        .containsExactly(240, 1920, 4080, 5760);
    assertThat(notes.subList(0, 4))
        .extracting(ScoredNote::ticks)
        .containsExactly(240, 480, 240, 480);
    assertThat(notes.subList(0, 4)).extracting(ScoredNote::key).containsExactly(69, 72, 69, 72);
    assertThat(saved(borrowed)).isEqualTo(borrowed);
    Song changed =
        borrowed.withPart(
            BASS, p -> p.with(p.patterns().get(0).withPattern(line(new Note(480, 240, 45, 90)))));
    assertThat(starts(changed, LEAD)).containsExactly(480, 4320, 8160, 12000);
    assertThat(Score.of(borrowed).after(changed)).isEqualTo(Score.of(changed));
    Song alone = new PartEdits(BASS).remove().apply(borrowed);
    assertThat(starts(alone, LEAD)).startsWith(0, 960, 3840);
    assertThat(new LinePatternEdits(LEAD, "A").ownRhythm().apply(borrowed)).isEqualTo(song);
  }

  @Test
  void partsThatWaitForEachOtherAreRefused() {
    Song song =
        song(
            line(new Note(0, 960, 69, 90)),
            new Pattern.Following(LowLine.of(28).listening(LowLine.Rhythm.GAPS, LEAD)));
    assertThat(starts(song, BASS)).isNotEmpty().doesNotContain(0);
    assertThatThrownBy(() -> new LinePatternEdits(LEAD, "A").borrow(BASS).apply(song))
        .hasMessageContaining("listens to itself in a circle");
  }

  /** A percussion lane copies the bass and goes on doing so when only the bass is edited. */
  @Test
  void aLaneOfDrumsTakesTheRhythmOfTheBassAndKeepsUpWithIt() throws UnusableFileException {
    Pattern groove = Songs.groove(1, DrumVoice.PERCUSSION, "X...............");
    Song plain =
        Songs.oneHook(
            BRIEF,
            "Am",
            2,
            Songs.part("drums", Role.DRUMS, groove),
            Songs.part(
                "bass", Role.BASS, line(new Note(240, 240, 45, 90), new Note(960, 240, 45, 90))));
    PartId drums = PartId.of("drums");
    DrumEdits edits = new DrumEdits(drums, "A");
    Song song = edits.borrow(DrumVoice.PERCUSSION.lane(), Optional.of(BASS)).apply(plain);
    Score score = Score.of(song);
    assertThat(starts(song, drums)).containsExactly(240, 960, 4080, 4800);
    assertThat(saved(song)).isEqualTo(song);
    Song changed =
        song.withPart(
            BASS, p -> p.with(p.patterns().get(0).withPattern(line(new Note(480, 240, 45, 90)))));
    assertThat(score.after(changed)).isEqualTo(Score.of(changed));
    assertThat(starts(changed, drums)).containsExactly(480, 4320);
    assertThat(starts(new PartEdits(BASS).remove().apply(song), drums)).containsExactly(0, 3840);
    assertThatThrownBy(() -> edits.borrow(DrumVoice.KICK.lane(), Optional.of(BASS)).apply(song))
        .hasMessageContaining("borrows no rhythm");
  }

  @Test
  void aLaneBorrowsInOneGrooveAndInWhatFollowsItOnly() throws UnusableFileException {
    PartId drums = PartId.of("drums");
    LaneId lane = DrumVoice.PERCUSSION.lane();
    Song plain =
        Songs.oneHook(
            BRIEF,
            "Am",
            1,
            Songs.part(
                "drums", Role.DRUMS, Songs.groove(1, DrumVoice.PERCUSSION, "X...............")),
            Songs.part("bass", Role.BASS, line(new Note(240, 240, 45, 90))));
    Song grown =
        new GrooveEdits(drums, "A")
            .grow("B", Songs.groove(1, DrumVoice.PERCUSSION, "X...X..........."))
            .apply(plain);
    Song both =
        grown.withPart(
            drums,
            p ->
                p.with(
                    new NamedPattern(
                        "C", Songs.groove(1, DrumVoice.PERCUSSION, "....X..........."))));
    Song song = new DrumEdits(drums, "A").borrowHere(lane, Optional.of(BASS)).apply(both);
    assertThat(starts(song, drums)).containsExactly(240);
    assertThat(starts(playing(song, drums, "B"), drums)).as("follows A").containsExactly(240);
    assertThat(starts(playing(song, drums, "C"), drums)).as("its own").containsExactly(960);
    assertThat(saved(song)).isEqualTo(song);
    Song renamed = new PatternEdits(drums, "A").rename("verse").apply(song);
    assertThat(starts(renamed, drums)).containsExactly(240);
    Song inAll = new DrumEdits(drums, "C").borrow(lane, Optional.of(BASS)).apply(song);
    assertThat(starts(playing(inAll, drums, "C"), drums)).containsExactly(240);
    Song notInC = new DrumEdits(drums, "C").borrowHere(lane, Optional.empty()).apply(inAll);
    assertThat(starts(playing(notInC, drums, "C"), drums)).containsExactly(960);
    assertThat(starts(notInC, drums)).as("A goes on borrowing").containsExactly(240);
    Song without = new PatternEdits(drums, "A").drop().apply(song);
    assertThat(without.part(drums).orElseThrow().borrowed()).isEmpty();
  }

  private static Song playing(Song song, PartId part, String pattern) {
    return song.withForm(
        song.form().each(s -> s.withEachCell(part, cell -> cell.withPattern(pattern))));
  }
}
