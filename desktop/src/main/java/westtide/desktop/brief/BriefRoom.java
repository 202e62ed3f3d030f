package westtide.desktop.brief;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.SongRedraft;
import westtide.desktop.files.OwnStyles;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Confirm;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.SongView;
import westtide.desktop.room.Command;
import westtide.desktop.room.DraftsPanel;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.draft.Draft;
import westtide.review.Checklist;
import westtide.review.finding.Stage;
import westtide.song.Brief;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.style.Reason;
import westtide.style.Style;
import westtide.style.StyleOutline;

/**
 * What is decided before the first note, drawn: tempo on a line with the style's band, the key as a
 * ring that turns, swing as the real spacing of a bar, the length and the minutes of the evening.
 * Reasons, conventions, plan and calculators stand behind their words.
 */
public final class BriefRoom implements Room {
  private static final double RING_LEAST = 266;
  private static final double RING_SHARE = 0.37;
  private static final double NAME_WIDTH = 178;
  private static final double TOPIC_WIDTH = 96;
  private static final double TOLD_HEIGHT = 38;

  private final RoomContext context;
  private final OwnStyles own;
  private final VBox sheet = new VBox();
  private final Chooser<StyleOutline> styles;
  private final Label summary = Controls.wrapped("");
  private final VBox reasons = new VBox(6);
  private final SchoolsPane schools;
  private final PlanPane plan;
  private final TextField title = Controls.field("song-title", "title of the song");
  private final TextField project =
      Controls.field("song-project", "series, album or other project");
  private final TempoBox tempo;
  private final KeyBox key;
  private final SwingBox swing;
  private final LengthBox length;
  private final Label effect = Controls.wrapped("", "small");
  private final Label bent = Controls.wrapped("", "small");
  private final Button why = Controls.action("brief-why-this-style", "why", this::reasons);
  private final Button points =
      Controls.action("brief-plan-and-checklist", "plan and checklist", this::plan);
  private Button take;

