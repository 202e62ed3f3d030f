package westtide.desktop.lines;

import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import westtide.compose.line.SecondLine;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.line.HeardLine;
import westtide.desktop.line.LineBench;
import westtide.desktop.line.LineScene;
import westtide.desktop.room.RoomContext;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.part.PartBeside;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.Seed;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/** Parts drafted beside the line in front, each with a job of its own. */
final class BesidePage implements Page<LineScene> {
  private static final int OTHER_SIDE = 25;
  private static final int RUN_FROM = 84;

  private final RoomContext context;
  private final LineBench bench;
  private final VBox box;
  private long take;

  BesidePage(RoomContext context, LineBench bench) {
    this.context = context;
    this.bench = bench;
    this.box =
        Controls.column(
            4,
            Controls.flow(
                does(
                    "counter",
                    "counter-line",
                    "Few notes in the rests, another register",
                    this::counter),
                does(
                    "answer",
                    "answer",
                    "What the line says, in the bar after, an octave away",
                    this::answer),
                does(
                    "riff",
                    "riff",
                    "One bar in the style's rhythm, the fourth changed",
                    this::riff),
                does("stabs", "stabs", "Three tones of the chord on every second bar", this::stabs),
                does("run", "run", "Sixteenths down the key through the last bar", this::run),
                does(
                    "ghost",
                    "ghost line",
                    "A tone of every chord, held and very quiet",
                    this::ghost)),
            Controls.wrapped(
                "Each becomes a part of its own, on this instrument and the other side, and plays"
                    + " where this line plays.",
                "small"));
  }

  private static Node does(String id, String words, String help, Runnable what) {
    return Controls.explained(Controls.action("line-" + id, words, what), help);
  }

  private static SecondLine second(HeardLine line) {
    Brief brief = line.song().brief();
    return new SecondLine(brief.key(), brief.meter(), line.harmony());
  }

  private Seed next(HeardLine line) {
    return new Seed(line.song().seed() + ++take);
  }

  void counter() {
    add("Counter", line -> second(line).counter(line.notes(), line.bars(), next(line)));
  }

  void ghost() {
    add("Ghost line", line -> second(line).ghost(line.bars()));
  }

  private void answer() {
    add("Answer", line -> second(line).answer(line.notes(), line.bars()));
  }

  private void riff() {
    add(
        "Riff",
        line ->
            second(line)
                .riff(context.open().view().orElseThrow().style().lead(), line.bars(), next(line)));
  }

  private void stabs() {
    add("Stabs", line -> second(line).stabs(line.bars()));
  }

  private void run() {
    add(
        "Run",
        line ->
            second(line)
                .run(
                    line.notes().stream().mapToInt(Note::key).max().orElse(RUN_FROM), line.bars()));
  }

  /** Drafts a part beside the line in front. */
  private interface Draft {
    Pattern.Written of(HeardLine line);
  }

  private void add(String job, Draft draft) {
    bench
        .line()
        .ifPresent(
            line -> {
              Pattern.Written notes = draft.of(line);
              boolean named = job.equals("Counter");
              String name = named ? job + " " + line.part().name().toLowerCase(Locale.ROOT) : job;
              if (notes.notes().isEmpty()) {
                context
                    .messages()
                    .failed("There is no room for that over this line; nothing was added.");
              } else {
                beside(line, name, notes);
              }
            });
  }

  /** A part beside the line, on its instrument and on its other side. */
  private void beside(HeardLine line, String name, Pattern.Written notes) {
    Part model = line.part();
    int pan = model.mix().pan() > 0 ? -OTHER_SIDE : OTHER_SIDE;
    Part added =
        PartEdits.blank(line.song(), Role.LINE, name, model.patch(), model.program())
            .withPatterns(List.of(new NamedPattern("A", notes)))
            .withMix(model.mix().withPan(pan));
    context.apply(new PartBeside(model, line.pattern()).add(added));
    context.open().song().part(added.id()).ifPresent(context.open()::select);
  }

  @Override
  public String title() {
    return "counter-line";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {}
}
