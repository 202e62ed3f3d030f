package westtide.desktop.drums;

import java.util.Optional;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import westtide.rhythm.Hit;
import westtide.rhythm.Velocity;
import westtide.song.drum.LaneId;

/**
 * The mouse on the bead sheet: a click places or takes away; a drag over empty steps paints; a drag
 * from a bead up or down sets its velocity, sideways its time and then its step; with the other
 * button, or Alt, hits are rubbed out.
 */
final class BeadHands {
  private static final double STARTS = 4;

  /** What a drag does. */
  private enum Doing {
    NOTHING,
    PAINTING,
    RUBBING,
    DECIDING,
    SHADING,
    MOVING
  }

  private final BeadSheet sheet;
  private final GrooveChoice choice;
  private Doing doing = Doing.NOTHING;
  private Hit pressed;
  private Hit carried;
  private double fromX;
  private double fromY;
  private int drags;

  BeadHands(BeadSheet sheet, GrooveChoice choice) {
    this.sheet = sheet;
    this.choice = choice;
  }

  void press(MouseEvent event) {
    sheet.requestFocus();
    doing = Doing.NOTHING;
    BeadScale scale = sheet.scale();
    int lane = scale.lane(event.getY());
    int lanes = scale.scene().groove().lanes().size();
    if (event.getX() < BeadSheet.LEFT - 14 || lane < 0 || lane >= lanes) {
      choice.choose(Math.max(0, Math.min(lanes - 1, lane)), scale.scene().column());
      return;
    }
    choice.choose(lane, scale.column(lane, event.getX()));
    fromX = event.getX();
    fromY = event.getY();
    drags++;
    begin(event.getButton() == MouseButton.SECONDARY || event.isAltDown());
  }

  private void begin(boolean rubbing) {
    Optional<Hit> hit = choice.scene().hit();
    if (rubbing) {
      doing = Doing.RUBBING;
      paint(Optional.empty());
    } else if (hit.isEmpty()) {
      doing = Doing.PAINTING;
      place();
      choice.hear();
    } else {
      doing = Doing.DECIDING;
      pressed = hit.get();
      carried = pressed;
    }
  }

  void drag(MouseEvent event) {
    double right = event.getX() - fromX;
    double up = fromY - event.getY();
    if (doing == Doing.DECIDING && Math.max(Math.abs(right), Math.abs(up)) >= STARTS) {
      doing = Math.abs(right) > Math.abs(up) ? Doing.MOVING : Doing.SHADING;
    }
    switch (doing) {
      case SHADING -> shade(up);
      case MOVING -> move(right);
      case PAINTING, RUBBING -> paintAt(event.getX());
      default -> {}
    }
  }

  void release() {
    if (doing == Doing.DECIDING) {
      choice.remove();
    }
    doing = Doing.NOTHING;
  }

  private void shade(double up) {
    int velocity = Velocity.held(Math.round(pressed.velocity() + up));
    GrooveScene scene = choice.scene();
    choice.apply(choice.edits().velocity(scene.chosen().id(), scene.step(), velocity));
    choice.hear();
  }

  /** The bead follows the mouse, from step to step; it stops beside one that stands there. */
  private void move(double right) {
    GrooveScene scene = choice.scene();
    long by = Math.round(right / sheet.scale().time().length(1));
    Hit next = scene.chosen().carried(pressed, pressed.nudge() + by, carried.step());
    if (next.equals(carried)) {
      return;
    }
    choice.apply(choice.edits().carry(scene.chosen().id(), carried.step(), next, drags));
    int columns = next.step() - carried.step();
    carried = next;
    choice.choose(scene.lane(), scene.column() + columns);
  }

  /** Every step on the way is painted or rubbed out, also when the mouse is fast. */
  private void paintAt(double x) {
    int to = sheet.scale().column(choice.scene().lane(), x);
    int way = Integer.signum(to - choice.scene().column());
    while (choice.scene().column() != to) {
      choice.choose(choice.scene().lane(), choice.scene().column() + way);
      boolean free = choice.scene().hit().isEmpty();
      if (doing == Doing.RUBBING) {
        paint(Optional.empty());
      } else if (free) {
        place();
      }
    }
  }

  private void place() {
    paint(Optional.of(Hit.of(choice.scene().step(), Velocity.HIT)));
  }

  private void paint(Optional<Hit> hit) {
    GrooveScene scene = choice.scene();
    LaneId id = scene.chosen().id();
    choice.apply(choice.edits().paint(id, scene.step(), hit, drags));
  }
}
