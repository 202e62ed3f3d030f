package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.room.Desk;
import westtide.song.Form;
import westtide.song.Section;
import westtide.song.Transition;
import westtide.song.edit.Edit;
import westtide.song.edit.SectionEdits;
import westtide.song.id.SectionId;

/** What can be done with whole sections: their name, length, repeats and arrangement. */
final class SectionPanel extends VBox {
  private static final int EIGHT = 8;
  private static final List<String> ENTRIES = List.of("drums-out", "stop", "snare-stop", "crash");

  private final Desk desk;
  private final SectionId id;
  private final TextField name = Controls.field("section-name", "name of its own");
  private final Chips<SectionEdits.Scope> scopes =
      new Chips<>("scope-", SectionEdits.Scope::toString, this::scope);
  private final Chooser<String> model;
  private final NumberField bars =
      NumberField.held("section-sub-bars", "bars", 1, Section.MOST_BARS, this::barsNow, this::bars)
          .inline();
  private final Chips<String> entry = new Chips<>("entry-", word -> word, this::turn);
  private final NumberField beats =
      NumberField.held(
              "entry-beats", "beats", 0, Transition.MOST_BEATS, this::beatsNow, this::beats)
          .inline()
          .telling("How long what is turned on next lasts; 0 with snare-stop: to the bar's end");
  private final Label answer = Controls.wrapped("", "small");
  private SectionEdits.Scope scope = SectionEdits.Scope.THIS;
  private int barsNow = EIGHT;
  private int beatsNow = 1;

  SectionPanel(Desk desk, SectionId id) {
    super(10);
    this.desk = desk;
    this.id = id;
    this.model =
        new Chooser<>("section-model", "the section it is arranged like", others(), n -> {});
    getStyleClass().add("card");
    setPrefWidth(680);
    answer.setId("section-answer");
    name.setText(section().name().orElse(""));
    name.setOnAction(event -> rename());
    bars.show(String.valueOf(barsNow));
    scopes.show(List.of(SectionEdits.Scope.values()), scope);
    if (!others().isEmpty()) {
      model.display(others().get(0));
    }
    beats.show(String.valueOf(beatsNow));
    showEntry();
    build();
  }

  private void build() {
    getChildren()
        .addAll(
            Controls.title("The " + form().label(place())),
            Controls.row(
                8,
                name,
                Controls.explained(
                    Controls.action("section-rename", "call it that", this::rename),
                    "A name of your own; what kind of section it is stays. Empty: its word")),
            Controls.row(
                8,
                does(
                    "section-repeat",
                    "repeat it",
                    "Once more after itself, as arranged",
                    edits(SectionEdits.Scope.THIS)::repeat),
                does(
                    "section-last-hook",
                    "double the last hook",
                    "The last hook twice",
                    SectionEdits::doubleLastHook),
                does(
                    "section-swap",
                    "swap verse first and hook first",
                    "The first hook and the first verse change places",
                    SectionEdits::swapOpening)),
            Controls.row(8, Controls.whole(Controls.label("entered by", "small")), entry, beats),
            Controls.row(8, Controls.whole(Controls.label("for", "small")), scopes),
            Controls.flow(
                does(
                    "section-halve",
                    "halve",
                    "Half the bars; what happens at its end stays there",
                    () -> edits().halve()),
                does(
                    "section-double",
                    "double",
                    "Twice the bars, its arrangement played twice",
                    () -> edits().doubleLength()),
                does(
                    "section-strip",
                    "strip the drums",
                    "Every drum out",
                    () -> edits().stripDrums()),
                does(
                    "section-no-sub",
                    "leave the 808 out of the first",
                    "The 808 comes in after them, as it was",
                    () -> edits().withoutSub(barsNow)),
                bars),
            Controls.row(
                8,
                Controls.explained(
                    Controls.action("section-like", "arrange like", this::like),
                    "Who plays what as there: from the start, and near the end from the end"),
                model,
                Controls.spring(),
                Controls.action("section-close", "done", desk.panels()::close)),
            answer);
  }

  /** Makes the edit when it is asked for. */
  private interface Making {
    Edit edit();
  }

  private Button does(String id, String words, String help, Making making) {
    return Controls.explained(Controls.action(id, words, () -> done(making.edit())), help);
  }

  private Form form() {
    return desk.open().song().form();
  }

  private int place() {
    return form().place(id).orElse(0);
  }

  private Section section() {
    return form().sections().get(place());
  }

  private List<String> others() {
    return IntStream.range(0, form().sections().size())
        .filter(i -> i != place())
        .mapToObj(form()::label)
        .toList();
  }

  private SectionEdits edits() {
    return edits(scope);
  }

  private SectionEdits edits(SectionEdits.Scope of) {
    return new SectionEdits(id, of);
  }

  private void scope(SectionEdits.Scope chosen) {
    scope = chosen;
    scopes.show(List.of(SectionEdits.Scope.values()), scope);
  }

  private int beatsNow() {
    return beatsNow;
  }

  private int barsNow() {
    return barsNow;
  }

  private void bars(int wanted) {
    if (wanted < 1 || wanted > Section.MOST_BARS) {
      throw new IllegalArgumentException("bars: 1 to 128, but was " + wanted);
    }
    barsNow = wanted;
    bars.show(String.valueOf(barsNow));
  }

  private static String kind(Transition transition) {
    return transition.word().split(":")[0];
  }

  private void showEntry() {
    boolean first = place() == 0;
    entry.setDisable(first);
    entry.showMany(ENTRIES, section().entry().stream().map(SectionPanel::kind).toList());
  }

  /** Turns one kind of transition on, as long as is asked for, or off. */
  private void turn(String word) {
    List<Transition> next = new ArrayList<>(section().entry());
    boolean off = next.removeIf(transition -> kind(transition).equals(word));
    if (!off) {
      String typed = word.equals("crash") ? word : word + ":" + beatsNow;
      Optional<Transition> wanted = Transition.parse(typed);
      if (wanted.isEmpty()) {
        answer.setText("\"" + typed + "\" lasts no time; type 1 to 32 beats.");
        showEntry();
        return;
      }
      next.add(wanted.get());
    }
    desk.apply(edits(SectionEdits.Scope.THIS).enter(next));
    showEntry();
  }

  private void beats(int wanted) {
    if (wanted < 0 || wanted > Transition.MOST_BEATS) {
      throw new IllegalArgumentException("beats: 0 to 32, but was " + wanted);
    }
    beatsNow = wanted;
    beats.show(String.valueOf(beatsNow));
  }

  private void rename() {
    try {
      Edit edit = edits().name(name.getText());
      edit.apply(desk.open().song());
      done(edit);
    } catch (IllegalArgumentException e) {
      answer.setText(e.getMessage());
    }
  }

  private void like() {
    for (int i = 0; i < form().sections().size(); i++) {
      if (form().label(i).equals(model.value()) && i != place()) {
        done(edits().arrangedLike(form().id(i)));
        return;
      }
    }
  }

  /** An edit that changes nothing is said to be one. */
  private void done(Edit edit) {
    if (edit.apply(desk.open().song()).equals(desk.open().song())) {
      answer.setText("That changes nothing here.");
      return;
    }
    desk.panels().close();
    desk.apply(edit);
  }

  /** Shows it in front of the window. */
  void open() {
    desk.panels().open(this);
    name.requestFocus();
  }
}
