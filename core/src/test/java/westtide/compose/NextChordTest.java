package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.Songs;
import westtide.compose.chord.ChordSuggestion;
import westtide.compose.chord.Mood;
import westtide.compose.chord.MoodDraft;
import westtide.compose.chord.NextChord;
import westtide.rhythm.Meter;
import westtide.song.chord.ChordSpan;
import westtide.song.id.Seed;
import westtide.style.Style;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.voicing.VoiceLeading;

@Execution(ExecutionMode.CONCURRENT)
class NextChordTest {
  private static final Key KEY = Key.parse("C major");

  private static List<ChordSuggestion> after(Key key, String... chords) {
    List<Chord> row = Stream.of(chords).map(Chord::parse).toList();
    return new NextChord(key, Songs.book().get("disco-pop"), row).after(0);
  }

  private static List<String> names(List<ChordSuggestion> suggestions) {
    return suggestions.stream().map(s -> s.chord().toString()).toList();
  }

  /** Standard theory: a two goes to five, a five goes home; passing dominants lie a fifth above. */
  @Test
  void usualMovesComeFirstAndPassingChordsLeadOn() {
    assertThat(names(after(KEY, "Dm7")).get(0)).startsWith("G");
    assertThat(names(after(KEY, "G7")).get(0)).startsWith("C");
    assertThat(names(after(KEY, "C", "Dm7"))).contains("A7");
    assertThat(names(after(KEY, "C", "F"))).containsAnyOf("Edim7", "C7", "G♭7");
  }

  @Test
  void everySuggestionSaysTheTruth() {
    for (Style style : Songs.book().styles()) {
      for (Key key : style.keys()) {
        Chord home = Chord.parse(key.tonic() + (key.minor() ? "m7" : "maj7"));
        Chord four = Chord.parse(key.degree(4) + (key.minor() ? "m7" : "maj7"));
        List<ChordSuggestion> all = new NextChord(key, style, List.of(home, four)).after(0);
        assertThat(all).hasSizeBetween(5, 10);
        assertThat(all).extracting(ChordSuggestion::chord).doesNotHaveDuplicates();
        assertThat(all).extracting(ChordSuggestion::chord).doesNotContain(home);
        assertThat(all)
            .allMatch(s -> s.held() == VoiceLeading.commonTones(home, s.chord()))
            .allMatch(s -> s.movement() == VoiceLeading.smallest(home, s.chord()))
            .allMatch(s -> s.reason().endsWith("."));
      }
    }
  }

  @ParameterizedTest
  @EnumSource(Mood.class)
  void moodsDrawWholeProgressionsInTheKey(Mood mood) {
    for (Style style : Songs.book().styles()) {
      Key key = style.keys().get(0);
      Key scale = new Key(key.tonic(), key.scale().harmony());
      MoodDraft draft = new MoodDraft(key, Meter.COMMON, style, mood);
      Set<List<ChordSpan>> takes = new HashSet<>();
      for (long seed = 0; seed < 3; seed++) {
        List<ChordSpan> eight = draft.draw(8, new Seed(seed));
        assertThat(eight).isEqualTo(draft.draw(8, new Seed(seed)));
        takes.add(eight);
        assertThat(eight.stream().mapToInt(ChordSpan::ticks).sum()).isEqualTo(8 * 3840);
        assertThat(eight.subList(4, 7)).isEqualTo(eight.subList(0, 3));
        assertThat(eight.get(7)).isNotEqualTo(eight.get(3));
        assertThat(draft.draw(4, new Seed(seed))).hasSize(4);
        assertThat(eight)
            .allMatch(span -> span.chord().pitchClasses().stream().allMatch(scale::contains));
      }
      assertThat(takes.size()).as(style.id()).isGreaterThan(1);
    }
  }
}
