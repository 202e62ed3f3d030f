package westtide.desktop.kit;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;

/**
 * The marks of a drawing, used again from one drawing to the next: a mark of the same shape and the
 * same style classes takes the place of one that was there, so that the scene changes only where
 * the drawing does.
 */
public final class Marks {
  /** More than there are marks in any drawing. */
  public static final int MOST = 1_000_000;

  private final List<Node> now = new ArrayList<>();
  private final List<String> kinds = new ArrayList<>();
  private final Map<String, Deque<Node>> spare = new HashMap<>();
  private final Set<Node> named = new HashSet<>();
  private int laid;

  /** Makes every mark of the last drawing ready to be used again. */
  void begin() {
    spare.values().forEach(Deque::clear);
    for (int i = 0; i < now.size(); i++) {
      spare.computeIfAbsent(kinds.get(i), kind -> new ArrayDeque<>()).add(now.get(i));
    }
    now.clear();
    kinds.clear();
    named.clear();
    laid = 0;
  }

  /** A mark of a shape and style that was there before, or a new one. */
  <N extends Node> N take(Class<N> shape, String[] classes, Supplier<N> fresh) {
    String kind = shape.getSimpleName() + String.join(" ", classes);
    Deque<Node> waiting = spare.get(kind);
    boolean none = waiting == null || waiting.isEmpty();
    return put(
        none ? dressed(fresh.get(), classes) : cleaned(waiting.poll(), shape, classes), kind);
  }

  /** A mark as it was when it was new, whatever the last drawing made of it. */
  private static <N extends Node> N cleaned(Node used, Class<N> shape, String[] classes) {
    if (!used.getStyleClass().equals(List.of(classes))) {
      used.getStyleClass().setAll(classes);
    }
    used.setVisible(true);
    used.setOpacity(1);
    used.setScaleX(1);
    used.setScaleY(1);
    used.setTranslateX(0);
    used.setTranslateY(0);
    used.setMouseTransparent(true);
    return shape.cast(used);
  }

  private static <N extends Node> N dressed(N node, String[] classes) {
    node.getStyleClass().addAll(classes);
    node.setMouseTransparent(true);
    return node;
  }

  /** Adds a mark that is not used again. */
  void add(Node node) {
    put(node, "");
  }

  /** Lays a mark over those before it. */
  private <N extends Node> N put(N node, String kind) {
    raise(node);
    now.add(node);
    kinds.add(kind);
    return node;
  }

  /** Lays a mark over all that are there so far. */
  void raise(Node node) {
    node.setViewOrder(-laid++);
  }

  /** Takes a mark out of the drawing; it may be used again. */
  void remove(Node node) {
    int index = now.lastIndexOf(node);
    now.remove(index);
    spare.computeIfAbsent(kinds.remove(index), kind -> new ArrayDeque<>()).add(node);
  }

  /** Notes that a mark has a name in this drawing. */
  void name(Node node) {
    named.add(node);
  }

  /** Ends a drawing: marks without a name lose the one they had; what is left over is returned. */
  List<Node> end() {
    for (Node node : now) {
      if (node.getId() != null && !named.contains(node)) {
        node.setId(null);
        node.setAccessibleText(null);
        node.setAccessibleRole(AccessibleRole.NODE);
        node.setAccessibleRoleDescription(null);
      }
    }
    List<Node> left = new ArrayList<>();
    spare.values().forEach(left::addAll);
    return left;
  }
}
