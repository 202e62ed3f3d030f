package westtide.desktop.line;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.room.RoomContext;
import westtide.score.WriteOut;
import westtide.song.Part;
import westtide.song.edit.Edit;
import westtide.song.edit.PatternEdits;
import westtide.song.edit.line.LinePatternEdits;
import westtide.song.edit.part.PartEdits;

/** What can be done with a pattern of a line as a whole. */
final class PatternPanel extends VBox {
  private final RoomContext context;
  private final HeardLine line;
  private final TextField name;
  private final TextField copy = Controls.field("pattern-copy-name", "name of the copy");
  private final Label answer = Controls.wrapped("", "small");
  private int bars;
  private int fromBar = 1;
  private int toBar = 2;

  PatternPanel(RoomContext context, HeardLine line) {
    super(10);
    this.context = context;
    this.line = line;
    this.bars = line.bars();
    this.name = Controls.field("pattern-name", "name");
    name.setText(line.pattern());
    name.setOnAction(event -> rename());
    copy.setText(free());
    copy.setOnAction(event -> copy());
    getStyleClass().add("card");
    setPrefWidth(620);
    answer.setId("pattern-answer");
    build();
  }

  private void build() {
    getChildren()
        .addAll(
            Controls.title("Pattern " + line.pattern() + " of " + line.part().name()),
            Controls.row(8, name, Controls.action("pattern-rename", "rename", this::rename)),
            Controls.row(
                8,
                copy,
                Controls.action("pattern-copy", "copy as", this::copy),
                Controls.action("pattern-new", "new, empty", this::fresh)));
    if (line.written()) {
      getChildren().addAll(length(), bar());
    } else {
      getChildren()
          .add(
              Controls.row(
                  8,
                  Controls.primary("pattern-write-out", "write it out", this::writeOut),
                  Controls.wrapped(
                      "Its notes become yours, attached to the chords: they follow chord, key and"
                          + " form as before.",
                      "small")));
    }
    getChildren()
        .addAll(
            Controls.row(
                8,
                Controls.action(
                    "pattern-everywhere", "use in every section", () -> done(edits().everywhere())),
                Controls.action("pattern-clear", "clear all notes", () -> done(edits().clear())),
                Controls.action("pattern-delete", "delete pattern", this::delete),
                Controls.spring(),
                Controls.action("pattern-close", "done", context.panels()::close)),
            answer);
  }

  private Node length() {
    NumberField field =
        NumberField.held("pattern-bars", "bars", 1, 16, () -> bars, this::bars).inline();
    field.show(String.valueOf(bars));
    return Controls.row(
        8,
        field,
        Controls.action(
            "pattern-repeat", "this length, repeating", () -> done(edits().bars(bars, true))),
        Controls.action(
            "pattern-empty",
            "this length, empty where it grows",
            () -> done(edits().bars(bars, false))));
  }

  private Node bar() {
    NumberField from =
        NumberField.held(
                "pattern-from", "copy bar", 1, line.bars(), () -> fromBar, v -> fromBar = v)
            .inline();
    NumberField to =
        NumberField.held("pattern-to", "into bar", 1, line.bars(), () -> toBar, v -> toBar = v)
            .inline();
    toBar = Math.min(2, line.bars());
    from.show(String.valueOf(fromBar));
    to.show(String.valueOf(toBar));
    return Controls.row(
        8,
        from,
        to,
        Controls.action(
            "pattern-bar-copy",
            "copy the bar",
            () -> done(edits().copyBar(fromBar - 1, toBar - 1))));
  }

  private void bars(int wanted) {
    if (wanted < 1 || wanted > 16) {
      throw new IllegalArgumentException("a pattern has 1 to 16 bars, but was " + wanted);
    }
    bars = wanted;
  }

  /** Shows it in front of the window. */
  void open() {
    context.panels().open(this);
    name.requestFocus();
  }

  private LinePatternEdits edits() {
    return new LinePatternEdits(line.part().id(), line.pattern());
  }

  private PatternEdits pattern() {
    return new PatternEdits(line.part().id(), line.pattern());
  }

  private Part part() {
    return context.open().song().part(line.part().id()).orElseThrow();
  }

  /** The next letter no pattern of the part has. */
  private String free() {
    for (char letter = 'B'; letter <= 'Z'; letter++) {
      String wanted = String.valueOf(letter);
      if (line.part().find(wanted).isEmpty()) {
        return wanted;
      }
    }
    return line.pattern() + " 2";
  }

  private void done(Edit edit) {
    context.panels().close();
    context.apply(edit);
  }

  private void rename() {
    String wanted = name.getText().strip();
    try {
      Edit edit = pattern().rename(wanted);
      context.apply(edit);
      context.panels().close();
      context.open().select(part(), wanted);
    } catch (IllegalArgumentException e) {
      answer.setText(e.getMessage());
    }
  }

  private void copy() {
    add(pattern().copyAs(copy.getText().strip()));
  }

  private void fresh() {
    Part now = part();
    Part blank =
        PartEdits.blank(context.open().song(), now.role(), now.name(), now.patch(), now.program());
    String wanted = copy.getText().strip();
    add(new PatternEdits(now.id(), wanted).add(blank.patterns().get(0).pattern()));
  }

  /** Adds a pattern of the name typed and brings it in front. */
  private void add(Edit edit) {
    String wanted = copy.getText().strip();
    if (wanted.isEmpty() || line.part().find(wanted).isPresent()) {
      answer.setText("Type a name that no other pattern of " + line.part().name() + " has.");
      return;
    }
    context.panels().close();
    context.apply(edit);
    context.open().select(part(), wanted);
  }

  private void writeOut() {
    done(WriteOut.of(line.part().id(), line.pattern(), line.place()));
  }

  private void delete() {
    if (line.part().patterns().size() == 1) {
      answer.setText("It is the only pattern of " + line.part().name() + " and stays.");
      return;
    }
    done(pattern().drop());
  }
}
