package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import westtide.file.FileNames;
import westtide.review.finding.Stage;
import westtide.score.Score;
import westtide.score.event.AutomationTarget;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.song.mix.Curve;

/**
 * The whole job on the form, by pointer and keys: an eight-bar loop becomes a track of two and a
 * half minutes with entrances, transitions, curves and a teased line, and is read by another
 * program.
 */
class FormJobTest extends TrapSongTest {
  private static final int MOST_ACTIONS = 25;
  private static final int BAR = 3840;

  private int actions;

  @Override
  void begin() {
    super.begin();
    Song draft = song();
    Section hook = draft.form().sections().get(1).withBars(8).withEntry(List.of());
    for (Part part : draft.parts()) {
      if (part.role() != Role.MARKS) {
        hook = hook.withCells(part.id(), List.of(new Cell(0, Level.FULL, "A")));
      }
    }
    shell.begin(draft.withForm(new Form(List.of(hook))));
  }

  private void act(String... ids) {
    actions += ids.length;
    press(ids);
  }

  private void actTyping(String field, String text) {
    actions++;
    type(field, text);
  }

  private void actClicking(String node) {
    actions++;
    clickOn(node);
    settle();
  }

  private Section section(String label) {
    Form form = song().form();
    for (int i = 0; i < form.sections().size(); i++) {
      if (form.label(i).equals(label)) {
        return form.sections().get(i);
      }
    }
    throw new AssertionError(label + " in " + form);
  }

  private int start(String label) {
    return song().form().startBar(song().form().sections().indexOf(section(label))) * BAR;
  }

  @Test
  void anEightBarLoopBecomesATrackInAtMostTwentyFiveActions() throws Exception {
    PartId keys = song().parts(Role.CHORDS).get(0).id();
    PartId lead = song().parts(Role.LINE).get(0).id();
    assertThat(song().form().bars()).isEqualTo(8);
    go(Stage.FORM);
    actions++;
    act("#form-loop", "#plan-lay");
    actTyping(
        "#form-line",
        "intro 8, hook 8, verse 8 x3, pre-hook 8, hook 16, bridge 8, hook 16, outro 4");
    actClicking("#section-6");
    act("#form-page-transitions", "#entry-snare-stop", "#entry-gap");
    actClicking("#section-8");
    act("#entry-reverse", "#form-announce");
    actClicking("#tank-0-" + keys + "-0");
    act("#form-page-curves", "#curve-kind-low-pass", "#curve-add");
    actClicking("#tank-6-" + keys + "-0");
    act("#curve-kind-level", "#curve-add");
    actTyping("#curve-bars", "8");
    actClicking("#part-name-" + lead);
    act("#form-page-tease", "#tease-plant");
    go(Stage.DELIVER);
    actions++;
    act("#deliver-write");
    assertThat(actions).isLessThanOrEqualTo(MOST_ACTIONS);
    isTheTrack(keys, lead);
    waitFor(() -> words("#message-words").startsWith("Wrote"));
    isReadByAnother(folder.resolve("documents").resolve(FileNames.midi(song())));
  }

  private void isTheTrack(PartId keys, PartId lead) {
    assertThat(song().millis() / 1000).isBetween(140.0, 175.0);
    List<SectionKind> kinds = song().form().sections().stream().map(s -> s.word().kind()).toList();
    assertThat(kinds)
        .containsExactly(
            SectionKind.INTRO,
            SectionKind.HOOK,
            SectionKind.VERSE,
            SectionKind.VERSE,
            SectionKind.VERSE,
            SectionKind.PRE_HOOK,
            SectionKind.HOOK,
            SectionKind.BRIDGE,
            SectionKind.HOOK,
            SectionKind.OUTRO);
    assertThat(section("hook 2").entry())
        .extracting(Transition::kind)
        .contains(TransitionKind.SNARE_STOP, TransitionKind.GAP);
    Score score = Score.of(song());
    int gap = start("hook 2") - 2 * BAR;
    for (Role role : List.of(Role.SUB, Role.DRUMS)) {
      assertThat(score.parts(role).get(0).between(gap, start("hook 2"))).as(role + "").isEmpty();
    }
    assertThat(score.parts(Role.MARKS).get(0).notes())
        .filteredOn(note -> note.instrument().equals("reversed crash"))
        .extracting(ScoredNote::end)
        .contains(start("hook 3"));
    assertThat(score.part(keys).orElseThrow().motion(AutomationTarget.LOW_PASS).at(BAR, 99))
        .isLessThan(14);
    Curve level = section("hook 2").curves().get(keys).get(0);
    assertThat(level.kind()).isEqualTo(Curve.Kind.LEVEL);
    assertThat(level.bars()).isEqualTo(8);
    List<Level> levels =
        song().form().sections().stream()
            .flatMap(s -> s.cells(lead).stream())
            .map(Cell::level)
            .distinct()
            .toList();
    assertThat(levels).contains(Level.HINT, Level.HALF, Level.FULL);
  }

  /** Debian's midicsv lists a marker a section and as many notes as the score has. */
  private void isReadByAnother(Path file) throws Exception {
    Process process;
    try {
      process = new ProcessBuilder("midicsv", file.toString()).start();
    } catch (IOException missing) {
      assertThat(System.getenv("CI")).as("CI installs midicsv").isNull();
      return;
    }
    List<String> lines =
        new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8)
            .lines()
            .toList();
    assertThat(lines.stream().filter(line -> line.contains("Marker_t")))
        .hasSize(song().form().sections().size());
    long notes = Score.of(song()).parts().stream().mapToLong(part -> part.notes().size()).sum();
    assertThat(lines.stream().filter(line -> line.contains("Note_on_c"))).hasSize((int) notes);
    assertThat(lines).anyMatch(line -> line.matches(".*Control_c, \\d+, 74, .*"));
  }
}
