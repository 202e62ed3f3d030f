package westtide.desktop.frame.start;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.GrooveSketch;
import westtide.rhythm.Feel;
import westtide.style.BeatFamily;
import westtide.style.StyleOutline;

/** The styles in families, each as a card with a bar of its drums. */
final class StyleCards extends VBox {
  private static final int COLUMNS = 3;
  private static final double GROOVE_SHARE = 0.43;
  private static final double CARD_HEIGHT = 48;
  private static final double MOST_GAP = 26;

  private final CardFinder finder;

  StyleCards(List<StyleOutline> styles, StartSheet.Ways ways, CardFinder finder) {
    this.finder = finder;
    setSpacing(6);
    for (BeatFamily family : BeatFamily.values()) {
      List<StyleOutline> members = styles.stream().filter(s -> s.family() == family).toList();
      if (!members.isEmpty()) {
        getChildren().addAll(Headings.ruled(family.toString()), family(members, ways), gap());
      }
    }
  }

  /** Takes what height is left over. */
  private static Region gap() {
    Region gap = new Region();
    gap.setMaxHeight(MOST_GAP);
    VBox.setVgrow(gap, Priority.ALWAYS);
    return gap;
  }

  private GridPane family(List<StyleOutline> members, StartSheet.Ways ways) {
    GridPane grid = new GridPane(8, 5);
    for (int i = 0; i < COLUMNS; i++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(100.0 / COLUMNS);
      grid.getColumnConstraints().add(column);
    }
    for (int i = 0; i < members.size(); i++) {
      grid.add(card(members.get(i), ways), i % COLUMNS, i / COLUMNS);
    }
    return grid;
  }

  private Button card(StyleOutline style, StartSheet.Ways ways) {
    Label name = Controls.wrapped(style.name(), "strong");
    Label tempo = Controls.label(style.beats(), "small");
    VBox words = Controls.column(0, name, tempo);
    GrooveSketch groove = new GrooveSketch("One bar of " + style.name(), style.rows());
    Button button = new Button();
    HBox row = Controls.row(8, words, groove);
    HBox.setHgrow(words, Priority.ALWAYS);
    groove.prefWidthProperty().bind(button.widthProperty().multiply(GROOVE_SHARE));
    groove.minWidthProperty().bind(groove.prefWidthProperty());
    groove.setPrefHeight(30);
    row.prefWidthProperty().bind(button.widthProperty().subtract(16));
    button.setGraphic(row);
    button.setId("begin-" + style.id());
    button.getStyleClass().setAll("button", "start-card");
    button.setPrefWidth(100);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setPrefHeight(CARD_HEIGHT);
    button.setAccessibleText(
        "Begin in the style " + style.name() + ", " + style.beats() + " BPM, " + style.feel());
    Controls.explained(
        button,
        style.summary()
            + (style.feel() == Feel.HALF ? " Half-time." : "")
            + " Click: a first draft. Hold, or H: hear it.");
    Held.on(
        button, () -> ways.hear().accept(style), ways.silence(), () -> ways.style().accept(style));
    finder.add(button, wanted -> fits(style, wanted));
    return button;
  }

  private static boolean fits(StyleOutline style, String wanted) {
    if (wanted.matches("\\d{2,3}")) {
      return style.tempo().contains(Integer.parseInt(wanted));
    }
    return (style.name() + " " + style.id() + " " + style.family() + " " + style.summary())
        .toLowerCase(Locale.ROOT)
        .contains(wanted);
  }
}
