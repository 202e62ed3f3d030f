package westtide.desktop.form;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.compose.form.TeasePlan;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.play.PlayDesk;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.BarLines;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Level;
import westtide.song.id.SectionId;

/** A line planted early: the path from its first hint to its peak, heard stage by stage. */
final class TeasePage implements Page<FormScene> {
  private final RoomContext context;
  private final VBox box = new VBox(8);
  private final FlowPane path = Controls.flow();
  private final Map<SectionId, Level> chosen = new HashMap<>();
  private FormScene scene;

  TeasePage(RoomContext context) {
    this.context = context;
    context.open().watchOpening(chosen::clear);
    path.setId("tease-path");
    box.getChildren()
        .addAll(
            Controls.wrapped(
                "The selected line comes as a hint, half open, then in full at the last hook. Press"
                    + " a stage to hear it as it would be, or set how full it is there.",
                "small"),
            path,
            Controls.explained(
                Controls.action("tease-plant", "plant it", this::plant),
                "One step: the line is out where it has no stage up to its peak"));
  }

  @Override
  public String title() {
    return "tease";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(FormScene shown) {
    if (scene != null && !scene.part().id().equals(shown.part().id())) {
      chosen.clear();
    }
    scene = shown;
    List<Node> nodes = new ArrayList<>();
    if (scene.part().role() == Role.DRUMS || scene.part().role() == Role.MARKS) {
      nodes.add(Controls.label("Select a line or chords: drums are not teased.", "small"));
    } else {
      List<TeasePlan.Stage> stages = plan().stages();
      for (int i = 0; i < stages.size(); i++) {
        TeasePlan.Stage stage = stages.get(i);
        String from = stage.fromBar() == 0 ? "" : " bar " + (stage.fromBar() + 1);
        nodes.add(
            Controls.explained(
                Controls.action(
                    "tease-stage-" + i,
                    "▷ " + scene.song().form().label(stage.place()) + from,
                    () -> hear(stage)),
                stage.why()));
        nodes.add(levels(i, stage));
        if (i + 1 < stages.size()) {
          nodes.add(Controls.label("→", "small"));
        }
      }
    }
    path.getChildren().setAll(nodes);
  }

  /** How full the line is at a stage; out leaves the stage away. */
  private Node levels(int index, TeasePlan.Stage stage) {
    Chooser<Level> level =
        new Chooser<>(
            "tease-level-" + index,
            "how full the line is there",
            List.of(Level.values()),
            wanted -> {
              chosen.put(stage.section(), wanted);
              show(scene);
            });
    level.display(chosen.getOrDefault(stage.section(), stage.level()));
    return level;
  }

  private TeasePlan plan() {
    return new TeasePlan(scene.song(), scene.part().id(), chosen);
  }

  /** The stage as it will be, in its section, round and round. */
  private void hear(TeasePlan.Stage stage) {
    Song song = scene.song();
    BarLines lines = song.barLines();
    int from = song.form().startBar(stage.place()) + stage.fromBar();
    int bars = Math.min(4, song.form().sections().get(stage.place()).bars() - stage.fromBar());
    TeasePlan plan = plan();
    context
        .play()
        .tryOut(
            heard -> plan.edit().apply(heard),
            new PlayDesk.Range(lines.tick(from), lines.tick(from + bars)));
  }

  /** Plants the line. */
  void plant() {
    if (scene.part().role() != Role.DRUMS && scene.part().role() != Role.MARKS) {
      context.apply(plan().edit());
    }
  }
}
