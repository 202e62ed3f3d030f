package westtide.desktop.line;

import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import westtide.desktop.kit.Controls;

/** How the sheet of a line shows and takes notes: with their names, and only inside the scale. */
final class ViewOptions {
  private final CheckBox names = new CheckBox("names");
  private final CheckBox lock = new CheckBox("scale lock");
  private final HBox box = Controls.row(10, names, lock);

  /** Options of a sheet. */
  ViewOptions(String prefix, NoteSheet sheet) {
    names.setId(prefix + "names");
    lock.setId(prefix + "scale-lock");
    Controls.explained(names, "Writes the name of each note beside it");
    Controls.explained(
        lock,
        "The pointer writes and moves notes to the nearest note of the scale; Shift with the up and"
            + " down arrows takes a single note off it");
    names.setOnAction(event -> sheet.naming(names.isSelected()));
    lock.setOnAction(event -> sheet.locking(lock.isSelected()));
    box.setMinWidth(HBox.USE_PREF_SIZE);
  }

  Node node() {
    return box;
  }

  void turnNames() {
    names.fire();
  }

  void turnLock() {
    lock.fire();
  }
}
