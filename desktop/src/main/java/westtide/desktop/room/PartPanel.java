package westtide.desktop.room;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.PartNames;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Transposition;
import westtide.theory.voicing.ChordMember;

/**
 * One part in front of the window: its name, job and instrument, where it sounds, how it doubles
 * another, its place among the parts, and copies of it. Every change is heard and undone like any
 * other.
 */
public final class PartPanel extends VBox {
  private static final List<Role> PITCHED =
      Arrays.stream(Role.values()).filter(Role::pitched).toList();

  private final RoomContext context;
  private final PartId id;
  private final TextField name = Controls.field("part-name", "name of the part");
  private final Label plays = Controls.wrapped("", "small");
  private final Chips<Role> roles =
      new Chips<>("part-role-", Role::toString, role -> apply(edits().role(role)));
  private final Chooser<String> instrument =
      new Chooser<>("part-instrument", "instrument of the part", List.of(), this::chooseSound);
  private final NumberField semitones =
      NumberField.held(
              "part-semitones",
              "semitones",
              -Transposition.FARTHEST,
              Transposition.FARTHEST,
              () -> part().transposition().semitones(),
              by -> apply(edits().transpose(by)))
          .inline();
  private final NumberField cents =
      NumberField.held(
              "part-cents",
              "tuning, cents",
              -100,
              100,
              () -> part().transposition().cents(),
              by -> apply(edits().tune(by)))
          .inline();
  private final VBox pitched = new VBox(10);
  private final VBox doubling = new VBox(8);
  private final NumberField octaves =
      NumberField.held(
              "double-octaves",
              "octaves",
              -3,
              3,
              () -> rule().map(FollowRule.Doubling::octaves).orElse(0),
              by -> apply(edits().doubling(r -> r.withOctaves(by))))
          .inline();
  private final NumberField velocity =
      NumberField.held(
              "double-velocity",
              "velocity",
              -100,
              100,
              () -> rule().map(FollowRule.Doubling::velocity).orElse(0),
              by -> apply(edits().doubling(r -> r.withVelocity(by))))
          .inline();
  private final List<CheckBox> without = new ArrayList<>();
  private final Button remove;

  /** A panel for a part. */
  public PartPanel(RoomContext context, PartId id) {
    super(12);
    this.context = context;
    this.id = id;
    getStyleClass().add("card");
    setPrefWidth(620);
    name.setOnAction(event -> rename());
    name.focusedProperty().addListener((o, was, is) -> leave(is));
    this.remove =
        Controls.explained(
            Controls.action("part-delete", "delete the part", this::remove),
            "Deletes it with everything that points to it; undo brings it back");
    buildPitched();
    getChildren()
        .addAll(
            Controls.title("Part"),
            Controls.row(10, Controls.label("name", "small"), name, instrument),
            plays,
            pitched,
            Controls.row(
                6,
                Controls.label("order", "small"),
                Controls.action("part-up", "▲ earlier", () -> move(-1)),
                Controls.action("part-down", "▼ later", () -> move(1)),
                Controls.spring(),
                Controls.explained(
                    Controls.action("part-takes", "three takes", this::takes),
                    "Other music for this part in the style, heard in turn before one is taken"),
                Controls.explained(
                    Controls.action("part-duplicate", "duplicate", this::duplicate),
                    "A copy that goes its own way"),
                Controls.explained(
                    Controls.action("part-other-take", "another take", this::otherTake),
                    "The same once more, played a little otherwise: one take on each side"),
                remove),
            Controls.row(10, Controls.primary("part-done", "done", context.panels()::close)));
    show();
  }

  private void takes() {
    context.open().select(part());
    DraftsPanel.open(context, DraftsPanel.Of.PART);
  }

  private void buildPitched() {
    FlowPane members = Controls.flow(Controls.label("leaves out", "small"));
    for (ChordMember member : ChordMember.values()) {
      CheckBox box = new CheckBox(member.toString().replaceFirst("^the |^what is ", ""));
      box.setId("double-without-" + member.name().toLowerCase());
      box.setOnAction(event -> takeWithout());
      without.add(box);
      members.getChildren().add(box);
    }
    doubling
        .getChildren()
        .addAll(
            Controls.row(
                12,
                octaves,
                velocity,
                Controls.explained(
                    Controls.action("double-alone", "stop doubling", this::standAlone),
                    "It keeps what it plays now and no longer follows its model")),
            members);
    pitched
        .getChildren()
        .addAll(
            Controls.row(6, Controls.label("job", "small"), roles),
            Controls.row(
                12,
                Controls.explained(
                    Controls.label("sounds", "small"),
                    "Semitones and cents away"
                        + " from where it is written, −36 to 36 and −100 to 100"),
                semitones,
                cents,
                Controls.spring(),
                Controls.explained(
                    Controls.action("part-double", "double it an octave up", this::doubled),
                    "Another part that plays exactly the same and stays in step")),
            doubling);
  }

