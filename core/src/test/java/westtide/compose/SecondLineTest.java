package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.line.SecondLine;
import westtide.follow.Harmony;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.id.Seed;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/** Lines beside a lead: few notes, in its rests, elsewhere (common practice). */
class SecondLineTest {
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void aCounterLineStandsInTheRestsOfTheLeadAndInAnotherRegister(long seed) {
    Song song = Songs.draft("trap", seed);
    Part lead = song.parts(Role.LINE).get(0);
    Pattern.Written line = (Pattern.Written) lead.pattern("A").pattern();
    Harmony harmony = Harmony.of(song.progressions().get(0), line.bars(), song.brief());
    SecondLine second = new SecondLine(song.brief().key(), song.brief().meter(), harmony);
    List<Note> counter = second.counter(line.notes(), line.bars(), new Seed(seed)).notes();
    int bar = song.brief().meter().ticksPerBar();
    long inUnit = counter.stream().filter(note -> note.start() < 2 * bar).count();
    assertThat(inUnit).isBetween(3L, 6L);
    for (Note note : counter.stream().filter(n -> n.start() < 2 * bar).toList()) {
      assertThat(line.notes()).noneMatch(n -> Math.abs(n.start() - note.start()) < 480);
      PlacedChord chord = harmony.at(note.start());
      assertThat(chord.chord().contains(note.key() % 12)).isTrue();
    }
    double middle = line.notes().stream().mapToInt(Note::key).average().orElseThrow();
    double own = counter.stream().mapToInt(Note::key).average().orElseThrow();
    assertThat(Math.abs(middle - own)).isGreaterThan(4);
    assertThat(second.counter(line.notes(), line.bars(), new Seed(seed)).notes())
        .isEqualTo(counter);
  }

  @Test
  void aGhostLineHoldsATonePerChordSoftly() {
    Song song = Songs.draft("amapiano", 1);
    Harmony harmony = Harmony.of(song.progressions().get(0), 4, song.brief());
    SecondLine second = new SecondLine(song.brief().key(), song.brief().meter(), harmony);
    List<Note> ghost = second.ghost(4).notes();
    assertThat(ghost).hasSize(harmony.chords().size()).allMatch(n -> n.velocity() < 60);
    for (Note note : ghost) {
      assertThat(harmony.at(note.start()).chord().contains(note.key() % 12)).isTrue();
    }
  }
}
