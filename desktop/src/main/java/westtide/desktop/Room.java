package westtide.desktop;

import javafx.scene.Node;
import westtide.desktop.play.Moment;
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

  /** Shows where the song is in this frame; called only while the room is in front. */
  default void follow(Moment moment) {}

  /** The line of the course below its name: one measured fact. */
  String fact(SongView view);
}
