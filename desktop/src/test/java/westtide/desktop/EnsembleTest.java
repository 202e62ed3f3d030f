package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.review.finding.Stage;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.chord.RhythmFamily;
import westtide.song.form.Level;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;

/** Parts of every role, as many as wanted, handled where they are shown. */
class EnsembleTest extends TrapSongTest {
  @TempDir Path folder;

  private List<String> names() {
    return song().parts().stream().map(Part::name).toList();
  }

  private Part part(String name) {
    return song().parts().stream().filter(p -> p.name().equals(name)).findFirst().orElseThrow();
  }

  /** Adds a part through the panel of the room in front. */
  private void add(String button, Role role, String instrument, String name) {
    press(button);
    press("#new-part-" + role.toString());
    choose("#new-part-instrument", instrument);
    type("#new-part-name", name);
  }

  @Test
  void anotherLineIsAddedWrittenAndPlaysInTheSelectedSection() {
    go(Stage.LINES);
    List<Note> lead = line();
    add("#lines-part-add", Role.LINE, "flute", "Counter");
    Part counter = part("Counter");
    assertThat(counter.patch().instrument()).isEqualTo("flute");
    assertThat(section(shell.open().section()).cell(counter.id(), 0).level()).isEqualTo(Level.FULL);
    assertThat(shown("#lines-part-counter")).isTrue();
    Node sheet = lookup("#degree-sheet").query();
    var bounds = sheet.localToScreen(sheet.getLayoutBounds());
    doubleClickOn(new Point2D(bounds.getCenterX(), bounds.getCenterY()));
    settle();
    assertThat(notes("Counter")).isEqualTo(1);
    press("#lines-part-bell");
    assertThat(line()).as("the lead is as it was").isEqualTo(lead);
    push(KeyCode.CONTROL, KeyCode.Z);
    push(KeyCode.CONTROL, KeyCode.Z);
    settle();
    assertThat(names()).doesNotContain("Counter");
  }

  private int notes(String name) {
    return ((Pattern.Written) part(name).usual().pattern()).notes().size();
  }

  private westtide.song.form.Section section(int place) {
    return song().form().sections().get(place);
  }

  @Test
  void partsAreRenamedByTwoClicksReorderedByDragAndDeletedInTheForm() {
    go(Stage.FORM);
    List<String> before = names();
    doubleClickOn("#part-name-lead");
    settle();
    type("#rename-part", "Glass bell");
    assertThat(names().get(1)).isEqualTo("Glass bell");
    drag(middle("#part-name-lead"), middle("#part-name-808"));
    assertThat(names().indexOf("Glass bell")).isEqualTo(3);
    assertThat(shell.open().undoable()).contains("Move Glass bell");
    clickOn("#part-name-bass");
    settle();
    press("#form-part-delete");
    assertThat(names()).doesNotContain("Bass guitar").hasSize(5);
    assertThat(song().form().sections())
        .allMatch(s -> s.cells().keySet().stream().noneMatch(id -> id.value().equals("bass")));
    for (int i = 0; i < 3; i++) {
      push(KeyCode.CONTROL, KeyCode.Z);
      settle();
    }
    assertThat(names()).isEqualTo(before);
  }

