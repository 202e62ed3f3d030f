package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.review.Soundings;
import westtide.review.finding.Finding;
import westtide.review.finding.Severity;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.SectionWord;
import westtide.song.id.Seed;
import westtide.song.mix.Curve;
import westtide.style.CoreParts;
import westtide.style.EnsembleHabit;
import westtide.style.Job;
import westtide.style.Style;

class ArrangerTest {
  private static Song arranged(Style style, long seed) {
    return Arranger.arranged(SongDraft.in(style).withSeed(seed));
  }

  static List<Style> styles() {
    return Songs.book().styles();
  }

  /** Common practice: a part has a side or a register of its own. */
  @ParameterizedTest
  @MethodSource("styles")
  void everyMemberPlaysSomewhereAndSaysWhy(Style style) {
    Song song = arranged(style, 5);
    assertThat(song.parts()).hasSizeGreaterThanOrEqualTo(8);
    for (EnsembleHabit.Member member : style.ensemble().members()) {
      Part part = song.part(member.id()).orElseThrow();
      assertThat(member.why()).isNotBlank();
      assertThat(part.mix()).isEqualTo(member.mix().on(part.mix()));
      boolean plays =
          song.form().sections().stream()
              .flatMap(section -> section.cells(part.id()).stream())
              .anyMatch(cell -> cell.level() != Level.OUT);
      assertThat(plays).as("%s plays in %s", member.name(), style.name()).isTrue();
    }
  }

  @ParameterizedTest
  @MethodSource("styles")
  void theLastHookIsTheFullest(Style style) {
    Song song = arranged(style, 7);
    int last = song.form().last(SectionKind.HOOK).orElseThrow();
    Section fullest = song.form().sections().get(last);
    for (Section section : song.form().sections()) {
      if (section.word().kind() == SectionKind.HOOK) {
        assertThat(playing(song, section)).isLessThanOrEqualTo(playing(song, fullest));
      }
    }
  }

  private static long playing(Song song, Section section) {
    return song.parts().stream()
        .filter(part -> part.role() != Role.MARKS)
        .filter(
            part -> section.cells(part.id()).stream().anyMatch(cell -> cell.level() != Level.OUT))
        .count();
  }

  @ParameterizedTest
  @MethodSource("styles")
  void itsSoundingsFindNothingWrongInTheFirstDraft(Style style) {
    Song song = arranged(style, 1);
    List<Finding> serious =
        Soundings.of(Score.of(song), style).findings(Severity.WARNING).stream()
            .filter(finding -> !finding.id().code().startsWith("lines.rub"))
            .toList();
    assertThat(serious).as(style.name()).isEmpty();
  }

  @Test
  void theSameSeedGivesTheSameSongAndAnotherSeedAnother() {
    Style trap = Songs.book().get("trap");
    assertThat(arranged(trap, 3)).isEqualTo(arranged(trap, 3));
    Set<String> pace = new HashSet<>();
    Set<String> chords = new HashSet<>();
    for (long seed = 1; seed <= 12; seed++) {
      Song song = arranged(trap, seed);
      pace.add(song.brief().tempo() + " " + song.brief().key());
      chords.add(song.progressions().get(0).spans().toString());
    }
    assertThat(pace).hasSizeGreaterThan(9);
    assertThat(chords).hasSizeGreaterThan(9);
  }

  /** A line made for the hook's chords would rub against others. */
  @Test
  void aLineThatPlaysOverOtherChordsWasMadeForThem() {
    int others = 0;
    for (Style style : styles()) {
      Song song = arranged(style, 1);
      String hook = song.progressions().get(0).name();
      for (EnsembleHabit.Member member : style.ensemble().members()) {
        Optional<Part> there = song.part(member.id());
        if (there.isEmpty()) {
          continue;
        }
        Part part = there.get();
        for (Section section : song.form().sections()) {
          boolean elsewhere = !section.progression().equals(hook);
          if (elsewhere && member.job() instanceof Job.Beside) {
            assertThat(section.cells(part.id()))
                .filteredOn(cell -> cell.level() != Level.OUT)
                .allMatch(cell -> cell.pattern().equals(section.progression()));
            others++;
          }
        }
      }
    }
    assertThat(others).isPositive();
  }

