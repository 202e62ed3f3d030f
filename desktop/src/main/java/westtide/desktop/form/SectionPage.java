package westtide.desktop.form;

import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import westtide.compose.form.FormDraft;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.room.DraftsPanel;
import westtide.desktop.room.RoomContext;
import westtide.song.Part;
import westtide.song.chord.Progression;
import westtide.song.edit.Edit;
import westtide.song.edit.LinkedSections;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.form.ChordOption;
import westtide.song.form.FormLine;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/** What can be done with whole sections: their name, length, repeats, links and arrangement. */
final class SectionPage implements Page<FormScene> {
  private static final int EIGHT = 8;

  private final RoomContext context;
  private final Chooser<SectionWord> word =
      new Chooser<>(
          "section-word",
          "what the section is called",
          List.of(SectionWord.values()),
          wanted -> context().apply(FormEdits.rename(scene().id(), wanted)));
  private final Chooser<String> progression =
      new Chooser<>(
          "section-progression",
          "the chords of the section",
          List.of(),
          wanted -> context().apply(FormEdits.progression(scene().id(), wanted)));
  private final NumberField length =
      new NumberField("section-length", "length", this::length, this::resize).inline().wide();
  private final TextField name = Controls.field("section-name", "name of its own");
  private final Chips<SectionEdits.Scope> scopes =
      new Chips<>("scope-", SectionEdits.Scope::toString, this::scope);
  private final Chooser<String> model =
      new Chooser<>("section-model", "the other section", List.of(), n -> {});
  private final Button chords = Controls.action("section-chords", "", this::turnChords);
  private final NumberField bars =
      NumberField.held(
              "section-sub-bars", "bars", 1, Section.MOST_BARS, this::barsNow, this::barsNow)
          .inline();
  private final Label answer = Controls.wrapped("", "small");
  private final VBox box = new VBox(8);
  private SectionEdits.Scope scope = SectionEdits.Scope.THIS;
  private int barsNow = EIGHT;
  private FormScene scene;

  SectionPage(RoomContext context) {
    this.context = context;
    answer.setId("section-answer");
    scopes.getStyleClass().add("small-chips");
    name.setPrefColumnCount(12);
    name.setOnAction(event -> rename());
    scopes.show(List.of(SectionEdits.Scope.values()), scope);
    bars.show(String.valueOf(barsNow));
    box.getChildren()
        .addAll(
            Controls.flow(
                word,
                progression,
                name,
                Controls.explained(
                    Controls.action("section-rename", "call it that", this::rename),
                    "A name of your own; what kind of section it is stays. Empty: its word"),
                length.telling("Bars such as 16; a tag or a gap also in beats, such as 6 beats"),
                Controls.action("section-shorter", "− 4 bars", () -> resize(-4)),
                Controls.action("section-longer", "+ 4 bars", () -> resize(4)),
                Controls.explained(
                    Controls.action("section-earlier", "◂", () -> move(-1)), "The section earlier"),
                Controls.explained(
                    Controls.action("section-later", "▸", () -> move(1)), "The section later"),
                Controls.action("section-before", "add before", () -> add(0)),
                Controls.action("section-add", "add after", () -> add(1)),
                Controls.action("section-remove", "delete section", this::remove),
                Controls.explained(
                    Controls.action(
                        "section-takes",
                        "three takes",
                        () -> DraftsPanel.open(context, DraftsPanel.Of.SECTION)),
                    "Other players and patterns for this section, heard in turn"),
                does(
                    "section-repeat",
                    "repeat it",
                    "Once more after itself, as arranged",
                    () -> edits(SectionEdits.Scope.THIS).repeat()),
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
            Controls.flow(
                scopes,
                does("section-halve", "halve", "Half the bars", () -> edits().halve()),
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
                    "section-half-time",
                    "half-time drums",
                    "Kick and backbeat twice as far apart",
                    () -> edits().halfTime()),
                does(
                    "section-octave",
                    "octave down",
                    "Lines and chords an octave lower",
                    () -> edits().octaveDown()),
                does(
                    "section-hold",
                    "hold the last two bars",
                    "Each chord there is held from its change on",
                    () -> edits().heldEnd(2)),
                Controls.explained(
                    chords,
                    "A row of chords longer than its section is heard whole where the next section"
                        + " of the same row goes on with it"),
                does(
                    "section-no-sub",
                    "leave the 808 out of the first",
                    "The 808 comes in after them, as it was",
                    () -> edits().withoutSub(barsNow)),
                bars),
            Controls.flow(
                model,
                Controls.explained(
                    Controls.action("section-like", "arrange like", this::like),
                    "Who plays what as there: from the start, and near the end from the end"),
                Controls.explained(
                    Controls.action("section-link", "link", this::link),
                    "The same as that section from now on: a change in one changes both"),
                Controls.explained(
                    Controls.action("section-different", "make this one different", this::differ),
                    "Edits of this section stay with it; the rest follows the linked ones"),
                Controls.action("section-unlink", "unlink", this::unlink),
                Controls.explained(
                    Controls.action("section-same-again", "part as linked", this::sameAgain),
                    "The selected part does what it does in the linked sections again"),
                answer));
  }

