package westtide.desktop.room;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.TypedLine;
import westtide.rhythm.Figure;
import westtide.song.Part;
import westtide.song.edit.MixEdits;
import westtide.song.mix.Gate;
import westtide.text.Reading;

/** The rhythmic volume of the part in front: a pattern of steps and how far it closes. */
public final class GateBox extends HBox {
  private final RoomContext context;
  private final Supplier<Optional<Part>> part;
  private final TypedLine figure;
  private final NumberField depth;

  /** A box for whichever part is in front. */
  public GateBox(RoomContext context, String prefix, Supplier<Optional<Part>> part) {
    super(8);
    this.context = context;
    this.part = part;
    this.figure = new TypedLine(prefix + "gate", "x-.x-.x.", this::draw);
    this.depth =
        NumberField.held(prefix + "gate-depth", "depth, %", 0, 100, this::now, this::deepen)
            .inline()
            .telling("How far the gate closes; 0 leaves the part open");
    figure.smallerFrom(40).field().getStyleClass().add("small-typed");
    Controls.explained(
        figure.field(),
        "Rhythmic volume in sixteenths, of any length: x or - is open, . is closed, however long the"
            + " notes are");
    HBox.setHgrow(figure, Priority.ALWAYS);
    setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    getChildren().addAll(Controls.whole(Controls.label("gate", "small")), figure, depth);
  }

  private Gate gate() {
    return part.get().map(of -> of.mix().gate()).orElse(Gate.OPEN);
  }

  private int now() {
    return gate().depth();
  }

  private void set(Gate gate) {
    part.get()
        .ifPresent(of -> context.apply(MixEdits.mix(of.id(), "gate", mix -> mix.withGate(gate))));
  }

  private void deepen(int percent) {
    set(gate().withDepth(percent));
  }

  private Optional<Reading.Problem<?>> draw(String typed) {
    try {
      set(gate().withFigure(new Figure(typed)));
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of(new Reading.Problem<>(1, e.getMessage()));
    }
  }

  /** Shows the gate of the part in front. */
  public void refresh() {
    figure.show(gate().figure().text());
    depth.show(String.valueOf(gate().depth()));
  }
}
