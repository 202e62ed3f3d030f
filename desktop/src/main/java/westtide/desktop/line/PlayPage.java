package westtide.desktop.line;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.OpenInput;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.PlayInSettings;
import westtide.play.PadInput;
import westtide.play.SimulatedPads;
import westtide.play.SimulatedPlayer;
import westtide.song.Brief;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.PlayedChords;
import westtide.song.edit.part.ChordEdits;
import westtide.song.line.Note;
import westtide.song.line.PlayedLine;

/**
 * Playing a line in: the section that plays it loops after a count-in; what is played on keys, a
 * keyboard or by the simulated player is put on the grid by a strength, and stays as one edit.
 */
final class PlayPage implements Page<LineScene> {
  private static final String KEYS = "computer keys";
  private static final String PLAYER = "simulated player";
  private static final String TOO_LONG =
      "No section is as long as this pattern; lengthen one in the form first.";
  private static final int KEY_VELOCITY = 96;
  private static final int ACCENT = 116;
  private static final double NANOS_PER_MILLI = 1e6;

  private final LineBench bench;
  private final PlayInSettings settings = new PlayInSettings("line-", List.of(KEYS, PLAYER));
  private final Button record;
  private final Button again;
  private final Button chords;
  private final Label summary = Controls.wrapped("", "small");
  private final VBox box;
  private final Map<KeyCode, Integer> down = new HashMap<>();
  private final OpenInput input = new OpenInput();
  private Optional<LineTake> recording = Optional.empty();
  private Optional<LineTake> lastTake = Optional.empty();
  private LineScene scene;

  PlayPage(LineBench bench) {
    this.bench = bench;
    bench.context().open().watchOpening(this::forget);
    summary.setId("line-play-summary");
    this.record = Controls.primary("line-record", "play in", this::toggle);
    this.again =
        Controls.explained(
            Controls.action("line-again", "quantise again", this::placeAgain),
            "The same take at another strength or on another grid");
    this.chords =
        Controls.explained(
            Controls.action("line-chords", "make chord symbols of it", this::toChords),
            "Chords played with the hand become the chords of this section, in the voicing you"
                + " played");
    FlowPane row = Controls.flow(record);
    row.getChildren().addAll(settings.controls());
    row.getChildren().addAll(again, chords);
    row.setHgap(10);
    this.box = new VBox(7, row, summary);
    box.setFocusTraversable(true);
    box.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    box.addEventFilter(KeyEvent.KEY_RELEASED, this::released);
    box.focusWithinProperty()
        .addListener(
            (seen, was, is) -> {
              if (!is) {
                letGo();
              }
            });
  }

  /** A take belongs to the song it was played into. */
  private void forget() {
    close();
    recording = Optional.empty();
    lastTake = Optional.empty();
    record.setText("play in");
    summary.setText("");
  }

  /** Another room comes in front: what was played so far is kept, and nothing listens any more. */
  void leave() {
    recording.ifPresent(take -> stop());
  }

  @Override
  public String title() {
    return "play in";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    boolean moved = scene != null && recording.filter(take -> !take.in(shown.line())).isPresent();
    if (moved) {
      stop();
    }
    scene = shown;
    again.setDisable(takeHere().isEmpty());
    chords.setDisable(asChords().isEmpty());
    record.setDisable(!shown.line().written());
    if (recording.isEmpty() && lastTake.isEmpty()) {
      summary.setText(
          shown.line().written()
              ? "Four beats count in, then the line loops. Keys 1 to 0 are degrees, the row below an"
                  + " octave lower; Shift a semitone up, Alt accents."
              : "A rule plays this pattern; write it out in pattern … to play into it.");
    }
  }

  private void pressed(KeyEvent event) {
    boolean typing = event.getTarget() instanceof TextInputControl;
    if (typing || event.isShortcutDown() || scene == null) {
      return;
    }
    Optional<Integer> key = PlayedKeys.of(event.getCode(), event.isShiftDown(), scene.line());
    if (key.isPresent()) {
      if (down.putIfAbsent(event.getCode(), key.get()) == null) {
        struck(key.get(), event.isAltDown() ? ACCENT : KEY_VELOCITY, System.nanoTime());
      }
      event.consume();
    }
  }

  private void released(KeyEvent event) {
    Integer key = down.remove(event.getCode());
    if (key != null) {
      recording.ifPresent(take -> take.recorder().released(key, System.nanoTime()));
      event.consume();
    }
  }

  private void letGo() {
    down.clear();
    recording.ifPresent(take -> take.recorder().release(System.nanoTime()));
  }

  private void struck(int key, int velocity, long nanos) {
    recording.ifPresent(take -> take.recorder().struck(key, velocity, nanos));
    bench.context().play().touch(scene.line().part(), key, velocity);
  }

  private void toggle() {
    if (recording.isPresent()) {
      stop();
    } else {
      start();
    }
  }

