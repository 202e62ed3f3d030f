package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.FormDraft;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Confirm;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.play.Moment;
import westtide.desktop.room.Command;
import westtide.desktop.room.Desk;
import westtide.desktop.room.PartActions;
import westtide.desktop.room.Room;
import westtide.review.Stage;
import westtide.rhythm.Clock;
import westtide.song.Form;
import westtide.song.FormLine;
import westtide.song.Level;
import westtide.song.NamedPattern;
import westtide.song.Part;
import westtide.song.Section;
import westtide.song.SectionKind;
import westtide.song.SectionWord;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.edit.FormEdits;
import westtide.song.edit.SectionEdits;
import westtide.song.id.SectionId;
import westtide.style.FormHabit;
import westtide.text.Reading;

/**
 * The form: a typed line, templates of the style, the tanks, and what can be done with the selected
 * section.
 */
public final class FormRoom implements Room {
  private static final int RESIZE = 4;

  private final Desk desk;
  private final VBox sheet = new VBox();
  private final TypedLine line;
  private final Chips<FormHabit.Template> templates;
  private final TankSheet tanks;
  private final PartActions actions;
  private final Label summary = Controls.wrapped("");
  private final Label length = Controls.label("", "strong");
  private final Chooser<SectionWord> word =
      new Chooser<>(
          "section-word",
          "what the section is called",
          List.of(SectionWord.values()),
          this::rename);
  private final Chooser<String> progression =
      new Chooser<>(
          "section-progression", "the chords of the section", List.of(), this::reharmonise);
  private final Chooser<String> pattern =
      new Chooser<>("cell-pattern", "the pattern the part plays", List.of(), this::play);

  private final NumberField change =
      NumberField.whole("cell-split", "change at bar", this::split, by -> {}).inline();

  /** The room. */
  public FormRoom(Desk desk) {
    this.desk = desk;
    this.tanks = new TankSheet(new TankActions(desk, this::showCell));
    this.actions = new PartActions(desk, "form-");
    this.line = new TypedLine("form-line", "such as intro 8, hook 16, outro 8", this::take);
    this.templates = new Chips<>("template-", FormHabit.Template::name, this::lay);
    build();
  }

  @Override
  public void follow(Moment moment) {
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
    int section = desk.open().section();
    line.show(FormLine.format(song.form()));
    FormHabit.Template none = new FormHabit.Template("", "");
    FormHabit.Template now =
        view.style().form().templates().stream()
            .filter(t -> t.line().equals(song.form().toString()))
            .findFirst()
            .orElse(none);
    templates.show(view.style().form().templates(), now);
    length.setText(song.form().bars() + " bars · " + Clock.of(song.millis()));
    tanks.show(song, section, desk.open().part());
    actions.show(view);
    word.display(song.form().sections().get(section).word());
    progression.display(
        song.progressions().stream().map(Progression::name).toList(),
        song.form().sections().get(section).progression());
    showCell();
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(tanks.keys());
  }

