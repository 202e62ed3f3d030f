package westtide.desktop.kit.sheet;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Rectangle;
import westtide.desktop.kit.ActionMenu;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Marks;
import westtide.desktop.kit.Pull;

/**
 * The gestures every sheet of marks answers. A click chooses a mark, or sets the cursor on an empty
 * place; with Shift it chooses more. A drag moves or sets what it begins on, or writes on an empty
 * place; with Ctrl it chooses all inside a frame, from anywhere. A double click on an empty place
 * writes. The other button opens a menu of what can be done with what is chosen. Escape gives a
 * drag back.
 *
 * @param <M> what a mark is known by
 */
public final class SheetGestures<M> {
  /**
   * What a sheet tells of its marks and does with them.
   *
   * @param <M> what a mark is known by
   */
  public interface Sheet<M> {
    /** The mark at a point. */
    Optional<M> at(double x, double y);

    /** The chosen marks; none where nothing can be chosen. */
    default Set<M> chosen() {
      return Set.of();
    }

    /** Chooses marks, and nothing else. */
    default void choose(Set<M> marks) {}

    /** A button is pressed at a point, on a mark or beside all. */
    default void pressed(double x, double y) {}

    /** Sets the cursor to a point, where there is one. */
    default void cursor(double x, double y) {}

    /** The marks inside a frame. */
    default Set<M> within(Bounds frame) {
      return Set.of();
    }

    /**
     * What a drag does that begins on a mark; {@code alt} asks for the other thing, as velocity.
     */
    Optional<Pull> grab(M mark, double x, double y, boolean alt);

    /** What a drag does that begins on an empty place. */
    default Optional<Pull> draw(double x, double y) {
      return Optional.empty();
    }

    /** A double click on an empty place. */
    default void write(double x, double y) {}

    /** A double click on a mark. */
    default void open(M mark) {}

    /** What a press would do, as a cursor. */
    default Cursor hover(double x, double y) {
      return at(x, y).isPresent() ? Cursor.HAND : Cursor.DEFAULT;
    }

    /** Shows less time larger, or more of it smaller: the wheel with Ctrl. */
    default void zoom(boolean closer) {}

    /** What the keys and the menu do. */
    KeyTable keys();
  }

  private static final double STARTS = 4;

  private final Drawing drawing;
  private final Sheet<M> sheet;
  private final Label bubble = Controls.label("", "value-bubble");
  private final Rectangle frame = new Rectangle();
  private Optional<M> pressed = Optional.empty();
  private Optional<Pull> pull = Optional.empty();
  private boolean down;
  private boolean dragging;
  private boolean framing;
  private boolean narrow;
  private double fromX;
  private double fromY;
  private boolean alt;

  private SheetGestures(Drawing drawing, Sheet<M> sheet) {
    this.drawing = drawing;
    this.sheet = sheet;
    bubble.setManaged(false);
    bubble.setMouseTransparent(true);
    bubble.setId(drawing.getId() + "-value");
    bubble.setViewOrder(-2.0 * Marks.MOST);
    frame.getStyleClass().add("choosing-frame");
    frame.setManaged(false);
    frame.setMouseTransparent(true);
    frame.setViewOrder(-2.0 * Marks.MOST);
  }

  /** Lets a sheet answer mouse and keys on its drawing. */
  public static <M> SheetGestures<M> on(Drawing drawing, Sheet<M> sheet) {
    SheetGestures<M> gestures = new SheetGestures<>(drawing, sheet);
    drawing.setOnMousePressed(gestures::press);
    drawing.setOnMouseDragged(gestures::drag);
    drawing.setOnMouseReleased(gestures::release);
    drawing.setOnMouseMoved(event -> drawing.setCursor(sheet.hover(event.getX(), event.getY())));
    drawing.setOnKeyPressed(gestures::key);
    drawing.addEventFilter(ScrollEvent.SCROLL, gestures::zoom);
    return gestures;
  }

  /** Whether a drag is going on. */
  public boolean dragging() {
    return dragging;
  }

  private void zoom(ScrollEvent event) {
    if (event.isShortcutDown() && event.getDeltaY() != 0) {
      sheet.zoom(event.getDeltaY() > 0);
      event.consume();
    }
  }

