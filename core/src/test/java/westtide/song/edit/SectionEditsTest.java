package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.file.SongFile;
import westtide.file.disk.UnusableFileException;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.form.SectionEdits;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.SectionId;

class SectionEditsTest {
  private static final Song SONG = Songs.draft("trap", 3);

  @TempDir Path folder;

  private static SectionId first(SectionKind kind) {
    return SONG.form().sections().stream()
        .filter(section -> section.word().kind() == kind)
        .findFirst()
        .orElseThrow()
        .id();
  }

  private static SectionEdits on(SectionKind kind, SectionEdits.Scope scope) {
    return new SectionEdits(first(kind), scope);
  }

  private static Section of(Song song, SectionKind kind) {
    return song.form().sections().stream()
        .filter(section -> section.word().kind() == kind)
        .findFirst()
        .orElseThrow();
  }

  private static List<String> played(Song song, Section section) {
    List<String> out = new ArrayList<>();
    for (Part part : song.parts()) {
      for (int bar = 0; bar < section.bars(); bar++) {
        out.add(part.id() + " " + bar + " " + section.cell(part.id(), bar).level());
      }
    }
    return out;
  }

  @Test
  void aRepeatedSectionIsArrangedTheSameUnderAnIdOfItsOwn() {
    Song song = on(SectionKind.VERSE, SectionEdits.Scope.THIS).repeat().apply(SONG);
    int place = song.form().place(first(SectionKind.VERSE)).orElseThrow();
    Section again = song.form().sections().get(place + 1);
    assertThat(again.id()).isNotEqualTo(first(SectionKind.VERSE));
    assertThat(again.withId(first(SectionKind.VERSE))).isEqualTo(song.form().sections().get(place));
    assertThat(Score.of(song).ticks()).isEqualTo(song.form().bars() * 3840);
    Song doubled = SectionEdits.doubleLastHook().apply(SONG);
    assertThat(doubled.form().sections()).hasSize(SONG.form().sections().size() + 1);
  }

  @Test
  void doubledAndHalvedAgainItIsTheSameAndAnEndingStaysAtTheEnd() {
    SectionEdits edits = on(SectionKind.HOOK, SectionEdits.Scope.THIS);
    Song twice = edits.doubleLength().apply(SONG);
    Section hook = of(SONG, SectionKind.HOOK);
    assertThat(of(twice, SectionKind.HOOK).bars()).isEqualTo(2 * hook.bars());
    var drums = SONG.parts(Role.DRUMS).get(0).id();
    String fill = hook.cell(drums, hook.bars() - 1).pattern();
    assertThat(of(twice, SectionKind.HOOK).cell(drums, 2 * hook.bars() - 1).pattern())
        .isEqualTo(fill);
    assertThat(of(twice, SectionKind.HOOK).cell(drums, hook.bars() - 1).pattern())
        .as("the ending is played once")
        .isNotEqualTo(fill);
    Song back = edits.halve().apply(twice);
    assertThat(played(back, of(back, SectionKind.HOOK))).isEqualTo(played(SONG, hook));
  }

  @Test
  void theDrumsAreStrippedFromOneFromEveryOneOfItsKindOrFromAll() {
    for (SectionEdits.Scope scope : SectionEdits.Scope.values()) {
      Song song = on(SectionKind.VERSE, scope).stripDrums().apply(SONG);
      var drums = SONG.parts(Role.DRUMS).get(0).id();
      for (Section section : song.form().sections()) {
        boolean meant =
            switch (scope) {
              case THIS -> section.id().equals(first(SectionKind.VERSE));
              case KIND -> section.word().kind() == SectionKind.VERSE;
              case ALL -> true;
            };
        if (meant) {
          assertThat(section.cells(drums)).allMatch(cell -> cell.level() == Level.OUT);
        } else {
          assertThat(SONG.form().sections()).contains(section);
        }
      }
    }
  }

