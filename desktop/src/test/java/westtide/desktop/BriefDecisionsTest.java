package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Label;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.rhythm.Swing;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.Pattern;
import westtide.theory.NoteName;
import westtide.theory.Scale;

/** Late changes told, tuning, swing on eighths, schools, plan and styles of one's own. */
class BriefDecisionsTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @BeforeEach
  void openBrief() {
    go(Stage.BRIEF);
  }

  /** Arithmetic: 12 log2(130 / 146) = −2.01 semitones; 45000 / 146 = 308, 45000 / 130 = 346 ms. */
  @Test
  void aLateTempoSaysWhatItDoesToTimes() {
    assertThat(words("#tempo-effect")).isEmpty();
    type("#tempo", "130");
    assertHas(
        words("#tempo-effect"), "From 146", "308 becomes 346 ms", "−2.01 semitones", "+12.3 %");
    press("#undo");
    assertThat(words("#tempo-effect")).isEmpty();
  }

  @Test
  void tapsSayHowSteadyTheyAre() {
    for (int at : new int[] {0, 500, 500, 500, 900, 500}) {
      clock.addAndGet(at);
      press("#tap-tempo");
    }
    assertHas(words("#tapped"), "tapped 120 BPM", "steady", "1 slip left out");
  }

  @Test
  void aModeSaysWhatBentAndNotesGoTheChosenWay() {
    int before = firstNote();
    press("#key-goes-up");
    choose("#key-tonic", NoteName.parse("E"));
    assertThat(firstNote()).isEqualTo(before + 10);
    assertThat(words("#key-bent")).isEmpty();
    choose("#key-scale", Scale.MAJOR);
    assertHas(words("#key-bent"), "♭3 became 3", "hook");
    press("#undo", "#undo");
    assertThat(firstNote()).isEqualTo(before);
  }

  private int firstNote() {
    Pattern.Written line =
        (Pattern.Written) song().part(PartId.of("lead")).orElseThrow().patterns().get(0).pattern();
    return line.notes().get(0).key();
  }

  @Test
  void theSongIsTunedByCents() {
    type("#cents", "-35");
    assertThat(song().brief().cents()).isEqualTo(-35);
    type("#cents", "900");
    assertHas(words("#cents-problem"), "-100 to 100");
    assertThat(song().brief().cents()).isEqualTo(-35);
  }

  @Test
  void swingActsOnEighthsAndSaysWhatItMoves() {
    press("#swing-on-eighths");
    assertThat(song().brief().swing().grid()).isEqualTo(Swing.Grid.EIGHTHS);
    assertHas(words("#swing-reach"), "moves");
    type("#swing", "60");
    assertThat(song().brief().swing()).isEqualTo(Swing.of(60).on(Swing.Grid.EIGHTHS));
  }

  @Test
  void theOtherSchoolIsOneClickAway() {
    press("#brief-conventions", "#school-low-end-own-rhythm");
    waitFor(() -> link() == KickLink.INDEPENDENT);
    press("#school-opening-hook-first");
    waitFor(() -> song().form().sections().get(0).word().toString().equals("hook"));
    press("#brief-panel-close", "#undo", "#undo");
    assertThat(link()).isEqualTo(KickLink.LOCKED);
  }

  private KickLink link() {
    Pattern pattern = song().part(PartId.of("808")).orElseThrow().patterns().get(0).pattern();
    return ((FollowRule.Bass808) ((Pattern.Following) pattern).rule()).link();
  }

  @Test
  void aPlanIsKeptAndTheChecklistTicksItself() {
    press("#brief-plan-and-checklist");
    type("#length-goal", "2:30");
    type("#budget-drums", "40");
    assertThat(song().brief().plan().seconds()).isEqualTo(150);
    assertThat(song().brief().plan().minutes()).containsEntry("Drums", 40);
    long unticked =
        lookup("#checklist .label").queryAllAs(Label.class).stream()
            .filter(label -> label.getText().equals("○"))
            .count();
    assertThat(unticked).as("the song is longer than the wish").isEqualTo(1);
    type("#length-goal", "soon");
    assertHas(words("#length-goal-problem"), "2:50");
  }

  @Test
  void theKeyIsFoundFromNotesThatArePlayed() {
    press("#find-key");
    clickOn("#key-strip");
    settle();
    assertThat(lookup("#key-notes").queryTextInputControl().getText()).matches("[A-G].?\\d");
    assertThat(shown("#key-guess-0")).isTrue();
  }

  @Test
  void aStyleOfOnesOwnIsSavedEditedReadAgainAndRemoved() throws Exception {
    press("#open-styles");
    type("#own-style-name", "Causeway trap");
    press("#own-style-save");
    Path file = folder.resolve("data/styles/causeway-trap.style.json");
    assertThat(file).exists();
    assertThat(shell.open().book().find("Causeway trap")).isPresent();
    Files.writeString(file, Files.readString(file).replace("As in Lamp", "Made after Lamp"));
    press("#own-style-reload");
    assertThat(shell.open().book().get("causeway-trap").summary()).startsWith("Made after");
    type("#own-low-causeway-trap", "120");
    press("#own-keep-causeway-trap");
    assertThat(shell.open().book().get("causeway-trap").tempo().low()).isEqualTo(120);
    press("#styles-close");
    choose("#brief-style", "Causeway trap");
    assertThat(song().brief().style()).isEqualTo("causeway-trap");
    press("#open-styles", "#own-remove-causeway-trap");
    assertThat(file).doesNotExist();
    type("#own-style-path", folder.resolve("none.style.json").toString());
    press("#own-style-read");
    assertHas(words("#own-style-summary"), "does not exist");
  }
}
