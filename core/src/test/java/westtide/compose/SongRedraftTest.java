package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Song;
import westtide.style.CoreParts;
import westtide.style.Style;

class SongRedraftTest {
  private static final Style STYLE = Songs.book().get("lo-fi");
  private static final Song OPEN = Arranger.arranged(SongDraft.in(STYLE).withSeed(3));

  private static Song take(SongRedraft.Keep... kept) {
    Set<SongRedraft.Keep> all = EnumSet.noneOf(SongRedraft.Keep.class);
    all.addAll(List.of(kept));
    return new SongRedraft(OPEN, STYLE, all).take(9);
  }

  private static List<?> patterns(Song song, String part) {
    return song.parts().stream()
        .filter(p -> p.id().value().equals(part))
        .map(Part::patterns)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatIsTickedStaysAndTheRestIsNew() {
    Song take = take(SongRedraft.Keep.DRUMS, SongRedraft.Keep.CHORDS, SongRedraft.Keep.PACE);
    assertThat(patterns(take, "drums")).isEqualTo(patterns(OPEN, "drums"));
    assertThat(patterns(take, "percussion")).isEqualTo(patterns(OPEN, "percussion"));
    assertThat(patterns(take, "lead")).isNotEqualTo(patterns(OPEN, "lead"));
    assertThat(take.progressions().get(0).chords()).isEqualTo(OPEN.progressions().get(0).chords());
    assertThat(take.brief()).isEqualTo(OPEN.brief());
    assertThat(Score.of(take).parts()).hasSameSizeAs(take.parts());
  }

  @Test
  void formAndLevelsStayWhereTheyAreTicked() {
    Song quieter = OPEN.withPart(CoreParts.KEYS, part -> part.withMix(part.mix().withLevel(-123)));
    Song take =
        new SongRedraft(quieter, STYLE, EnumSet.of(SongRedraft.Keep.FORM, SongRedraft.Keep.LEVELS))
            .take(11);
    assertThat(take.form().toString()).isEqualTo(OPEN.form().toString());
    assertThat(take.form().sections().stream().filter(s -> !s.entry().isEmpty())).isNotEmpty();
    assertThat(take.part(CoreParts.KEYS).orElseThrow().mix().level()).isEqualTo(-123);
  }

  @Test
  void drumsOfASmallDraftStayInAnArrangement() {
    Song small = SongDraft.in(STYLE).withSeed(5).song();
    Song take = new SongRedraft(small, STYLE, EnumSet.of(SongRedraft.Keep.DRUMS)).take(6);
    assertThat(patterns(take, "drums")).isEqualTo(patterns(small, "drums"));
    assertThat(take.parts().size()).isGreaterThan(small.parts().size());
  }

  @Test
  void threeTakesAreThreeSongs() {
    List<Song> takes = new SongRedraft(OPEN, STYLE, Set.of()).takes(3, 40);
    assertThat(takes).doesNotHaveDuplicates().extracting(Song::seed).containsExactly(41L, 42L, 43L);
  }
}
