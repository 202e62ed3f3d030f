package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import org.junit.jupiter.api.Test;
import westtide.file.FileNames;
import westtide.review.finding.Stage;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.line.LineEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/**
 * The whole job on lines and low end, by pointer and keys: a lead is drawn and made a phrase, a
 * counter-line and two arpeggios are added, an 808 is written with rests, a slide and a ramp, the
 * bass doubled, a line played in and quantised at half strength, a low-end clash fixed, and the
 * file read by another program.
 */
class LinesAndLowEndJobTest extends TrapSongTest {
  private Pattern pattern(PartId part) {
    Part found = song().part(part).orElseThrow();
    return found.patterns().get(0).pattern();
  }

  private List<ScoredNote> scored(PartId part) {
    return shell.open().view().orElseThrow().score().part(part).orElseThrow().notes();
  }

  private void front(String room, PartId part) {
    String name = song().part(part).orElseThrow().name();
    press("#" + room + "part-" + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
  }

  private PartId chosen() {
    return shell.open().part().id();
  }

  @Test
  void aLeadALowEndAndTheirPartsAreMadeAndReadByAnotherProgram() throws Exception {
    PartId lead = song().parts(Role.LINE).get(0).id();
    PartId sub = song().parts(Role.SUB).get(0).id();
    PartId bass = song().parts(Role.BASS).get(0).id();
    drawALead(lead);
    PartId counter = beside("#line-counter");
    PartId arpeggio = arpeggios();
    playIn(counter);
    writeAnEightOhEight(sub);
    front("low-", bass);
    press("#low-part-more", "#part-double", "#part-done");
    PartId doubled = chosen();
    assertThat(scored(doubled)).isNotEmpty().hasSameSizeAs(scored(bass));
    fixAClash(counter);
    isReadAsItIs(List.of(lead, counter, arpeggio, sub, bass, doubled));
  }

  private void drawALead(PartId lead) {
    go(Stage.LINES);
    press("#pattern-more", "#pattern-clear");
    Node sheet = lookup("#degree-sheet").query();
    Bounds place = sheet.localToScreen(sheet.getLayoutBounds());
    double step = (place.getWidth() - 90) / 64;
    for (int i = 0; i < 4; i++) {
      Point2D from =
          new Point2D(place.getMinX() + 62 + (8 * i) * step, place.getCenterY() - 12 * i);
      drag(from, from.add(5 * step, 0));
      settle();
    }
    assertThat(((Pattern.Written) pattern(lead)).notes()).hasSize(4);
    press("#lines-page-phrase", "#phrase-bars-2-bars", "#phrase-plan-a-a-b-a-");
    assertThat(pattern(lead)).isInstanceOf(Pattern.Phrase.class);
    assertThat(scored(lead)).hasSizeGreaterThan(16);
  }

  private PartId beside(String button) {
    press("#lines-page-counter-line", button);
    return chosen();
  }

  private PartId arpeggios() {
    PartId arpeggio = beside("#line-stabs");
    press("#lines-page-arpeggio", "#arp-begin", "#arp-second");
    List<Part> lines = song().parts(Role.LINE);
    assertThat(lines).hasSize(4);
    double first = height(arpeggio);
    double second = height(lines.get(3).id());
    assertThat(Math.abs(second - first)).as("the free register").isGreaterThan(5);
    return arpeggio;
  }

  private double height(PartId part) {
    return scored(part).stream().mapToInt(ScoredNote::key).average().orElseThrow();
  }

  private void playIn(PartId counter) {
    front("lines-", counter);
    List<Note> line = List.of(new Note(0, 480, 73, 90), new Note(1260, 480, 74, 80));
    interact(
        () ->
            shell
                .open()
                .apply(new LineEdits(counter, "A").replace("", new Pattern.Written(1, line))));
    press("#lines-page-play-in");
    choose("#line-input", "simulated player");
    type("#line-strength", "50");
    press("#line-record");
    waitFor(() -> words("#line-play-summary").contains("2 notes"));
    press("#line-record");
    List<Note> played = ((Pattern.Written) pattern(counter)).notes();
    assertThat(played).hasSize(2);
    assertThat(played.get(1).start()).isNotEqualTo(1200).isBetween(1150, 1250);
  }

  private void writeAnEightOhEight(PartId sub) {
    go(Stage.LOW_END);
    front("low-", sub);
    press("#low-write-out");
    type("#low-line-text", "R - - . . R - - ~R8 - . . . R - - | R - - - . . . . . . . . R - - -");
    clickOn("#sub-5");
    press("#low-page-shape", "#shape-ramp");
    Pattern.Attached line = (Pattern.Attached) pattern(sub);
    assertThat(line.notes()).anyMatch(note -> note.slide() > 0).hasSize(6 + 8);
  }

  private void fixAClash(PartId counter) {
    List<Note> low = List.of(new Note(0, 960, 45, 90));
    interact(
        () ->
            shell
                .open()
                .apply(new LineEdits(counter, "A").replace("", new Pattern.Written(1, low))));
    go(Stage.LOW_END);
    openSoundings();
    waitFor(() -> shown("#finding-0"));
    int index = 0;
    while (!words("#finding-" + index + " .label").contains("dips into the 808")) {
      index++;
    }
    press("#fix-" + index);
    assertThat(((Pattern.Written) pattern(counter)).notes().get(0).key()).isGreaterThan(50);
  }

  /** Every part as Debian's midicsv lists it. */
  private void isReadAsItIs(List<PartId> parts) throws Exception {
    go(Stage.DELIVER);
    press("#deliver-write");
    waitFor(() -> words("#message-words").startsWith("Wrote"));
    Map<String, List<Integer>> tracks =
        tracks(folder.resolve("documents").resolve(FileNames.midi(song())));
    for (PartId part : parts) {
      String name = song().part(part).orElseThrow().name();
      assertThat(tracks.get(name))
          .as(name)
          .containsExactlyInAnyOrderElementsOf(
              scored(part).stream().map(ScoredNote::start).toList());
    }
  }

  private static Map<String, List<Integer>> tracks(Path file) throws Exception {
    Process process = new ProcessBuilder("midicsv", file.toString()).start();
    String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    Map<String, String> names = new HashMap<>();
    Map<String, List<Integer>> out = new LinkedHashMap<>();
    for (String line : text.split("\n")) {
      String[] cells = line.split(", ");
      if (cells.length > 3 && cells[2].equals("Title_t")) {
        names.putIfAbsent(cells[0], cells[3].replace("\"", ""));
      }
      boolean note = cells.length > 5 && cells[2].equals("Note_on_c") && !cells[5].equals("0");
      if (note) {
        out.computeIfAbsent(names.get(cells[0]), name -> new ArrayList<>())
            .add(Integer.parseInt(cells[1]));
      }
    }
    return out;
  }
}
