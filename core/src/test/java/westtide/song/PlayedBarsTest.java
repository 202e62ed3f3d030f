package westtide.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.song.edit.RowEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.VoicingRange;

/** What a song leans on, counted in bars. */
class PlayedBarsTest {
  private static final PartId DRUMS = PartId.of("drums");
  private final Song song = Songs.draft("trap", 7);

  @Test
  void theProgressionThatMostBarsAreOverIsTheMainOne() {
    Song copied = RowEdits.copy(song.progressions().get(0).name(), "long").apply(song);
    assertThat(new PlayedBars(copied).progression().name()).isNotEqualTo("long");
    Song over = copied;
    for (Section section : copied.form().sections()) {
      over = FormEdits.progression(section.id(), "long").apply(over);
    }
    assertThat(new PlayedBars(over).progression().name()).isEqualTo("long");
  }

  @Test
  void theHooksSayWhichPatternIsTheMainOne() {
    Part drums = song.part(DRUMS).orElseThrow();
    String other = drums.patterns().get(1).name();
    Song varied = song;
    for (Section section : song.form().sections()) {
      if (section.word().kind() == SectionKind.HOOK) {
        varied = FormEdits.pattern(section.id(), DRUMS, 0, other).apply(varied);
        varied = FormEdits.level(section.id(), DRUMS, 0, Level.FULL).apply(varied);
      }
    }
    assertThat(new PlayedBars(varied).pattern(varied.part(DRUMS).orElseThrow())).isEqualTo(other);
  }

  @Test
  void thePartThatPlaysMostBarsStandsForItsRole() {
    PartId copy = PartId.of("drums-2");
    Song two = new PartEdits(DRUMS).duplicate(copy).apply(song);
    two =
        two.withForm(
            two.form()
                .each(
                    section ->
                        section
                            .withCells(DRUMS, List.of(new Cell(0, Level.OUT, "")))
                            .withCells(copy, List.of(new Cell(0, Level.FULL, "")))));
    assertThat(new PlayedBars(two).part(Role.DRUMS).map(Part::id)).contains(copy);
    assertThat(new PlayedBars(two).pattern(two.part(DRUMS).orElseThrow()))
        .as("what never plays has its first pattern")
        .isEqualTo(two.part(DRUMS).orElseThrow().patterns().get(0).name());
  }

  @Test
  void theRuleOfAJobIsThatOfThePatternPlayedLongest() {
    Part keys = song.parts(Role.CHORDS).get(0);
    FollowRule.Chords first = keys.rules(FollowRule.Chords.class).get(0);
    FollowRule.Chords wide = FollowRule.Chords.of(new VoicingRange(40, 48, 66), Optional.empty());
    Part two =
        keys.withPatterns(
            List.of(
                new NamedPattern("A", new Pattern.Following(first)),
                new NamedPattern("B", new Pattern.Following(wide))));
    Song both = song.withPart(two.id(), part -> two);
    assertThat(new PlayedBars(both).rule(Role.CHORDS, FollowRule.Chords.class)).contains(first);
    for (Section section : both.form().sections()) {
      both = FormEdits.pattern(section.id(), keys.id(), 0, "B").apply(both);
    }
    assertThat(new PlayedBars(both).rule(Role.CHORDS, FollowRule.Chords.class)).contains(wide);
  }
}
