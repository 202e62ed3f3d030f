package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.rhythm.BarLines;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.form.AlternativeEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;

/** Sections that are kept the same, and what one of them has of its own. */
class LinkedSectionsTest {
  private static final PartId KEYS = PartId.of("keys");
  private static final Song SONG = Songs.draft("trap", 1);
  private static final SectionId VERSE = SONG.form().id(2);
  private static final SectionId SECOND = SONG.form().id(5);
  private static final Song LINKED =
      new SectionEdits(SECOND, SectionEdits.Scope.THIS).linkTo(VERSE).apply(SONG);

  private static Section section(Song song, SectionId id) {
    return song.form().sections().get(song.form().place(id).orElseThrow());
  }

  private static boolean equal(Song song) {
    Section one = section(song, VERSE);
    Section two = section(song, SECOND);
    return song.parts().stream().allMatch(part -> one.same(two, part.id()))
        && one.bars() == two.bars()
        && one.progression().equals(two.progression());
  }

  @Test
  void aChangeInOneChangesAll() {
    assertThat(equal(LINKED)).isTrue();
    Song louder = FormEdits.level(SECOND, KEYS, 0, Level.LIFTED).apply(LINKED);
    assertThat(section(louder, VERSE).cell(KEYS, 0).level()).isEqualTo(Level.LIFTED);
    Song longer = FormEdits.resize(VERSE, 24).apply(louder);
    assertThat(section(longer, SECOND).bars()).isEqualTo(24);
    assertThat(equal(longer)).isTrue();
    Song moving =
        FormEdits.curves(VERSE, KEYS, List.of(Curve.straight(Curve.Kind.LEVEL, -60, 0)))
            .apply(longer);
    assertThat(section(moving, SECOND).curves().get(KEYS)).hasSize(1);
  }

  @Test
  void madeDifferentItKeepsItsEditsAndFollowsInTheRest() {
    SectionEdits second = new SectionEdits(SECOND, SectionEdits.Scope.THIS);
    Song apart = second.different(true).apply(LINKED);
    Song changed = FormEdits.level(SECOND, KEYS, 0, Level.OUT).apply(apart);
    assertThat(section(changed, VERSE).cell(KEYS, 0).level()).isNotEqualTo(Level.OUT);
    assertThat(LinkedSections.differences(changed, section(changed, SECOND))).containsExactly(KEYS);
    PartId drums = PartId.of("drums");
    Song others = FormEdits.level(VERSE, drums, 0, Level.LIFTED).apply(changed);
    assertThat(section(others, SECOND).cell(drums, 0).level()).isEqualTo(Level.LIFTED);
    Song kept = FormEdits.level(VERSE, KEYS, 0, Level.LIFTED).apply(others);
    assertThat(section(kept, SECOND).cell(KEYS, 0).level()).isEqualTo(Level.OUT);
    Song again = second.sameAgain(KEYS).apply(kept);
    assertThat(section(again, SECOND).cell(KEYS, 0).level()).isEqualTo(Level.LIFTED);
  }

  @Test
  void aGroupOfOneIsNoneAndAFileKeepsLinks() throws IOException {
    assertThat(Songs.filed(LINKED)).isEqualTo(LINKED);
    Song alone = FormEdits.remove(VERSE).apply(LINKED);
    assertThat(section(alone, SECOND).link()).isEmpty();
    Song free = new SectionEdits(SECOND, SectionEdits.Scope.THIS).unlink().apply(LINKED);
    Song changed = FormEdits.level(SECOND, KEYS, 0, Level.LIFTED).apply(free);
    assertThat(section(changed, VERSE).cell(KEYS, 0).level()).isNotEqualTo(Level.LIFTED);
  }

  @Test
  void goingToAnotherFormMakesNothingDifferent() {
    Song apart = new SectionEdits(SECOND, SectionEdits.Scope.THIS).different(true).apply(LINKED);
    Song two = AlternativeEdits.add().apply(apart);
    Song changed = FormEdits.level(SECOND, KEYS, 0, Level.OUT).apply(two);
    Song back = AlternativeEdits.show(0).apply(changed);
    assertThat(back.form()).isEqualTo(apart.form());
    assertThat(AlternativeEdits.show(1).apply(back)).isEqualTo(changed);
    assertThat(AlternativeEdits.remove().apply(changed).form()).isEqualTo(apart.form());
  }

  @Test
  void aLengthInBeatsIsCarriedToo() {
    Song cut = FormEdits.length(VERSE, new BarLines.Stretch(2, 2)).apply(LINKED);
    assertThat(section(cut, SECOND).length()).isEqualTo(new BarLines.Stretch(2, 2));
  }

  /** Whatever edits come, linked sections stay equal, and undo gives the same song. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void linkedSectionsStayEqualAfterAnyEdits(long seed) {
    Random random = new Random(seed);
    History history = History.unsaved(LINKED);
    List<Song> before = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      before.add(history.song());
      history = history.plus(any(history.song(), random));
      assertThat(equal(history.song())).as("after edit " + i).isTrue();
      assertThat(history.song().form().sections().stream().mapToInt(Section::bars).sum() * 3840)
          .isEqualTo(history.song().ticks());
    }
    for (int i = before.size() - 1; i >= 0; i--) {
      while (!history.song().equals(before.get(i))) {
        history = history.undo();
      }
    }
    assertThat(history.song()).isEqualTo(LINKED);
  }

  private static Edit any(Song song, Random random) {
    SectionId id = random.nextBoolean() ? VERSE : SECOND;
    SectionEdits edits = new SectionEdits(id, SectionEdits.Scope.values()[random.nextInt(3)]);
    Part part = song.parts().get(random.nextInt(song.parts().size()));
    int bar = random.nextInt(section(song, id).bars());
    return switch (random.nextInt(9)) {
      case 0 -> FormEdits.split(id, part.id(), bar, random.nextInt(4));
      case 1 -> FormEdits.level(id, part.id(), 0, Level.values()[random.nextInt(5)]);
      case 2 -> FormEdits.resize(id, 4 + 4 * random.nextInt(6));
      case 3 -> edits.stripDrums();
      case 4 -> edits.octaveDown();
      case 5 -> edits.withoutSub(4);
      case 6 -> FormEdits.cut(id, part.id(), Math.max(1, bar), 2, random.nextBoolean());
      case 7 -> edits.halve();
      default -> edits.halfTime();
    };
  }
}
