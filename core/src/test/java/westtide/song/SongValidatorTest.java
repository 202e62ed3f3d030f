package westtide.song;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import westtide.Ensembles;
import westtide.Songs;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.ChordMember;

/** No song points to what it does not have; the sentence says where it would. */
class SongValidatorTest {
  private final Song song =
      Ensembles.song(
          "A minor",
          "Am | F",
          4,
          Ensembles.chords("keys"),
          Songs.part("lead", Role.LINE, new Pattern.Written(1, List.of(new Note(0, 960, 69, 90)))),
          Songs.part("drums", Role.DRUMS, Songs.groove(1)));

  private Song withCells(String part, Cell... cells) {
    return song.withForm(
        song.form().each(section -> section.withCells(PartId.of(part), List.of(cells))));
  }

  private Song with(Part part) {
    List<Part> parts = new ArrayList<>(song.parts());
    parts.add(part);
    return song.withParts(parts);
  }

  @Test
  void aSectionPlaysPartsAndPatternsThatAreThere() {
    assertThatThrownBy(() -> withCells("ghost", new Cell(0, Level.FULL, "A")))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("hook")
        .hasMessageContaining("not in the song");
    assertThatThrownBy(() -> withCells("lead", new Cell(0, Level.FULL, "Z")))
        .hasMessage("in section hook lead plays \"Z\", which is none of its patterns");
  }

  @Test
  void aSectionIsOverAProgressionThatIsThere() {
    assertThatThrownBy(() -> song.withForm(song.form().each(s -> s.withProgression("bridge"))))
        .hasMessageContaining("asks for the progression \"bridge\"");
  }

  @Test
  void aChordPartFollowsAProgressionThatIsThere() {
    FollowRule.Own bridge = FollowRule.Own.NOTHING.withProgression(Optional.of("bridge"));
    assertThatThrownBy(
            () ->
                song.withPart(
                    PartId.of("keys"),
                    p -> p.withRule(FollowRule.Chords.class, r -> r.withOwn(bridge))))
        .hasMessageContaining("keys plays the progression \"bridge\"");
  }

  @Test
  void aDoubleHasAModelThatIsPitchedAndNotItself() {
    assertThatThrownBy(() -> with(Ensembles.doubling("double", Role.LINE, "ghost", 1)))
        .hasMessageContaining("double listens to a part \"ghost\" that is not in the song");
    assertThatThrownBy(() -> with(Ensembles.doubling("double", Role.LINE, "drums", 1)))
        .hasMessageContaining("only pitched parts");
    assertThatThrownBy(() -> with(Ensembles.doubling("double", Role.LINE, "double", 1)))
        .hasMessageContaining("in a circle");
    assertThat(with(Ensembles.doubling("double", Role.LINE, "lead", 1)).parts()).hasSize(4);
  }

  @Test
  void namesAndIdsAreThereOnce() {
    assertThatThrownBy(() -> with(Ensembles.chords("keys"))).hasMessageContaining("the same id");
    assertThatThrownBy(() -> with(Ensembles.chords("pad").withName("keys")))
        .hasMessageContaining("two parts have the same name");
    assertThatThrownBy(
            () ->
                song.withProgressions(
                    List.of(song.progressions().get(0), song.progressions().get(0))))
        .hasMessageContaining("two progressions have the same name");
  }

  @Test
  void notesOfAChordAreLeftOutOfPartsThatAreThere() {
    var row = song.progression("hook");
    Map<PartId, Set<ChordMember>> ghost = Map.of(PartId.of("ghost"), Set.of(ChordMember.FIFTH));
    var spans =
        row.spans().stream()
            .map(
                span ->
                    span.withArticulation(
                        m -> m.withWithout(PartId.of("ghost"), ghost.get(PartId.of("ghost")))))
            .toList();
    assertThatThrownBy(() -> song.withProgressions(List.of(row.withSpans(spans))))
        .hasMessageContaining("progression hook leaves notes of Am out of a part \"ghost\"");
  }
}
