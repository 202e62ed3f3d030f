package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.CoreParts;
import westtide.style.Style;

class PartRedraftTest {
  private static final Style STYLE = Songs.book().get("trap");
  private static final Song OPEN = Arranger.arranged(SongDraft.in(STYLE).withSeed(3));
  private static final PartRedraft RETAKE = new PartRedraft(OPEN, STYLE);

  @Test
  void aPartDrawnAnewPlaysOtherMusicAndNothingElseChanges() {
    for (Part part : RETAKE.parts()) {
      Song take = RETAKE.part(part.id(), 77);
      assertThat(take.withPart(part.id(), p -> part)).as(part.name()).isEqualTo(OPEN);
      assertThat(RETAKE.part(part.id(), 77)).isEqualTo(take);
    }
    assertThat(take(CoreParts.LEAD)).isNotEqualTo(OPEN.part(CoreParts.LEAD).orElseThrow());
    assertThat(take(CoreParts.DRUMS)).isNotEqualTo(OPEN.part(CoreParts.DRUMS).orElseThrow());
  }

  private static Part take(PartId id) {
    return RETAKE.part(id, 77).part(id).orElseThrow();
  }

  @Test
  void aPatternOfOnesOwnOutlivesANewTake() {
    NamedPattern own = new NamedPattern("mine", new Pattern.Written(1, List.of()));
    Song song = OPEN.withPart(CoreParts.LEAD, part -> part.with(own));
    Song take = new PartRedraft(song, STYLE).part(CoreParts.LEAD, 5);
    assertThat(take.part(CoreParts.LEAD).orElseThrow().find("mine")).contains(own);
  }

  @Test
  void onlyPartsTheStyleDrawsAreOffered() {
    Part own = Songs.part("whistle", Role.LINE, new Pattern.Written(1, List.of()));
    List<Part> more = new ArrayList<>(OPEN.parts());
    more.add(own);
    PartRedraft retake = new PartRedraft(OPEN.withParts(more), STYLE);
    assertThat(retake.parts()).doesNotContain(own).hasSizeGreaterThan(8);
    assertThat(retake.parts()).noneMatch(part -> part.role() == Role.MARKS);
    assertThatThrownBy(() -> retake.part(own.id(), 1)).hasMessageContaining("whistle");
  }

  private static List<SectionId> sections() {
    List<SectionId> out = new ArrayList<>();
    for (int i = 0; i < OPEN.form().sections().size(); i++) {
      out.add(OPEN.form().id(i));
    }
    return out;
  }

  @ParameterizedTest
  @MethodSource("sections")
  void aSectionDrawnAnewLeavesTheOthersAsTheyWere(SectionId section) {
    Song take = RETAKE.section(section, 77);
    int place = OPEN.form().place(section).orElseThrow();
    Score before = Score.of(OPEN);
    Score after = Score.of(take);
    assertThat(take.form().toString()).isEqualTo(OPEN.form().toString());
    boolean changed = false;
    for (int i = 0; i < OPEN.form().sections().size(); i++) {
      if (i == place) {
        changed = !inside(before, i).equals(inside(after, i));
      } else {
        assertThat(inside(after, i)).as("section " + (i + 1)).isEqualTo(inside(before, i));
      }
    }
    assertThat(changed).as("section " + (place + 1)).isTrue();
    assertThat(DraftWords.of(take, section)).isNotEmpty();
  }

  /** Pitched notes and strokes of a section, each with its key and place, but for marks. */
  private static List<List<Integer>> inside(Score score, int place) {
    int from = OPEN.form().startTick(place, OPEN.brief().meter());
    int to = from + OPEN.form().sections().get(place).ticks(OPEN.brief().meter());
    List<List<Integer>> out = new ArrayList<>();
    for (ScoredPart part : score.parts()) {
      for (ScoredNote note : part.notes()) {
        boolean inside = note.written() >= from && note.written() < to;
        if (inside && part.part().role() != Role.MARKS) {
          out.add(List.of(part.part().id().hashCode(), note.written(), note.key()));
        }
      }
    }
    return out;
  }
}