  private void press(MouseEvent event) {
    drawing.requestFocus();
    down = event.getButton() == MouseButton.PRIMARY;
    dragging = false;
    framing = false;
    narrow = false;
    pull = Optional.empty();
    fromX = event.getX();
    fromY = event.getY();
    alt = event.isAltDown();
    sheet.pressed(fromX, fromY);
    pressed = sheet.at(fromX, fromY);
    if (event.getButton() == MouseButton.SECONDARY) {
      chooseForMenu();
      ActionMenu.open(drawing, fromX, fromY, sheet.keys());
      return;
    }
    if (event.getClickCount() == 2) {
      pressed.ifPresentOrElse(sheet::open, () -> sheet.write(fromX, fromY));
      return;
    }
    framing = event.isShortcutDown();
    if (pressed.isPresent()) {
      choose(pressed.get(), event.isShiftDown());
    } else if (!framing) {
      sheet.cursor(fromX, fromY);
    }
  }

  private void chooseForMenu() {
    if (pressed.isEmpty()) {
      sheet.cursor(fromX, fromY);
    } else if (!sheet.chosen().contains(pressed.get())) {
      sheet.choose(Set.of(pressed.get()));
    }
  }

  /** One of several chosen marks stays among them until it is known whether they are dragged. */
  private void choose(M mark, boolean more) {
    Set<M> chosen = sheet.chosen();
    if (more) {
      Set<M> next = new HashSet<>(chosen);
      if (!next.remove(mark)) {
        next.add(mark);
      }
      sheet.choose(next);
    } else if (chosen.contains(mark)) {
      narrow = chosen.size() > 1;
      if (!narrow) {
        sheet.choose(Set.of(mark));
      }
    } else {
      sheet.choose(Set.of(mark));
    }
  }

  private void drag(MouseEvent event) {
    if (!down) {
      return;
    }
    double x = event.getX();
    double y = event.getY();
    if (!dragging && Math.hypot(x - fromX, y - fromY) >= STARTS) {
      dragging = true;
      narrow = false;
      pull = framing ? Optional.empty() : begin();
    }
    if (!dragging) {
      return;
    }
    if (framing) {
      frameTo(x, y);
    } else {
      pull.ifPresent(p -> say(p.to(x, y), x, y));
    }
  }

  private Optional<Pull> begin() {
    return pressed.isPresent()
        ? sheet.grab(pressed.get(), fromX, fromY, alt)
        : sheet.draw(fromX, fromY);
  }

  /** The place where the button is let go counts, however quick the stroke was. */
  private void release(MouseEvent event) {
    drag(event);
    if (dragging) {
      pull.ifPresent(Pull::end);
    } else if (narrow) {
      pressed.ifPresent(mark -> sheet.choose(Set.of(mark)));
    }
    finish();
  }

  private void finish() {
    down = false;
    dragging = false;
    framing = false;
    narrow = false;
    pull = Optional.empty();
    drawing.getChildren().removeAll(bubble, frame);
  }

  private void key(KeyEvent event) {
    if (down && event.getCode() == KeyCode.ESCAPE) {
      pull.ifPresent(Pull::giveBack);
      finish();
      event.consume();
      return;
    }
    sheet.keys().handle(event);
  }

  private void frameTo(double x, double y) {
    Bounds area =
        new BoundingBox(
            Math.min(fromX, x), Math.min(fromY, y), Math.abs(x - fromX), Math.abs(y - fromY));
    frame.setX(area.getMinX());
    frame.setY(area.getMinY());
    frame.setWidth(area.getWidth());
    frame.setHeight(area.getHeight());
    if (frame.getParent() == null) {
      drawing.getChildren().add(frame);
    }
    sheet.choose(sheet.within(area));
  }

  private void say(String words, double x, double y) {
    if (words.isEmpty()) {
      drawing.getChildren().remove(bubble);
      return;
    }
    bubble.setText(words);
    if (bubble.getParent() == null) {
      drawing.getChildren().add(bubble);
    }
    bubble.applyCss();
    double width = bubble.prefWidth(-1);
    double height = bubble.prefHeight(-1);
    double left = Math.max(2, Math.min(drawing.getWidth() - width - 2, x + 14));
    double top = y - height - 12 < 2 ? y + 16 : y - height - 12;
    bubble.resizeRelocate(left, top, width, height);
  }
}
