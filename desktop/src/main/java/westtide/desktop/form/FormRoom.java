package westtide.desktop.form;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.form.FormDraft;
import westtide.compose.form.TransitionDraft;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Pages;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.Command;
import westtide.desktop.room.PartActions;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.review.finding.Stage;
import westtide.rhythm.Clock;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.LinkedSections;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.text.Reading;

/**
 * The form: a typed line, the tanks with their walls, curves and transitions, and below them pages
 * for the selected tank, what announces a bar, curves, sections, plans and teasing.
 */
public final class FormRoom implements Room {
  /** What the tanks keep however high a page would be; the page is scrolled then. */
  private static final double ROOM = 170;

  private final RoomContext context;
  private final VBox sheet = new VBox();
  private final TypedLine line;
  private final ArrangementSheet tanks;
  private final PartActions actions;
  private final AlternativeBar alternatives;
  private final Label summary = Controls.wrapped("");
  private final Label length = Controls.label("", "strong");
  private final CellPage cell;
  private final TransitionPage transitions;
  private final SectionPage section;
  private final PlansPage plans;
  private final TeasePage tease;
  private final Pages<FormScene> pages;
  private Optional<TankMark> lastSign = Optional.empty();

  /** Whether the song was just opened, so that its pages are yet to be folded or not. */

  /** The room; plans saved from one's own songs are kept in the folder {@code forms}. */
  public FormRoom(RoomContext context, Path forms) {
    this.context = context;
    this.tanks = new ArrangementSheet(new TankActions(context, this::showPages));
    context.open().watchOpening(tanks::forget);
    this.actions = new PartActions(context, "form-");
    this.alternatives = new AlternativeBar(context);
    this.line = new TypedLine("form-line", "such as intro 8, hook 16, outro 8", this::take);
    this.cell = new CellPage(context, this::chooseSplit);
    this.transitions = new TransitionPage(context);
    this.section = new SectionPage(context);
    this.plans = new PlansPage(context, new OwnForms(forms, context.messages()));
    this.tease = new TeasePage(context);
    this.pages =
        new Pages<FormScene>(
            "form-page-",
            List.<Page<FormScene>>of(
                cell, transitions, new CurvePage(context), section, plans, tease),
            context.pages(),
            this::showPages);
    context.open().watchOpening(pages::startOver);
    build();
  }

  @Override
  public void follow(PlayPosition moment) {
    if (moment.playing()) {
      tanks.playAt(moment.tick());
    } else {
      tanks.playNowhere();
    }
  }

