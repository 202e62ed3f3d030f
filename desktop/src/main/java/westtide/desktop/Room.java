package westtide.desktop;

import javafx.scene.Node;
import westtide.review.Stage;

/**
 * One stage's sheet. It is built once, and told what to show whenever it is in front and something
 * changed.
 */
public interface Room {
  /** The stage it is for. */
  Stage stage();

  /** Its sheet. */
  Node node();

  /** Shows a state of the song. */
  void show(SongView view);

  /** The line of the course below its name: one measured fact. */
  String fact(SongView view);
}