  private void start() {
    Optional<HeardLine> line = bench.written();
    Optional<PatternTrial> trial = line.flatMap(bench::trial);
    if (trial.isEmpty()) {
      summary.setText(line.isPresent() ? TOO_LONG : summary.getText());
      return;
    }
    double nanosPerTick = millisPerTick() * NANOS_PER_MILLI;
    NoteRecorder taking = new NoteRecorder(line.get().ticks(), 1 / nanosPerTick);
    Optional<String> trouble = input.open(device(), settings.input(), new Listener(taking));
    if (trouble.isPresent()) {
      summary.setText(trouble.get());
      return;
    }
    recording = Optional.of(new LineTake(line.get().part().id(), line.get().pattern(), taking));
    record.setText("stop and keep");
    summary.setText("counting in …");
    bench.context().play().playInto(trial.get().change(), trial.get().range());
    record.requestFocus();
  }

  private double millisPerTick() {
    return scene.line().song().brief().tempo().millis(1);
  }

  /** What is played on; empty for the keys of the computer. */
  private Optional<PadInput> device() {
    return switch (settings.input()) {
      case KEYS -> Optional.empty();
      case PLAYER ->
          Optional.of(
              new SimulatedPlayer(
                  scene.line().notes(),
                  scene.line().song().brief().swing(),
                  millisPerTick(),
                  SimulatedPads.Hand.PRACTISED));
      default -> settings.device();
    };
  }

  /** What a device plays, on a thread of the device. */
  private final class Listener implements PadInput.Struck {
    private final NoteRecorder taking;

    Listener(NoteRecorder taking) {
      this.taking = taking;
    }

    @Override
    public void struck(int key, int velocity, long nanos) {
      taking.struck(key, velocity, nanos);
      Platform.runLater(() -> bench.context().play().touch(scene.line().part(), key, velocity));
    }

    @Override
    public void released(int key, long nanos) {
      taking.released(key, nanos);
    }

    @Override
    public void pedal(boolean downNow, long nanos) {
      taking.pedal(downNow, nanos);
    }
  }

  /** Told in every frame while the room is in front. */
  void follow(PlayPosition moment) {
    if (recording.isEmpty()) {
      return;
    }
    int counting = bench.context().play().gauges().countIn();
    if (counting > 0) {
      summary.setText("counting in: " + counting);
    } else if (moment.playing()) {
      NoteRecorder now = recording.get().recorder();
      long nanos = System.nanoTime();
      if (now.clock().at(moment.sectionTick() % scene.line().ticks(), nanos)) {
        input.as(SimulatedPlayer.class).ifPresent(it -> it.begin(now.clock().began(nanos)));
      }
      if (now.clock().moving()) {
        summary.setText("recording on " + settings.input() + ": " + now.count() + " notes");
      }
    }
  }

  private void stop() {
    LineTake take = recording.orElseThrow();
    recording = Optional.empty();
    close();
    take.recorder().release(System.nanoTime());
    bench.context().play().stop();
    bench.context().play().loopNothing();
    record.setText("play in");
    if (take.recorder().count() == 0) {
      summary.setText("Nothing was played, and nothing was changed.");
      return;
    }
    lastTake = Optional.of(take);
    place(take, settings.keeps() ? List.of() : scene.line().notes());
  }

  private void close() {
    down.clear();
    input.close();
  }

  /** The take that was played into the line in front. */
  private Optional<LineTake> takeHere() {
    return lastTake.filter(take -> take.in(scene.line()));
  }

  private void placeAgain() {
    takeHere().ifPresent(take -> place(take, take.made(scene.line())));
  }

  private void place(LineTake take, List<Note> instead) {
    HeardLine line = scene.line();
    PlayedLine played =
        new PlayedLine(
            line.song().brief().swing(),
            settings.grid().ticks(),
            settings.strength(),
            line.ticks());
    List<Note> notes = take.on(played, settings.latency());
    String name = "Play in " + notes.size() + " notes, " + line.part().name();
    bench.context().apply(line.put(name, instead, notes));
    summary.setText(
        notes.size()
            + " notes kept, "
            + (settings.strength() == 0
                ? "to the tick as they were played"
                : settings.strength() + " % of the way to " + settings.grid())
            + (line.song().brief().swing().straight() ? "" : ", with the song's swing")
            + ". Undo takes them back.");
  }

  private List<ChordSpan> asChords() {
    if (takeHere().isEmpty()) {
      return List.of();
    }
    HeardLine line = scene.line();
    Brief brief = line.song().brief();
    return new PlayedChords(brief.key(), brief.meter()).of(line.notes(), line.bars());
  }

  private void toChords() {
    List<ChordSpan> spans = asChords();
    Song song = scene.line().song();
    String row = song.form().sections().get(scene.line().place()).progression();
    bench
        .context()
        .apply(new ChordEdits(row).chords("Chords as played, " + spans.size() + " chords", spans));
  }
}
