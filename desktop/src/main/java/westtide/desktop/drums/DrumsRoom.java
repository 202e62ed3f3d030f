package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Pages;
import westtide.desktop.kit.Picker;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.Command;
import westtide.desktop.room.PartChips;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.desktop.room.Searched;
import westtide.review.drums.HitReason;
import westtide.review.finding.Stage;
import westtide.rhythm.LaneText;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.pattern.NamedPattern;
import westtide.text.Reading;

/**
 * Grooves: bead lines, the typed line of a lane, the chosen hit in words, and below them pages for
 * what can be decided about the hit, its lane, its sound, the groove, eight bars of it, and for
 * playing it in.
 */
public final class DrumsRoom implements Room {
  private static final int LONG_LANE = 68;
  private static final String ALL_BARS = "all bars";

  /** Long grooves open so near that a hit is easily met. */
  private static final String FIRST_LOOK = "two bars";

  /** How many bars are seen at once; 0 for all. */
  private static final Map<String, Integer> LOOKS = looks();

  private static final int FEW = 3;
  private static final String HEAR = "▷ play this groove";
  private static final String MOUSE =
      "drag over empty steps writes hits, a double click one; drag a bead up or down for velocity, sideways for time";
  private final RoomContext context;
  private final GrooveChoice choice;
  private final VBox sheet = new VBox();
  private final VBox content = new VBox(6);
  private final PartChips parts;
  private final Chips<String> grooves;
  private final Chips<String> looks;
  private final HitSheet beads;
  private final HitLens lens;
  private final StackPane drawn = new StackPane();
  private final TypedLine laneLine;
  private final Label laneName = Controls.label("", "strong");
  private final Label summary = Controls.wrapped("");
  private final Label why = Controls.wrapped("", "small");
  private final Button hear;
  private final Picker<NewLane> more = new Picker<>("add-voice", "add a lane", this::addLane);
  private final NumberField bars =
      NumberField.held("groove-bars", "bars", 1, 16, this::barsNow, this::takeBars).inline();
  private final GrooveUse use;
  private final GroovePage groovePage;
  private final RecordPage recordPage;
  private final Pages<GrooveScene> pages;
  private String look = FIRST_LOOK;

  /** Whether something was pressed in the drawing since the room came in front. */
  private boolean worked;

  /** The room. */
  public DrumsRoom(RoomContext context) {
    this.context = context;
    this.choice = new GrooveChoice(context, this::refresh);
    this.parts = new PartChips(context, "drums-", List.of(Role.DRUMS));
    this.grooves = new Chips<String>("groove-", name -> name, choice::chooseGroove).wrapping();
    this.looks = new Chips<>("look-", word -> word, this::look);
    this.beads = new HitSheet(choice, this::zoom);
    this.hear = Controls.action("groove-hear", HEAR, choice::hearGroove);
    this.laneLine =
        new TypedLine(
            "lane-line",
            "x hit, X accent, o soft, . rest, x3 roll, x/4 every fourth pass",
            this::takeLane);
    this.use = new GrooveUse(choice);
    this.groovePage = new GroovePage(choice);
    this.recordPage = new RecordPage(choice);
    this.pages =
        new Pages<>(
            "drum-page-",
            List.of(
                new HitPage(choice),
                new LanePage(choice),
                new SoundPage(choice),
                new CyclePage(choice),
                groovePage,
                new EightPage(choice),
                recordPage),
            context.pages(),
            this::refresh);
    context.open().watchOpening(pages::startOver);
    this.lens = new HitLens(choice, () -> pages.turnTo(pages.all().get(0)));
    build();
    context.play().watch(this::showPlay);
  }

  private static Map<String, Integer> looks() {
    Map<String, Integer> out = new LinkedHashMap<>();
    out.put(ALL_BARS, 0);
    out.put("four bars", 4);
    out.put("two bars", 2);
    out.put("one bar", 1);
    return Collections.unmodifiableMap(out);
  }

  /** The looks at a groove of so many bars that show less than all of it, and all. */
  private static List<String> looks(int bars) {
    return LOOKS.keySet().stream().filter(word -> LOOKS.get(word) < bars).toList();
  }

