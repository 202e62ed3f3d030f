package westtide.desktop.frame;

import java.util.function.IntConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Floating;
import westtide.desktop.kit.RovingFocus;
import westtide.song.edit.History;

/** What was done in this session, the last on top; taking a step goes there, forward or back. */
final class HistoryList extends VBox {
  private static final double HEIGHT = 300;
  private static final int SHOWN = 60;

  private HistoryList() {}

  /** Opens the list under a button. */
  static void open(Button owner, History history, IntConsumer goTo, Runnable versions) {
    HistoryList list = new HistoryList();
    VBox rows = new VBox(1);
    RovingFocus focus = RovingFocus.over(rows, rows::getChildren);
    Floating[] floating = new Floating[1];
    int last = history.steps().size() - 1;
    int present = 0;
    for (int step = last; step >= Math.max(0, last - SHOWN); step--) {
      int to = step;
      Button row =
          Controls.action(
              "history-" + step,
              words(history, step),
              () -> {
                floating[0].close();
                goTo.accept(to);
              });
      row.getStyleClass().setAll("button", "command-row");
      row.setMaxWidth(Double.MAX_VALUE);
      present = step == history.at() ? rows.getChildren().size() : present;
      rows.getChildren().add(row);
    }
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setPrefViewportHeight(Math.min(HEIGHT, 30.0 * rows.getChildren().size()));
    list.setPrefWidth(360);
    list.setId("history-list");
    Button saved =
        Controls.action(
            "history-versions",
            "saved versions of this song …",
            () -> {
              floating[0].close();
              versions.run();
            });
    list.getChildren().addAll(scroll, saved);
    focus.enterAt(present);
    floating[0] = Floating.under(owner, list);
    rows.getChildren().get(present).requestFocus();
  }

  private static String words(History history, int step) {
    String name = step == 0 ? "as it was opened" : history.steps().get(step).edit();
    return step == history.at()
        ? "▸ " + name + "   now"
        : step > history.at() ? name + "   undone" : name;
  }
}
