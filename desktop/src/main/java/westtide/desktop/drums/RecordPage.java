package westtide.desktop.drums;

import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
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
import westtide.rhythm.Quantise;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedLanes;
import westtide.song.edit.Edit;
import westtide.song.edit.line.PlayIn;
import westtide.song.pattern.Pattern;

/**
 * Playing a groove in: the section that plays it loops after a count-in, what is struck on keys,
 * pads or by the simulated player is put on the swung grid by a strength, and stays as one edit.
 */
final class RecordPage implements Page<GrooveScene> {
  private static final String KEYS = "keys 1 to 9";
  private static final String ONE_LANE = "simulated player, this lane";
  private static final String ALL_LANES = "simulated player, all lanes";
  private static final String FIGURE = "x...x...x..x..x.";
  private static final int KEY_VELOCITY = 100;
  private static final double NANOS_PER_MILLI = 1e6;

  private final GrooveChoice choice;
  private final PlayInSettings settings =
      new PlayInSettings("pad-", List.of(KEYS, ONE_LANE, ALL_LANES)).keeping();
  private final Button record;
  private final Button again;
  private final Label summary = Controls.wrapped("", "small");
  private final FlowPane pads = Controls.flow();
  private final VBox box;
  private final OpenInput input = new OpenInput();
  private Optional<DrumTake> recording = Optional.empty();
  private Optional<DrumTake> lastTake = Optional.empty();

