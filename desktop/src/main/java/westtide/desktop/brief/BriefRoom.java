package westtide.desktop.brief;

import java.util.Arrays;
import java.util.List;
import java.util.function.LongSupplier;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.SongDraft;
import westtide.desktop.Desk;
import westtide.desktop.Room;
import westtide.desktop.SongView;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.review.Stage;
import westtide.rhythm.Feel;
import westtide.rhythm.Swing;
import westtide.rhythm.TapTempo;
import westtide.rhythm.Tempo;
import westtide.song.Brief;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.style.Reason;
import westtide.style.Style;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.Scale;

/** Style with its reasons, title, tempo, felt tempo, key and swing. */
public final class BriefRoom implements Room {
  private static final List<NoteName> TONICS =
      List.of("C", "C#", "Db", "D", "Eb", "E", "F", "F#", "Gb", "G", "G#", "Ab", "A", "Bb", "B")
          .stream()
          .map(NoteName::parse)
          .toList();

  private final Desk desk;
  private final LongSupplier millis;
  private final VBox sheet = new VBox();
  private final Chips<Style> styles;
  private final Label summary = Controls.wrapped("");
  private final VBox reasons = new VBox(6);
  private final TextField title = Controls.field("song-title", "title of the song");
  private final TextField project =
      Controls.field("song-project", "series, album or other project");
  private final NumberField tempo;
  private final NumberField swing;
  private final Chips<Feel> feel;
  private final Label felt = Controls.label("", "small");
  private final Label tapped = Controls.label("tap on the beat, or press T", "small");
  private final ComboBox<NoteName> tonic = new ComboBox<>();
  private final ComboBox<Scale> scale = new ComboBox<>();
  private final Label notes = Controls.wrapped("", "small");
  private final SwingSheet swingSheet = new SwingSheet();
  private TapTempo taps = TapTempo.none();
  private boolean showing;

  /** The room; {@code millis} is the clock taps are timed by. */
  public BriefRoom(Desk desk, LongSupplier millis) {
    this.desk = desk;
    this.millis = millis;
    this.styles = new Chips<>("style-", Style::name, this::chooseStyle);
    this.feel = new Chips<>("feel-", Feel::toString, f -> desk.apply(BriefEdits.feel(f)));
    this.tempo =
        new NumberField(
            "tempo",
            "tempo, BPM",
            text -> desk.apply(BriefEdits.tempo(Tempo.parse(text))),
            units -> desk.apply(BriefEdits.tempo(brief().tempo().plus(units * 1000))));
    this.swing =
        new NumberField(
            "swing",
            "swing, %",
            text -> desk.apply(BriefEdits.swing(Swing.parse(text))),
            this::nudgeSwing);
    build();
  }

