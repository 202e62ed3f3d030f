package westtide.desktop.line;

import javafx.scene.Node;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;

/** What begins a rule while the pattern has none, and what sets it once it has. */
final class RuleBox extends VBox {
  private final Node begin;
  private final Node settings;

  /**
   * A box that begins with a button.
   *
   * @param begin the button
   * @param help what the rule does
   * @param settings what sets it
   */
  RuleBox(Node begin, String help, Node settings) {
    super(4);
    this.begin = Controls.row(10, begin, Controls.wrapped(help, "small"));
    this.settings = settings;
    getChildren().addAll(this.begin, settings);
  }

  /** Shows the settings where there is a rule, else what begins one. */
  void show(boolean rule) {
    shown(begin, !rule);
    shown(settings, rule);
  }

  private static void shown(Node node, boolean now) {
    node.setVisible(now);
    node.setManaged(now);
  }
}