  RecordPage(GrooveChoice choice) {
    this.choice = choice;
    choice.context().open().watchOpening(this::forget);
    summary.setId("pad-summary");
    this.record = Controls.primary("pad-record", "play in", this::toggle);
    this.again = Controls.action("pad-again", "quantise again", this::placeAgain);
    again.setDisable(true);
    FlowPane row = Controls.flow(record);
    row.getChildren().addAll(settings.controls());
    row.getChildren().add(again);
    row.setHgap(10);
    pads.setId("pad-strip");
    this.box = new VBox(7, row, pads, summary);
    box.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  /** A take belongs to the song it was played into. */
  private void forget() {
    input.close();
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
  public void show(GrooveScene scene) {
    again.setDisable(takeHere().isEmpty());
    List<DrumLane> lanes = scene.groove().lanes();
    if (pads.getChildren().size() != lanes.size() || !shown(lanes)) {
      pads.getChildren().clear();
      for (int i = 0; i < lanes.size(); i++) {
        LaneId id = lanes.get(i).id();
        String words = i < 9 ? (i + 1) + " " + id : id.toString();
        pads.getChildren()
            .add(Controls.action("pad-" + id.slug(), words, () -> struck(id, KEY_VELOCITY)));
      }
    }
    if (recording.isEmpty() && summary.getText().isEmpty()) {
      summary.setText(
          "Four beats count in, then the groove loops. Strike 1 to 9, Shift for accents, or the words above.");
    }
  }

  private boolean shown(List<DrumLane> lanes) {
    for (int i = 0; i < lanes.size(); i++) {
      if (!pads.getChildren().get(i).getId().equals("pad-" + lanes.get(i).id().slug())) {
        return false;
      }
    }
    return true;
  }

  private void key(KeyEvent event) {
    boolean typing = event.getTarget() instanceof javafx.scene.control.TextField;
    if (typing || event.isShortcutDown() || event.getCode() == KeyCode.DIGIT0) {
      return;
    }
    if (event.getCode().isDigitKey()) {
      int lane = Integer.parseInt(event.getCode().getChar()) - 1;
      List<DrumLane> lanes = choice.scene().groove().lanes();
      if (lane < lanes.size()) {
        struck(lanes.get(lane).id(), event.isShiftDown() ? Velocity.ACCENT : KEY_VELOCITY);
      }
      event.consume();
    }
  }

  private void struck(LaneId id, int velocity) {
    recording.ifPresent(take -> take.recorder().struck(id, velocity, System.nanoTime()));
    choice.hear(id, velocity, 0);
  }

  private void toggle() {
    if (recording.isPresent()) {
      stop();
    } else {
      start();
    }
  }

  private void start() {
    GrooveScene scene = choice.scene();
    Optional<PatternTrial> trial = choice.trial();
    if (trial.isEmpty()) {
      summary.setText(GrooveChoice.TOO_LONG);
      return;
    }
    double nanosPerTick = scene.song().brief().tempo().millis(1) * NANOS_PER_MILLI;
    Recorder taking = new Recorder(scene.ticks(), 1 / nanosPerTick);
    PadInput.Struck listener =
        (key, velocity, nanos) -> struck(scene, taking, key, velocity, nanos);
    Optional<String> trouble = input.open(device(scene), settings.input(), listener);
    if (trouble.isPresent()) {
      summary.setText(trouble.get());
      return;
    }
    recording = Optional.of(new DrumTake(scene.part().id(), choice.groove(), taking));
    record.setText("stop and keep");
    summary.setText("counting in …");
    choice.context().play().playInto(trial.get().change(), trial.get().range());
    pads.requestFocus();
    record.requestFocus();
  }

  /** What is played on; empty for the keys of the computer. */
  private Optional<PadInput> device(GrooveScene scene) {
    return switch (settings.input()) {
      case KEYS -> Optional.empty();
      case ONE_LANE -> Optional.of(simulated(scene, List.of(figure(scene.chosen()))));
      case ALL_LANES -> Optional.of(simulated(scene, scene.groove().lanes()));
      default -> settings.device();
    };
  }

  private static PadInput simulated(GrooveScene scene, List<DrumLane> lanes) {
    return new SimulatedPads(
        scene.groove().withLanes(lanes),
        scene.ticks(),
        scene.swing(),
        scene.song().brief().tempo().millis(1),
        SimulatedPads.Hand.PRACTISED);
  }

  /** The chosen lane, or a figure of its own where that is empty. */
  private static DrumLane figure(DrumLane lane) {
    return lane.lane().hits().isEmpty() ? lane.withLane(StepLane.parse(FIGURE)) : lane;
  }

  /** A note of a device, on a thread of the device: it means the lane that is written as it. */
  private void struck(GrooveScene scene, Recorder taking, int key, int velocity, long nanos) {
    Optional<LaneId> lane =
        scene.groove().lanes().stream()
            .map(DrumLane::id)
            .filter(id -> scene.part().sound(id).note() == key)
            .findFirst()
            .or(() -> LaneId.ofNote(key));
    lane.ifPresent(id -> taking.struck(id, velocity, nanos));
    lane.ifPresent(id -> Platform.runLater(() -> choice.hear(id, velocity, 0)));
  }

  /** Told in every frame while the room is in front. */
  void follow(PlayPosition moment) {
    if (recording.isEmpty()) {
      return;
    }
    int counting = choice.context().play().gauges().countIn();
    if (counting > 0) {
      summary.setText("counting in: " + counting);
    } else if (moment.playing()) {
      Recorder now = recording.get().recorder();
      long nanos = System.nanoTime();
      if (now.at(moment.sectionTick() % choice.scene().ticks(), nanos)) {
        input.as(SimulatedPads.class).ifPresent(it -> it.begin(now.began(nanos)));
      }
      if (now.moving()) {
        summary.setText("recording on " + settings.input() + ": " + now.count() + " hits");
      }
    }
  }

  private void stop() {
    DrumTake take = recording.orElseThrow();
    recording = Optional.empty();
    input.close();
    choice.context().play().stop();
    choice.context().play().loopNothing();
    record.setText("play in");
    if (take.count() == 0) {
      summary.setText("Nothing was struck, and nothing was changed.");
      return;
    }
    lastTake = Optional.of(take);
    place(take);
  }

  /** The take that was played into the groove in front. */
  private Optional<DrumTake> takeHere() {
    return lastTake.filter(
        take -> choice.part().filter(p -> take.in(p.id(), choice.groove())).isPresent());
  }

  private void placeAgain() {
    takeHere().ifPresent(this::place);
  }

  private void place(DrumTake take) {
    GrooveScene scene = choice.scene();
    Quantise quantise = new Quantise(settings.grid(), scene.swing(), settings.strength());
    PlayedLanes lanes = new PlayedLanes(quantise, scene.ticks() / settings.grid().ticks());
    Pattern.Drums out =
        take.on(scene.groove(), new PlayIn(lanes, settings.keeps()), settings.latency());
    Edit edit = choice.edits().groove().replace("Play in " + take.count() + " hits", out);
    choice.apply(edit);
    summary.setText(
        take.count()
            + " hits kept, "
            + settings.strength()
            + " % of the way to "
            + settings.grid()
            + (scene.swing().straight() ? "" : " as they swing")
            + ". Undo takes them back.");
  }
}
