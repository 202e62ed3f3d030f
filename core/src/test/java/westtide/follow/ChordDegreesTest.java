package westtide.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/** Lines attached to the chords heard. */
class ChordDegreesTest {
  /** Lowest note E1, 28: over Am7 the bass is A1, 33; over F it is F1, 29. */
  @ParameterizedTest
  @CsvSource({
    "Am7 F, R, 33, 29",
    "Am7 F, R8, 45, 41",
    "Am7 F, bR3, 35, 32",
    "Am7 F, R3, 36, 33",
    "Am7 F, R5, 40, 36",
    "Am7 F, R7, 43, 40",
    "Am7/C F, R, 36, 29",
    "Am7/C F, R5, 40, 36",
    "Am7 F, >R, 29, 33",
    "Am7 F, >bR, 28, 32",
    "Am7 F, b7, 43, 43",
    "Am7 F, 5, 40, 40",
    "Am7 F, 8, 45, 45",
    "Am7/C F, 1, 33, 33"
  })
  void aDegreeIsFoundInTheChordHeard(String chords, String degree, int first, int second) {
    Song song = Songs.draft("trap", 1);
    Brief brief = song.brief().withKey(Key.parse("A minor"));
    Harmony harmony = Harmony.of(Songs.progression(brief, chords.replace(" ", " | ")), 2, brief);
    ChordDegrees degrees = new ChordDegrees(harmony, brief.key(), 28);
    ChordNote note = new ChordNote(0, 240, ChordDegree.parse(degree), 0, 92, 0);
    assertThat(degrees.midi(note, 0)).isEqualTo(first);
    assertThat(degrees.midi(note, 3840)).isEqualTo(second);
  }

  /** Over Fm9 the flat seventh of F sharp minor is E, the seventh of the chord E flat. */
  @Test
  void aFigureThatCouldMeanTheChordIsTold() {
    Song song = Songs.draft("trap", 1);
    Brief brief = song.brief().withKey(Key.parse("F# minor"));
    Harmony harmony = Harmony.of(Songs.progression(brief, "Fm9"), 1, brief);
    KeyFigures figures = new KeyFigures(new ChordDegrees(harmony, brief.key(), 28));
    assertThat(figures.told(List.of(note("R"), note("b7"))))
        .hasValueSatisfying(
            told -> assertThat(told).contains("b7").contains("E;").contains("R7").contains("Fm9"));
    assertThat(figures.told(List.of(note("R"), note("R7")))).isEmpty();
    Harmony home = Harmony.of(Songs.progression(brief, "F#m7"), 1, brief);
    assertThat(new KeyFigures(new ChordDegrees(home, brief.key(), 28)).told(List.of(note("b7"))))
        .as("over the tonic both are one note")
        .isEmpty();
  }

  private static ChordNote note(String degree) {
    return new ChordNote(0, 240, ChordDegree.parse(degree), 0, 92, 0);
  }

  /** A rule in writing plays the same notes, wherever its part plays. */
  @ParameterizedTest
  @ValueSource(strings = {"trap", "house", "drill", "amapiano", "lo-fi", "disco-pop"})
  void aRuleWrittenOutScoresTheSameNotes(String style) {
    Song song = Songs.draft(style, 3);
    Score before = Score.of(song);
    for (ScoredPart part : before.parts()) {
      boolean low = part.part().role() == Role.SUB || part.part().role() == Role.BASS;
      if (!low || part.passages().isEmpty()) {
        continue;
      }
      Passage passage = part.passages().get(part.passages().size() / 2);
      int bar = song.brief().meter().ticksPerBar();
      List<Note> resolved = resolved(song, passage, part.part());
      ChordDegrees degrees = new ChordDegrees(passage.harmony(), song.brief().key(), 28);
      ChordDegrees.Written written = degrees.written(resolved, bar);
      assertThat(degrees.resolve(written.notes(), written.bars() * bar))
          .as(style + " " + part.part().name())
          .isEqualTo(resolved);
    }
  }

  private static List<Note> resolved(Song song, Passage passage, Part part) {
    FollowRule rule = ((Pattern.Following) passage.pattern()).rule();
    return Follower.of(part.id(), passage.harmony(), song.brief().key())
        .hearing(List.of(0, 1920, 2880, 3840, 6720))
        .resolve(rule);
  }

  @Test
  void anAttachedLineFollowsAnotherChordAndAnotherKey() {
    Song song = Songs.draft("trap", 1);
    Part sub = song.parts(Role.SUB).get(0);
    Pattern.Attached root =
        new Pattern.Attached(1, 28, List.of(new ChordNote(0, 960, ChordDegree.ROOT, 0, 100, 0)));
    Song attached = song.withPart(sub.id(), p -> p.withPatterns(List.of(named(p, root))));
    List<Passage> passages = Score.of(attached).part(sub.id()).orElseThrow().passages();
    assertThat(passages).isNotEmpty();
    for (Passage passage : passages) {
      passage
          .notes()
          .forEach(
              note ->
                  assertThat(note.key() % 12)
                      .isEqualTo(passage.chord(note.written()).chord().bass().pitchClass()));
    }
  }

  private static NamedPattern named(Part part, Pattern pattern) {
    return new NamedPattern(part.patterns().get(0).name(), pattern);
  }
}
