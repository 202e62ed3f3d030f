package westtide.desktop.open;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.PatternEdits;
import westtide.song.edit.RowEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.style.StyleBook;

/** What is chosen stays inside the song, whatever becomes of it. */
class SelectionTest {
  private static final PartId LEAD = PartId.of("lead");
  private final Song song = SongDraft.in(StyleBook.shipped().get("trap")).withSeed(1).song();
  private final Selection opened = Selection.of(song);

  private Part part(String id) {
    return song.part(PartId.of(id)).orElseThrow();
  }

  @Test
  void aSongOpensOnItsFirstHookAndItsFirstPart() {
    int place = song.form().place(opened.section()).orElseThrow();
    assertThat(song.form().sections().get(place).word().kind()).isEqualTo(SectionKind.HOOK);
    assertThat(opened.part()).isEqualTo(song.parts().get(0).id());
    assertThat(opened.progression(song).name()).isEqualTo("hook");
  }

  /** Going from room to room comes back to the part that was chosen there last. */
  @Test
  void eachRoleRemembersItsPart() {
    PartId second = PartId.of("counter");
    Song more = new PartEdits(LEAD).duplicate(second).apply(song);
    Selection counter = opened.withPart(more.part(second).orElseThrow());
    Selection elsewhere = counter.withPart(part("bass"));
    assertThat(elsewhere.part(more, Role.LINE).orElseThrow().id()).isEqualTo(second);
    assertThat(elsewhere.part(more, List.of(Role.SUB, Role.BASS)).orElseThrow().id())
        .isEqualTo(PartId.of("bass"));
    assertThat(elsewhere.part(more, Role.CHORDS).orElseThrow().role()).isEqualTo(Role.CHORDS);
    Song without = new PartEdits(second).remove().apply(more);
    Selection kept = elsewhere.in(without, 1);
    assertThat(kept.part(without, Role.LINE).orElseThrow().id()).isEqualTo(LEAD);
  }

  @Test
  void aRoleTheSongDoesNotHaveHasNoPart() {
    Song without = new PartEdits(LEAD).remove().apply(song);
    assertThat(opened.in(without, 1).part(without, Role.LINE)).isEmpty();
  }

  /** A section brings to the front what its parts play there first. */
  @Test
  void aSectionPutsItsPatternsInFront() {
    String other = part("drums").patterns().get(1).name();
    SectionId intro = song.form().id(0);
    Song varied =
        FormEdits.pattern(intro, PartId.of("drums"), 0, other)
            .apply(
                FormEdits.level(intro, PartId.of("drums"), 0, westtide.song.form.Level.FULL)
                    .apply(song));
    Part drums = varied.part(PartId.of("drums")).orElseThrow();
    Selection there = opened.withSection(varied, intro);
    assertThat(there.pattern(drums)).isEqualTo(other);
    assertThat(there.withPattern(drums.id(), "A").pattern(drums)).isEqualTo("A");
  }

  @Test
  void aPatternOrAProgressionThatGoesIsNoLongerInFront() {
    Song copied = RowEdits.copy("hook", "lift").apply(song);
    Selection lift = opened.withProgression("lift");
    assertThat(lift.progression(copied).name()).isEqualTo("lift");
    assertThat(lift.in(song, 1).progression(song).name()).isEqualTo("hook");
    Part drums = part("drums");
    String thin = drums.patterns().get(1).name();
    Song dropped = new PatternEdits(drums.id(), thin).drop().apply(song);
    Selection front = opened.withPattern(drums.id(), thin).in(dropped, 1);
    assertThat(front.pattern(dropped.part(drums.id()).orElseThrow())).isEqualTo("A");
  }

  @Test
  void aSectionThatGoesLeavesItsNeighbourChosen() {
    SectionId last = song.form().id(song.form().sections().size() - 1);
    Selection end = opened.withSection(song, last);
    Song shorter = FormEdits.remove(last).apply(song);
    Selection kept = end.in(shorter, song.form().sections().size() - 1);
    assertThat(kept.section()).isEqualTo(shorter.form().id(shorter.form().sections().size() - 1));
  }

  @Test
  void notesAreChosenInOnePatternOfOnePart() {
    NotePlace first = new NotePlace("", 0, 73);
    NotePlace second = new NotePlace("", 480, 76);
    Selection notes = opened.withPart(part("lead")).withNotes(Set.of(first, second));
    assertThat(notes.withPart(part("lead")).notes()).containsExactlyInAnyOrder(first, second);
    assertThat(notes.withPart(part("bass")).notes()).isEmpty();
    assertThat(notes.withPattern(LEAD, "B").notes()).isEmpty();
    assertThat(notes.withSection(song, song.form().id(0)).notes()).isEmpty();
  }
}
