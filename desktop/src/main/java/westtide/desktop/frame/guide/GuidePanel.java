package westtide.desktop.frame.guide;

import java.util.EnumMap;
import java.util.Map;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.RovingFocus;

/** The guide over the window, open at one page; the others are listed beside it. */
public final class GuidePanel extends HBox {
  private static final double WIDTH = 860;
  private static final double HEIGHT = 560;
  private static final double MARGIN = 44;

  private final Map<GuidePage, ToggleButton> titles = new EnumMap<>(GuidePage.class);
  private final ScrollPane scroll = new ScrollPane();
  private final GuideText text = new GuideText(this::turnTo);

  /** The guide at a page; {@code close} is what its button does. */
  public GuidePanel(GuidePage page, Runnable close) {
    super(26);
    setId("guide");
    getStyleClass().add("card");
    setPrefSize(WIDTH, HEIGHT);
    VBox list = Controls.column(0);
    for (GuidePage each : GuidePage.values()) {
      list.getChildren().add(title(each));
    }
    RovingFocus.over(list, () -> titles.values().stream().toList());
    VBox.setVgrow(list, Priority.ALWAYS);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setId("guide-text");
    scroll.setAccessibleText("The page of the guide");
    HBox.setHgrow(scroll, Priority.ALWAYS);
    VBox side = Controls.column(10, list, Controls.action("guide-close", "close", close));
    side.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(side, scroll);
    turnTo(page);
  }

  private ToggleButton title(GuidePage page) {
    ToggleButton title = new ToggleButton(page.toString());
    title.setId(page.id());
    title.getStyleClass().setAll("toggle-button", "chip");
    title.setOnAction(event -> turnTo(page));
    titles.put(page, title);
    return title;
  }

  private void turnTo(GuidePage page) {
    titles.forEach((each, title) -> title.setSelected(each == page));
    VBox words = text.of(page.text());
    words.maxWidthProperty().bind(scroll.widthProperty().subtract(MARGIN));
    words.prefWidthProperty().bind(words.maxWidthProperty());
    scroll.setContent(words);
    scroll.setVvalue(0);
  }
}
