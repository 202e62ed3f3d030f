package westtide.desktop.drums;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.song.drum.Restart;

/** Lanes of their own length: when they meet, drawn, and when all are sent back. */
final class CyclePage implements Page<GrooveScene> {
  private static final String WITH_GROOVE = "with the groove";
  private static final String EVERY = "every so many steps";
  private static final String NEVER = "never in a section";
  private static final int FIRST_RESTART = 60;

  private final GrooveChoice choice;
  private final Chooser<String> restarts =
      new Chooser<>(
          "restart", "when all lanes start again", List.of(WITH_GROOVE, EVERY, NEVER), this::take);
  private final NumberField steps =
      NumberField.held(
              "restart-steps",
              "steps",
              1,
              4096,
              () -> choice().scene().groove().restart().steps(),
              n -> restart(new Restart(n)))
          .inline();
  private final Label meeting = Controls.wrapped("", "small");
  private final CycleSheet sheet = new CycleSheet();
  private final VBox box;

  CyclePage(GrooveChoice choice) {
    this.choice = choice;
    restarts.setMinWidth(180);
    meeting.setId("lanes-meet");
    HBox.setHgrow(meeting, Priority.ALWAYS);
    this.box =
        new VBox(
            6,
            Controls.row(
                10,
                Controls.whole(Controls.label("all lanes restart", "small")),
                restarts,
                steps,
                meeting),
            sheet);
  }

  private GrooveChoice choice() {
    return choice;
  }

  @Override
  public String title() {
    return "cycle";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(GrooveScene scene) {
    Restart restart = scene.groove().restart();
    boolean counted = !restart.equals(Restart.NEVER) && !restart.equals(Restart.WITH_GROOVE);
    restarts.display(counted ? EVERY : restart.equals(Restart.NEVER) ? NEVER : WITH_GROOVE);
    steps.setDisable(!counted);
    steps.show(counted ? String.valueOf(restart.steps()) : "–");
    meeting.setText(words(scene));
    sheet.show(scene);
  }

  private static String words(GrooveScene scene) {
    List<?> own = CycleSheet.own(scene);
    if (own.isEmpty()) {
      return "Every lane fits the groove. Type a lane of 5 or 7 steps, or accents of their own length, and see here when they meet again.";
    }
    int bar = scene.meter().ticksPerBar();
    String alone = "alone the lanes meet after " + bars(CycleSheet.cycle(scene), bar);
    boolean cut = CycleSheet.restart(scene) < CycleSheet.cycle(scene);
    String description =
        cut
            ? "; sent back every " + bars(CycleSheet.restart(scene), bar)
            : ", nothing sends them back before";
    return alone
        + description
        + ". Dots: how far into its pass as each bar begins; line: without restarts.";
  }

  private static String bars(long ticks, int bar) {
    double bars = Math.round(100.0 * ticks / bar) / 100.0;
    String number = bars == Math.rint(bars) ? String.valueOf((long) bars) : String.valueOf(bars);
    return number + (bars == 1 ? " bar" : " bars");
  }

  private void take(String when) {
    restart(
        switch (when) {
          case EVERY -> new Restart(FIRST_RESTART);
          case NEVER -> Restart.NEVER;
          default -> Restart.WITH_GROOVE;
        });
  }

  private void restart(Restart restart) {
    choice.apply(choice.edits().groove().restart(restart));
  }
}
