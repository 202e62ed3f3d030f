package westtide.desktop.room;

import java.util.List;
import java.util.Optional;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.SongView;
import westtide.song.Part;
import westtide.song.Role;

/**
 * The parts a room can show, by their names: the chosen one is in front in every room. More parts
 * are added here, and the chosen one is renamed, moved and deleted.
 */
public final class PartChips extends HBox {
  private final RoomContext context;
  private final List<Role> roles;
  private final Chips<String> chips;

  /** Chips of the parts of some roles; a new part has the first of them. */
  public PartChips(RoomContext context, String prefix, List<Role> roles) {
    super(6);
    this.context = context;
    this.roles = List.copyOf(roles);
    this.chips =
        new Chips<String>(prefix + "part-", name -> name, this::choose).wrapping().telling();
    HBox.setHgrow(chips, Priority.ALWAYS);
    setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            chips,
            Controls.explained(
                Controls.action(prefix + "part-add", "+ part", this::add),
                "Adds a part: another line, bass or chord part, on any instrument"),
            Controls.explained(
                Controls.action(prefix + "part-more", "part …", this::more),
                "Name, instrument, transposition, doubling and order of the chosen part"));
  }

  /** Shows the parts of a song. */
  public void show(SongView view) {
    List<String> names =
        view.song().parts().stream()
            .filter(part -> roles.contains(part.role()))
            .map(Part::name)
            .toList();
    chips.show(names, chosen().map(Part::name).orElse(""));
  }

  /** The part in front; empty when the song has none of these roles. */
  public Optional<Part> chosen() {
    return context.open().selection().part(context.open().song(), roles);
  }

  private void choose(String name) {
    context.open().song().parts().stream()
        .filter(part -> part.name().equals(name))
        .findFirst()
        .ifPresent(context.open()::select);
  }

  private void add() {
    new NewPartPanel(context, roles.get(0)).open();
  }

  private void more() {
    chosen().ifPresent(part -> new PartPanel(context, part.id()).open());
  }
}
