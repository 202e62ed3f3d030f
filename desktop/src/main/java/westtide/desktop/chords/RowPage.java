package westtide.desktop.chords;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.kit.sheet.FigureSheet;
import westtide.rhythm.Figure;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Progression;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.RhythmText;
import westtide.song.edit.Edit;
import westtide.song.edit.RowEdits;
import westtide.song.form.ChordOption;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.text.Reading;
import westtide.theory.NoteName;

/** The whole progression: its rhythm, register and name, and which sections use it over a pedal. */
final class RowPage implements ChordPage {
  private static final String AS_PART = "as the part plays";
  private static final String OWN = "drawn by hand";
  private static final String MOVES = "bass moves";

  private final ChordChoice choice;
  private final Chooser<String> rhythm =
      new Chooser<>("row-rhythm", "rhythm of the progression", rhythms(), this::takeRhythm);
  private final FigureSheet hand = new FigureSheet("row-hand", this::drawn);
  private final TypedLine figure = new TypedLine("row-figure", "x--.x-..", this::takeFigure);
  private final Chips<Integer> octave = new Chips<>("register-", RowPage::register, o -> apply(o));
  private final TypedLine name = new TypedLine("row-name", "name", this::takeName);
  private final FlowPane uses = Controls.flow();
  private final VBox box = new VBox(6);

  RowPage(ChordChoice choice) {
    this.choice = choice;
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
                Controls.whole(Controls.label("name", "small")),
                name,
                Controls.action("row-copy", "copy as another", this::copy),
                Controls.action("row-remove", "delete", this::remove)),
            uses);
  }

  @Override
  public String title() {
    return "progression";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(ChordScene scene) {
    Optional<ChordRhythm> own = scene.row().rhythm();
    Optional<RhythmFamily> family = own.flatMap(RhythmFamily::of);
    rhythm.display(own.isEmpty() ? AS_PART : family.map(RhythmFamily::toString).orElse(OWN));
    String text =
        own.flatMap(ChordRhythm::figure)
            .or(() -> own.isEmpty() ? scene.rule().figure() : Optional.empty())
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
    List<String> names = song.progressions().stream().map(Progression::name).toList();
    Chooser<String> row =
        new Chooser<>(
            "use-" + id,
            "progression of the " + id,
            names,
            name -> choice.apply(RowEdits.use(kind, name)));
    row.display(first.progression());
    List<NoteName> scale = song.brief().key().notes();
    Chooser<String> pedal =
        new Chooser<>(
            "pedal-" + id,
            "bass of the " + id,
            Stream.of(
                    Stream.of(MOVES),
                    scale.stream().map(RowPage::stays),
                    scale.stream().map(RowPage::alone))
                .flatMap(words -> words)
                .toList(),
            words -> takePedal(kind, scale, words));
    boolean strict = first.has(ChordOption.STRICT_PEDAL);
    pedal.display(first.pedal().map(note -> strict ? alone(note) : stays(note)).orElse(MOVES));
    return Controls.row(4, Controls.whole(Controls.label(id, "small")), row, pedal);
  }

  private static String stays(NoteName note) {
    return "stays on " + note;
  }

  private static String alone(NoteName note) {
    return "nothing but " + note;
  }

  private void takePedal(SectionKind kind, List<NoteName> scale, String words) {
    Optional<NoteName> note =
        scale.stream()
            .filter(one -> stays(one).equals(words) || alone(one).equals(words))
            .findFirst();
    boolean strict = note.filter(one -> alone(one).equals(words)).isPresent();
    choice.apply(
        Edit.together(
            note.map(one -> "Hold " + one + " in the bass").orElse("Let the bass move"),
            List.of(RowEdits.pedal(kind, note), RowEdits.strictPedal(kind, strict))));
  }

  private static List<String> rhythms() {
    Stream<String> families = Arrays.stream(RhythmFamily.values()).map(RhythmFamily::toString);
    return Stream.of(Stream.of(AS_PART), families, Stream.of(OWN)).flatMap(s -> s).toList();
  }

  private void takeRhythm(String word) {
    if (word.equals(OWN)) {
      figure.field().requestFocus();
      return;
    }
    Optional<ChordRhythm> wanted =
        word.equals(AS_PART) ? Optional.empty() : Optional.of(RhythmText.parse(word));
    choice.apply(choice.edits().rhythm(wanted));
  }

  private void drawn(String text) {
    boolean empty = text.matches("[.]*");
    choice.apply(
        choice
            .edits()
            .rhythm(empty ? Optional.empty() : Optional.of(ChordRhythm.of(new Figure(text)))));
  }

  private Optional<Reading.Problem<?>> takeFigure(String text) {
    if (text.isBlank()) {
      choice.apply(choice.edits().rhythm(Optional.empty()));
      return Optional.empty();
    }
    int bar = choice.scene().brief().meter().stepsPerBar();
    Optional<Reading.Problem<?>> open = openBar(text, bar);
    if (open.isPresent()) {
      return open;
    }
    try {
      ChordRhythm typed = RhythmText.parse(text);
      choice.apply(choice.edits().rhythm(Optional.of(typed)));
      typed.figure().map(Figure::length).ifPresent(steps -> tellDrift(steps, bar));
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of(new Reading.Problem<>(1, e.getMessage()));
    }
  }

  /** A bar line that does not close a bar. */
  private static Optional<Reading.Problem<?>> openBar(String text, int bar) {
    int steps = 0;
    for (int i = 0; i < text.length(); i++) {
      char sign = text.charAt(i);
      if (sign == '|' && steps % bar != 0) {
        String words = "a bar has " + bar + " steps, but | stands after " + steps % bar;
        return Optional.of(new Reading.Problem<>(i + 1, words + " of them"));
      }
      steps += sign == ' ' || sign == '|' ? 0 : 1;
    }
    return Optional.empty();
  }

  /** A rhythm of a length of its own is meant or a slip; it is said either way. */
  private void tellDrift(int steps, int bar) {
    if (steps % bar != 0 && bar % steps != 0) {
      int meets = steps / BigInteger.valueOf(steps).gcd(BigInteger.valueOf(bar)).intValue();
      choice
          .context()
          .messages()
          .done(
              "The rhythm has "
                  + steps
                  + " steps, a bar "
                  + bar
                  + ": it shifts from bar to bar and meets the bar line again after "
                  + meets
                  + " bars.");
    }
  }

  private void apply(int octaves) {
    choice.apply(choice.edits().octave(octaves));
    choice.hear();
  }

  private Optional<Reading.Problem<?>> takeName(String text) {
    String wanted = text.strip();
    boolean taken =
        choice.scene().song().progressions().stream()
            .map(Progression::name)
            .anyMatch(n -> n.equals(wanted) && !n.equals(choice.row()));
    if (wanted.isEmpty() || taken) {
      return Optional.of(
          new Reading.Problem<>(1, taken ? "another row is called that already" : "type a name"));
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
