package westtide.desktop;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import westtide.desktop.brief.BriefRoom;
import westtide.desktop.chords.ChordsRoom;
import westtide.desktop.deliver.DeliverRoom;
import westtide.desktop.drums.DrumsRoom;
import westtide.desktop.files.OwnStyles;
import westtide.desktop.form.FormRoom;
import westtide.desktop.levels.LevelsRoom;
import westtide.desktop.lines.LinesRoom;
import westtide.desktop.lowend.LowEndRoom;
import westtide.desktop.room.Command;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.desktop.room.StandingRoom;
import westtide.review.finding.Stage;

/** The rooms in the order of the work; each is built when it is first needed. */
final class Rooms {
  private final Consumer<Stage> builtAnew;
  private final List<StandingRoom> all;

  /**
   * Rooms of which none is built.
   *
   * @param builtAnew is told of a room that failed and was built anew
   */
  Rooms(RoomContext context, OwnStyles own, Environment around, Consumer<Stage> builtAnew) {
    this.builtAnew = builtAnew;
    this.all =
        List.of(
            room(Stage.BRIEF, () -> new BriefRoom(context, own, around.millis())),
            room(Stage.CHORDS, () -> new ChordsRoom(context)),
            room(Stage.DRUMS, () -> new DrumsRoom(context)),
            room(Stage.LOW_END, () -> new LowEndRoom(context)),
            room(Stage.LINES, () -> new LinesRoom(context)),
            room(Stage.FORM, () -> new FormRoom(context, around.data().resolve("forms"))),
            room(Stage.LEVELS, () -> new LevelsRoom(context)),
            room(Stage.DELIVER, () -> new DeliverRoom(context)));
  }

  private StandingRoom room(Stage stage, Supplier<Room> builder) {
    return new StandingRoom(stage, builder, builtAnew);
  }

  /** All of them. */
  List<StandingRoom> all() {
    return all;
  }

  /** The room of a stage. */
  StandingRoom of(Stage stage) {
    return all.get(stage.ordinal());
  }

  /** Builds one after the other while the window has nothing else to do. */
  void buildWhileIdle() {
    all.stream()
        .filter(room -> !room.isBuilt())
        .findFirst()
        .ifPresent(
            room -> {
              room.build();
              Platform.runLater(this::buildWhileIdle);
            });
  }

  /** What can be done in them; unless it is done anywhere its room comes in front first. */
  List<Command> commands(Consumer<Stage> go) {
    List<Command> out = new ArrayList<>();
    for (Room room : all) {
      for (Command command : room.commands()) {
        out.add(command.anywhere() ? command : inFront(room.stage(), command, go));
      }
    }
    return out;
  }

  private static Command inFront(Stage stage, Command command, Consumer<Stage> go) {
    return command.doing(
        () -> {
          go.accept(stage);
          command.run().run();
        });
  }
}
