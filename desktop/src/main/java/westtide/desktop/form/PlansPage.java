package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.form.FormChanges;
import westtide.compose.form.FormPlans;
import westtide.compose.form.LoopBuild;
import westtide.compose.form.OwnFormDraft;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.Clock;
import westtide.song.OwnForm;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;

/**
 * Forms the song could have: a plan of the style or of one's own, or built from the loop; each
 * shown beside the present one before it is used.
 */
final class PlansPage implements Page<FormScene> {
  private static final String LOOP = "Build from the loop";
  private static final int SAID = 7;

  private final RoomContext context;
  private final OwnForms own;
  private final Chips<String> plans =
      new Chips<String>("plan-", name -> name, this::look).wrapping().telling();
  private final Label now = Controls.wrapped("", "small");
  private final Label then = Controls.wrapped("", "small");
  private final Label changes = Controls.wrapped("", "small");
  private final VBox box = new VBox(8);
  private final Node lay = Controls.primary("plan-lay", "use this plan", this::lay);
  private final Node drop = Controls.action("plan-drop", "delete this plan", this::dropOwn);
  private FormScene scene;
  private Optional<String> looked = Optional.empty();

  PlansPage(RoomContext context, OwnForms own) {
    this.context = context;
    this.own = own;
    now.setId("plan-now");
    then.setId("plan-then");
    changes.setId("plan-changes");
    plans.getStyleClass().add("small-chips");
    HBox both =
        Controls.row(
            18,
            Controls.column(3, Controls.label("now", "caption"), now),
            Controls.column(3, Controls.label("then", "caption"), then));
    both.getChildren().forEach(side -> HBox.setHgrow(side, Priority.ALWAYS));
    both.getChildren().forEach(side -> ((VBox) side).setPrefWidth(400));
    box.getChildren()
        .addAll(
            plans,
            Controls.flow(
                lay,
                Controls.explained(
                    Controls.action("plan-save", "save this song's form as a plan", this::save),
                    "Sections, levels and transitions, to be used for other songs"),
                drop),
            both,
            changes);
  }

  @Override
  public String title() {
    return "plans";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(FormScene shown) {
    scene = shown;
    List<String> names = new ArrayList<>();
    plansOf().all().forEach(plan -> names.add(plan.name()));
    names.add(LOOP);
    own.names().forEach(names::add);
    looked = looked.filter(names::contains);
    plans.show(names, looked.orElse(null));
    Form form = scene.song().form();
    now.setText(form + " · " + Clock.of(scene.song().millis()));
    boolean some = looked.isPresent();
    lay.setDisable(!some);
    drop.setVisible(looked.filter(own.names()::contains).isPresent());
    if (!some) {
      then.setText("Choose a plan: it is shown here before anything is replaced.");
      changes.setText("");
      return;
    }
    Form next = laid(looked.get());
    then.setText(next + " · " + Clock.of(scene.song().withForm(next).millis()));
    List<String> said =
        looked.get().equals(LOOP)
            ? loop().entrances()
            : FormChanges.between(scene.song(), form, next);
    changes.setText(
        said.isEmpty()
            ? "It changes nothing."
            : String.join(" · ", said.subList(0, Math.min(SAID, said.size())))
                + (said.size() > SAID ? " · and " + (said.size() - SAID) + " more" : ""));
  }

  private FormPlans plansOf() {
    return new FormPlans(scene.view().style(), scene.song());
  }

  private LoopBuild loop() {
    return LoopBuild.of(scene.view().style(), scene.song());
  }

  private Form laid(String name) {
    if (name.equals(LOOP)) {
      return loop().form();
    }
    Optional<OwnForm> mine = own.find(name);
    if (mine.isPresent()) {
      return new OwnFormDraft(mine.get(), scene.view().style(), scene.song()).form();
    }
    FormPlans all = plansOf();
    return all.form(
        all.all().stream().filter(plan -> plan.name().equals(name)).findFirst().orElseThrow());
  }

  /** Shows a plan beside the present form; nothing is changed yet. */
  void look(String name) {
    looked = Optional.of(name);
    show(scene);
  }

  /** Shows what building from the loop would come to. */
  void lookAtLoop() {
    look(LOOP);
  }

  private void lay() {
    looked.ifPresent(
        name -> {
          context.apply(FormEdits.replace("Use the plan " + name, laid(name)));
          context
              .messages()
              .done("The song has the form " + name + "; undo brings the old one back.");
        });
  }

  private void save() {
    own.save(OwnForm.of(scene.song()));
    show(scene);
  }

  private void dropOwn() {
    looked.ifPresent(own::remove);
    looked = Optional.empty();
    show(scene);
  }
}