  @Override
  public Stage stage() {
    return Stage.BRIEF;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String fact(SongView view) {
    return view.style().name().toLowerCase() + " · " + view.song().brief().key();
  }

  @Override
  public void show(SongView view) {
    showing = true;
    Brief brief = view.song().brief();
    styles.show(desk.open().book().styles(), view.style());
    summary.setText(view.style().summary());
    showReasons(view.style());
    showText(title, view.song().title());
    showText(project, view.song().project());
    tempo.show(brief.tempo().toString());
    swing.show(brief.swing().toString());
    feel.show(List.of(Feel.values()), brief.feel());
    felt.setText(
        "feels like "
            + brief.felt()
            + " · a quarter lasts "
            + Math.round(brief.tempo().millis(960))
            + " ms");
    tonic.setValue(brief.key().tonic());
    scale.setValue(brief.key().scale());
    notes.setText(String.join("  ", brief.key().notes().stream().map(NoteName::toString).toList()));
    swingSheet.show(brief.swing(), brief.tempo());
    showing = false;
  }

  /** Counts one tap at the present time; from the third on the tempo follows. */
  public void tap() {
    taps = taps.plus(millis.getAsLong());
    taps.tempo()
        .ifPresentOrElse(
            found -> {
              desk.apply(BriefEdits.tempo(found));
              tapped.setText("tapped " + found + " BPM");
            },
            () -> tapped.setText("go on tapping"));
  }

  /** Drafts everything anew from the next seed, keeping title, tempo, key and swing. */
  public void newTake() {
    Song before = desk.open().song();
    desk.compute(
        () -> redrafted(before),
        drafted -> desk.apply(Edit.of("Draft a new take", song -> drafted)));
  }

  private Song redrafted(Song song) {
    Style style = desk.open().book().find(song.brief().style()).orElseThrow();
    return SongDraft.in(style)
        .withSeed(song.seed() + 1)
        .withTitle(song.title())
        .withTempo(song.brief().tempo())
        .withKey(song.brief().key())
        .withForm(song.form().toString())
        .song()
        .withProject(song.project())
        .withBrief(song.brief());
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    sheet.getChildren().add(Controls.row(18, Controls.title("Brief"), styles));
    VBox left = Controls.column(8, summary, reasonList());
    HBox.setHgrow(left, Priority.ALWAYS);
    left.setMinWidth(200);
    VBox decided = Controls.column(12, names(), tempoBox(), keyBox(), swingBox(), takeBox());
    decided.setPadding(new javafx.geometry.Insets(2, 10, 2, 2));
    ScrollPane right = new ScrollPane(decided);
    right.setFitToWidth(true);
    right.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    right.setMinWidth(366);
    right.setPrefWidth(386);
    HBox body = Controls.row(24, left, right);
    body.setFillHeight(true);
    body.setAlignment(javafx.geometry.Pos.TOP_LEFT);
    VBox.setVgrow(body, Priority.ALWAYS);
    sheet.getChildren().add(body);
    commitOnLeave(title, text -> desk.apply(BriefEdits.title(text)));
    commitOnLeave(project, text -> desk.apply(BriefEdits.project(text)));
  }

  private Node reasonList() {
    ScrollPane scroll = new ScrollPane(reasons);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    return scroll;
  }

  /** Opens the calculators. */
  public void bench() {
    desk.panels().open(new BenchPanel(desk, desk.panels()::close));
  }

  /** Opens the finding of the key. */
  public void findKey() {
    desk.panels().open(new KeyPanel(desk, desk.panels()::close));
  }

  private Node names() {
    HBox.setHgrow(title, Priority.ALWAYS);
    VBox first = Controls.column(2, Controls.label("title", "small"), title);
    VBox second = Controls.column(2, Controls.label("belongs to", "small"), project);
    return Controls.row(10, first, second);
  }

  private Node tempoBox() {
    Button tap = Controls.primary("tap-tempo", "tap", this::tap);
    HBox row = Controls.row(18, tempo, feel);
    row.setAlignment(javafx.geometry.Pos.BOTTOM_LEFT);
    return Controls.column(6, row, felt, Controls.row(10, tap, tapped));
  }

  private Node keyBox() {
    tonic.setId("key-tonic");
    tonic.setAccessibleText("home note");
    tonic.setItems(FXCollections.observableArrayList(TONICS));
    tonic.setOnAction(event -> chooseKey());
    scale.setId("key-scale");
    scale.setAccessibleText("scale");
    scale.setItems(FXCollections.observableList(Arrays.asList(Scale.values())));
    scale.setOnAction(event -> chooseKey());
    return Controls.column(
        3,
        Controls.label("key", "small"),
        Controls.row(6, tonic, scale, Controls.action("find-key", "find it", this::findKey)),
        notes);
  }

  private Node swingBox() {
    return Controls.column(4, swing, swingSheet);
  }

  private Node takeBox() {
    Button take = Controls.action("new-take", "draft a new take of everything", this::newTake);
    Controls.explained(
        take, "New chords, drums, lines and levels from the next seed; one step to undo");
    Button bench = Controls.action("open-bench", "reckon loops, pitch and delays", this::bench);
    return Controls.column(2, bench, take);
  }

  private void showReasons(Style style) {
    reasons.getChildren().clear();
    for (Reason reason : style.reasons()) {
      Label topic = Controls.label(reason.topic(), "strong");
      topic.setMinWidth(84);
      Label habit = Controls.wrapped(reason.habit());
      VBox words = Controls.column(0, habit, Controls.wrapped(reason.why(), "small"));
      HBox.setHgrow(words, Priority.ALWAYS);
      HBox row = Controls.row(8, topic, words);
      row.setAlignment(javafx.geometry.Pos.TOP_LEFT);
      reasons.getChildren().add(row);
    }
  }

  private void chooseStyle(Style style) {
    desk.apply(BriefEdits.style(style.id(), style.feel()));
    desk.messages()
        .done(
            "Measured as "
                + style.name().toLowerCase()
                + " now; notes stay until you draft a new take.");
  }

  private void chooseKey() {
    if (!showing && tonic.getValue() != null && scale.getValue() != null) {
      desk.apply(BriefEdits.key(new Key(tonic.getValue(), scale.getValue())));
    }
  }

  private void nudgeSwing(int units) {
    int moved = Math.max(5000, Math.min(7500, brief().swing().hundredths() + units * 100));
    desk.apply(BriefEdits.swing(brief().swing().withHundredths(moved)));
  }

  private Brief brief() {
    return desk.open().song().brief();
  }

  private static void showText(TextField field, String text) {
    if (!field.isFocused()) {
      field.setText(text);
    }
  }

  private static void commitOnLeave(TextField field, java.util.function.Consumer<String> take) {
    field.setOnAction(event -> take.accept(field.getText().strip()));
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                take.accept(field.getText().strip());
              }
            });
  }
}
