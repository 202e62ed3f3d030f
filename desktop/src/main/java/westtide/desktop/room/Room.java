package westtide.desktop.room;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.review.finding.Stage;

/**
 * One stage's sheet. It is built once, and told what to show whenever it is in front and something
 * changed.
 */
public interface Room {
  /** The stage it is for. */
  public Stage stage();

  /** Its sheet. */
  public Node node();

  /** Shows a state of the song. */
  public void show(SongView view);

  /** Shows where the song is in this frame; called only while the room is in front. */
  default void follow(PlayPosition moment) {}

  /** What Space plays here round and round; empty where that is the song. */
  default Optional<PatternTrial> inFront() {
    return Optional.empty();
  }

  /** Another room comes in front: what was going on in this one ends. */
  default void leave() {}

  /** What is searched for its controls: the sheet, and pages that may be behind another one. */
  default List<Searched> searched() {
    return List.of(new Searched(node(), () -> {}));
  }

  /** What can be done on its sheets, and by which keys. */
  default List<KeyTable> keys() {
    return List.of();
  }

  /** What can be done in this room and found by name; the room is in front when one is run. */
  default List<Command> commands() {
    return List.of();
  }

  /** The line of the course below its name: one measured fact. */
  public String summary(SongView view);
}
