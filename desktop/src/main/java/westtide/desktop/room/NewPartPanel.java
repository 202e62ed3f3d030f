package westtide.desktop.room;

import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.stage.Window;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.level.EntryLevel;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.SectionId;
import westtide.song.mix.Patch;

/** Adds a part: what it is for, what it is heard with and what it is called. */
public final class NewPartPanel extends VBox {
  private final RoomContext context;
  private final Chips<Role> roles = new Chips<>("new-part-", Role::toString, this::chooseRole);
  private final Chooser<String> instrument =
      new Chooser<>("new-part-instrument", "instrument of the new part", List.of(), this::heard);
  private final TextField name = Controls.field("new-part-name", "name, such as Plucked guitar");
  private Role role;
  private String suggested = "";

  /** A panel that begins with a role. */
  public NewPartPanel(RoomContext context, Role role) {
    super(12);
    this.context = context;
    getStyleClass().add("card");
    setPrefWidth(540);
    name.setOnAction(event -> add());
    getChildren()
        .addAll(
            Controls.title("Add a part"),
            roles,
            Controls.row(10, Controls.label("instrument", "small"), instrument),
            Controls.row(10, Controls.label("name", "small"), name),
            Controls.wrapped(
                "It plays in full in the selected section; the form says where else.", "small"),
            Controls.row(
                10,
                Controls.label("or found sound", "small"),
                Controls.explained(
                    Controls.action("new-part-loop", "a loop from a file …", this::loop),
                    "A WAV, AIFF or FLAC becomes a part: its tempo, key and pieces are found"),
                Controls.explained(
                    Controls.action("new-part-crate", "a loop from the crate", this::crate),
                    "An invented loop to work with, as if from a record")),
            Controls.row(
                10,
                Controls.primary("new-part-take", "add the part", this::add),
                Controls.action("new-part-cancel", "cancel", context.panels()::close)));
    chooseRole(role);
  }

  /** Shows it in front of the window. */
  public void open() {
    context.panels().open(this);
    name.requestFocus();
    name.selectAll();
  }

  private void chooseRole(Role chosen) {
    role = chosen;
    roles.show(Stream.of(Role.values()).filter(one -> one != Role.FOUND).toList(), chosen);
    List<String> names = Instruments.names(chosen);
    instrument.display(names, names.get(0));
    heard(names.get(0));
  }

  /** An instrument is a good name until another is typed. */
  private void heard(String chosen) {
    if (name.getText().isBlank() || name.getText().equals(suggested)) {
      suggested = Character.toUpperCase(chosen.charAt(0)) + chosen.substring(1);
      name.setText(suggested);
    }
  }

  private void loop() {
    Window owner = getScene().getWindow();
    context.panels().close();
    new BringLoop(context).choose(owner);
  }

  private void crate() {
    context.panels().close();
    new BringLoop(context).crate(1 + context.open().song().seed() % 900);
  }

  private void add() {
    Song song = context.open().song();
    String heard = instrument.value();
    String called = name.getText().isBlank() ? suggested : name.getText().strip();
    Part blank =
        PartEdits.blank(song, role, called, Patch.of(heard), Instruments.program(heard, 0));
    Part part = EntryLevel.of(blank, song, context.open().view().orElseThrow().style());
    SectionId section = context.open().selection().section();
    context.panels().close();
    context.apply(PartEdits.add(part, section));
    context.open().song().part(part.id()).ifPresent(context.open()::select);
  }
}