  @Test
  void whatIsWishedForIsKept() {
    SongDraft wished =
        SongDraft.in(Songs.book().get("house"))
            .withSeed(4)
            .withTempo(westtide.rhythm.Tempo.of(121))
            .withChords("i | iv7 | v7 | i")
            .withForm("intro 8, hook 16, outro 8");
    Song song = Arranger.arranged(wished);
    assertThat(song.brief().tempo()).hasToString("121");
    assertThat(song.progressions().get(0).spans()).hasSize(4);
    assertThat(song.form()).hasToString("intro 8, hook 16, outro 8");
  }

  @Test
  void aGrooveThatIsKeptStaysAsItWasTyped() {
    Style style = Songs.book().get("lo-fi");
    Song draft = SongDraft.in(style).withSeed(2).song();
    Song song = new Arranger(style, new Seed(2)).keeping(CoreParts.DRUMS).arrange(draft);
    Part kept = song.part(CoreParts.DRUMS).orElseThrow();
    Part typed = draft.part(CoreParts.DRUMS).orElseThrow();
    assertThat(kept.pattern("A")).isEqualTo(typed.pattern("A"));
    assertThat(kept.grooves(Meter.COMMON)).isEqualTo(typed.grooves(Meter.COMMON));
  }

  @Test
  void aStyleWithItsEnsembleIsWrittenAndReadAgain() throws Exception {
    for (Style style : styles()) {
      ObjectNode written = style.write();
      Style read = Style.read(new ObjectMapper().readTree(written.toString()));
      assertThat(read.ensemble()).as(style.name()).isEqualTo(style.ensemble());
    }
  }

  @Test
  void aStyleSavedFromASongHasItsMembersAsTheyStandNow() {
    Style trap = Songs.book().get("trap");
    Song song = arranged(trap, 1);
    EnsembleHabit.Member first = trap.ensemble().members().get(0);
    Song louder = song.withPart(first.id(), part -> part.withMix(part.mix().withLevel(-77)));
    Style own = StyleFromSong.of(louder, trap, "My trap");
    EnsembleHabit.Member saved = own.ensemble().members().get(0);
    assertThat(saved.id()).isEqualTo(first.id());
    assertThat(saved.mix().level()).isEqualTo(-77);
  }

  @Test
  void aLaneThatEntersLaterIsSilentInTheFirstBarsOfTheFirstHook() {
    Style style = Songs.book().get("bass-house");
    assertThat(style.groove().lanes().get(DrumVoice.CLOSED_HAT.lane()).enters()).isEqualTo(5);
    Song song = arranged(style, 2);
    int hook = song.form().sections().indexOf(hook(song));
    int start = song.form().startTick(hook, song.brief().meter());
    List<Integer> bars =
        Score.of(song).part(CoreParts.DRUMS).orElseThrow().notes().stream()
            .filter(note -> note.of(DrumVoice.CLOSED_HAT) && note.written() >= start)
            .map(note -> (note.written() - start) / song.brief().meter().ticksPerBar())
            .toList();
    assertThat(bars.get(0)).isEqualTo(4);
  }

  private static Section hook(Song song) {
    return song.form().sections().stream()
        .filter(section -> section.word().kind() == SectionKind.HOOK)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void buildsComeFromAfarAndOpen() {
    Song song = arranged(Songs.book().get("future-bass"), 2);
    List<Section> builds =
        song.form().sections().stream().filter(s -> s.word() == SectionWord.BUILD).toList();
    assertThat(builds).isNotEmpty();
    for (Section build : builds) {
      List<Curve> keys = build.curves().get(CoreParts.KEYS);
      assertThat(keys).extracting(Curve::kind).contains(Curve.Kind.LEVEL);
      assertThat(keys.get(0).shape().values()).containsExactly(-55, 30);
    }
  }
}
