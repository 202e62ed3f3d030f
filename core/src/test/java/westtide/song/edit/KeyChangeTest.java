package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.theory.Interval;
import westtide.theory.Key;

class KeyChangeTest {
  private static Song song(String key, int... notes) {
    List<Note> line =
        IntStream.range(0, notes.length)
            .mapToObj(i -> new Note(i * 240, 240, notes[i], 90))
            .toList();
    Part lead = Songs.part("lead", Role.LINE, new Pattern.Written(1, line));
    return Songs.oneHook(Songs.brief(key, 50), "Am", 1, lead);
  }

  private static int first(Song song) {
    return ((Pattern.Written) song.parts().get(0).patterns().get(0).pattern()).notes().get(0).key();
  }

  /** From A to G is two semitones down or ten up, to E five down or seven up. */
  @ParameterizedTest
  @CsvSource({
    "G minor, NEAREST, 67",
    "G minor, UP, 79",
    "G minor, DOWN, 67",
    "E minor, NEAREST, 64",
    "E minor, UP, 76",
    "B minor, DOWN, 59",
    "A minor, DOWN, 69"
  })
  void writtenNotesGoTheWayThatIsChosen(String to, KeyMove move, int after) {
    Song moved = BriefEdits.key(Key.parse(to), move).apply(song("A minor", 69));
    assertThat(first(moved)).isEqualTo(after);
  }

  /** Standard theory: minor becomes major by raising third, sixth and seventh. */
  @Test
  void aModeSaysWhichDegreesBent() {
    Song song = song("A minor", 69, 72, 77, 79, 72);
    KeyChange change = new KeyChange(Key.parse("A minor"), Key.parse("A major"), KeyMove.NEAREST);
    String bends =
        change.bends(song).stream()
            .map(b -> b.before() + ">" + b.after() + " " + b.count() + " " + b.where())
            .collect(Collectors.joining("; "));
    assertThat(bends).isEqualTo("♭3>3 3 [hook, lead]; ♭6>6 1 [lead]; ♭7>7 1 [lead]");
    KeyChange plain = new KeyChange(Key.parse("A minor"), Key.parse("C minor"), KeyMove.UP);
    assertThat(plain.bends(song)).isEmpty();
  }

  @Test
  void goingThereAndBackIsTheSameSong() {
    for (String style : List.of("trap", "house", "lo-fi", "amapiano")) {
      Song song = Songs.draft(style, 4);
      Key home = song.brief().key();
      Key away = new Key(home.tonic().plus(Interval.ofDegree("2")).simplest(), home.scale());
      Song back = BriefEdits.key(home).apply(BriefEdits.key(away).apply(song));
      assertThat(back.parts()).isEqualTo(song.parts());
      assertThat(back.progressions()).isEqualTo(song.progressions());
    }
  }

  /** However far a song is moved, what was laid out by hand stays on keys there are. */
  @Test
  void voicingsOfOnesOwnStayInsideTheKeysThereAre() {
    assertThat(westtide.theory.voicing.Voicing.held(163)).isEqualTo(127 - 127 % 12 + 163 % 12);
    for (int key = -130; key < 300; key++) {
      int held = westtide.theory.voicing.Voicing.held(key);
      assertThat(held).isBetween(0, 127);
      assertThat(Math.floorMod(held - key, 12)).isZero();
    }
  }
}
