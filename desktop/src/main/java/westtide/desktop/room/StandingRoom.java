package westtide.desktop.room;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.review.finding.Stage;
import westtide.song.Song;

/**
 * A room that is built when it is first needed, and stands whatever happens in it: where it fails
 * it is built anew from the song, and the person is told which sheet that was. A song that a new
 * sheet fails with too is not shown.
 */
public final class StandingRoom implements Room {
  private static final Logger LOG = LoggerFactory.getLogger(StandingRoom.class);

  private final Stage stage;
  private final Supplier<Room> builder;
  private final Consumer<Stage> told;
  private Room built;
  private Optional<Song> failedWith = Optional.empty();

  /**
   * A room that is not built yet.
   *
   * @param told is told of a sheet that was built anew
   */
  public StandingRoom(Stage stage, Supplier<Room> builder, Consumer<Stage> told) {
    this.stage = stage;
    this.builder = builder;
    this.told = told;
  }

  /** Builds it unless it is. */
  public void build() {
    room();
  }

  /** Whether it is built. */
  public boolean isBuilt() {
    return built != null;
  }

  private Room room() {
    if (built == null) {
      built = builder.get();
    }
    return built;
  }

  /** Builds the sheet anew after something in it failed, once for a state of a song. */
  public void anew(Song song) {
    if (failedWith.filter(song::equals).isEmpty()) {
      failedWith = Optional.of(song);
      built = builder.get();
      told.accept(stage);
    }
  }

  @Override
  public void show(SongView view) {
    try {
      room().show(view);
    } catch (RuntimeException e) {
      LOG.error("The sheet {} failed and is built anew", stage, e);
      built = builder.get();
      room().show(view);
      told.accept(stage);
    }
  }

  @Override
  public void follow(PlayPosition moment) {
    room().follow(moment);
  }

  @Override
  public Optional<PatternTrial> inFront() {
    return room().inFront();
  }

  @Override
  public void leave() {
    room().leave();
  }

  @Override
  public Stage stage() {
    return stage;
  }

  @Override
  public Node node() {
    return room().node();
  }

  @Override
  public List<Searched> searched() {
    return room().searched();
  }

  @Override
  public List<KeyTable> keys() {
    return room().keys();
  }

  /** What the sheet that stands now does, whenever it is asked for. */
  @Override
  public List<Command> commands() {
    return room().commands().stream().map(this::ofThePresentSheet).toList();
  }

  private Command ofThePresentSheet(Command command) {
    return command
        .when(() -> present(command).possible().getAsBoolean())
        .doing(() -> present(command).run().run());
  }

  private Command present(Command command) {
    return room().commands().stream()
        .filter(now -> now.id().equals(command.id()))
        .findFirst()
        .orElse(command);
  }

  @Override
  public String summary(SongView view) {
    return room().summary(view);
  }
}
