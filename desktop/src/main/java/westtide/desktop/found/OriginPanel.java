package westtide.desktop.found;

import java.util.List;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.room.RoomContext;
import westtide.song.Part;
import westtide.song.edit.found.FoundEdits;
import westtide.song.found.Origin;

/** Where a sound is from, written down with it. */
final class OriginPanel extends VBox {
  private static final String CLEARED = "cleared";
  private static final String OPEN = "not yet cleared";

  private final RoomContext context;
  private final Part part;
  private final TextField source = Controls.field("origin-source", "record, library or place");
  private final TextField author = Controls.field("origin-author", "who made it");
  private final TextField licence = Controls.field("origin-licence", "under which licence");
  private final TextField credit = Controls.field("origin-credit", "how to name the author");
  private final Chips<String> cleared =
      new Chips<>("origin-", word -> word, word -> show(word.equals(CLEARED)));
  private boolean settled;

  OriginPanel(RoomContext context, Part part) {
    super(12);
    this.context = context;
    this.part = part;
    getStyleClass().add("card");
    setPrefWidth(560);
    Origin origin = part.found().orElseThrow().origin();
    source.setText(origin.source());
    author.setText(origin.author());
    licence.setText(origin.licence());
    credit.setText(origin.credit());
    show(origin.cleared());
    getChildren()
        .addAll(
            Controls.title("Where " + part.name() + " is from"),
            row("source", source),
            row("author", author),
            row("licence", licence),
            row("credit", credit),
            cleared,
            Controls.wrapped(
                "A sound somebody else made needs leave before it is published. What is allowed is"
                    + " said by the law where you are and by people who know it; this only keeps"
                    + " what you found out.",
                "small"),
            Controls.row(
                10,
                Controls.primary("origin-take", "write it down", this::take),
                Controls.action("origin-cancel", "cancel", context.panels()::close)));
  }

  private static javafx.scene.layout.HBox row(String words, TextField field) {
    javafx.scene.control.Label label = Controls.label(words, "small");
    label.setMinWidth(70);
    javafx.scene.layout.HBox.setHgrow(field, javafx.scene.layout.Priority.ALWAYS);
    return Controls.row(10, label, field);
  }

  void open() {
    context.panels().open(this);
    source.requestFocus();
  }

  private void show(boolean isSettled) {
    settled = isSettled;
    cleared.show(List.of(OPEN, CLEARED), isSettled ? CLEARED : OPEN);
  }

  private void take() {
    Origin origin =
        new Origin(
            source.getText().strip(),
            author.getText().strip(),
            licence.getText().strip(),
            credit.getText().strip(),
            settled);
    context.panels().close();
    context.apply(new FoundEdits(part.id()).origin(origin));
  }
}
