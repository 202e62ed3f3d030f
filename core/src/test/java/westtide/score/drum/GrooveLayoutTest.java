package westtide.score.drum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.rhythm.Meter;
import westtide.rhythm.When;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.PlacedHit;
import westtide.song.pattern.Pattern;

class GrooveLayoutTest {
  private static final String FOUR = "x...x...x...x...";

  private static GrooveLayout layout(Pattern.Drums groove) {
    return GrooveLayout.of(groove, Songs.part("drums", Role.DRUMS, groove), Meter.COMMON);
  }

  private static List<Integer> heard(Pattern.Drums groove, DrumVoice voice) {
    return layout(groove).heard(groove.find(voice.lane()).orElseThrow()).stream()
        .map(PlacedHit::tick)
        .toList();
  }

  @Test
  void theOpenHatPlaysWhereBothHatsStart() {
    Pattern.Drums groove =
        Songs.groove(1, DrumVoice.CLOSED_HAT, FOUR, DrumVoice.OPEN_HAT, "....x...........");
    assertThat(layout(groove).silent(0)).containsExactly(960);
    assertThat(layout(groove).silent(1)).isEmpty();
    assertThat(heard(groove, DrumVoice.CLOSED_HAT)).containsExactly(0, 1920, 2880);
  }

  /** What plays on some passes only leaves the other heard on the rest. */
  @Test
  void aHitWithAConditionSilencesNoneForGood() {
    Pattern.Drums groove =
        Songs.groove(1, DrumVoice.CLOSED_HAT, FOUR, DrumVoice.OPEN_HAT, "....x/4...........");
    assertThat(heard(groove, DrumVoice.CLOSED_HAT)).containsExactly(0, 960, 1920, 2880);
  }

  /**
   * Hits of a draft that are always played sound in its score exactly where the layout has them.
   */
  @ParameterizedTest
  @ValueSource(strings = {"trap", "house", "amapiano", "boom-bap"})
  void theScorePlaysWhatTheLayoutSaysIsHeard(String style) {
    Song draft = Songs.draft(style, 5);
    Part part =
        draft.parts().stream().filter(p -> p.role() == Role.DRUMS).findFirst().orElseThrow();
    for (String name : part.grooves(Meter.COMMON).keySet()) {
      Pattern.Drums groove = part.groove(name, Meter.COMMON).orElseThrow();
      Part alone =
          part.withPatterns(List.of(part.pattern(name).withPattern(groove))).withBorrowed(Map.of());
      Song song = Songs.oneHook(draft.brief(), "Am", groove.bars(), alone);
      List<ScoredNote> notes = Score.of(song).part(part.id()).orElseThrow().notes();
      GrooveLayout layout = GrooveLayout.of(groove, alone, Meter.COMMON);
      for (DrumLane lane : groove.lanes()) {
        Set<Integer> always =
            layout.heard(lane).stream()
                .filter(hit -> hit.hit().when().equals(When.ALWAYS))
                .map(PlacedHit::tick)
                .collect(Collectors.toCollection(TreeSet::new));
        Set<Integer> played = new TreeSet<>();
        notes.stream()
            .filter(note -> note.struck().orElseThrow().lane().equals(lane.id()))
            .forEach(note -> played.add(note.written()));
        assertThat(played).as(name + " " + lane.id()).containsAll(always);
        Set<Integer> written = new TreeSet<>();
        layout.hits(lane).forEach(hit -> written.add(hit.tick()));
        assertThat(written).as(name + " " + lane.id()).containsAll(played);
        assertThat(played).noneMatch(layout.silent(groove.lanes().indexOf(lane))::contains);
      }
    }
  }
}
