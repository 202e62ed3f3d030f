package westtide.desktop.brief;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.compose.DraftWords;
import westtide.compose.Redraft;
import westtide.desktop.kit.Controls;
import westtide.desktop.play.PlayDesk;
import westtide.desktop.room.Desk;
import westtide.rhythm.Meter;
import westtide.song.SectionKind;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.edit.Edit;
import westtide.style.Style;

/** Three drafts of the whole song, heard in turn before one is taken; what is ticked stays. */
final class DraftsPanel extends VBox {
  private static final int COUNT = 3;

  private final Desk desk;
  private final Runnable close;
  private final Set<Redraft.Keep> kept = EnumSet.of(Redraft.Keep.PACE, Redraft.Keep.FORM);
  private final VBox takes = Controls.column(8);
  private final Label state = Controls.label("", "small");
  private long seed;

  DraftsPanel(Desk desk, Runnable close) {
    this.desk = desk;
    this.close = close;
    this.seed = desk.open().song().seed();
    setId("drafts-panel");
    getStyleClass().add("card");
    setSpacing(10);
    setPrefWidth(760);
    state.setId("drafts-state");
    getChildren()
        .addAll(
            Controls.title("Three drafts"),
            Controls.wrapped(
                "Each is a whole arrangement in the style, from a seed of its own. Hear their hooks in turn; taking one is one step to undo.",
                "small"),
            keeps(),
            takes,
            Controls.row(
                8,
                Controls.action("drafts-more", "three others", this::draw),
                state,
                Controls.spring(),
                Controls.primary("drafts-close", "keep the open song", this::leave)));
    draw();
  }

  private FlowPane keeps() {
    FlowPane row = Controls.flow(Controls.whole(Controls.label("what stays", "small")));
    row.setHgap(12);
    for (Redraft.Keep keep : Redraft.Keep.values()) {
      CheckBox box = new CheckBox(keep.toString());
      box.setId("keep-" + keep.name().toLowerCase());
      box.setSelected(kept.contains(keep));
      box.setOnAction(event -> keep(keep, box.isSelected()));
      row.getChildren().add(box);
    }
    return row;
  }

  private void keep(Redraft.Keep keep, boolean stays) {
    if (stays) {
      kept.add(keep);
    } else {
      kept.remove(keep);
    }
    seed -= COUNT;
    draw();
  }

  private void draw() {
    Song open = desk.open().song();
    Style style = desk.open().book().find(open.brief().style()).orElseThrow();
    Redraft redraft = new Redraft(open, style, kept);
    long after = seed;
    seed += COUNT;
    state.setText("drawing …");
    desk.compute(() -> redraft.takes(COUNT, after), this::show);
  }

  private void show(List<Song> drawn) {
    takes.getChildren().clear();
    for (int i = 0; i < drawn.size(); i++) {
      takes.getChildren().add(row(drawn.get(i), i + 1));
    }
    state.setText("");
  }

  private VBox row(Song take, int number) {
    Label head = Controls.wrapped(facts(take, number));
    head.setId("draft-facts-" + number);
    Label other = Controls.wrapped(String.join(" · ", DraftWords.of(take)), "small");
    other.setId("draft-words-" + number);
    VBox row =
        Controls.column(
            3,
            Controls.row(
                8,
                head,
                Controls.spring(),
                Controls.action("draft-hear-" + number, "hear", () -> hear(take)),
                Controls.action("draft-take-" + number, "take it", () -> take(take))),
            other);
    row.getStyleClass().add("finding");
    return row;
  }

  private static String facts(Song take, int number) {
    ChordLine line = ChordLine.in(take.brief().key(), take.brief().meter());
    return number
        + "  ·  seed "
        + take.seed()
        + "  ·  "
        + take.brief().key()
        + "  ·  "
        + take.brief().tempo()
        + " BPM  ·  "
        + take.parts().size()
        + " parts  ·  "
        + take.form().bars()
        + " bars  ·  "
        + line.format(take.progressions().get(0));
  }

  /** Its first hook, round and round. */
  private void hear(Song take) {
    Meter meter = take.brief().meter();
    int hook = 0;
    while (hook < take.form().sections().size() - 1
        && take.form().sections().get(hook).word().kind() != SectionKind.HOOK) {
      hook++;
    }
    int from = take.form().startTick(hook, meter);
    int to = from + take.form().sections().get(hook).ticks(meter);
    desk.play().tryOut(now -> take, new PlayDesk.Range(from, to));
  }

  private void take(Song take) {
    leave();
    desk.apply(Edit.of("New draft", song -> take));
  }

  private void leave() {
    if (desk.play().trying()) {
      desk.play().stop();
    }
    close.run();
  }
}
