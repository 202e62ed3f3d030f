package westtide.desktop.kit;

import java.util.Optional;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** Makes the plain controls of the house, each with its id and style. */
public final class Controls {
  /** The usual size of text in pixels. */
  static final double TEXT = 13;

  private static final String EXPLAINED = "explained";

  private Controls() {}

  /** A heading of a sheet. */
  public static Label title(String words) {
    Label title = label(words, "title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    return title;
  }

  /** Text in a style. */
  public static Label label(String words, String... classes) {
    Label label = new Label(words);
    label.getStyleClass().addAll(classes);
    return label;
  }

  /** Text that wraps. */
  public static Label wrapped(String words, String... classes) {
    Label label = label(words, classes);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  /** A button that looks like a word. */
  public static Button action(String id, String words, Runnable run) {
    return button(id, words, "action", run);
  }

  /** The one button a sheet leads to. */
  public static Button primary(String id, String words, Runnable run) {
    return button(id, words, "primary", run);
  }

  /**
   * Explains a control on hover and to screen readers. The tooltip is made when the pointer first
   * comes: each is a window of its own, and a room has hundreds.
   */
  public static <C extends Control> C explained(C control, String words) {
    if (control.getProperties().put(EXPLAINED, words) == null) {
      control.addEventHandler(MouseEvent.MOUSE_ENTERED, event -> showExplanation(control));
    }
    if (control.getTooltip() != null) {
      showExplanation(control);
    }
    control.setAccessibleHelp(words);
    return control;
  }

  /** Words as they stand in an id: lower case, joined by hyphens. */
  public static String idOf(String words) {
    return words.toLowerCase().replaceAll("[^a-z0-9]+", "-");
  }

  /** Whether a node is another one or stands inside it. */
  public static boolean holds(Node area, Node node) {
    for (Node at = node; at != null; at = at.getParent()) {
      if (at == area) {
        return true;
      }
    }
    return false;
  }

  /** What a control is explained by, or nothing. */
  public static Optional<String> explanation(Control control) {
    return Optional.ofNullable((String) control.getProperties().get(EXPLAINED));
  }

  private static void showExplanation(Control control) {
    String words = explanation(control).orElseThrow();
    if (control.getTooltip() == null) {
      control.setTooltip(new Tooltip(words));
    } else if (!control.getTooltip().getText().equals(words)) {
      control.getTooltip().setText(words);
    }
  }

  /** A text field. */
  public static TextField field(String id, String prompt) {
    TextField field = new TextField();
    field.setId(id);
    field.setPromptText(prompt);
    field.setAccessibleText(prompt);
    field.getStyleClass().add("field");
    return field;
  }

  /** The width of words in the hand of the house, in pixels. */
  static double width(String words) {
    Text text = new Text(words);
    text.setFont(Font.font("Andika", TEXT));
    return text.getLayoutBounds().getWidth();
  }

  /** Nodes side by side. */
  public static HBox row(double gap, Node... nodes) {
    HBox row = new HBox(gap, nodes);
    row.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    return row;
  }

  /** Nodes side by side that go on below where they do not fit. */
  public static FlowPane flow(Node... nodes) {
    FlowPane flow = new FlowPane(6, 4, nodes);
    flow.setRowValignment(javafx.geometry.VPos.CENTER);
    return flow;
  }

  /** The same, as high as its rows at any width, for places that ask how little would do. */
  public static FlowPane wholeFlow(Node... nodes) {
    FlowPane flow = flow(nodes);
    flow.widthProperty()
        .addListener((o, was, is) -> flow.setMinHeight(flow.prefHeight(is.doubleValue())));
    return flow;
  }

  /** Takes a node and its room away while something is not so. */
  public static <N extends Node> N shownWhile(ObservableBooleanValue so, N node) {
    node.visibleProperty().bind(so);
    node.managedProperty().bind(so);
    return node;
  }

  /** Nodes one above another. */
  public static VBox column(double gap, Node... nodes) {
    return new VBox(gap, nodes);
  }

  /** Keeps a region from becoming narrower than it wants to be. */
  public static <R extends Region> R whole(R region) {
    region.setMinWidth(Region.USE_PREF_SIZE);
    return region;
  }

  /** Space that takes what is left in a row or column. */
  public static Region spring() {
    Region spring = new Region();
    HBox.setHgrow(spring, Priority.ALWAYS);
    VBox.setVgrow(spring, Priority.ALWAYS);
    return spring;
  }

  private static Button button(String id, String words, String style, Runnable run) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().setAll("button", style);
    button.setOnAction(event -> run.run());
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }
}