  @Override
  public Stage stage() {
    return Stage.DRUMS;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String summary(SongView view) {
    List<Part> drums = view.song().parts(Role.DRUMS);
    return switch (drums.size()) {
      case 0 -> "no drums";
      case 1 -> summary(drums.get(0));
      default -> drums.size() + " drum parts";
    };
  }

  private static String summary(Part drums) {
    int grooves = drums.patterns().size();
    return grooves <= FEW
        ? "grooves " + String.join(", ", drums.patterns().stream().map(NamedPattern::name).toList())
        : grooves + " grooves";
  }

  @Override
  public List<Searched> searched() {
    return Searched.of(sheet, pages);
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(beads.keys());
  }

  @Override
  public Optional<PatternTrial> inFront() {
    return choice.find().flatMap(scene -> choice.trial());
  }

  @Override
  public List<Command> commands() {
    List<Command> out = new ArrayList<>();
    for (Page<GrooveScene> page : pages.all()) {
      String id = "drums-" + page.title().replace(' ', '-');
      out.add(Command.of(id, "Drums: " + page.title(), () -> pages.turnTo(page)));
    }
    out.add(Command.of("take-groove", "New take of the groove in front", this::newTake));
    out.add(Command.of("copy-groove", "Copy the groove", this::copy));
    out.add(Command.of("hear-groove", "Play the groove in front, or stop", choice::hearGroove));
    return out;
  }

  @Override
  public void show(SongView view) {
    parts.show(view);
    Optional<GrooveScene> found = choice.find();
    content.setDisable(found.isEmpty());
    if (found.isEmpty()) {
      beads.showNothing();
      summary.setText("This song has no drums yet. Add them with + part.");
      return;
    }
    GrooveScene scene = found.get();
    choice.settle(scene);
    grooves.show(
        scene.part().patterns().stream().map(NamedPattern::name).toList(), scene.pattern().name());
    int all = scene.groove().bars();
    List<String> nearer = looks(all);
    looks.show(nearer, nearer.contains(look) ? look : ALL_BARS);
    looks.setVisible(all > 1);
    looks.setManaged(looks.isVisible());
    List<Object> groove = List.of(scene.part().id(), scene.pattern().name());
    bars.show(String.valueOf(all), groove);
    use.show(scene);
    beads.show(scene);
    more.offer(NewLane.of(scene.groove()));
    laneName.setText(scene.part().name(scene.chosen().id()));
    laneLine.show(
        LaneText.format(
            scene.heard(scene.chosen()),
            scene.meter().ticksPerBar() / scene.chosen().grid().ticks()),
        List.of(groove, scene.chosen().id()));
    summary.setText(HitDescription.tell(scene, beads.choked(scene.lane()).contains(scene.tick())));
    why.setText(why(scene));
    pages.show(scene);
    showLens();
  }

  /** What the chosen hit does in the groove, or what the mouse does. */
  private static String why(GrooveScene scene) {
    String reason =
        HitReason.in(scene.groove(), scene.song(), scene.view().style())
            .of(scene.chosen().id(), scene.tick());
    return reason.isEmpty() ? MOUSE : scene.chosen().id() + " " + reason;
  }

  private void showPlay() {
    hear.setText(context.play().trying() ? "stop" : HEAR);
    beads.redraw();
  }

  @Override
  public void follow(PlayPosition moment) {
    Song song = context.play().heard();
    Optional<Part> drums = choice.part();
    if (drums.isPresent() && moment.plays(song, drums.get(), choice.groove())) {
      beads.playAt(moment.sectionTick() % choice.scene().ticks());
    } else {
      beads.playNowhere();
    }
    recordPage.follow(moment);
  }

  @Override
  public void leave() {
    recordPage.leave();
    worked = false;
  }

  private void build() {
    beads.look(LOOKS.get(look));
    sheet.getStyleClass().add("sheet");
    ScrollPane scroll = new ScrollPane(beads);
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setMinHeight(120);
    scroll.setFocusTraversable(false);
    drawn.getChildren().addAll(scroll, lens);
    lens.setVisible(false);
    beads.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> worked = true);
    beads.addEventFilter(KeyEvent.KEY_PRESSED, event -> worked = true);
    beads.focusedProperty().addListener((o, was, is) -> showLens());
    lens.focusedProperty().addListener((o, was, is) -> showLens());
    context.pages().open().addListener((o, was, is) -> showLens());
    VBox.setVgrow(drawn, Priority.ALWAYS);
    HBox.setHgrow(laneLine, Priority.ALWAYS);
    HBox.setHgrow(grooves, Priority.ALWAYS);
    laneLine.smallerFrom(LONG_LANE).field().getStyleClass().add("small-typed");
    laneName.setMinWidth(84);
    summary.setId("hit-summary");
    why.setId("hit-why");
    looks.getStyleClass().add("small-chips");
    Controls.explained(
        hear, "Plays this groove round and round in a section, whatever the form has there (H)");
    VBox.setVgrow(content, Priority.ALWAYS);
    HBox.setHgrow(parts, Priority.ALWAYS);
    sheet.getChildren().addAll(Controls.row(14, Controls.title("Drums"), parts), content);
    content
        .getChildren()
        .addAll(
            Controls.row(10, Controls.whole(Controls.label("groove", "small")), grooves, bars),
            Controls.flow(use, hear, looks, more),
            drawn,
            Controls.shownWhile(context.pages().open(), Controls.row(10, laneName, laneLine)),
            Controls.column(3, summary, Controls.shownWhile(context.pages().open(), why)),
            pages);
  }

