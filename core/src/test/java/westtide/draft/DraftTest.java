package westtide.draft;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.compose.SongRedraft;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.part.TypedLines;
import westtide.song.pattern.Pattern;
import westtide.style.CoreParts;
import westtide.style.Style;

class DraftTest {
  private static final Style TRAP = Songs.book().get("trap");

  private static Draft.Line lead(String text) {
    return new Draft.Line(
        song -> TypedLines.find(song, "lead").isPresent(),
        song -> TypedLines.line(song, "lead", text).orElseThrow().apply(song));
  }

  @Test
  void aWholeDraftHasItsEnsembleAndACoreDraftItsFiveParts() {
    assertThat(Draft.in(TRAP, 4).song().parts()).hasSizeGreaterThan(9);
    assertThat(Draft.in(TRAP, 4).core().song().parts())
        .filteredOn(part -> part.role() != Role.MARKS)
        .extracting(Part::id)
        .containsExactlyInAnyOrder(
            CoreParts.KEYS, CoreParts.LEAD, CoreParts.DRUMS, CoreParts.SUB, CoreParts.BASS);
  }

  @Test
  void aLineByHandStandsAsItWasWrittenAndOthersHearIt() {
    Song song = Draft.in(TRAP, 4).withLine(lead("5 - . b6 5 - - -")).song();
    Pattern.Written written =
        (Pattern.Written)
            TypedLines.find(song, "lead")
                .orElseThrow()
                .find(TypedLines.PATTERN)
                .orElseThrow()
                .pattern();
    assertThat(written.notes().subList(0, 3))
        .extracting(note -> note.start() / 240)
        .containsExactly(0, 3, 4);
    Song other = Draft.in(TRAP, 4).song();
    assertThat(song.parts().stream().map(Part::patterns).toList())
        .as("parts that answer the lead answer this one")
        .isNotEqualTo(
            other
                .withPart(CoreParts.LEAD, lead -> song.part(CoreParts.LEAD).orElseThrow())
                .parts()
                .stream()
                .map(Part::patterns)
                .toList());
  }

  @Test
  void drumsOfOnesOwnAreNotVaried() {
    StepLane kick = StepLane.parse("x.....x...x.....");
    Song song =
        Draft.in(TRAP, 4)
            .withGroove(
                sketch ->
                    new DrumEdits(CoreParts.DRUMS, "A")
                        .lane(DrumVoice.KICK.lane(), kick)
                        .apply(sketch),
                true)
            .song();
    Part drums = song.part(CoreParts.DRUMS).orElseThrow();
    assertThat(drums.groove("A", song.brief().meter()).orElseThrow().lane(DrumVoice.KICK))
        .contains(kick);
    assertThat(drums.groove("thin", song.brief().meter()).orElseThrow().lane(DrumVoice.KICK))
        .as("what follows A plays its kick, in both of its bars")
        .contains(StepLane.parse("x.....x...x.....x.....x...x....."));
    assertThat(drums.patterns()).noneMatch(pattern -> pattern.name().contains("eight"));
  }

  @Test
  void levelsThatStayStay() {
    Song open = Draft.in(TRAP, 4).song();
    SongRedraft levels = new SongRedraft(open, TRAP, EnumSet.of(SongRedraft.Keep.LEVELS));
    Song other = Draft.again(levels, 9);
    assertThat(other.master()).isEqualTo(open.master());
    for (Part part : other.parts()) {
      open.part(part.id())
          .ifPresent(same -> assertThat(part.mix().level()).isEqualTo(same.mix().level()));
    }
    assertThat(List.of(other.seed())).doesNotContain(open.seed());
  }
}
