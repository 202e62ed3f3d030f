package westtide.desktop.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/**
 * What can be done on a sheet and by which keys: the one table that binds the keys, lists them on
 * the key card and shows them beside the words of the context menu.
 */
public final class KeyTable {
  /**
   * Something that can be done.
   *
   * @param id part of the id of its row in the menu
   * @param words what it does, in a few words
   * @param keys the keys that do it, the first being shown
   * @param shown the keys as they are shown
   * @param menu whether the context menu offers it
   * @param possible whether it can be done now
   * @param run does it
   */
  public record Deed(
      String id,
      String words,
      List<KeyCombination> keys,
      String shown,
      boolean menu,
      BooleanSupplier possible,
      Consumer<KeyCode> run) {}

  private static final Set<KeyCode> SIGNS =
      Set.of(KeyCode.PLUS, KeyCode.EQUALS, KeyCode.MINUS, KeyCode.ADD, KeyCode.SUBTRACT);

  private final String title;
  private final List<Deed> deeds = new ArrayList<>();

  /** A table without entries; {@code title} heads it on the key card. */
  public KeyTable(String title) {
    this.title = title;
  }

  /** What it is a table of. */
  public String title() {
    return title;
  }

  /** Everything in it. */
  public List<Deed> deeds() {
    return List.copyOf(deeds);
  }

  /** Adds what keys alone do. */
  public KeyTable key(String words, Runnable run, String... keys) {
    return add(words, false, () -> true, code -> run.run(), keys);
  }

  /** Adds what one of several keys does, told which. */
  public KeyTable keys(String words, String shown, Consumer<KeyCode> run, String... keys) {
    deeds.add(
        new Deed(Controls.idOf(words), words, combinations(keys), shown, false, () -> true, run));
    return this;
  }

  /** Adds what the context menu offers, with its keys, if it has any. */
  public KeyTable menu(String words, BooleanSupplier possible, Runnable run, String... keys) {
    return add(words, true, possible, code -> run.run(), keys);
  }

  private KeyTable add(
      String words, boolean menu, BooleanSupplier possible, Consumer<KeyCode> run, String... keys) {
    List<KeyCombination> all = combinations(keys);
    String shown = all.isEmpty() ? "" : all.get(0).getDisplayText();
    deeds.add(new Deed(Controls.idOf(words), words, all, shown, menu, possible, run));
    return this;
  }

  /** Does what a key means here; true when it means something that is possible now. */
  public boolean handle(KeyEvent event) {
    for (Deed deed : deeds) {
      boolean mine = deed.keys().stream().anyMatch(keys -> keys.match(event));
      if (mine && deed.possible().getAsBoolean()) {
        deed.run().accept(event.getCode());
        event.consume();
        return true;
      }
    }
    return false;
  }

  private static List<KeyCombination> combinations(String... keys) {
    return Arrays.stream(keys).map(KeyTable::combination).collect(Collectors.toList());
  }

  /** A key such as {@code "Shift+LEFT"} or {@code "7"}; signs do not ask whether Shift is held. */
  private static KeyCombination combination(String keys) {
    List<String> parts = List.of(keys.split("\\+"));
    String name = parts.get(parts.size() - 1);
    KeyCode code = KeyCode.valueOf(Character.isDigit(name.charAt(0)) ? "DIGIT" + name : name);
    List<KeyCombination.Modifier> held = new ArrayList<>();
    if (parts.contains("Shift")) {
      held.add(KeyCombination.SHIFT_DOWN);
    } else if (SIGNS.contains(code)) {
      held.add(KeyCombination.SHIFT_ANY);
    }
    if (parts.contains("Shortcut")) {
      held.add(KeyCombination.SHORTCUT_DOWN);
    }
    if (parts.contains("Alt")) {
      held.add(KeyCombination.ALT_DOWN);
    }
    return new KeyCodeCombination(code, held.toArray(KeyCombination.Modifier[]::new));
  }
}
