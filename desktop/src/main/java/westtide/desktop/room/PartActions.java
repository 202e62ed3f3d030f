package westtide.desktop.room;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.SongView;
import westtide.song.Part;
import westtide.song.edit.PartNames;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;

/** What can be done with the selected part where all parts are in view. */
public final class PartActions extends FlowPane {
  private final RoomContext context;
  private final Label name = Controls.label("", "strong");
  private final Button earlier;
  private final Button later;
  private final Button remove;

  /** Actions on a desk; {@code where} tells their ids apart from those of another room. */
  public PartActions(RoomContext context, String where) {
    super(6, 4);
    this.context = context;
    setRowValignment(javafx.geometry.VPos.CENTER);
    this.earlier = Controls.action(where + "part-earlier", "▲ earlier", () -> move(-1));
    this.later = Controls.action(where + "part-later", "▼ later", () -> move(1));
    this.remove =
        Controls.explained(
            Controls.action(where + "part-delete", "delete", this::remove),
            "Deletes the part and everything that points to it; undo brings it back");
    name.setId(where + "part-chosen");
    getChildren()
        .addAll(
            Controls.label("part", "small"),
            name,
            Controls.explained(
                Controls.action(where + "part-more", "part …", this::more),
                "Name, instrument, transposition, doubling and order of the part"),
            earlier,
            later,
            Controls.action(where + "part-duplicate", "duplicate", this::duplicate),
            remove,
            Controls.explained(
                Controls.action(where + "part-add", "+ part", this::add),
                "Adds a part of any role"));
  }

  /** Shows which part is selected. */
  public void show(SongView view) {
    Part part = context.open().part();
    int place = view.song().parts().indexOf(part);
    name.setText(part.name());
    earlier.setDisable(place == 0);
    later.setDisable(place == view.song().parts().size() - 1);
    remove.setDisable(view.song().parts().size() == 1);
  }

  private PartEdits edits() {
    return new PartEdits(context.open().part().id());
  }

  /** Moves the selected part earlier or later in the order of parts. */
  public void move(int by) {
    int to = context.open().song().parts().indexOf(context.open().part()) + by;
    if (to >= 0 && to < context.open().song().parts().size()) {
      context.apply(edits().move(to));
    }
  }

  private void duplicate() {
    PartId copy = PartNames.freeId(context.open().song(), context.open().part().role());
    context.apply(edits().duplicate(copy));
    context.open().song().part(copy).ifPresent(context.open()::select);
  }

  private void remove() {
    context.apply(edits().remove());
  }

  private void add() {
    new NewPartPanel(context, context.open().part().role()).open();
  }

  private void more() {
    new PartPanel(context, context.open().part().id()).open();
  }
}
