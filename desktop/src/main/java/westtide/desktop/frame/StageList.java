package westtide.desktop.frame;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.RovingFocus;
import westtide.desktop.open.SongView;
import westtide.desktop.room.Room;
import westtide.review.finding.Severity;
import westtide.review.finding.Stage;

/** The stages on the left in the order of the work, each with one measured line. */
public final class StageList extends VBox {
  private static final double LEAST = 48;
  private static final double MOST = 78;
  private static final double MARK = 5.5;

  private final Map<Stage, ToggleButton> stops = new EnumMap<>(Stage.class);
  private final Map<Stage, Label> facts = new EnumMap<>(Stage.class);
  private final Map<Stage, Circle> marks = new EnumMap<>(Stage.class);
  private final Line thread = new Line();
  private final RovingFocus focus = RovingFocus.over(this, () -> List.copyOf(stops.values()));

  /** The stages one below the other; a click hands over the stage that was chosen. */
  public StageList(Consumer<Stage> chosen) {
    getStyleClass().add("course");
    thread.getStyleClass().add("thread");
    thread.setManaged(false);
    thread.setMouseTransparent(true);
    getChildren().add(thread);
    for (Stage stage : Stage.values()) {
      getChildren().add(stop(stage, chosen));
    }
  }

  /** The thread goes through the marks, from the first stage to the last. */
  @Override
  protected void layoutChildren() {
    super.layoutChildren();
    ToggleButton first = stops.get(Stage.BRIEF);
    ToggleButton last = stops.get(Stage.DELIVER);
    double x = first.getLayoutX() + first.getInsets().getLeft() + MARK;
    thread.setStartX(x);
    thread.setEndX(x);
    thread.setStartY(first.getLayoutY() + first.getHeight() / 2);
    thread.setEndY(last.getLayoutY() + last.getHeight() / 2);
  }

  /** Shows the facts of a song and which stage is in front. */
  public void show(SongView view, List<? extends Room> rooms, Stage front) {
    for (Room room : rooms) {
      Stage stage = room.stage();
      facts.get(stage).setText(room.summary(view));
      stops.get(stage).setSelected(stage == front);
      if (stage == front && !stops.get(stage).isFocused()) {
        focus.enterAt(rooms.indexOf(room));
      }
      boolean asks =
          view.soundings().at(stage).findings().stream()
              .anyMatch(finding -> finding.severity() == Severity.WARNING);
      List<String> classes = List.of("stop-mark", asks ? "asks" : "calm");
      if (!marks.get(stage).getStyleClass().equals(classes)) {
        marks.get(stage).getStyleClass().setAll(classes);
      }
      stops
          .get(stage)
          .setAccessibleText(stage + ", " + room.summary(view) + (asks ? ", has a warning" : ""));
    }
  }

  private ToggleButton stop(Stage stage, Consumer<Stage> chosen) {
    Label name = Controls.label(stage.toString(), "stop-name");
    Label fact = Controls.label("", "small", "stop-fact");
    Circle mark = new Circle(MARK);
    ToggleButton stop = new ToggleButton();
    stop.setId("stage-" + stage.name().toLowerCase().replace('_', '-'));
    stop.getStyleClass().setAll("toggle-button", "course-stop");
    stop.setGraphic(Controls.row(11, mark, Controls.column(0, name, fact)));
    stop.setMaxWidth(Double.MAX_VALUE);
    stop.setMinHeight(LEAST);
    stop.setMaxHeight(MOST);
    VBox.setVgrow(stop, Priority.ALWAYS);
    stop.setOnAction(
        event -> {
          stop.setSelected(true);
          chosen.accept(stage);
        });
    stops.put(stage, stop);
    facts.put(stage, fact);
    marks.put(stage, mark);
    return stop;
  }
}
