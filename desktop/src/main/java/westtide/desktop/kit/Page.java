package westtide.desktop.kit;

import javafx.scene.Node;

/**
 * One page of what can be decided below a sheet.
 *
 * @param <S> what it shows
 */
public interface Page<S> {
  /** The word on its chip. */
  String title();

  /** What it looks like. */
  Node node();

  /** Shows a scene. */
  void show(S scene);
}