  @Override
  public List<Command> commands() {
    return List.of(
        Command.of("add-section", "Add a section after the selected one", this::addAfter),
        Command.of(
            "section-more", "Name, repeat, halve, double or rearrange the section", this::more),
        Command.of("propose-transitions", "Propose transitions for every hook", this::announce),
        Command.of(
            "double-last-hook",
            "Double the last hook",
            () -> desk.apply(SectionEdits.doubleLastHook())),
        Command.of(
            "swap-opening",
            "Swap verse first and hook first",
            () -> desk.apply(SectionEdits.swapOpening())),
        Command.of("remove-section", "Delete the selected section", this::remove),
        Command.of("longer-section", "Make the section four bars longer", () -> resize(4)),
        Command.of("shorter-section", "Make the section four bars shorter", () -> resize(-4)),
        Command.of("move-section-later", "Move the section later", () -> move(1)),
        Command.of("move-section-earlier", "Move the section earlier", () -> move(-1)),
        Command.of("rename-part", "Rename the selected part", () -> tanks.rename(tanks.part())),
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
    sheet
        .getChildren()
        .addAll(
            Controls.row(14, Controls.title("Form"), templates, Controls.spring(), length),
            line,
            tanks,
            summary,
            actions,
            Controls.flow(
                caption("section"),
                word,
                caption("chords"),
                progression,
                Controls.action("section-shorter", "− 4 bars", () -> resize(-RESIZE)),
                Controls.action("section-longer", "+ 4 bars", () -> resize(RESIZE)),
                Controls.explained(
                    Controls.action("section-earlier", "◂", () -> move(-1)), "The section earlier"),
                Controls.explained(
                    Controls.action("section-later", "▸", () -> move(1)), "The section later"),
                Controls.explained(
                    Controls.action("section-more", "section …", this::more),
                    "Name, repeat, halve, double, strip the drums, arrange like another"),
                Controls.action("section-add", "add after", this::addAfter),
                Controls.action("section-remove", "delete section", this::remove)),
            Controls.flow(
                caption("pattern"),
                pattern,
                change,
                Controls.explained(
                    Controls.action("cell-join", "same all through", this::join),
                    "Deletes the changes of this part inside the section"),
                Controls.explained(
                    Controls.action("form-announce", "propose transitions", this::announce),
                    "Every hook announced and landed as the style usually does, in one step")));
  }

  private static Label caption(String words) {
    Label caption = Controls.label(words, "small");
    caption.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
    return caption;
  }

  private void showCell() {
    Part part = tanks.part();
    Level level = tanks.cell().level();
    Song song = desk.open().song();
    Section section = song.form().sections().get(desk.open().section());
    String from =
        tanks.cell().fromBar() == 0 ? "" : " from its bar " + (tanks.cell().fromBar() + 1);
    summary.setText(
        part.name()
            + " in the "
            + song.form().label(desk.open().section())
            + from
            + ": "
            + level
            + ". Drag its water up or down.");
    change.show(String.valueOf(half()));
    pattern.display(
        part.patterns().stream().map(NamedPattern::name).toList(),
        part.pattern(section.cell(part.id(), tanks.cell().fromBar()).pattern()).name());
  }

  private Optional<TypedLine.Trouble> take(String text) {
    Reading<List<FormLine.Item>> reading = FormLine.parse(text);
    if (reading instanceof Reading.Problem<List<FormLine.Item>> problem) {
      return Optional.of(new TypedLine.Trouble(problem.column(), problem.message()));
    }
    Form typed = draft().form(reading.orElseThrow(), desk.open().song().form());
    desk.apply(FormEdits.replace("Type the form", typed));
    return Optional.empty();
  }

  /** Asks before every section and tank is replaced. */
  private void lay(FormHabit.Template template) {
    Form now = desk.open().song().form();
    Form laid = draft().form(FormLine.parse(template.line()).orElseThrow());
    desk.open().view().ifPresent(this::show);
    Confirm.under(
        templates,
        "Lay out " + template.name() + ": " + laid + "?",
        "It replaces the "
            + now.sections().size()
            + " sections and all tanks by "
            + laid.sections().size()
            + " sections, "
            + laid.bars()
            + " bars for "
            + now.bars()
            + ". Undo brings them back.",
        "lay it out",
        () -> desk.apply(FormEdits.replace("Lay out " + template.name(), laid)));
  }

  private FormDraft draft() {
    SongView view = desk.open().view().orElseThrow();
    return FormDraft.in(view.style(), view.song());
  }

  private int section() {
    return desk.open().section();
  }

  private SectionId id() {
    return desk.open().selection().section();
  }

  private void rename(SectionWord wanted) {
    desk.apply(FormEdits.rename(id(), wanted));
  }

  private void reharmonise(String wanted) {
    desk.apply(FormEdits.progression(id(), wanted));
  }

  private void play(String pattern) {
    desk.apply(FormEdits.pattern(id(), tanks.part().id(), tanks.cell().fromBar(), pattern));
  }

  /** Makes the selected section longer (or shorter) by bars. */
  private void resize(int by) {
    Section section = desk.open().song().form().sections().get(section());
    desk.apply(FormEdits.resize(id(), section.bars() + by));
  }

  /** Moves the selected section later (or earlier) by places. */
  private void move(int by) {
    int to = section() + by;
    if (to >= 0 && to < desk.open().song().form().sections().size()) {
      desk.apply(FormEdits.move(id(), to));
      desk.open().select(to);
    }
  }

  /** Adds a section after the selected one. */
  private void addAfter() {
    SectionWord added = next(desk.open().song().form().sections().get(section()).word());
    desk.apply(FormEdits.add(section() + 1, draft().section(added, 8)));
    desk.open().select(section() + 1);
  }

  /** What usually follows; the person can call it something else. */
  private static SectionWord next(SectionWord before) {
    return before.kind() == SectionKind.HOOK ? SectionWord.VERSE : SectionWord.HOOK;
  }

  private void announce() {
    SongView view = desk.open().view().orElseThrow();
    Form announced = FormDraft.announced(view.song().form(), view.style().transitions());
    if (announced.equals(view.song().form())) {
      desk.messages().done("Every hook is already entered as " + view.style().name() + " does.");
    } else {
      desk.apply(FormEdits.replace("Propose transitions", announced));
    }
  }

  private void more() {
    new SectionPanel(desk, id()).open();
  }

  /** Removes the selected section. */
  private void remove() {
    desk.apply(FormEdits.remove(id()));
  }

  /** Lets the part do something else from a bar of the section on, counted from 1. */
  private void split(int bar) {
    Section shown = desk.open().song().form().sections().get(section());
    if (bar < 2 || bar > shown.bars()) {
      throw new IllegalArgumentException(
          shown.bars() == 1
              ? "a section of one bar has no bar to change at"
              : "a change begins at bar 2 to " + shown.bars() + ", but was " + bar);
    }
    boolean there = shown.cells(tanks.part().id()).stream().anyMatch(c -> c.fromBar() == bar - 1);
    if (there) {
      throw new IllegalArgumentException(tanks.part().name() + " already changes at bar " + bar);
    }
    desk.apply(FormEdits.split(id(), tanks.part().id(), bar - 1));
    tanks.choose(Set.of(new TankMark(section(), tanks.row(), bar - 1)));
  }

  private int half() {
    return desk.open().song().form().sections().get(section()).bars() / 2 + 1;
  }

  private void join() {
    desk.apply(FormEdits.join(id(), tanks.part().id()));
  }
}
