package westtide.desktop;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Drawing;

/**
 * The areas of the window one goes round by a key: the drawing of the room, what lies below it, the
 * soundings, the ribbon, the stages.
 */
final class WindowAreas {
  private final Supplier<Node> room;
  private final List<Parent> frame;

  /** Areas of the room in front, then those of the frame in their order. */
  WindowAreas(Supplier<Node> room, List<Parent> frame) {
    this.room = room;
    this.frame = List.copyOf(frame);
  }

  /** Moves the focus from the area that has it to the next one. */
  void next(Node focus) {
    List<Node> stops = stops();
    for (int i = 0; i < stops.size(); i++) {
      if (Controls.holds(area(stops.get(i)), focus)) {
        stops.get((i + 1) % stops.size()).requestFocus();
        return;
      }
    }
    stops.get(0).requestFocus();
  }

  /** Moves the focus into the drawing of the room, or into what it has in the place of one. */
  void enterDrawing() {
    Node sheet = room.get();
    sheet.applyCss();
    first(sheet, true).or(() -> first(sheet, false)).ifPresent(Node::requestFocus);
  }

  /** Where the focus goes in each area that takes it. */
  private List<Node> stops() {
    Stream<Optional<Node>> front = Stream.of(first(room.get(), true), first(room.get(), false));
    Stream<Optional<Node>> around =
        frame.stream().map(area -> first(area, false).or(() -> first(area, true)));
    return Stream.concat(front, around).flatMap(Optional::stream).distinct().toList();
  }

  /** The part of the window a stop stands for. */
  private Node area(Node stop) {
    return frame.stream()
        .filter(part -> Controls.holds(part, stop))
        .map(Node.class::cast)
        .findFirst()
        .orElse(stop instanceof Drawing ? stop : room.get());
  }

  /** The first node that takes the focus: a drawing, or anything else. */
  private static Optional<Node> first(Node in, boolean drawing) {
    if (!in.isVisible() || in.isDisabled()) {
      return Optional.empty();
    }
    if (in.isFocusTraversable() && in instanceof Drawing == drawing) {
      return Optional.of(in);
    }
    return in instanceof Parent parent
        ? parent.getChildrenUnmodifiable().stream()
            .map(child -> first(child, drawing))
            .flatMap(Optional::stream)
            .findFirst()
        : Optional.empty();
  }
}
