package westtide.desktop.brief;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.StyleFromSong;
import westtide.desktop.files.OwnStyles;
import westtide.desktop.kit.Controls;
import westtide.desktop.room.RoomContext;
import westtide.file.disk.UnusableFileException;
import westtide.song.Song;
import westtide.style.Span;
import westtide.style.Style;

/** Styles of one's own: saved from the open song, edited, read from a file, written to one. */
final class StylesPanel extends VBox {
  private final RoomContext context;
  private final OwnStyles own;
  private final TextField name = Controls.field("own-style-name", "name of the new style");
  private final TextField path = Controls.field("own-style-path", "path of a style file");
  private final Label answer = Controls.wrapped("", "small");
  private final VBox rows = new VBox(6);

  StylesPanel(RoomContext context, OwnStyles own, Runnable close) {
    this.context = context;
    this.own = own;
    setId("styles-panel");
    getStyleClass().add("card");
    setPrefWidth(680);
    answer.setId("own-style-summary");
    HBox.setHgrow(name, Priority.ALWAYS);
    HBox.setHgrow(path, Priority.ALWAYS);
    getChildren()
        .addAll(
            Controls.title("Styles of your own"),
            Controls.wrapped(
                "A style keeps what this song does: tempo, swing, chords and their rhythm, groove,"
                    + " low end, parts and form. It is a text file you can edit, share and read"
                    + " again.",
                "small"),
            Controls.row(
                8, name, Controls.primary("own-style-save", "save this song's habits", this::save)),
            Controls.row(
                8,
                path,
                Controls.action("own-style-read", "read a style file", this::read),
                Controls.action("own-style-reload", "read all again", this::reload)),
            rows,
            answer,
            Controls.row(8, Controls.spring(), Controls.action("styles-close", "done", close)));
    show();
  }

  private void show() {
    rows.getChildren().clear();
    List<Style> styles = own.styles();
    for (Style style : styles) {
      rows.getChildren().add(row(style));
    }
    if (styles.isEmpty()) {
      rows.getChildren().add(Controls.label("None saved yet.", "small"));
    }
  }

  private Node row(Style style) {
    TextField called = Controls.field("own-name-" + style.id(), "name");
    called.setText(style.name());
    TextField low = tempo("own-low-" + style.id(), style.tempo().low());
    TextField high = tempo("own-high-" + style.id(), style.tempo().high());
    TextField summary = Controls.field("own-summary-" + style.id(), "what it is");
    summary.setText(style.summary());
    HBox.setHgrow(summary, Priority.ALWAYS);
    called.setPrefWidth(130);
    return Controls.row(
        6,
        called,
        low,
        Controls.label("to", "small"),
        high,
        summary,
        Controls.action(
            "own-keep-" + style.id(),
            "keep",
            () -> edit(style, called.getText(), low.getText(), high.getText(), summary.getText())),
        Controls.action("own-remove-" + style.id(), "remove", () -> remove(style)));
  }

  private static TextField tempo(String id, double bpm) {
    TextField field = Controls.field(id, "BPM");
    field.setText(String.valueOf(Math.round(bpm)));
    field.setPrefWidth(56);
    field.setMinWidth(56);
    return field;
  }

  private void save() {
    Song song = context.open().song();
    String wanted = name.getText().strip();
    if (wanted.isEmpty()) {
      answer.setText("Type a name for the style first.");
      return;
    }
    Style base = context.open().view().orElseThrow().style();
    keep(StyleFromSong.of(song, base, wanted));
  }

  private void keep(Style style) {
    if (own.shipped().find(style.id()).isPresent()) {
      answer.setText("The book already has a style called " + style.name() + "; choose another.");
      return;
    }
    try {
      Path file = own.save(style);
      answer.setText(style.name() + " is in the book now, kept in " + file + ".");
    } catch (UnusableFileException e) {
      answer.setText(e.getMessage());
    }
    reloadBook();
  }

  private void edit(Style style, String called, String low, String high, String summary) {
    try {
      double from = Double.parseDouble(low.strip());
      double to = Double.parseDouble(high.strip());
      if (from < 20 || to > 300 || from > to) {
        throw new NumberFormatException();
      }
      double start = Math.max(from, Math.min(to, style.tempo().start()));
      keep(style.named(style.id(), called.strip(), summary).withTempo(new Span(from, to, start)));
    } catch (NumberFormatException e) {
      answer.setText("A style's tempo goes from 20 to 300 BPM, the lower first.");
    }
  }

  private void read() {
    try {
      keep(OwnStyles.tried(Path.of(path.getText().strip())));
    } catch (UnusableFileException e) {
      answer.setText(e.getMessage());
    }
  }

  private void reload() {
    reloadBook();
    answer.setText("Read again from " + own.folder() + ".");
  }

  private void remove(Style style) {
    own.remove(style);
    answer.setText(style.name() + " is no longer in the book.");
    reloadBook();
  }

  private void reloadBook() {
    context.open().useBook(own.book());
    show();
  }
}
