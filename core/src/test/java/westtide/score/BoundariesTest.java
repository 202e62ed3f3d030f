package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.FormDraft;
import westtide.review.Soundings;
import westtide.review.Stage;
import westtide.song.Form;
import westtide.song.FormLine;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.Transition;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.FormEdits;
import westtide.song.edit.SectionEdits;
import westtide.text.Reading;

/**
 * Transitions are notes and silences of the score: before the boundary, on it, and nowhere else.
 */
class BoundariesTest {
  private static final int BAR = 3840;
  private static final int HOOK = 8 * BAR;
  private static final Song SONG = typed("verse 8, hook 8");

  private static Song typed(String line) {
    Song song = Songs.draft("trap", 2);
    Form form =
        FormDraft.in(Songs.book().get("trap"), song).form(FormLine.parse(line).orElseThrow());
    return FormEdits.replace("", form).apply(song);
  }

  private static List<ScoredNote> notes(Song song, Role role) {
    return Score.of(song).parts(role).get(0).notes();
  }

  private static List<ScoredNote> between(Song song, Role role, int from, int to) {
    return notes(song, role).stream().filter(n -> n.end() > from && n.start() < to).toList();
  }

  @Test
  void drumsFallOutForTheBeatsBeforeAndNothingElseChanges() {
    Song out = typed("verse 8, hook 8 drums-out:4");
    assertThat(between(SONG, Role.DRUMS, HOOK - BAR, HOOK)).isNotEmpty();
    assertThat(between(out, Role.DRUMS, HOOK - BAR, HOOK)).isEmpty();
    assertThat(notes(out, Role.DRUMS))
        .filteredOn(n -> n.start() >= HOOK || n.end() <= HOOK - BAR)
        .isEqualTo(
            notes(SONG, Role.DRUMS).stream()
                .filter(n -> n.start() >= HOOK || n.end() <= HOOK - BAR)
                .toList());
    assertThat(notes(out, Role.CHORDS)).isEqualTo(notes(SONG, Role.CHORDS));
  }

  @Test
  void everythingStopsBeforeTheHookAndNoNoteHangs() {
    Song out = typed("verse 8, hook 8 stop:2");
    for (Role role : List.of(Role.DRUMS, Role.CHORDS, Role.SUB)) {
      assertThat(between(out, role, HOOK - 1920, HOOK)).as(role.toString()).isEmpty();
    }
    assertThat(between(SONG, Role.CHORDS, HOOK - 1920, HOOK)).isNotEmpty();
  }

  /** A bar that is silent on purpose is no hole in the form. */
  @Test
  void aStopOfAWholeBarIsNotFoundFaultWith() {
    Song out = typed("verse 8, hook 8 stop:4");
    assertThat(between(out, Role.CHORDS, HOOK - BAR, HOOK)).isEmpty();
    assertThat(Soundings.of(Score.of(out), Songs.book().get("trap")).at(Stage.FORM).findings())
        .noneMatch(finding -> finding.id().startsWith("form.empty"));
  }

  @Test
  void everythingStopsOnTheFirstSnareButThatSnare() {
    Song out = typed("verse 8, hook 8 snare-stop");
    int snare =
        notes(SONG, Role.DRUMS).stream()
            .filter(n -> n.start() >= HOOK)
            .filter(n -> n.of(DrumVoice.SNARE) || n.of(DrumVoice.CLAP))
            .mapToInt(ScoredNote::start)
            .min()
            .orElseThrow();
    assertThat(between(out, Role.DRUMS, snare, snare + 960))
        .isNotEmpty()
        .allMatch(n -> n.start() == snare)
        .allMatch(n -> n.of(DrumVoice.SNARE) || n.of(DrumVoice.CLAP));
    for (Role role : List.of(Role.CHORDS, Role.SUB)) {
      assertThat(between(out, role, snare, snare + 960)).as(role.toString()).isEmpty();
    }
    assertThat(notes(out, Role.SUB)).anyMatch(n -> n.start() >= snare + 960);
  }

  @Test
  void aCrashLandsOnTheOne() {
    Song out = typed("verse 8, hook 8 crash");
    assertThat(notes(out, Role.DRUMS))
        .filteredOn(n -> n.of(DrumVoice.CRASH))
        .extracting(ScoredNote::start)
        .containsExactly(HOOK);
    assertThat(notes(out, Role.DRUMS)).hasSize(notes(SONG, Role.DRUMS).size() + 1);
  }

  /** A score made from the one before is the score made anew, whatever is announced. */
  @ParameterizedTest
  @ValueSource(strings = {"drums-out:8", "stop", "snare-stop:0 crash", "drums-out stop crash"})
  void theScoreAfterAnEditIsTheScoreMadeAnew(String words) {
    Song out = typed("verse 8, hook 8 " + words);
    assertThat(Score.of(SONG).after(out)).isEqualTo(Score.of(out));
    assertThat(Score.of(out).after(SONG)).isEqualTo(Score.of(SONG));
    Song quiet =
        new SectionEdits(out.form().id(1), SectionEdits.Scope.THIS).stripDrums().apply(out);
    assertThat(Score.of(out).after(quiet)).isEqualTo(Score.of(quiet));
  }

  @Test
  void theFormLineSaysThemAndReadsThemAgain() {
    Song out = typed("verse 8, hook 8 drums-out:2 crash, outro 4 none");
    assertThat(FormLine.format(out.form())).isEqualTo("verse 8, hook 8 drums-out:2 crash, outro 4");
    assertThat(typed(FormLine.format(out.form())).form()).isEqualTo(out.form());
    Reading<?> wrong = FormLine.parse("intro 4, hook 8 boom");
    assertThat(((Reading.Problem<?>) wrong).message()).contains("boom").contains("drums-out");
    assertThat(((Reading.Problem<?>) wrong).column()).isEqualTo(10);
    assertThat(new Transition.SnareStop(1)).hasToString("all stop on the first snare for a beat");
    assertThatThrownBy(() -> new Transition.Stop(33)).hasMessageContaining("1 to 32");
  }

  /** Texts as styles have them. */
  @ParameterizedTest
  @CsvSource({
    "drums out for the last beat, drums-out",
    "crash on the one, crash",
    "everything stops on the first snare of the drop, snare-stop",
    "drums out for two bars, drums-out:8"
  })
  void whatAStyleSaysIsUnderstood(String sentence, String word) {
    assertThat(Transition.said(sentence).orElseThrow().word()).isEqualTo(word);
    assertThat(Transition.said("low-pass opening over the section")).isEmpty();
  }

  @Test
  void everyHookIsAnnouncedAsTheStyleDoes() {
    for (var style : Songs.book().styles()) {
      Song song = Songs.draft(style.id(), 1);
      Form form = FormDraft.announced(song.form(), style.transitions());
      Song announced = FormEdits.replace("", form).apply(song);
      assertThat(Score.of(announced).ticks()).isEqualTo(Score.of(song).ticks());
    }
    Song song = Songs.draft("trap", 1);
    assertThat(FormLine.format(song.form())).contains("hook 16 drums-out crash");
    assertThat(FormDraft.announced(song.form(), Songs.book().get("trap").transitions()))
        .as("a draft has them already")
        .isEqualTo(song.form());
  }
}
