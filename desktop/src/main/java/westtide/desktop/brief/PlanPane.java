package westtide.desktop.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.open.SongView;
import westtide.desktop.room.RoomContext;
import westtide.review.Checklist;
import westtide.review.finding.Stage;
import westtide.rhythm.Clock;
import westtide.song.Plan;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;

/** The length wished for, minutes for each stage, and a checklist that ticks itself. */
final class PlanPane extends VBox {
  private static final Pattern CLOCK = Pattern.compile("(\\d{1,2}):([0-5]\\d)");
  private static final int NUDGE_SECONDS = 10;
  private static final int NUDGE_MINUTES = 5;

  private final RoomContext context;
  private final NumberField goal;
  private final Label length = Controls.wrapped("", "small");
  private final Label total = Controls.wrapped("", "small");
  private final List<NumberField> budgets = new ArrayList<>();
  private final VBox points = new VBox(3);
  private final Label ticked = Controls.wrapped("", "strong");

  PlanPane(RoomContext context) {
    super(8);
    this.context = context;
    setId("plan");
    this.goal =
        new NumberField(
                "length-goal",
                "wished length",
                this::typeGoal,
                by -> wish(Math.max(0, Math.min(1200, plan().seconds() + by * NUDGE_SECONDS))))
            .inline();
    FlowPane stages = Controls.flow();
    for (Stage stage : Stage.values()) {
      String name = stage.toString();
      NumberField field =
          new NumberField(
                  "budget-" + stage.name().toLowerCase().replace('_', '-'),
                  name,
                  text -> give(name, minutes(text)),
                  by -> give(name, given(name) + by * NUDGE_MINUTES))
              .inline();
      budgets.add(field);
      stages.getChildren().add(field);
    }
    length.setId("plan-length");
    total.setId("plan-total");
    points.setId("checklist");
    getChildren()
        .addAll(
            goal,
            length,
            Controls.label("minutes for each stage", "small"),
            stages,
            total,
            ticked,
            points);
  }

  void show(SongView view) {
    Plan plan = view.song().brief().plan();
    goal.show(plan.seconds() == 0 ? "–" : Clock.of(plan.seconds() * 1000.0));
    length.setText(lengthWords(view.song()));
    for (int i = 0; i < budgets.size(); i++) {
      int given = plan.minutes().getOrDefault(Stage.values()[i].toString(), 0);
      budgets.get(i).show(given == 0 ? "–" : String.valueOf(given));
    }
    int sum = plan.minutes().values().stream().mapToInt(m -> m).sum();
    total.setText(
        (sum == 0 ? "Nothing given yet. " : sum + " minutes in all. ")
            + "Usual: drums 30 to 40 minutes, a finished track six hours and more.");
    showPoints(Checklist.of(view.score(), view.style()));
  }

  private void showPoints(Checklist list) {
    long drafted = list.done() - list.ticked();
    ticked.setText(
        list.ticked()
            + " of "
            + list.points().size()
            + " points decided"
            + (drafted == 0 ? "" : ", " + drafted + " as drafted"));
    points.getChildren().clear();
    for (Checklist.Point point : list.points()) {
      String sign = point.ticked() ? "✓" : point.done() ? "•" : "○";
      Label mark = Controls.label(sign, point.ticked() ? "strong" : "small");
      mark.setMinWidth(20);
      boolean given = point.done() && !point.decided();
      Label name = Controls.wrapped(point.name() + (given ? " (as drafted)" : ""));
      HBox.setHgrow(name, Priority.ALWAYS);
      name.setMaxWidth(Double.MAX_VALUE);
      Label stage = Controls.whole(Controls.label(point.stage().toString(), "small"));
      points.getChildren().add(Controls.row(6, mark, name, stage));
    }
  }

  private static String lengthWords(Song song) {
    String now = "it lasts " + Clock.of(song.millis()) + ", " + song.form().bars() + " bars";
    int wished = song.brief().plan().seconds();
    if (wished == 0) {
      return now + "; 2:20 to 3:30 is usual";
    }
    return now + "; " + LengthBox.words(song);
  }

  private void typeGoal(String text) {
    String typed = text.strip();
    if (typed.isEmpty() || typed.equals("–")) {
      wish(0);
      return;
    }
    Matcher matcher = CLOCK.matcher(typed);
    if (!matcher.matches()) {
      throw new IllegalArgumentException("type minutes and seconds, such as 2:50");
    }
    wish(Integer.parseInt(matcher.group(1)) * 60 + Integer.parseInt(matcher.group(2)));
  }

  private void wish(int seconds) {
    context.apply(BriefEdits.plan(plan().withSeconds(seconds)));
  }

  private void give(String stage, int minutes) {
    context.apply(BriefEdits.plan(plan().withMinutes(stage, Math.max(0, Math.min(600, minutes)))));
  }

  private int given(String stage) {
    return plan().minutes().getOrDefault(stage, 0);
  }

  private static int minutes(String text) {
    String typed = text.strip();
    if (typed.isEmpty() || typed.equals("–")) {
      return 0;
    }
    try {
      return Integer.parseInt(typed);
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException("type minutes, 1 to 600", e);
    }
  }

  private Plan plan() {
    return context.open().song().brief().plan();
  }
}
