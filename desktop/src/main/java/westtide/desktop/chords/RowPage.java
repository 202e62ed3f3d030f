package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.FigureSheet;
import westtide.desktop.kit.TypedLine;
import westtide.follow.ChordVoicings;
import westtide.rhythm.Figure;
import westtide.song.Section;
import westtide.song.SectionKind;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Progression;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.RhythmText;
import westtide.song.edit.RowEdits;
import westtide.theory.NoteName;

/** The whole progression: its rhythm, register and name, and which sections use it over a pedal. */
final class RowPage implements ChordPage {
  private static final String AS_PART = "as the part plays";
  private static final String OWN = "drawn by hand";
  private static final String MOVES = "bass moves";

  private final ChordChoice choice;
  private final ComboBox<String> rhythm = new ComboBox<>();
  private final FigureSheet hand = new FigureSheet("row-hand", this::drawn);
  private final TypedLine figure = new TypedLine("row-figure", "x--.x-..", this::takeFigure);
  private final Chips<Integer> octave = new Chips<>("register-", RowPage::register, o -> apply(o));
  private final TypedLine name = new TypedLine("row-name", "name", this::takeName);
  private final FlowPane uses = Controls.flow();
  private final VBox box = new VBox(6);
  private boolean showing;

  RowPage(ChordChoice choice) {
    this.choice = choice;
    rhythm.setId("row-rhythm");
    rhythm.setAccessibleText("rhythm of the progression");
    rhythm.getItems().add(AS_PART);
    Arrays.stream(RhythmFamily.values()).forEach(f -> rhythm.getItems().add(f.toString()));
    rhythm.getItems().add(OWN);
    rhythm.setOnAction(event -> takeRhythm());
    rhythm.setPrefWidth(196);
    rhythm.setMinWidth(150);
    HBox.setHgrow(hand, Priority.ALWAYS);
    figure.setPrefWidth(190);
    figure.setMinWidth(120);
    name.setPrefWidth(110);
    name.setMinWidth(80);
    uses.setHgap(16);
    box.getChildren()
        .addAll(
            Controls.row(
                8, Controls.whole(Controls.label("rhythm", "small")), rhythm, figure, hand),
            Controls.row(
                8,
                Controls.whole(Controls.label("register", "small")),
                octave,
                Controls.spring(),
                Controls.whole(Controls.label("called", "small")),
                name,
                Controls.action("row-copy", "copy as another", this::copy),
                Controls.action("row-remove", "take away", this::remove)),
            uses);
  }

  @Override
  public String title() {
    return "whole row";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(ChordScene scene) {
    showing = true;
    Optional<ChordRhythm> own = scene.row().rhythm();
    Optional<RhythmFamily> family = own.flatMap(RhythmFamily::of);
    rhythm.setValue(own.isEmpty() ? AS_PART : family.map(RhythmFamily::toString).orElse(OWN));
    String text =
        own.flatMap(ChordRhythm::figure)
            .or(() -> own.isEmpty() ? ChordVoicings.rule(scene.song()).figure() : Optional.empty())
            .map(Figure::text)
            .orElse("");
    figure.show(text);
    hand.show(text);
    Controls.explained(
        rhythm,
        family
            .map(RhythmFamily::words)
            .orElse(
                own.isEmpty()
                    ? "Each part strikes the chords in its own rhythm."
                    : "A figure in sixteenths, drawn by hand."));
    octave.show(List.of(-1, 0, 1), scene.row().octave());
    name.show(scene.row().name());
    showUses(scene.song());
    showing = false;
  }

  private void showUses(Song song) {
    uses.getChildren().clear();
    List<SectionKind> kinds =
        song.form().sections().stream().map(s -> s.word().kind()).distinct().toList();
    for (SectionKind kind : kinds) {
      Section first =
          song.form().sections().stream()
              .filter(s -> s.word().kind() == kind)
              .findFirst()
              .orElseThrow();
      uses.getChildren().add(use(song, kind, first));
    }
  }

  private HBox use(Song song, SectionKind kind, Section first) {
    String id = first.word().toString();
    ComboBox<String> row = new ComboBox<>();
    row.setId("use-" + id);
    row.setAccessibleText("progression of the " + id);
    song.progressions().forEach(p -> row.getItems().add(p.name()));
    row.setValue(first.progression());
    row.setOnAction(event -> choice.apply(RowEdits.use(kind, row.getValue())));
    ComboBox<String> pedal = new ComboBox<>();
    pedal.setId("pedal-" + id);
    pedal.setAccessibleText("bass of the " + id);
    pedal.getItems().add(MOVES);
    List<NoteName> scale = song.brief().key().notes();
    scale.forEach(note -> pedal.getItems().add("stays on " + note));
    pedal.setValue(first.pedal().map(note -> "stays on " + note).orElse(MOVES));
    pedal.setOnAction(
        event -> {
          int index = pedal.getItems().indexOf(pedal.getValue()) - 1;
          choice.apply(
              RowEdits.pedal(kind, index < 0 ? Optional.empty() : Optional.of(scale.get(index))));
        });
    return Controls.row(4, Controls.whole(Controls.label(id, "small")), row, pedal);
  }

  private void takeRhythm() {
    if (showing || rhythm.getValue() == null) {
      return;
    }
    if (rhythm.getValue().equals(OWN)) {
      figure.field().requestFocus();
      return;
    }
    boolean asPart = rhythm.getValue().equals(AS_PART);
    choice.apply(
        choice
            .edits()
            .rhythm(asPart ? Optional.empty() : Optional.of(RhythmText.parse(rhythm.getValue()))));
  }

  private void drawn(String text) {
    boolean empty = text.matches("[.]*");
    choice.apply(
        choice
            .edits()
            .rhythm(empty ? Optional.empty() : Optional.of(ChordRhythm.of(new Figure(text)))));
  }

  private Optional<TypedLine.Trouble> takeFigure(String text) {
    if (text.isBlank()) {
      choice.apply(choice.edits().rhythm(Optional.empty()));
      return Optional.empty();
    }
    try {
      choice.apply(choice.edits().rhythm(Optional.of(RhythmText.parse(text))));
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of(new TypedLine.Trouble(1, e.getMessage()));
    }
  }

  private void apply(int octaves) {
    choice.apply(choice.edits().octave(octaves));
    choice.hear();
  }

  private Optional<TypedLine.Trouble> takeName(String text) {
    String wanted = text.strip();
    boolean taken =
        choice.scene().song().progressions().stream()
            .map(Progression::name)
            .anyMatch(n -> n.equals(wanted) && !n.equals(choice.row()));
    if (wanted.isEmpty() || taken) {
      return Optional.of(
          new TypedLine.Trouble(1, taken ? "another row is called that already" : "type a name"));
    }
    if (!wanted.equals(choice.row())) {
      choice.apply(RowEdits.rename(choice.row(), wanted));
      choice.chooseRow(wanted);
    }
    return Optional.empty();
  }

  void copy() {
    List<String> names = new ArrayList<>();
    choice.scene().song().progressions().forEach(p -> names.add(p.name()));
    String fresh =
        List.of("verse", "hook", "bridge").stream()
            .filter(n -> !names.contains(n))
            .findFirst()
            .orElse("row " + (names.size() + 1));
    choice.apply(RowEdits.copy(choice.row(), fresh));
    choice.chooseRow(fresh);
  }

  private void remove() {
    choice.apply(RowEdits.remove(choice.row()));
  }

  private static String register(int octaves) {
    return octaves == 0 ? "as usual" : octaves > 0 ? "octave up" : "octave down";
  }
}
