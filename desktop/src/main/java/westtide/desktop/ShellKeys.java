package westtide.desktop;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import westtide.desktop.room.Command;

/**
 * The keys of the window: the first key of a command runs it, {@code /} opens the list of commands,
 * {@code ?} the card of keys. A control that has a use of its own for a plain key keeps it, but for
 * Space after a click: then it plays, and presses only what was reached by keys.
 */
final class ShellKeys {
  private final Scene scene;
  private final Supplier<List<Command>> commands;
  private final BooleanSupplier free;
  private final Runnable find;
  private final Runnable card;
  private boolean opening;

  /** The control the mouse pressed last, until a key goes on from there. */
  private Optional<Node> pressed = Optional.empty();

  private ShellKeys(
      Scene scene,
      Supplier<List<Command>> commands,
      BooleanSupplier free,
      Runnable find,
      Runnable card) {
    this.scene = scene;
    this.commands = commands;
    this.free = free;
    this.find = find;
    this.card = card;
  }

  /**
   * Lets a scene answer the keys.
   *
   * @param free whether a song is in front and nothing lies over it
   * @param find opens the list of commands
   * @param card opens the card of keys
   */
  static void on(
      Scene scene,
      Supplier<List<Command>> commands,
      BooleanSupplier free,
      Runnable find,
      Runnable card) {
    ShellKeys keys = new ShellKeys(scene, commands, free, find, card);
    scene.addEventFilter(KeyEvent.KEY_PRESSED, keys::shortcut);
    scene.addEventFilter(KeyEvent.KEY_TYPED, keys::typed);
    scene.addEventFilter(MouseEvent.MOUSE_PRESSED, keys::pressed);
  }

  /** The sign of the key that opened the list is not what is searched for. */
  private void typed(KeyEvent event) {
    if (opening && (event.getCharacter().equals("/") || event.getCharacter().equals("?"))) {
      event.consume();
    }
    opening = false;
  }

  private void pressed(MouseEvent event) {
    Node at = event.getTarget() instanceof Node node ? node : null;
    while (at != null && !presses(at)) {
      at = at.getParent();
    }
    pressed = Optional.ofNullable(at);
  }

  /** Whether a control has a use for Space of its own. */
  private static boolean presses(Node owner) {
    return owner instanceof ButtonBase || owner instanceof ListView;
  }

  private void shortcut(KeyEvent event) {
    opening = false;
    if (event.getCode() == KeyCode.TAB || event.getCode().isNavigationKey()) {
      pressed = Optional.empty();
    }
    if (!free.getAsBoolean()) {
      return;
    }
    Node owner = scene.getFocusOwner();
    boolean typing = owner instanceof TextInputControl;
    if (event.getCode() == KeyCode.ENTER && owner instanceof ButtonBase button) {
      button.fire();
      event.consume();
      return;
    }
    if (event.getCode() == KeyCode.SLASH && !typing && !event.isShortcutDown()) {
      opening = true;
      if (event.isShiftDown()) {
        card.run();
      } else {
        find.run();
      }
      event.consume();
      return;
    }
    boolean plain = !event.isShortcutDown() && !event.isAltDown();
    boolean reached = presses(owner) && pressed.filter(owner::equals).isEmpty();
    if (plain && event.getCode() == KeyCode.SPACE && reached) {
      return;
    }
    boolean written = plain && typing && !event.getCode().isFunctionKey();
    for (Command command : commands.get()) {
      boolean mine = command.keys().map(keys -> keys.match(event)).orElse(false);
      if (mine && !written && command.possible().getAsBoolean()) {
        command.run().run();
        event.consume();
        return;
      }
    }
  }
}