  @Override
  public Stage stage() {
    return Stage.FORM;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String summary(SongView view) {
    return view.song().form().bars() + " bars · " + Clock.of(view.song().millis());
  }

  @Override
  public void show(SongView view) {
    Song song = view.song();
    line.show(FormLine.format(song.form(), song.brief().meter()));
    length.setText(song.form().bars() + " bars · " + Clock.of(song.millis()));
    tanks.show(song, context.open().section(), context.open().part());
    actions.show(view);
    alternatives.show(song, tanks.choice().part().id());
    showPages();
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(tanks.keys());
  }

  @Override
  public List<Command> commands() {
    return List.of(
        Command.of("add-section", "Add a section after the selected one", () -> onSection().add(1)),
        Command.of(
            "section-more",
            "Name, repeat, halve, double, link or rearrange the section",
            this::onSection),
        Command.of("propose-transitions", "Propose transitions for every section", this::announce),
        Command.of("form-plans", "Plans: use another form", () -> pages.turnTo(plans)),
        Command.of("build-from-loop", "Build the song from the loop", this::buildFromLoop),
        Command.of("tease-line", "Tease the selected line", () -> pages.turnTo(tease)),
        Command.of("main-part", "Mark the selected part as the main one", this::main),
        Command.of(
            "double-last-hook",
            "Double the last hook",
            () -> context.apply(SectionEdits.doubleLastHook())),
        Command.of(
            "swap-opening",
            "Swap verse first and hook first",
            () -> context.apply(SectionEdits.swapOpening())),
        Command.of("remove-section", "Delete the selected section", () -> onSection().remove()),
        Command.of(
            "longer-section", "Make the section four bars longer", () -> onSection().resize(4)),
        Command.of(
            "shorter-section", "Make the section four bars shorter", () -> onSection().resize(-4)),
        Command.of("move-section-later", "Move the section later", () -> onSection().move(1)),
        Command.of("move-section-earlier", "Move the section earlier", () -> onSection().move(-1)),
        Command.of(
            "rename-part", "Rename the selected part", () -> tanks.rename(tanks.choice().part())),
        Command.of("part-earlier", "Move the part earlier in the order", () -> actions.move(-1))
            .withKeys("Shortcut+Shift+UP"),
        Command.of("part-later", "Move the part later in the order", () -> actions.move(1))
            .withKeys("Shortcut+Shift+DOWN"));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(tanks, Priority.ALWAYS);
    line.field().getStyleClass().add("small-typed");
    summary.setId("tank-summary");
    tanks.setMinHeight(ROOM);
    sheet
        .getChildren()
        .addAll(
            Controls.row(
                14,
                Controls.title("Form"),
                actions,
                alternatives,
                Controls.explained(
                    Controls.action("form-loop", "build from the loop", this::buildFromLoop),
                    "A whole track stripped back from the fullest section, shown first"),
                Controls.explained(
                    Controls.primary("form-announce", "propose transitions", this::announce),
                    "Every section announced and landed as the style usually does, in one step")),
            Controls.row(12, line, Controls.whole(length)),
            tanks,
            summary,
            pages);
    HBox.setHgrow(line, Priority.ALWAYS);
    HBox.setHgrow(actions, Priority.ALWAYS);
  }

  private void showPages() {
    TankChoice choice = tanks.choice();
    if (choice.empty() || context.open().view().isEmpty()) {
      return;
    }
    FormScene scene =
        new FormScene(
            context.open().view().get(),
            choice.here().section(),
            choice.part(),
            choice.here(),
            choice.tanks(),
            choice.sign());
    if (scene.sign().isPresent() && !lastSign.equals(scene.sign())) {
      lastSign = scene.sign();
      pages.bring(transitions);
    }
    lastSign = scene.sign();
    pages.show(scene);
    showSummary(scene);
  }

  private void showSummary(FormScene scene) {
    BarField.Typed at = new BarField.Typed(scene.tank().fromBar(), scene.tank().beat());
    boolean opens = at.bar() == 0 && at.beat() == 0;
    summary.setText(
        scene.part().name()
            + " in the "
            + scene.label()
            + (opens ? "" : " from its bar " + at)
            + ": "
            + scene.cell().level()
            + ". Drag its water up or down, its wall sideways; + changes it at the cursor.");
  }

  private void chooseSplit() {
    tanks.choose(Set.of(cell.changedTo()));
  }

  private Optional<Reading.Problem<?>> take(String text) {
    Reading<List<FormLine.Item>> reading =
        FormLine.parse(text, context.open().song().brief().meter());
    if (reading instanceof Reading.Problem<List<FormLine.Item>> problem) {
      return Optional.of(problem);
    }
    Form old = context.open().song().form();
    List<FormLine.Item> items = reading.orElseThrow();
    Form typed = draft().form(items, old);
    context.apply(
        Edit.together(
            "Type the form",
            List.of(
                FormEdits.replace("", typed),
                Edit.of("", song -> LinkedSections.repeated(song, items)))));
    items.stream()
        .filter(item -> item.repeat() == FormLine.Repeat.AGAIN)
        .findFirst()
        .ifPresent(this::offerLink);
    List<String> moved =
        old.sections().stream()
            .flatMap(s -> MovedChanges.told(s, context.open().song(), s.id()).stream())
            .toList();
    if (!moved.isEmpty()) {
      context.messages().done(String.join(" ", moved));
    }
    return Optional.empty();
  }

  private void offerLink(FormLine.Item item) {
    context
        .messages()
        .done(
            "Each "
                + item.title()
                + " is free to change by itself. Write linked behind the x and its number, such as"
                + " x4 linked, to keep them the same.");
  }

  private FormDraft draft() {
    SongView view = context.open().view().orElseThrow();
    return FormDraft.in(view.style(), view.song());
  }

  private void announce() {
    SongView view = context.open().view().orElseThrow();
    Edit propose = new TransitionDraft(view.style(), view.song()).propose();
    if (propose.apply(view.song()).equals(view.song())) {
      context
          .messages()
          .done("Every section is already entered as " + view.style().name() + " does.");
    } else {
      context.apply(propose);
    }
  }

  private SectionPage onSection() {
    pages.turnTo(section);
    return section;
  }

  private void buildFromLoop() {
    pages.turnTo(plans);
    plans.lookAtLoop();
  }

  private void main() {
    context.apply(new PartEdits(tanks.choice().part().id()).main());
  }
}
