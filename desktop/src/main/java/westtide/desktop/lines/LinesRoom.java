package westtide.desktop.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.line.LineDraft;
import westtide.desktop.found.FoundBench;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Page;
import westtide.desktop.line.HeardLine;
import westtide.desktop.line.LineBench;
import westtide.desktop.line.LineScene;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.Command;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.review.finding.Stage;
import westtide.score.ScoredPart;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.line.LineEdits;
import westtide.song.id.Seed;
import westtide.song.line.Note;

/** Lines: the patterns of any line over the chords that are heard where it plays. */
public final class LinesRoom implements Room {
  private final RoomContext context;
  private final VBox sheet = new VBox();
  private final VBox content = new VBox(6);
  private final LineBench bench;
  private final FoundBench found;
  private BesidePage beside;
  private long take;

  /** The room. */
  public LinesRoom(RoomContext context) {
    this.context = context;
    this.bench =
        new LineBench(
            context,
            "lines-",
            List.of(Role.LINE),
            "This song has no line yet. Add one with + part.",
            DegreeSheet::new,
            this::own);
    this.found = new FoundBench(context);
    build();
  }

  /** Pages only lines have. */
  private List<Page<LineScene>> own(LineBench of) {
    this.beside = new BesidePage(context, of);
    return List.of(new VaryPage(context, of), beside);
  }

  @Override
  public Stage stage() {
    return Stage.LINES;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String summary(SongView view) {
    List<ScoredPart> lines = view.score().parts(Role.LINE);
    int notes = lines.stream().mapToInt(part -> part.notes().size()).sum();
    return switch (lines.size()) {
      case 0 -> "no line";
      case 1 -> lines.get(0).part().name().toLowerCase() + " · " + notes + " notes";
      default -> lines.size() + " lines · " + notes + " notes";
    };
  }

  @Override
  public void show(SongView view) {
    Optional<Part> loop = bench.parts().chosen().filter(part -> part.role() == Role.FOUND);
    shown(found.node(), loop.isPresent());
    shown(content, loop.isEmpty());
    if (loop.isPresent()) {
      bench.parts().show(view);
      found.show(view, loop.get());
    } else {
      content.setDisable(!bench.show(view));
    }
  }

  private static void shown(Node node, boolean so) {
    node.setVisible(so);
    node.setManaged(so);
  }

  private boolean isLoopInFront() {
    return found.node().isVisible();
  }

  @Override
  public void follow(PlayPosition moment) {
    if (!isLoopInFront()) {
      bench.follow(moment);
    }
  }

  @Override
  public void leave() {
    bench.leave();
  }

  @Override
  public List<KeyTable> keys() {
    List<KeyTable> out = new ArrayList<>(bench.keys());
    out.addAll(found.keys());
    return out;
  }

  @Override
  public Optional<PatternTrial> inFront() {
    return isLoopInFront() ? found.trial() : bench.trial();
  }

  @Override
  public List<Command> commands() {
    List<Command> out = new ArrayList<>(bench.commands());
    out.addAll(lineCommands());
    out.addAll(found.commands());
    return out;
  }

  private List<Command> lineCommands() {
    return List.of(
        Command.of("take-line", "New take of the line in front", this::newTake),
        Command.of(
            "counter-line", "Add a counter-line to the line in front", () -> beside.counter()),
        Command.of("ghost-line", "Add a ghost line of the chords", () -> beside.ghost()),
        Command.of("line-up", "Move the line a semitone up", () -> transpose(1)),
        Command.of("line-down", "Move the line a semitone down", () -> transpose(-1)),
        Command.of("line-octave-up", "Move the line an octave up", () -> transpose(12)),
        Command.of("line-octave-down", "Move the line an octave down", () -> transpose(-12)));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(bench.sheet(), Priority.ALWAYS);
    VBox.setVgrow(content, Priority.ALWAYS);
    HBox.setHgrow(bench.parts(), Priority.ALWAYS);
    HBox.setHgrow(bench.text(), Priority.ALWAYS);
    bench.sheet().setMinHeight(150);
    content
        .getChildren()
        .addAll(
            bench.patternBar(),
            bench.sheet(),
            Controls.row(
                8,
                bench.text(),
                Controls.explained(
                    Controls.action("line-take", "new take", this::newTake),
                    "Another line from the next seed, over the same chords")),
            bench.summary(),
            bench.tools());
    sheet
        .getChildren()
        .addAll(Controls.row(14, Controls.title("Lines"), bench.parts()), content, found.node());
    VBox.setVgrow(found.node(), Priority.ALWAYS);
    shown(found.node(), false);
  }

  /** Moves the whole line by semitones. */
  private void transpose(int semitones) {
    bench
        .line()
        .filter(HeardLine::written)
        .ifPresent(
            line -> {
              List<Note> moved =
                  line.notes().stream().map(n -> n.withKey(n.key() + semitones)).toList();
              context.apply(line.put("Move " + line.part().name(), line.notes(), moved));
            });
  }

  /** Drafts another line over the chords that are heard. */
  private void newTake() {
    SongView view = context.open().view().orElseThrow();
    Optional<HeardLine> line = bench.line().filter(HeardLine::written);
    if (line.isEmpty()) {
      return;
    }
    take++;
    Brief brief = view.song().brief();
    LineDraft draft = new LineDraft(brief.key(), brief.meter(), view.style().lead());
    Seed seed = new Seed(view.song().seed() + take);
    HeardLine shown = line.get();
    LineEdits edits = new LineEdits(shown.part().id(), shown.pattern());
    context.compute(
        () -> draft.draw(shown.progression(), seed),
        drawn -> context.apply(edits.replace("New take of " + shown.part().name(), drawn)));
  }
}
