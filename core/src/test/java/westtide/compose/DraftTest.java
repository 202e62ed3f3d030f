package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.compose.form.FormDraft;
import westtide.review.Soundings;
import westtide.review.finding.Severity;
import westtide.review.finding.Stage;
import westtide.rhythm.Meter;
import westtide.rhythm.Tempo;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.line.Note;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.Pattern;
import westtide.style.LineLanguage;
import westtide.style.Style;
import westtide.theory.Key;

@Execution(ExecutionMode.CONCURRENT)
class DraftTest {
  private static final Set<String> STYLED =
      Set.of("tempo, BPM", "swing, %", "triads · 7ths · 9ths, %", "density, hits per bar");

  private static Stream<String> styles() {
    return Songs.book().styles().stream().map(Style::id);
  }

  @ParameterizedTest
  @MethodSource("styles")
  void theSameSeedGivesTheSameSongAndAnotherAnother(String style) {
    assertThat(Songs.draft(style, 7)).isEqualTo(Songs.draft(style, 7));
    Set<Song> takes = new HashSet<>();
    for (long seed = 0; seed < 8; seed++) {
      takes.add(Songs.draft(style, seed));
    }
    assertThat(takes).hasSize(8);
  }

  @ParameterizedTest
  @MethodSource("styles")
  @Sampled
  void itsOwnSoundingsFindNothingSeriousInADraft(String style) {
    Style own = Songs.book().get(style);
    Set<String> unusual = new TreeSet<>();
    for (int seed : Samples.few(4, IntStream.range(0, 50).boxed().toList())) {
      Soundings found = Soundings.of(Score.of(Songs.draft(style, seed)), own);
      assertThat(found.findings(Severity.WARNING)).as("seed " + seed).isEmpty();
      for (Stage stage : List.of(Stage.BRIEF, Stage.CHORDS, Stage.DRUMS)) {
        found.at(stage).measures().stream()
            .filter(measure -> STYLED.contains(measure.name()) && !measure.usual())
            .forEach(
                m ->
                    unusual.add(style + " " + m.name() + ": " + m.shown() + " of " + m.expected()));
      }
    }
    assertThat(unusual).isEmpty();
  }

  @Test
  void wishesAreKept() {
    Song song =
        SongDraft.in(Songs.book().get("Trap"))
            .withSeed(3)
            .withTempo(Tempo.of(146))
            .withKey(Key.parse("F# minor"))
            .withChords("i9 | VImaj7 | III VII | iv7")
            .withForm("intro 8, drop 16")
            .withTitle("Wish")
            .song();
    assertThat(song.brief().tempo()).isEqualTo(Tempo.of(146));
    assertThat(song.form()).hasToString("intro 8, drop 16");
    assertThat(song.progression("hook").chords().get(0)).hasToString("F♯m9");
    assertThat(song.progressions()).as("trap uses one progression").hasSize(1);
    assertThatThrownBy(() -> SongDraft.in(Songs.book().get("trap")).withChords("i | ?").song())
        .hasMessageContaining("column 5");
  }

  @Test
  void aStyleWithASecondProgressionGivesItToTheVersesAlone() {
    Song song =
        SongDraft.in(Songs.book().get("boom bap"))
            .withKey(Key.parse("D minor"))
            .withChords("i9 | iv9")
            .song();
    assertThat(song.progression("hook").chords()).hasSize(2);
    assertThat(song.form().sections())
        .allMatch(s -> s.progression().equals(s.word() == SectionWord.VERSE ? "verse" : "hook"));
  }

  /** Standard theory: the four chord of dorian is major, since its sixth is raised. */
  @Test
  void aModeTakesProgressionsThatFitIt() {
    for (long seed = 0; seed < 30; seed++) {
      Song song =
          SongDraft.in(Songs.book().get("house"))
              .withSeed(seed)
              .withKey(Key.parse("A dorian"))
              .song();
      assertThat(song.progressions())
          .allMatch(
              row ->
                  row.chords().stream()
                      .flatMap(chord -> chord.pitchClasses().stream())
                      .allMatch(song.brief().key()::contains));
    }
  }