  @Test
  void aNameIsGivenBackByEscapeAndAPartIsMovedByKeys() {
    go(Stage.FORM);
    clickOn("#part-name-lead");
    settle();
    push(KeyCode.F2);
    settle();
    assertThat(shown("#rename-part")).isTrue();
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#rename-part")).isFalse();
    assertThat(names().get(1)).isEqualTo("Bell");
    push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.UP);
    settle();
    assertThat(names().get(0)).isEqualTo("Bell");
  }

  @Test
  void onePartIsSelectedForAllRooms() {
    go(Stage.LINES);
    add("#lines-part-add", Role.LINE, "flute", "Counter");
    go(Stage.LEVELS);
    assertThat(words("#levels-part-chosen")).isEqualTo("Counter");
    clickOn("#part-name-bass");
    settle();
    go(Stage.FORM);
    assertThat(words("#form-part-chosen")).isEqualTo("Bass guitar");
    assertHas(words("#tank-summary"), "Bass guitar in the hook");
    go(Stage.LOW_END);
    assertHas(words("#low-summary"), "pick-ups by step");
    go(Stage.LINES);
    press("#lines-part-counter");
    go(Stage.LEVELS);
    assertThat(words("#levels-part-chosen")).isEqualTo("Counter");
  }

  /** A section brings its progression to the front; its figures are shown beside it. */
  @Test
  void theProgressionOfTheSelectedSectionIsInFrontAndMeasured() {
    go(Stage.CHORDS);
    openSoundings();
    String hook = words("#figure-triads-7ths-9ths-");
    press("#page-progression", "#row-copy");
    type("#row-name", "calm");
    type("#chord-line", "i | i | i | i");
    assertThat(words("#figure-triads-7ths-9ths-")).isEqualTo("100 · 0 · 0").isNotEqualTo(hook);
    choose("#use-verse", "calm");
    press("#progression-hook");
    assertThat(words("#figure-triads-7ths-9ths-")).isEqualTo(hook);
    interact(() -> shell.open().select(2));
    settle();
    assertThat(shell.open().selection().progression(song()).name()).isEqualTo("calm");
    assertThat(words("#figure-triads-7ths-9ths-")).isEqualTo("100 · 0 · 0");
  }

  @Test
  void chordPartsGoTheirOwnWayOverOneProgression() {
    go(Stage.CHORDS);
    add("#chords-part-add", Role.CHORDS, "organ", "Held pad");
    press("#page-part");
    choose("#part-strum", "up");
    choose("#part-rhythm", RhythmFamily.OFF_BEATS.toString());
    FollowRule.Chords pad = part("Held pad").rules(FollowRule.Chords.class).get(0);
    assertThat(pad.own().strum().orElseThrow().millis()).isEqualTo(25);
    assertThat(pad.own().rhythm()).contains(RhythmFamily.OFF_BEATS.rhythm());
    assertThat(part("Keys").rules(FollowRule.Chords.class).get(0).own())
        .isEqualTo(FollowRule.Own.NOTHING);
    clickOn("#chord-card-1");
    settle();
    press("#here-without-fifth");
    assertThat(
            song().progression("hook").spans().get(1).articulation().without(part("Held pad").id()))
        .hasSize(1);
    assertThat(song().progression("hook").spans().get(1).articulation().without(part("Keys").id()))
        .isEmpty();
  }

  @Test
  void aDoubleSaysWhatItFollowsAndStandsAloneWhenAsked() {
    go(Stage.LOW_END);
    press("#low-part-more", "#part-double");
    assertThat(names()).contains("808 8va");
    press("#part-done");
    assertHas(words("#low-summary"), "Doubles 808", "1 octave up");
    press("#low-part-more", "#double-alone", "#part-done");
    assertThat(part("808 8va").rules(FollowRule.Doubling.class)).isEmpty();
    assertThat(part("808 8va").rules(LowLine.class)).hasSize(1);
  }

  @Test
  void aPartIsTransposedAndTuned() {
    go(Stage.LINES);
    press("#lines-part-more");
    type("#part-semitones", "12");
    type("#part-cents", "-20");
    assertThat(part("Bell").transposition().semitones()).isEqualTo(12);
    assertThat(part("Bell").transposition().cents()).isEqualTo(-20);
    press("#part-done");
    assertThat(shell.open().undoable()).contains("Tune Bell by -20 cents");
  }

  /**
   * Three chord parts with rhythms of their own over one progression, two lines, a doubled bass, an
   * 808, two drum parts and more: named, ordered, mixed, muted, one removed and brought back, and
   * read from the file by javax.sound.midi.
   */
  @Test
  void twelvePartsReachTheMidiFile() throws Exception {
    addTwelve();
    assertThat(names()).hasSize(13).doesNotHaveDuplicates();
    go(Stage.LINES);
    press("#lines-part-bell");
    go(Stage.FORM);
    doubleClickOn("#part-name-lead");
    settle();
    type("#rename-part", "Glass bell");
    while (names().indexOf("Glass bell") > 0) {
      push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.UP);
      settle();
    }
    go(Stage.DRUMS);
    press("#drums-part-percussion");
    go(Stage.FORM);
    press("#form-part-delete");
    assertThat(names()).hasSize(12).doesNotContain("Percussion");
    push(KeyCode.CONTROL, KeyCode.Z);
    settle();
    assertThat(names()).hasSize(13).contains("Percussion");
    go(Stage.LEVELS);
    clickOn("#part-name-" + part("Pad").id());
    settle();
    push(KeyCode.DOWN);
    press("#mute-part");
    assertThat(part("Pad").mix().level()).isNotEqualTo(part("Strummed guitar").mix().level());
    assertThat(shell.play().muted(part("Pad").id().value())).isTrue();
    go(Stage.DELIVER);
    type("#deliver-folder", folder.toString());
    push(KeyCode.CONTROL, KeyCode.E);
    waitFor(() -> written().isPresent());
    waitFor(() -> Files.size(written().orElseThrow()) > 100);
    Map<String, Track> tracks = tracks(written().orElseThrow());
    assertThat(tracks.keySet()).containsExactlyElementsOf(names());
    assertThat(
            Set.of(
                starts(tracks, "Keys"), starts(tracks, "Pad"), starts(tracks, "Strummed guitar")))
        .as("three rhythms over one progression")
        .hasSize(3);
    List<Integer> bass = keys(tracks, "Bass guitar");
    assertThat(keys(tracks, "Bass guitar 8va"))
        .isEqualTo(bass.stream().map(key -> key + 12).toList());
    assertThat(starts(tracks, "Bass guitar 8va")).isEqualTo(starts(tracks, "Bass guitar"));
    assertThat(starts(tracks, "Percussion")).isNotEmpty();
  }

  private void addTwelve() {
    go(Stage.CHORDS);
    add("#chords-part-add", Role.CHORDS, "organ", "Pad");
    press("#page-part");
    choose("#part-rhythm", RhythmFamily.OFF_BEATS.toString());
    press("#chords-part-keys");
    add("#chords-part-add", Role.CHORDS, "guitar", "Strummed guitar");
    press("#page-part");
    choose("#part-strum", "up");
    go(Stage.LINES);
    press("#lines-part-more", "#part-double", "#part-done");
    go(Stage.LOW_END);
    press("#low-part-bass-guitar");
    press("#low-part-more", "#part-double", "#part-done");
    go(Stage.DRUMS);
    add("#drums-part-add", Role.DRUMS, "tide kit", "Percussion");
    clickOn("#lane-line");
    type("#lane-line", "..x...x...x...x.");
    go(Stage.FORM);
    press("#form-part-duplicate");
    go(Stage.LEVELS);
    press("#levels-part-duplicate");
  }

  private Optional<Path> written() throws java.io.IOException {
    try (var files = Files.list(folder)) {
      return files.filter(file -> file.toString().endsWith(".mid")).findFirst();
    }
  }

  private static Map<String, Track> tracks(Path file) throws Exception {
    Map<String, Track> out = new LinkedHashMap<>();
    Track[] tracks = MidiSystem.getSequence(file.toFile()).getTracks();
    for (int i = 1; i < tracks.length; i++) {
      if (tracks[i].get(0).getMessage() instanceof MetaMessage name) {
        out.put(new String(name.getData(), java.nio.charset.StandardCharsets.UTF_8), tracks[i]);
      }
    }
    return out;
  }

  private static List<Long> starts(Map<String, Track> tracks, String part) {
    return struck(tracks.get(part)).map(MidiEvent::getTick).distinct().toList();
  }

  private static List<Integer> keys(Map<String, Track> tracks, String part) {
    return struck(tracks.get(part))
        .map(event -> ((ShortMessage) event.getMessage()).getData1())
        .toList();
  }

  private static Stream<MidiEvent> struck(Track track) {
    return IntStream.range(0, track.size())
        .mapToObj(track::get)
        .filter(
            event ->
                event.getMessage() instanceof ShortMessage message
                    && message.getCommand() == ShortMessage.NOTE_ON
                    && message.getData2() > 0);
  }
}