  private int barsNow() {
    return barsNow;
  }

  private void barsNow(int wanted) {
    barsNow = wanted;
    bars.show(String.valueOf(wanted));
  }

  private RoomContext context() {
    return context;
  }

  private FormScene scene() {
    return scene;
  }

  @Override
  public String title() {
    return "section";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(FormScene shown) {
    scene = shown;
    word.display(scene.section().word());
    progression.display(
        scene.song().progressions().stream().map(Progression::name).toList(),
        scene.section().progression());
    if (!name.isFocused()) {
      name.setText(scene.section().name().orElse(""));
    }
    String own = scene.section().length().words(scene.song().brief().meter());
    length.show(own.replaceFirst(" bars?$", ""));
    List<String> others = others();
    if (!others.isEmpty()) {
      model.display(others, others.contains(model.value()) ? model.value() : others.get(0));
    }
    answer.setText(linked());
    chords.setText(
        scene.section().has(ChordOption.GOES_ON)
            ? "begin the chords anew"
            : "go on with the chords");
  }

  /** How the section stands to those it is linked to. */
  private String linked() {
    List<Section> others = LinkedSections.others(scene.song().form(), scene.section());
    if (others.isEmpty()) {
      return "";
    }
    List<PartId> own = LinkedSections.differences(scene.song(), scene.section());
    String differs =
        own.isEmpty()
            ? "all parts the same"
            : "different: "
                + String.join(
                    ", ",
                    own.stream()
                        .flatMap(id -> scene.song().part(id).stream())
                        .map(Part::name)
                        .toList());
    boolean apart = scene.section().link().orElseThrow().different();
    return "Linked to "
        + others.size()
        + (others.size() == 1 ? " section; " : " sections; ")
        + differs
        + (apart ? "; edits stay here." : "; edits reach all of them.");
  }

  private List<String> others() {
    return IntStream.range(0, scene.song().form().sections().size())
        .filter(i -> i != scene.place())
        .mapToObj(scene.song().form()::label)
        .toList();
  }

  /** Makes the edit when it is asked for. */
  private interface Making {
    Edit edit();
  }

  private Button does(String id, String words, String help, Making making) {
    return Controls.explained(Controls.action(id, words, () -> done(making.edit())), help);
  }

  private SectionEdits edits() {
    return edits(scope);
  }

  private SectionEdits edits(SectionEdits.Scope of) {
    return new SectionEdits(scene.id(), of);
  }

  private void scope(SectionEdits.Scope chosen) {
    scope = chosen;
  }

  private void rename() {
    try {
      Edit edit = edits().name(name.getText());
      edit.apply(context.open().song());
      done(edit);
    } catch (IllegalArgumentException e) {
      answer.setText(e.getMessage());
    }
  }

  /** The section that is named beside the buttons. */
  private SectionId other() {
    return scene.song().form().labelled(model.value()).map(Section::id).orElse(scene.id());
  }

  private void like() {
    done(edits().arrangedLike(other()));
  }

  private void turnChords() {
    boolean on = !scene.section().has(ChordOption.GOES_ON);
    done(edits(SectionEdits.Scope.THIS).chordsGoOn(on));
  }

  private void link() {
    done(edits().linkTo(other()));
  }

  private void unlink() {
    done(edits().unlink());
  }

  private void differ() {
    boolean apart = scene.section().link().map(link -> link.different()).orElse(false);
    done(edits().different(!apart));
  }

  private void sameAgain() {
    done(edits().sameAgain(scene.part().id()));
  }

  /** Makes the selected section longer (or shorter) by bars. */
  void resize(int by) {
    done(FormEdits.resize(scene.id(), scene.section().bars() + by));
  }

  private void length(String text) {
    done(FormEdits.length(scene.id(), FormLine.length(text, scene.song().brief().meter())));
  }

  /** Moves the selected section later (or earlier) by places. */
  void move(int by) {
    int to = scene.place() + by;
    if (to >= 0 && to < scene.song().form().sections().size()) {
      context.apply(FormEdits.move(scene.id(), to));
      context.open().select(to);
    }
  }

  /** Adds what usually follows, before (0) or after (1) the section. */
  void add(int after) {
    SectionWord now = scene.section().word();
    SectionWord next =
        now.kind() == westtide.song.form.SectionKind.HOOK ? SectionWord.VERSE : SectionWord.HOOK;
    FormDraft draft = FormDraft.in(scene.view().style(), scene.song());
    int at = scene.place() + after;
    context.apply(FormEdits.add(at, draft.section(next, EIGHT)));
    context.open().select(at);
  }

  /** Removes the selected section. */
  void remove() {
    done(FormEdits.remove(scene.id()));
  }

  /** An edit that changes nothing is said to be one; what it moved is told. */
  private void done(Edit edit) {
    if (edit.apply(context.open().song()).equals(context.open().song())) {
      answer.setText("That changes nothing here.");
      return;
    }
    Section before = scene.section();
    context.apply(edit);
    MovedChanges.told(before, context.open().song(), scene.id())
        .ifPresent(context.messages()::done);
  }
}