  /** The lens stands over the chosen hit while the drawing is worked on and no page is open. */
  private void showLens() {
    boolean free = worked && !context.pages().open().get();
    boolean here = beads.isFocused() || lens.isFocused();
    Optional<GrooveScene> scene = free && here ? choice.find() : Optional.empty();
    lens.setVisible(scene.flatMap(GrooveScene::hit).isPresent());
    if (lens.isVisible()) {
      Point2D bead = drawn.sceneToLocal(beads.localToScene(beads.chosenPlace()));
      lens.show(scene.orElseThrow(), bead, drawn.getWidth());
    }
  }

  private void look(String word) {
    look = word;
    beads.look(LOOKS.get(word));
  }

  private void zoom(boolean closer) {
    List<String> words = looks(barsNow());
    int to = Math.max(0, words.indexOf(look)) + (closer ? 1 : -1);
    if (to >= 0 && to < words.size()) {
      look(words.get(to));
      refresh();
    }
  }

  private void refresh() {
    context.open().view().ifPresent(this::show);
  }

  private Optional<Reading.Problem<?>> takeLane(String text) {
    GrooveScene scene = choice.scene();
    if (scene.borrows(scene.chosen())) {
      return Optional.of(
          new Reading.Problem<>(
              1, "it plays the rhythm of another part; give it its own on its lane page first"));
    }
    int bar = scene.meter().ticksPerBar() / scene.chosen().grid().ticks();
    Reading<StepLane> reading = LaneText.read(text, bar);
    if (reading instanceof Reading.Problem<StepLane> problem) {
      return Optional.of(problem);
    }
    choice.apply(choice.edits().typed(choice.id(), reading.orElseThrow()));
    choice.hear();
    return Optional.empty();
  }

  private int barsNow() {
    return choice.scene().groove().bars();
  }

  private void takeBars(int wanted) {
    choice.apply(choice.edits().groove().bars(wanted));
  }

  private void addLane(NewLane lane) {
    Edit add = choice.edits().addLane(lane.id());
    choice.apply(
        lane.instrument().isEmpty()
            ? add
            : Edit.together(
                "Add " + lane,
                List.of(
                    add,
                    choice
                        .edits()
                        .sound("", lane.id(), s -> s.withInstrument(lane.instrument())))));
    choice.choose(choice.scene().groove().lanes().size() - 1, 0);
  }

  private void copy() {
    groovePage.copy();
  }

  private void newTake() {
    groovePage.newTake();
  }
}
