package westtide.desktop.deliver;

import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.file.FileNames;
import westtide.song.Song;

/** Every file that is about to be written, by name: new, in place of one that is there, written. */
final class FilesSheet extends VBox {
  private static final double WIDTH = 300;

  private final Label head = Controls.label("", "paper-title");
  private final VBox rows = new VBox(2);
  private final Button reveal;
  private final Set<Path> written = new HashSet<>();

  /** A sheet; {@code show} shows the folder in the system's own window. */
  FilesSheet(Runnable show) {
    super(8);
    setId("deliver-files");
    getStyleClass().add("paper-sheet");
    setMinWidth(WIDTH);
    setPrefWidth(WIDTH);
    setMaxWidth(WIDTH);
    reveal = Controls.action("deliver-reveal", "show in folder", show);
    reveal.setVisible(false);
    head.setId("deliver-name");
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(head, scroll, reveal);
  }

  /** Shows the files, those that would replace one by name. */
  void show(Song song, List<Path> files, Set<Path> there) {
    String stem = FileNames.stem(song);
    head.setText(stem + " …");
    rows.getChildren().clear();
    for (Path file : files) {
      String name = file.getFileName().toString();
      Label called = Controls.explained(Controls.label(DeliverList.rest(stem, name)), name);
      HBox.setHgrow(called, Priority.ALWAYS);
      called.setMaxWidth(Double.MAX_VALUE);
      HBox row = Controls.row(8, called, state(file, there));
      row.getStyleClass().add("ruled");
      rows.getChildren().add(row);
    }
    if (files.isEmpty()) {
      rows.getChildren().add(Controls.wrapped("Nothing is ticked. Tick what you want.", "small"));
    }
    reveal.setVisible(written.stream().anyMatch(files::contains));
  }

  /** Remembers what was written in this sitting. */
  void wrote(List<Path> files) {
    written.addAll(files);
  }

  private Label state(Path file, Set<Path> there) {
    Label state =
        written.contains(file)
            ? Controls.label("written", "small", "deep")
            : there.contains(file)
                ? Controls.label("replaces a file", "small", "amber")
                : Controls.label("new", "small");
    state.setMinWidth(USE_PREF_SIZE);
    return state;
  }
}
