package westtide.desktop;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import westtide.desktop.kit.ControlIndex;
import westtide.desktop.kit.Fold;
import westtide.desktop.room.Command;
import westtide.desktop.room.Room;
import westtide.desktop.room.Searched;
import westtide.review.finding.Stage;
import westtide.song.Part;

/** Controls of the rooms and parts of the song as things that can be found and gone to. */
final class Places {
  private final Shell shell;
  private final List<? extends Room> rooms;
  private final Stage front;

  /** Places of a window with one room in front, whose controls come first. */
  Places(Shell shell, List<? extends Room> rooms, Stage front) {
    this.shell = shell;
    this.rooms = rooms;
    this.front = front;
  }

  List<Command> list() {
    List<Command> out = new ArrayList<>();
    rooms.stream().filter(room -> room.stage() == front).forEach(room -> add(room, out));
    shell.open().song().parts().forEach(part -> out.add(part(part)));
    rooms.stream().filter(room -> room.stage() != front).forEach(room -> add(room, out));
    return out;
  }

  private void add(Room room, List<Command> out) {
    Set<Object> seen = new HashSet<>();
    for (Searched searched : room.searched()) {
      for (ControlIndex.Entry entry : ControlIndex.of(searched.root())) {
        if (seen.add(entry.control())) {
          out.add(command(room, searched, entry));
        }
      }
    }
  }

  private Command command(Room room, Searched searched, ControlIndex.Entry entry) {
    String more = entry.more().isEmpty() || entry.more().equals(entry.words()) ? "" : entry.more();
    String title = room.stage() + ": " + entry.words() + (more.isEmpty() ? "" : " (" + more + ")");
    return Command.of(
        "control-" + entry.control().getId(),
        title,
        () -> {
          shell.go(room.stage());
          searched.show().run();
          Fold.reveal(entry.control());
          Platform.runLater(entry.control()::requestFocus);
        });
  }

  private Command part(Part part) {
    Stage stage =
        switch (part.role()) {
          case CHORDS -> Stage.CHORDS;
          case DRUMS -> Stage.DRUMS;
          case SUB, BASS -> Stage.LOW_END;
          case LINE, FOUND -> Stage.LINES;
          case MARKS -> Stage.FORM;
        };
    return Command.of(
        "part-" + part.id(),
        "Part: " + part.name() + " (" + part.role() + ")",
        () -> {
          shell.open().select(part);
          shell.go(stage);
        });
  }
}
