package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import javafx.scene.control.Labeled;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.file.midi.MidiFile;
import westtide.review.finding.Stage;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.HeardBars;
import westtide.song.Part;
import westtide.song.drum.DrumVoice;
import westtide.song.id.PartId;
import westtide.style.Style;
import westtide.style.StyleBook;

/** The groove Drums opens on is one that sounds: what is typed there is in the file. */
class FirstGrooveTest extends WindowTest {
  private static final int BAR = 3840;
  private static final int STEP = 240;

  static List<String> styles() {
    return StyleBook.shipped().styles().stream().map(Style::id).toList();
  }

  private Part drums() {
    return song().part(PartId.of("drums")).orElseThrow();
  }

  private void draft(String style) {
    Style chosen = StyleBook.shipped().get(style);
    interact(() -> shell.begin(Arranger.arranged(SongDraft.in(chosen).withSeed(11))));
    go(Stage.DRUMS);
  }

  private String front() {
    return shell.open().selection().pattern(drums());
  }

  @Test
  void aKickTypedOnTheFirstScreenIsInTheFile() throws Exception {
    aTypedKickIsInEveryBarThatPlaysIt("boom-bap");
    assertThat(words("#groove-heard")).startsWith("heard in bars ");
  }

  @ParameterizedTest
  @MethodSource("styles")
  @Tag("check")
  void aTypedKickIsInEveryBarThatPlaysIt(String style) throws Exception {
    draft(style);
    String name = front();
    StepLane kick =
        drums().groove(name, Meter.COMMON).orElseThrow().lane(DrumVoice.KICK).orElseThrow();
    int step = 5;
    while (kick.at(step).isPresent()) {
      step++;
    }
    String text = lookup("#lane-line").queryTextInputControl().getText();
    int written = column(text, step);
    type("#lane-line", text.substring(0, written) + "X" + text.substring(written + 1));
    Path file = folder.resolve("typed.mid");
    MidiFile.write(Score.of(song()), file);
    TreeSet<Long> kicks = kicks(file);
    int bars = drums().groove(name, Meter.COMMON).orElseThrow().bars();
    List<HeardBars.Span> heard = new HeardBars(song(), drums()).of(name);
    assertThat(heard).as(style).isNotEmpty();
    for (HeardBars.Span span : heard) {
      for (int bar = span.first() - 1; bar < span.last(); bar++) {
        int inSection = bar - song().form().startBar(song().form().sectionAt(bar));
        if (inSection % bars != 0 || isBoundary(bar)) {
          continue;
        }
        long tick = (long) bar * BAR + step * STEP;
        assertThat(kicks.subSet(tick - STEP / 2, tick + STEP / 2))
            .as(style + ": " + name + " in bar " + (bar + 1))
            .isNotEmpty();
      }
    }
  }

  /** Whether something marks the beginning of a bar, which may silence the drums there. */
  private boolean isBoundary(int bar) {
    int place = song().form().sectionAt(bar);
    return !song().form().sections().get(place).at(bar - song().form().startBar(place)).isEmpty();
  }

  @Test
  void whatFollowsLeadsToItsGrooveWhichChangesThemAll() {
    draft("trap");
    String name = front();
    assertThat(name).isNotEqualTo("A");
    assertThat(words("#groove-heard")).contains("varies A");
    press("#groove-parent");
    assertThat(front()).isEqualTo("A");
    assertThat(words("#groove-heard"))
        .contains("heard as its variations in bars ")
        .contains("changes all 5 variations");
  }

  @Test
  void aGrooveOutOfTheFormSaysSoAndIsPutIntoIt() {
    draft("trap");
    run("copy-groove");
    assertThat(words("#groove-heard")).isEqualTo("not in the form");
    assertThat(lookup("#groove-use").queryAs(Labeled.class).getText()).startsWith("use it in hook");
    press("#groove-use");
    assertThat(words("#groove-heard")).startsWith("heard in bars ");
    assertThat(new HeardBars(song(), drums()).of(front())).isNotEmpty();
    press("#undo");
    assertThat(new HeardBars(song(), drums()).of(front())).isEmpty();
  }

  /** The place in a text of a step, past the signs of rolls and passes before it. */
  private static int column(String text, int step) {
    int at = -1;
    for (int i = 0; i < text.length(); i++) {
      at += "xXo.".indexOf(text.charAt(i)) >= 0 ? 1 : 0;
      if (at == step) {
        return i;
      }
    }
    throw new AssertionError("no step " + step + " in " + text);
  }

  /** Where a bass drum of the General MIDI map is struck, as the JDK's reader sees the file. */
  private static TreeSet<Long> kicks(Path file) throws Exception {
    TreeSet<Long> out = new TreeSet<>();
    Sequence sequence = MidiSystem.getSequence(file.toFile());
    for (Track track : sequence.getTracks()) {
      for (int i = 0; i < track.size(); i++) {
        MidiEvent event = track.get(i);
        if (event.getMessage() instanceof ShortMessage note
            && note.getCommand() == ShortMessage.NOTE_ON
            && note.getChannel() == 9
            && (note.getData1() == 35 || note.getData1() == 36)
            && note.getData2() > 0) {
          out.add(event.getTick());
        }
      }
    }
    return out;
  }
}
