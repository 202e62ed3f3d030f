package westtide.review.drums;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Meter;
import westtide.rhythm.Syncopation;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.pattern.Pattern;

/** What a hit does in its groove, in words. */
class HitReasonTest {
  private static final Pattern.Drums GROOVE =
      Songs.groove(
          1,
          DrumVoice.KICK,
          "x.....x.........",
          DrumVoice.SNARE,
          "...o....X.......",
          DrumVoice.PERCUSSION,
          "..x...x.......x.",
          DrumVoice.COWBELL,
          "x...............");

  private static String why(DrumVoice voice, int step) {
    Song song =
        Songs.oneHook(Songs.brief("A minor", 50), "Am", 4, Songs.part("drums", Role.DRUMS, GROOVE));
    return HitReason.in(GROOVE, song, Songs.book().get("boom bap")).of(voice.lane(), step * 240);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "KICK | 0 | on beat 1, where the bar opens; leans on nothing",
        "KICK | 6 | on the off-beat after beat 2",
        "SNARE | 3 | a ghost a sixteenth before beat 2; leans on beat 2, where kick and backbeat rest",
        "PERCUSSION | 2 | on the off-beat after beat 1; answers the kick before it",
        "PERCUSSION | 6 | with the kick",
        "COWBELL | 0 | boom bap has no such lane: it is yours"
      })
  void aHitSaysWhatItDoes(DrumVoice voice, int step, String expected) {
    for (String part : expected.split("; ")) {
      if (!part.endsWith("nothing")) {
        assertThat(why(voice, step)).contains(part);
      }
    }
    assertThat(why(voice, step).contains("leans")).isEqualTo(expected.contains("leans on beat"));
  }

  @Test
  void theStylesOwnFiguresAreCounted() {
    long figures =
        Songs.book().get("boom bap").groove().lanes().get(DrumVoice.KICK.lane()).texts().size();
    assertThat(why(DrumVoice.KICK, 0))
        .contains(figures + " of " + figures + " boom bap figures have");
    assertThat(why(DrumVoice.KICK, 5)).isEmpty();
  }

  /**
   * Longuet-Higgins and Lee, Music Perception 1984 (the rule from memory), worked by hand: the
   * ghost on step 3 weighs −4 before the rest on step 4 of −2; the last strike on step 8 of −1
   * stands before the next bar's first, which is struck; step 6 of −3 stands right before step 8.
   */
  @Test
  void pullsAreWhatTheMeasureAddsUp() {
    assertThat(GroovePulls.of(GROOVE, Meter.COMMON)).containsExactly(new Syncopation.Pull(3, 4, 2));
    assertThat(GroovePulls.syncopation(GROOVE, Meter.COMMON)).isEqualTo(2);
  }
}
