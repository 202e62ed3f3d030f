package westtide.desktop.chords;

import javafx.scene.Node;

/** One page of what can be decided below the ladder. */
interface ChordPage {
  /** The word on its chip. */
  String title();

  /** What it shows. */
  Node node();

  /** Shows a scene. */
  void show(ChordScene scene);
}