  @Test
  void everyStyleTakesEverySectionWord() {
    for (Style style : Songs.book().styles()) {
      Song drafted = Songs.draft(style.id(), 1);
      for (SectionWord word : SectionWord.values()) {
        var section = FormDraft.in(style, drafted).section(word, 8);
        assertThat(section.cells()).as(style.id() + " " + word).isNotEmpty();
        assertThat(section.cell(PartId.of("keys"), 7).level()).isNotNull();
      }
    }
  }

  @Test
  void sectionsEndWithTheFillAndTheLastHookIsLifted() {
    Song song = Songs.draft("trap", 1);
    assertThat(song.form().sections().get(1).cell(PartId.of("drums"), 15).pattern())
        .isEqualTo("fill");
    assertThat(song.form().sections().get(1).cell(PartId.of("lead"), 0).level())
        .isEqualTo(Level.HALF);
    assertThat(song.form().sections().get(1).cell(PartId.of("lead"), 8).level())
        .isEqualTo(Level.FULL);
    assertThat(song.form().sections().get(6).cell(PartId.of("lead"), 8).level())
        .isEqualTo(Level.LIFTED);
  }

  @Test
  void typingAFormKeepsWhatWasMadeOfItsSections() {
    Song song =
        FormEdits.level(SectionId.of(3), PartId.of("keys"), 0, Level.LIFTED)
            .apply(Songs.draft("trap", 1));
    FormDraft draft = FormDraft.in(Songs.book().get("trap"), song);
    String hook = FormLine.format(song.form(), Meter.COMMON).split(", ")[1];
    var items = FormLine.parse("verse 24, " + hook + ", bridge 8, verse 8").orElseThrow();
    Form typed = draft.form(items, song.form());
    assertThat(typed).hasToString("verse 24, hook 16, bridge 8, verse 8");
    assertThat(typed.sections().get(0).cell(PartId.of("keys"), 0).level()).isEqualTo(Level.LIFTED);
    assertThat(typed.sections().get(1)).isEqualTo(song.form().sections().get(1));
    assertThat(typed.sections().get(2).withId(SectionId.NEW))
        .isEqualTo(draft.section(SectionWord.BRIDGE, 8));
    assertThat(typed.sections().get(3).cell(PartId.of("keys"), 0).level()).isEqualTo(Level.HALF);
    var same = FormLine.parse(FormLine.format(song.form(), Meter.COMMON)).orElseThrow();
    assertThat(draft.form(same, song.form())).isEqualTo(song.form());
  }

  /** Common practice: the rules of a line worth keeping. */
  @ParameterizedTest
  @MethodSource("styles")
  void aDraftedLineKeepsTheRulesOfItsCraft(String style) {
    for (long seed = 0; seed < 15; seed++) {
      Song song = Songs.draft(style, seed);
      Pattern.Written line =
          (Pattern.Written) song.parts(Role.LINE).get(0).patterns().get(0).pattern();
      List<PlacedChord> chords = song.progressions().get(0).over(line.bars() * 3840);
      LineFit fit = new LineFit(line.notes(), chords, Meter.COMMON);
      String seeded = style + " seed " + seed;
      assertThat(fit.chordToneShare()).as(seeded).isGreaterThanOrEqualTo(0.6);
      assertThat(fit.range()).as(seeded).isBetween(3, 16);
      assertThat(fit.rubs()).as(seeded).isEmpty();
      boolean resolves =
          Songs.book().get(style).lead().language().pitches() != LineLanguage.Pitches.FEW;
      if (resolves) {
        assertThat(fit.onChord(line.notes().get(line.notes().size() - 1))).as(seeded).isTrue();
      }
      assertThat(longestRest(line)).as(seeded).isGreaterThanOrEqualTo(960);
      assertThat(line.notes())
          .allMatch(n -> song.brief().key().contains(n.key() % 12) || fit.onChord(n));
    }
  }

  private static int longestRest(Pattern.Written line) {
    int longest = 0;
    int end = 0;
    for (Note note : line.notes()) {
      longest = Math.max(longest, note.start() - end);
      end = Math.max(end, note.end());
    }
    return Math.max(longest, line.bars() * 3840 - end);
  }
}
