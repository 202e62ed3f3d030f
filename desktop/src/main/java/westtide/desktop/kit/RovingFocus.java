package westtide.desktop.kit;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Makes a group of buttons one Tab stop: the arrows, Home and End move the focus among them and
 * press nothing; Space and Enter press the one that has it.
 */
public final class RovingFocus {
  private final Supplier<? extends List<? extends Node>> members;

  private RovingFocus(Supplier<? extends List<? extends Node>> members) {
    this.members = members;
  }

  /** Lets the focus rove over the members of a group. */
  public static RovingFocus over(Node group, Supplier<? extends List<? extends Node>> members) {
    RovingFocus roving = new RovingFocus(members);
    group.addEventFilter(KeyEvent.KEY_PRESSED, roving::key);
    return roving;
  }

  /** Makes a member, by its place, the one that Tab reaches. */
  public void enterAt(int index) {
    List<? extends Node> all = members.get();
    for (int i = 0; i < all.size(); i++) {
      all.get(i).setFocusTraversable(i == index);
    }
  }

  private void key(KeyEvent event) {
    int at = focused();
    if (at < 0 || event.isAltDown() || event.isShortcutDown()) {
      return;
    }
    int last = members.get().size() - 1;
    int to = to(event.getCode(), at, last);
    if (to >= 0) {
      enterAt(to);
      members.get().get(to).requestFocus();
      event.consume();
    }
  }

  private static int to(KeyCode code, int at, int last) {
    return switch (code) {
      case LEFT, UP -> Math.max(0, at - 1);
      case RIGHT, DOWN -> Math.min(last, at + 1);
      case HOME -> 0;
      case END -> last;
      default -> -1;
    };
  }

  private int focused() {
    List<? extends Node> all = members.get();
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).isFocused()) {
        return i;
      }
    }
    return -1;
  }
}
