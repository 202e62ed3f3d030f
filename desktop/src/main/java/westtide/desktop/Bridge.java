package westtide.desktop;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import westtide.desktop.kit.Controls;
import westtide.rhythm.Clock;
import westtide.song.Brief;

/**
 * The top of the window: what the song is, whether it is saved, undo and redo, and the way to every
 * action.
 */
final class Bridge extends HBox {
  private final Label title = Controls.label("", "title");
  private final Label project = Controls.label("", "small");
  private final Label key = Controls.label("", "figure");
  private final Label tempo = Controls.label("", "figure");
  private final Label felt = Controls.label("", "figure");
  private final Label swing = Controls.label("", "figure");
  private final Label length = Controls.label("", "figure");
  private final Label saved = Controls.label("", "small");
  private final Button undo;
  private final Button redo;
  private final OpenSong open;

  Bridge(OpenSong open, Runnable find, Runnable save) {
    this.open = open;
    getStyleClass().add("bridge");
    VBox name = Controls.column(0, title, project);
    name.setPrefWidth(230);
    name.setMinWidth(150);
    undo = icon("undo", Feather.CORNER_UP_LEFT, "Undo", open::undo);
    redo = icon("redo", Feather.CORNER_UP_RIGHT, "Redo", open::redo);
    saved.setId("saved-state");
    title.setId("bridge-title");
    key.setId("bridge-key");
    tempo.setId("bridge-tempo");
    length.setId("bridge-length");
    Button finder = Controls.action("find-action", "Find an action   /", find);
    finder.getStyleClass().setAll("button", "find");
    Button saver = Controls.action("save", "save", save);
    getChildren()
        .addAll(
            name,
            fact("key", key),
            fact("tempo", tempo),
            fact("felt", felt),
            fact("swing", swing),
            fact("length", length),
            Controls.spring(),
            saved,
            Controls.row(2, saver, undo, redo),
            finder);
  }

  void show(SongView view) {
    Brief brief = view.song().brief();
    title.setText(view.song().title());
    project.setText(view.song().project());
    project.setManaged(!view.song().project().isEmpty());
    key.setText(brief.key().toString());
    tempo.setText(brief.tempo().toString());
    felt.setText(brief.felt());
    swing.setText(brief.swing() + " %");
    length.setText(Clock.of(view.song().millis()));
    saved.setText(
        open.changed() ? open.file().isPresent() ? "changed" : "in no file yet" : "saved");
    undo.setDisable(open.undoable().isEmpty());
    redo.setDisable(open.redoable().isEmpty());
    Controls.explained(undo, open.undoable().map(name -> "Undo: " + name).orElse("Undo"));
    Controls.explained(redo, open.redoable().map(name -> "Redo: " + name).orElse("Redo"));
  }

  private static VBox fact(String name, Label figure) {
    figure.setMinWidth(USE_PREF_SIZE);
    return Controls.column(0, Controls.label(name, "small"), figure);
  }

  private static Button icon(String id, Feather icon, String words, Runnable run) {
    Button button = Controls.action(id, "", run);
    FontIcon graphic = new FontIcon(icon);
    graphic.getStyleClass().add("icon");
    button.setGraphic(graphic);
    button.setAccessibleText(words);
    return button;
  }
}
