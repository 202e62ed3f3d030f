package westtide.desktop.files;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.Overlay;

/** The saved versions of a song, what each changed, and how it differs from the song as it is. */
final class VersionsPanel extends VBox {
  private static final int MOST_WORDS = 6;

  private final Overlay overlay;

  VersionsPanel(
      Overlay overlay,
      List<SavedVersion> versions,
      Consumer<SavedVersion> open,
      Consumer<SavedVersion> compare) {
    this.overlay = overlay;
    setId("versions");
    getStyleClass().add("card");
    setPrefWidth(640);
    VBox rows = new VBox(10);
    for (int i = 0; i < versions.size(); i++) {
      rows.getChildren().add(row(i, versions.get(i), open, compare));
    }
    if (versions.isEmpty()) {
      rows.getChildren().add(Controls.wrapped("Nothing was saved since versions are kept."));
    }
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setPrefViewportHeight(Math.min(380, 60 + 80.0 * versions.size()));
    getChildren()
        .addAll(
            Controls.title("Saved versions"),
            Controls.wrapped(
                "The last ten are kept. Opening one changes no file until it is saved.", "small"),
            scroll,
            Controls.row(
                8, Controls.spring(), Controls.action("versions-leave", "cancel", overlay::close)));
  }

  void open() {
    overlay.open(this);
  }

  private VBox row(
      int index,
      SavedVersion version,
      Consumer<SavedVersion> open,
      Consumer<SavedVersion> compare) {
    boolean now = version.away().isEmpty();
    VBox words =
        Controls.column(
            2,
            Controls.row(
                10,
                Controls.label(version.time(), "strong"),
                Controls.label(version.length(), "small"),
                Controls.spring(),
                Controls.explained(
                    Controls.action(
                        "version-compare-" + index,
                        "compare by ear",
                        () -> compare.accept(version)),
                    "Plays it at the loudness of the song as it is now; B switches between them"),
                now
                    ? Controls.label("as it is now", "small")
                    : Controls.action("version-" + index, "open it", () -> open.accept(version))));
    if (!version.changes().isEmpty()) {
      words.getChildren().add(said("changed: ", version.changes()));
    }
    if (!now) {
      words.getChildren().add(said("against now: ", version.away()));
    }
    return words;
  }

  private static javafx.scene.control.Label said(String what, List<String> changes) {
    List<String> first = changes.subList(0, Math.min(MOST_WORDS, changes.size()));
    int more = changes.size() - first.size();
    String rest = more == 0 ? "" : " and " + more + " more";
    return Controls.wrapped(what + String.join(" · ", first) + rest, "small");
  }
}