  /** Shows it in front of the window. */
  public void open() {
    context.panels().open(this);
    name.requestFocus();
    name.selectAll();
  }

  private void show() {
    Song song = context.open().song();
    Part part = part();
    boolean drums = !part.pitched();
    name.setText(part.name());
    plays.setText(
        part.role()
            + " · "
            + part.patterns().size()
            + (part.patterns().size() == 1 ? " pattern · " : " patterns · ")
            + PatternDescription.main(part, song));
    instrument.display(Instruments.names(part.role()), part.patch().instrument());
    pitched.setVisible(!drums);
    pitched.setManaged(!drums);
    roles.show(PITCHED, part.role());
    for (NumberField tuning : List.of(semitones, cents)) {
      tuning.setVisible(part.role() != Role.MARKS);
      tuning.setManaged(tuning.isVisible());
    }
    semitones.show(String.valueOf(part.transposition().semitones()));
    cents.show(String.valueOf(part.transposition().cents()));
    Optional<FollowRule.Doubling> rule = rule();
    doubling.setVisible(rule.isPresent());
    doubling.setManaged(rule.isPresent());
    rule.ifPresent(this::showDoubling);
    remove.setDisable(song.parts().size() == 1);
  }

  private void showDoubling(FollowRule.Doubling rule) {
    octaves.show(String.valueOf(rule.octaves()));
    velocity.show(String.valueOf(rule.velocity()));
    for (int i = 0; i < without.size(); i++) {
      without.get(i).setSelected(rule.without().contains(ChordMember.values()[i]));
    }
  }

  private Part part() {
    return context.open().song().part(id).orElseThrow();
  }

  private Optional<FollowRule.Doubling> rule() {
    return part().rules(FollowRule.Doubling.class).stream().findFirst();
  }

  private PartEdits edits() {
    return new PartEdits(id);
  }

  private void apply(Edit edit) {
    context.apply(edit);
    show();
  }

  private void leave(boolean focused) {
    if (!focused && context.open().song().part(id).isPresent()) {
      rename();
    }
  }

  private void rename() {
    String wanted = name.getText().strip();
    if (wanted.isEmpty()) {
      name.setText(part().name());
    } else if (!wanted.equals(part().name())) {
      apply(edits().rename(wanted));
    }
  }

  private void chooseSound(String heard) {
    apply(MixEdits.instrument(id, heard, Instruments.program(heard, part().program())));
    if (part().role() != Role.DRUMS) {
      context.play().touch(part(), 60, 100);
    }
  }

  private void move(int by) {
    apply(edits().move(context.open().song().parts().indexOf(part()) + by));
  }

  private void duplicate() {
    PartId copy = PartNames.freeId(context.open().song(), part().role());
    context.apply(edits().duplicate(copy));
    turnTo(copy);
  }

  private void otherTake() {
    PartId copy = PartNames.freeId(context.open().song(), part().role());
    context.apply(edits().otherTake(copy));
    turnTo(copy);
  }

  private void doubled() {
    PartId copy = PartNames.freeId(context.open().song(), part().role());
    context.apply(edits().doubled(copy, part().name() + " 8va", 1, Set.of()));
    turnTo(copy);
  }

  private void standAlone() {
    apply(edits().standAlone());
  }

  private void takeWithout() {
    Set<ChordMember> out = EnumSet.noneOf(ChordMember.class);
    for (int i = 0; i < without.size(); i++) {
      if (without.get(i).isSelected()) {
        out.add(ChordMember.values()[i]);
      }
    }
    apply(edits().doubling(r -> r.withWithout(out)));
  }

  private void turnTo(PartId other) {
    context.open().song().part(other).ifPresent(context.open()::select);
    context.panels().close();
    new PartPanel(context, other).open();
  }

  private void remove() {
    context.panels().close();
    context.apply(edits().remove());
  }
}
