package westtide.desktop.brief;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.open.SongView;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.Swing;
import westtide.score.SwingReach;
import westtide.song.edit.BriefEdits;

/** Swing in percent, on what it acts, its real spacing, and how many notes it moves. */
final class SwingBox extends VBox {
  private final RoomContext context;
  private final NumberField swing;
  private final Chips<Swing.Grid> grid;
  private final SwingSheet sheet;
  private final Label reach = Controls.label("", "small");

  SwingBox(RoomContext context) {
    super(3);
    this.context = context;
    this.swing =
        new NumberField(
                "swing",
                "swing, %",
                text -> context.apply(BriefEdits.swing(Swing.parse(text).on(now().grid()))),
                this::nudge)
            .inline();
    this.sheet = new SwingSheet(this::set);
    this.grid =
        new Chips<>(
            "swing-on-", Swing.Grid::toString, g -> context.apply(BriefEdits.swing(now().on(g))));
    reach.setId("swing-reach");

    getChildren().addAll(Controls.wholeFlow(swing, grid, reach), sheet);
  }

  void show(SongView view) {
    Swing shown = view.song().brief().swing();
    swing.show(shown.toString());
    grid.show(List.of(Swing.Grid.values()), shown.grid());
    sheet.show(shown, view.song().brief().tempo());
    reach.setText(shown.straight() ? "" : words(SwingReach.of(view.score())));
  }

  private static String words(SwingReach found) {
    return found.moved() == 0
        ? "nothing to move yet"
        : "moves " + found.moved() + " of " + found.notes() + " notes";
  }

  private void nudge(int units) {
    set(now().withHeld(now().hundredths() + units * 100));
  }

  private void set(Swing wanted) {
    context.apply(BriefEdits.swing(wanted));
  }

  private Swing now() {
    return context.open().song().brief().swing();
  }
}
