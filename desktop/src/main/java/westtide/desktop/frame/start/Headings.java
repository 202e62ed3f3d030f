package westtide.desktop.frame.start;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import westtide.desktop.kit.Controls;

/** What the columns of the start sheet share. */
final class Headings {
  private Headings() {}

  /** A heading with a rule after it. */
  static HBox ruled(String words) {
    Label title = Controls.whole(Controls.label(words, "family"));
    Region rule = new Region();
    rule.getStyleClass().add("family-rule");
    rule.setPrefHeight(1);
    rule.setMaxHeight(1);
    HBox.setHgrow(rule, Priority.ALWAYS);
    HBox row = Controls.row(14, title, rule);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
