package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.follow.Follower;
import westtide.follow.Harmony;
import westtide.rhythm.Figure;
import westtide.rhythm.Swing;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.song.Brief;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.style.Style;
import westtide.theory.Key;

/**
 * No line leaves a splinter: a note of less than 30 ms beside another of its line is heard as a
 * click (common practice). Ramps are short on purpose and belong to no pattern.
 */
class SplintersTest {
  private static final double SPLINTER_MILLIS = 30;

  static List<Style> styles() {
    return Samples.few(5, Songs.book().styles());
  }

  @ParameterizedTest
  @MethodSource("styles")
  @Sampled
  void noLineOfADraftIsSplinteredHoweverItSwings(Style style) {
    for (long seed = 1; seed <= 4; seed++) {
      Song draft = Arranger.arranged(SongDraft.in(style).withSeed(seed));
      for (int percent : new int[] {50, 58, 66}) {
        Song song = BriefEdits.swing(Swing.of(percent)).apply(draft);
        assertThat(splinters(song)).as(style.id() + " " + seed + " at " + percent + " %").isEmpty();
      }
    }
  }

  private static List<String> splinters(Song song) {
    double tick = song.brief().tempo().millis(1);
    List<String> out = new ArrayList<>();
    for (ScoredPart part : Score.of(song).parts()) {
      part.notes().stream()
          .filter(note -> part.part().role() != Role.DRUMS)
          .filter(note -> !note.source().pattern().isEmpty())
          .filter(note -> note.ticks() * tick < SPLINTER_MILLIS)
          .forEach(note -> out.add(part.part().name() + " " + note));
    }
    return out;
  }

  /** Kicks that stray by up to a quarter of a step start each chord once, on its own bass. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
  void kicksThatStrayStartEachChordOnce(long seed) {
    Random random = new Random(seed);
    Harmony harmony = harmony();
    List<Integer> kicks = new ArrayList<>();
    for (int step = 0; step < 64; step += 1 + random.nextInt(4)) {
      int tick = Math.max(0, step * 240 + random.nextInt(119) - 59);
      if (kicks.isEmpty() || kicks.get(kicks.size() - 1) < tick) {
        kicks.add(tick);
      }
    }
    FollowRule rule = new FollowRule.Bass808(KickLink.LOCKED, new Figure("x"), 28);
    List<Note> notes =
        Follower.of(PartId.of("sub"), harmony, Key.parse("A minor")).hearing(kicks).resolve(rule);
    assertThat(notes).isNotEmpty().allMatch(note -> note.ticks() >= 60);
    for (Note note : notes) {
      int meant = Math.floorDiv(note.start() + 119, 3840) % 4;
      int bar = note.start() % 3840 > 3840 - 120 ? meant : note.start() / 3840;
      int root = List.of(9, 5, 0, 7).get(bar);
      assertThat(note.key() % 12).as(note.toString()).isEqualTo(root);
    }
  }

  private static Harmony harmony() {
    Brief brief = Songs.brief("A minor", 50);
    return Harmony.of(Songs.progression(brief, "Am | F | C | G"), 4, brief);
  }
}
