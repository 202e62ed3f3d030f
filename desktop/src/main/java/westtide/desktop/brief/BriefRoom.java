package westtide.desktop.brief;

import java.util.EnumSet;
import java.util.List;
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
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Confirm;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.SongView;
import westtide.desktop.room.Command;
import westtide.desktop.room.DraftsPanel;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.draft.Draft;
import westtide.review.finding.Stage;
import westtide.song.Brief;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.style.Reason;
import westtide.style.Style;

/**
 * Why the style is as it is, conventions and plan on the left; tempo, key and swing on the right.
 */
public final class BriefRoom implements Room {
  private static final String REASONS = "why this style";
  private static final String SCHOOLS = "conventions";
  private static final String PLAN = "plan and checklist";
  private static final double DECIDED_WIDTH = 386;
  private static final double TOPIC_WIDTH = 96;

  private final RoomContext context;
  private final OwnStyles own;
  private final VBox sheet = new VBox();
  private final Chips<Style> styles;
  private final Label summary = Controls.wrapped("");
  private final Chips<String> tabs = new Chips<>("brief-", word -> word, this::turnTo);
  private final ScrollPane front = new ScrollPane();
  private final VBox reasons = new VBox(6);
  private final SchoolsPane schools;
  private final PlanPane plan;
  private final TextField title = Controls.field("song-title", "title of the song");
  private final TextField project =
      Controls.field("song-project", "series, album or other project");
  private final TempoBox tempo;
  private final KeyBox key;
  private final SwingBox swing;
  private String tab = REASONS;
  private Button take;

  /** The room; {@code millis} is the clock taps are timed by. */
  public BriefRoom(RoomContext context, OwnStyles own, LongSupplier millis) {
    this.context = context;
    this.own = own;
    this.styles = new Chips<>("style-", Style::name, this::chooseStyle).wrapping();
    this.schools = new SchoolsPane(context);
    this.plan = new PlanPane(context);
    this.tempo = new TempoBox(context, millis);
    this.key = new KeyBox(context, this::findKey);
    this.swing = new SwingBox(context);
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
        Command.of("brief-reasons", "Brief: why this style", () -> turnTo(REASONS)),
        Command.of(
            "brief-schools",
            "Brief: conventions, where practitioners disagree",
            () -> turnTo(SCHOOLS)),
        Command.of("brief-plan", "Brief: plan and checklist", () -> turnTo(PLAN)),
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
    styles.show(context.open().book().styles(), view.style());
    summary.setText(view.style().summary());
    tabs.show(List.of(REASONS, SCHOOLS, PLAN), tab);
    showTab(view);
    showText(title, view.song().title());
    showText(project, view.song().project());
    tempo.show(view.song());
    key.show(brief);
    swing.show(view);
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
    styles.getStyleClass().add("page");
    VBox heading =
        Controls.column(
            4, Controls.row(14, Controls.title("Brief"), Controls.spring(), takeBox()), styles);
    front.setFitToWidth(true);
    front.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    front.getStyleClass().add("page");
    VBox.setVgrow(front, Priority.ALWAYS);
    VBox left = Controls.column(8, summary, tabs, front);
    tabs.getStyleClass().add("page");
    HBox.setHgrow(left, Priority.ALWAYS);
    left.setMinWidth(200);
    VBox decided = Controls.column(8, names(), tempo, key, swing);
    decided.setPadding(new javafx.geometry.Insets(2, 10, 2, 2));
    decided.getStyleClass().add("page");
    ScrollPane right = new ScrollPane(decided);
    right.setFitToWidth(true);
    right.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    right.setMinWidth(DECIDED_WIDTH - 20);
    right.setPrefWidth(DECIDED_WIDTH);
    HBox body = Controls.row(24, left, right);
    body.setFillHeight(true);
    body.setAlignment(javafx.geometry.Pos.TOP_LEFT);
    VBox.setVgrow(body, Priority.ALWAYS);
    sheet.getChildren().addAll(heading, body);
    commitOnLeave(title, text -> context.apply(BriefEdits.title(text)));
    commitOnLeave(project, text -> context.apply(BriefEdits.project(text)));
  }

  private void turnTo(String chosen) {
    tab = chosen;
    context.open().view().ifPresent(this::show);
  }

  private void showTab(SongView view) {
    switch (tab) {
      case SCHOOLS -> schools.show(view);
      case PLAN -> plan.show(view);
      default -> showReasons(view.style());
    }
    VBox wanted = tab.equals(SCHOOLS) ? schools : tab.equals(PLAN) ? plan : reasons;
    wanted.setPadding(new javafx.geometry.Insets(2, 14, 2, 0));
    if (front.getContent() != wanted) {
      front.setContent(wanted);
    }
  }

  private Node names() {
    HBox.setHgrow(title, Priority.ALWAYS);
    VBox first = Controls.column(2, Controls.label("title", "small"), title);
    VBox second = Controls.column(2, Controls.label("project", "small"), project);
    return Controls.row(10, first, second);
  }

  private Node takeBox() {
    take = Controls.action("new-take", "new draft", this::newTake);
    Controls.explained(
        take, "New chords, drums, lines and levels from the next seed; one step to undo");
    Button drafts = Controls.action("open-drafts", "three drafts", this::drafts);
    Controls.explained(
        drafts,
        "Three arrangements, or takes of one part or section, to hear in turn before one is taken");
    Button bench = Controls.action("open-bench", "calculators", this::bench);
    Controls.explained(bench, "Loops, pitch and tempo, note and Hz, delay times, bars and minutes");
    Button styles = Controls.action("open-styles", "styles of your own", this::ownStyles);
    return Controls.row(14, take, drafts, styles, bench);
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

  private void chooseStyle(Style style) {
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