  @Test
  void the808IsLeftOutOfTheFirstEightAndComesBackAsItWas() {
    var sub = SONG.parts(Role.SUB).get(0).id();
    Section before = of(SONG, SectionKind.HOOK);
    Section after =
        of(
            on(SectionKind.HOOK, SectionEdits.Scope.THIS).withoutSub(8).apply(SONG),
            SectionKind.HOOK);
    for (int bar = 0; bar < after.bars(); bar++) {
      Level expected = bar < 8 ? Level.OUT : before.cell(sub, bar).level();
      assertThat(after.cell(sub, bar).level()).isEqualTo(expected);
    }
  }

  @Test
  void aSectionIsArrangedLikeAnotherOfAnotherLength() {
    Song song =
        on(SectionKind.INTRO, SectionEdits.Scope.THIS)
            .arrangedLike(first(SectionKind.HOOK))
            .apply(SONG);
    Section hook = of(SONG, SectionKind.HOOK);
    Section intro = of(song, SectionKind.INTRO);
    for (Part part : song.parts()) {
      assertThat(intro.cell(part.id(), 0)).isEqualTo(hook.cell(part.id(), 0));
      assertThat(intro.cell(part.id(), intro.bars() - 1).pattern())
          .isEqualTo(hook.cell(part.id(), hook.bars() - 1).pattern());
    }
    assertThat(intro.bars()).isEqualTo(of(SONG, SectionKind.INTRO).bars());
  }

  @Test
  void theOpeningIsSwappedAndBack() {
    Song swapped = SectionEdits.swapOpening().apply(SONG);
    assertThat(swapped).isNotEqualTo(SONG);
    assertThat(SectionEdits.swapOpening().apply(swapped)).isEqualTo(SONG);
  }

  @Test
  void aNameOfItsOwnIsKeptInFileAndFormLine() throws UnusableFileException {
    Song named = on(SectionKind.VERSE, SectionEdits.Scope.THIS).name("Lantern verse").apply(SONG);
    int place = named.form().place(first(SectionKind.VERSE)).orElseThrow();
    assertThat(named.form().label(place)).isEqualTo("Lantern verse");
    assertThat(named.form().toString()).contains("Lantern verse 16");
    Path file = folder.resolve("named.tide");
    SongFile.write(named, file);
    assertThat(SongFile.read(file)).isEqualTo(named);
    assertThat(on(SectionKind.VERSE, SectionEdits.Scope.THIS).name("  ").apply(named))
        .isEqualTo(SONG);
    assertThatThrownBy(
            () -> on(SectionKind.VERSE, SectionEdits.Scope.THIS).name("x".repeat(25)).apply(SONG))
        .hasMessageContaining("1 to 24 letters");
  }

  /** Any edits, each scored: lengths add up and the song before is still the song before. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void afterAnyEditsTheFormAddsUpToTheScore(long seed) {
    Random random = new Random(seed);
    History history = History.unsaved(SONG);
    for (int i = 0; i < 12; i++) {
      Song now = history.song();
      List<Section> sections = now.form().sections();
      SectionId id = sections.get(random.nextInt(sections.size())).id();
      SectionEdits edits =
          new SectionEdits(
              id, SectionEdits.Scope.values()[random.nextInt(SectionEdits.Scope.values().length)]);
      Edit edit =
          switch (random.nextInt(8)) {
            case 0 -> edits.repeat();
            case 1 -> edits.halve();
            case 2 -> edits.doubleLength();
            case 3 -> edits.stripDrums();
            case 4 -> edits.withoutSub(1 + random.nextInt(12));
            case 5 -> edits.arrangedLike(sections.get(random.nextInt(sections.size())).id());
            case 6 -> SectionEdits.swapOpening();
            default -> edits.name("part " + random.nextInt(5));
          };
      Song changed = edit.apply(now);
      if (changed.form().bars() < 400) {
        history = history.plus(edit);
        assertThat(Score.of(changed).ticks()).isEqualTo(changed.form().bars() * 3840);
      }
    }
    while (history.undoable().isPresent()) {
      history = history.undo();
    }
    assertThat(history.song()).isEqualTo(SONG);
  }
}
