package westtide.score.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Thinning;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.ChordMember;

/** What a cell leaves out: the bass of whole chords, and soft notes, both to the note. */
class ThinnedTest {
  private static final PartId KEYS = PartId.of("keys");

  private static List<Integer> keys(Thinning thinning, Note... notes) {
    Song song =
        Songs.oneHook(
            Songs.brief("A minor", 50),
            "Am",
            1,
            Songs.part("keys", Role.CHORDS, new Pattern.Written(1, Arrays.asList(notes))));
    Song thinned =
        song.withForm(
            song.form()
                .each(
                    section ->
                        section.withEachCell(
                            KEYS, cell -> cell.withSound(sound -> sound.withThinning(thinning)))));
    return Score.of(thinned).part(KEYS).orElseThrow().notes().stream()
        .map(ScoredNote::key)
        .toList();
  }

  private static Note at(int key, int velocity) {
    return new Note(0, 960, key, velocity);
  }

  /** Three keys are the least that have a bass of their own; two stay whole. */
  @Test
  void aTriadLosesItsBassAndAnIntervalDoesNot() {
    Thinning noBass = Thinning.NONE.withoutMembers(Set.of(ChordMember.BASS));
    assertThat(keys(noBass, at(57, 90), at(60, 90), at(64, 90))).containsExactly(60, 64);
    assertThat(keys(noBass, at(57, 90), at(64, 90))).containsExactly(57, 64);
  }

  @Test
  void theSoftestNoteThatIsPlayedIsPlayed() {
    Thinning from80 = Thinning.NONE.withSoftest(80);
    assertThat(keys(from80, at(57, 79), at(60, 80), at(64, 81))).containsExactly(60, 64);
  }
}
