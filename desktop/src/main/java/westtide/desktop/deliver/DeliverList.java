package westtide.desktop.deliver;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import westtide.desktop.kit.Controls;
import westtide.file.FileNames;
import westtide.file.deliver.Deliverable;
import westtide.score.Score;

/** What a song can be delivered as, to be ticked: what it is called and what to know of it. */
final class DeliverList extends GridPane {
  private static final int COLUMNS = 2;

  private final Map<Deliverable, Row> rows = new EnumMap<>(Deliverable.class);
  private final Runnable changed;

  private record Row(CheckBox tick, Label names, Label facts) {}

  /** A list that tells when a tick is set or taken away. */
  DeliverList(Set<Deliverable> ticked, Runnable changed) {
    this.changed = changed;
    setHgap(18);
    setVgap(9);
    ColumnConstraints last = new ColumnConstraints();
    last.setHgrow(Priority.ALWAYS);
    last.setMinWidth(0);
    ColumnConstraints first = new ColumnConstraints();
    first.setMinWidth(USE_PREF_SIZE);
    getColumnConstraints().addAll(first, last);
    int line = 0;
    for (Deliverable.Group group : Deliverable.Group.values()) {
      add(head(group, line > 0), 0, line++, COLUMNS, 1);
      for (Deliverable one : Deliverable.values()) {
        if (one.group() == group) {
          addRow(one, line++, ticked.contains(one));
        }
      }
    }
  }

  /** What is ticked and has files. */
  Set<Deliverable> chosen() {
    Set<Deliverable> out = EnumSet.noneOf(Deliverable.class);
    rows.forEach(
        (one, row) -> {
          if (row.tick.isSelected() && !row.tick.isDisabled()) {
            out.add(one);
          }
        });
    return out;
  }

  /** Shows what each would be called for a song. */
  void show(Score score) {
    String stem = FileNames.stem(score.song());
    rows.forEach(
        (one, row) -> {
          List<String> names = one.names(score);
          row.tick.setDisable(names.isEmpty());
          row.names.setText(names.isEmpty() ? "nothing of the kind plays" : called(stem, names));
          row.facts.setText(names.isEmpty() ? "" : one.facts(score));
          Controls.explained(row.names, String.join("\n", names));
          boolean listed = one.isListed(score);
          for (Node node : List.of(row.tick, row.names, row.facts)) {
            node.setVisible(listed);
            node.setManaged(listed);
          }
        });
  }

  /** The part of a file's name after the title, which all share. */
  static String rest(String stem, String name) {
    return name.startsWith(stem) ? "…" + name.substring(stem.length()) : name;
  }

  private static String called(String stem, List<String> names) {
    String first = rest(stem, names.get(0));
    return names.size() == 1 ? first : first + " and " + (names.size() - 1) + " more";
  }

  private void addRow(Deliverable one, int line, boolean ticked) {
    CheckBox tick = new CheckBox(one.toString());
    tick.setId("deliver-" + one.name().toLowerCase(Locale.ROOT));
    tick.setSelected(ticked);
    tick.selectedProperty().addListener((o, was, is) -> changed.run());
    Row row = new Row(tick, Controls.wrapped("", "plain"), Controls.wrapped("", "small"));
    rows.put(one, row);
    tick.setMinWidth(USE_PREF_SIZE);
    addRow(line, tick, Controls.column(0, row.names, row.facts));
    GridPane.setValignment(tick, VPos.TOP);
  }

  private static HBox head(Deliverable.Group group, boolean apart) {
    Region rule = new Region();
    rule.getStyleClass().add("group-rule");
    HBox.setHgrow(rule, Priority.ALWAYS);
    HBox head = Controls.row(14, Controls.label(group.toString(), "group-name"), rule);
    head.setStyle(apart ? "-fx-padding: 14 0 0 0;" : "");
    return head;
  }
}