  /** The room; {@code millis} is the clock taps are timed by. */
  public BriefRoom(RoomContext context, OwnStyles own, LongSupplier millis) {
    this.context = context;
    this.own = own;
    this.styles =
        new Chooser<>("brief-style", "style", List.of(), StyleOutline::name, this::chooseStyle);
    this.schools = new SchoolsPane(context);
    this.plan = new PlanPane(context);
    this.tempo = new TempoBox(context, millis, effect);
    this.key = new KeyBox(context, bent, this::findKey);
    this.swing = new SwingBox(context);
    this.length = new LengthBox(context);
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
  public List<Command> commands() {
    return List.of(
        Command.of("brief-reasons", "Brief: why this style", this::reasons),
        Command.of(
            "brief-schools", "Brief: conventions, where practitioners disagree", this::schools),
        Command.of("brief-plan", "Brief: plan and checklist", this::plan),
        Command.of("own-styles", "Brief: styles of your own", this::ownStyles),
        Command.of("tap", "Tap the tempo", this::tap).withKeys("T").everywhere(),
        Command.of("bench", "Calculators: loops, pitch and delay times", this::bench),
        Command.of("find-key", "Detect the key of notes or chords", this::findKey),
        faster("faster", "One BPM faster", 1000).withKeys("Alt+UP"),
        faster("slower", "One BPM slower", -1000).withKeys("Alt+DOWN"),
        Command.of("take-all", "New draft of the whole song", this::newTake),
        Command.of("three-drafts", "Three drafts of the whole song, to hear in turn", this::drafts),
        Command.of(
            "part-takes",
            "Three takes of the chosen part, to hear in turn",
            () -> DraftsPanel.open(context, DraftsPanel.Of.PART)),
        Command.of(
            "section-takes",
            "Three takes of the chosen section, to hear in turn",
            () -> DraftsPanel.open(context, DraftsPanel.Of.SECTION)));
  }

  @Override
  public String summary(SongView view) {
    return view.song().brief().key().toString();
  }

  @Override
  public void show(SongView view) {
    Brief brief = view.song().brief();
    styles.display(context.open().book().outlines(), StyleOutline.of(view.style()));
    summary.setText(view.style().summary());
    why.setText("why " + view.style().name().toLowerCase(Locale.ROOT));
    Checklist list = Checklist.of(view.score(), view.style());
    points.setText("checklist " + list.ticked() + " of " + list.points().size());
    showRead(view);
    showText(title, view.song().title());
    showText(project, view.song().project());
    tempo.show(view.song(), view.style());
    key.show(brief);
    swing.show(view);
    length.show(view);
  }

  /** Counts one tap at the present time; from the third on the tempo follows. */
  public void tap() {
    tempo.tap();
  }

  /** Drafts everything anew from the next seed, after saying what that replaces. */
  public void newTake() {
    Song now = context.open().song();
    Confirm.under(
        take,
        "New draft of " + now.title() + "?",
        "It replaces the chords, drums, lines and levels of all "
            + now.parts().size()
            + " parts; title, tempo, key, swing and the form stay. Undo brings everything back.",
        "new draft",
        this::redraft);
  }

  private void redraft() {
    Song before = context.open().song();
    context.compute(
        () -> redrafted(before), drafted -> context.apply(Edit.of("New draft", song -> drafted)));
  }

  /** Opens three drafts to choose from. */
  public void drafts() {
    DraftsPanel.open(context, DraftsPanel.Of.SONG);
  }

  /** Opens the calculators. */
  public void bench() {
    context.panels().open(new BenchPanel(context, context.panels()::close));
  }

  /** Opens the finding of the key. */
  public void findKey() {
    context.panels().open(new KeyPanel(context, context.panels()::close));
  }

  /** Opens the styles a person saved. */
  public void ownStyles() {
    context.panels().open(new StylesPanel(context, own, context.panels()::close));
  }

  private Song redrafted(Song song) {
    Style style = context.open().book().find(song.brief().style()).orElseThrow();
    Set<SongRedraft.Keep> kept = EnumSet.of(SongRedraft.Keep.PACE, SongRedraft.Keep.FORM);
    return Draft.again(new SongRedraft(song, style, kept), song.seed() + 1);
  }

  private Command faster(String id, String title, int milli) {
    Runnable run =
        () -> context.apply(BriefEdits.tempo(context.open().song().brief().tempo().plus(milli)));
    return Command.of(id, title, run).everywhere();
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    sheet.setSpacing(10);
    effect.setId("tempo-effect");
    bent.setId("key-bent");
    Button drafts = Controls.primary("open-drafts", "three drafts to hear", this::drafts);
    Controls.explained(
        drafts,
        "Three arrangements, or takes of one part or section, to hear in turn before one is taken");
    HBox.setHgrow(summary, Priority.ALWAYS);
    summary.setMaxWidth(Double.MAX_VALUE);
    key.setMinWidth(RING_LEAST);
    VBox right = Controls.column(14, swing, length);
    VBox.setVgrow(length, Priority.ALWAYS);
    HBox.setHgrow(right, Priority.ALWAYS);
    HBox drawn = new HBox(24, key, right);
    key.prefWidthProperty().bind(drawn.widthProperty().multiply(RING_SHARE));
    VBox.setVgrow(drawn, Priority.ALWAYS);
    ScrollPane all = new ScrollPane(Controls.column(10, tempo, drawn));
    all.setFitToWidth(true);
    all.setFitToHeight(true);
    all.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(all, Priority.ALWAYS);
    VBox told = Controls.column(2, effect, bent);
    told.setMinHeight(TOLD_HEIGHT);
    sheet.getChildren().addAll(Controls.row(14, styles, summary, drafts), words(), all, told);
    commitOnLeave(title, text -> context.apply(BriefEdits.title(text)));
    commitOnLeave(project, text -> context.apply(BriefEdits.project(text)));
  }

  /** What the song is called, and what stands behind words. */
  private Node words() {
    take = Controls.action("new-take", "new draft", this::newTake);
    Controls.explained(
        take, "New chords, drums, lines and levels from the next seed; one step to undo");
    Button bench = Controls.action("open-bench", "calculators", this::bench);
    Controls.explained(bench, "Loops, pitch and tempo, note and Hz, delay times, bars and minutes");
    title.getStyleClass().add("on-rule");
    project.getStyleClass().add("on-rule");
    styles.getStyleClass().add("grand");
    title.setPrefWidth(NAME_WIDTH);
    project.setPrefWidth(NAME_WIDTH);
    return Controls.flow(
        title,
        project,
        Controls.explained(why, "What the style prefers, and why"),
        Controls.explained(
            Controls.action("brief-conventions", "conventions", this::schools),
            "Questions practitioners answer in two ways"),
        Controls.explained(points, "Minutes and length as figures, and what is decided so far"),
        bench,
        Controls.action("open-styles", "styles of your own", this::ownStyles),
        take);
  }

  private void reasons() {
    read("Why this style", reasons);
  }

  private void schools() {
    read("Conventions", schools);
  }

  private void plan() {
    read("Plan and checklist", plan);
  }

  private void read(String title, VBox content) {
    context.panels().open(new ReadingPanel(title, content, context.panels()::close));
    context.open().view().ifPresent(this::showRead);
  }

  /** What is in front of the window follows the song. */
  private void showRead(SongView view) {
    if (reasons.getScene() != null) {
      showReasons(view.style());
    }
    if (schools.getScene() != null) {
      schools.show(view);
    }
    if (plan.getScene() != null) {
      plan.show(view);
    }
  }

  private void showReasons(Style style) {
    reasons.getChildren().clear();
    for (Reason reason : style.reasons()) {
      Label topic = Controls.wrapped(reason.topic(), "strong");
      topic.setMinWidth(TOPIC_WIDTH);
      topic.setPrefWidth(TOPIC_WIDTH);
      Label habit = Controls.wrapped(reason.habit());
      VBox words = Controls.column(0, habit, Controls.wrapped(reason.why(), "small"));
      HBox.setHgrow(words, Priority.ALWAYS);
      HBox row = Controls.row(8, topic, words);
      row.setAlignment(javafx.geometry.Pos.TOP_LEFT);
      reasons.getChildren().add(row);
    }
  }

  private void chooseStyle(StyleOutline style) {
    context.apply(BriefEdits.style(style.id(), style.feel()));
    context
        .messages()
        .done(
            "Measured as "
                + style.name().toLowerCase()
                + " now; notes stay until you make a new draft.");
  }

  private static void showText(TextField field, String text) {
    if (!field.isFocused()) {
      field.setText(text);
    }
  }

  private static void commitOnLeave(TextField field, Consumer<String> take) {
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
