package westtide.desktop.lowend;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NumberField;
import westtide.desktop.line.LineBench;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.Command;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.review.finding.Stage;
import westtide.score.WriteOut;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.NamedPattern;
import westtide.theory.Pitch;

/**
 * The low parts: 808s and basses by rule or in writing, the octave each begins in, and how they lie
 * on the kick.
 */
public final class LowEndRoom implements Room {
  private static final List<Role> LOW = List.of(Role.SUB, Role.BASS);

  private final RoomContext context;
  private final VBox sheet = new VBox();
  private final VBox content = new VBox(6);
  private final LineBench bench;
  private final Chips<KickLink> link;
  private final NumberField lowest;
  private final Node writeOut;

  /** The room. */
  public LowEndRoom(RoomContext context) {
    this.context = context;
    this.bench =
        new LineBench(
            context,
            "low-",
            LOW,
            "This song has no 808 and no bass yet. Add one with + part.",
            LadderSheet::new,
            of -> List.of(new KickPage(context, of)));
    this.link = new Chips<>("link-", KickLink::toString, this::choose);
    this.lowest =
        new NumberField(
                "sub-lowest",
                "lowest note",
                text -> setLowest(Pitch.parse(text.strip()).midi()),
                units -> lowest().ifPresent(now -> setLowest(held(now + units))))
            .inline();
    this.writeOut =
        Controls.explained(
            Controls.action("low-write-out", "write it out", this::writeOut),
            "Turns the rule into notes of your own, attached to the chords, which they follow");
    build();
  }

  @Override
  public Stage stage() {
    return Stage.LOW_END;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public void follow(PlayPosition moment) {
    bench.follow(moment);
  }

  @Override
  public String summary(SongView view) {
    List<Part> low =
        view.song().parts().stream().filter(part -> LOW.contains(part.role())).toList();
    if (low.size() > 2 || low.isEmpty()) {
      return low.isEmpty() ? "no low part" : low.size() + " low parts";
    }
    return low.stream().map(Part::name).collect(Collectors.joining(" · "));
  }

  @Override
  public void show(SongView view) {
    boolean there = bench.show(view);
    content.setDisable(!there);
    if (!there) {
      return;
    }
    Optional<KickLink> linked = linked();
    show(link, linked.isPresent());
    linked.ifPresent(now -> link.show(List.of(KickLink.values()), now));
    show(lowest, lowest().isPresent());
    lowest().ifPresent(midi -> lowest.show(Pitch.of(midi).toString()));
    show(writeOut, bench.line().filter(line -> !line.written()).isPresent());
  }

  private static void show(Node node, boolean shown) {
    node.setVisible(shown);
    node.setManaged(shown);
  }

  @Override
  public void leave() {
    bench.leave();
  }

  @Override
  public List<KeyTable> keys() {
    return bench.keys();
  }

  /** What can be done here by name. */
  @Override
  public Optional<PatternTrial> inFront() {
    return bench.trial();
  }

  @Override
  public List<Command> commands() {
    return List.of(
        Command.of("lock-sub", "Lock the 808 to the kick", () -> choose(KickLink.LOCKED))
            .when(() -> context.open().isOpen() && linked().isPresent()),
        Command.of("free-sub", "Give the 808 its own rhythm", () -> choose(KickLink.INDEPENDENT))
            .when(() -> context.open().isOpen() && linked().isPresent()),
        Command.of("write-out", "Write out the low part in front", this::writeOut));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(bench.sheet(), Priority.ALWAYS);
    VBox.setVgrow(content, Priority.ALWAYS);
    HBox.setHgrow(bench.parts(), Priority.ALWAYS);
    HBox.setHgrow(bench.text(), Priority.ALWAYS);
    bench.sheet().setMinHeight(150);
    sheet.getChildren().addAll(Controls.row(14, Controls.title("Low end"), bench.parts()), content);
    FlowPane chosen = Controls.flow(link, lowest, writeOut);
    chosen.getStyleClass().add("page");
    content
        .getChildren()
        .addAll(
            bench.patternBar(),
            chosen,
            bench.sheet(),
            bench.text(),
            bench.summary(),
            bench.tools());
  }

  private void writeOut() {
    bench
        .line()
        .filter(line -> !line.written())
        .ifPresent(
            line -> context.apply(WriteOut.of(line.part().id(), line.pattern(), line.place())));
  }

  private void choose(KickLink chosen) {
    bench.parts().chosen().ifPresent(part -> context.apply(LowEndEdits.link(part.id(), chosen)));
  }

  private void setLowest(int midi) {
    bench.parts().chosen().ifPresent(part -> context.apply(LowEndEdits.lowest(part.id(), midi)));
  }

  private static int held(int midi) {
    return Math.max(12, Math.min(60, midi));
  }

  /** The pattern in front. */
  private Optional<NamedPattern> pattern() {
    return bench.parts().chosen().map(p -> p.pattern(context.open().selection().pattern(p)));
  }

  /** How the 808 in front is linked to the kick; empty where it is written or no 808. */
  private Optional<KickLink> linked() {
    return bench
        .parts()
        .chosen()
        .filter(part -> part.role() == Role.SUB)
        .flatMap(part -> pattern())
        .flatMap(named -> named.rule(FollowRule.class))
        .flatMap(LowEndEdits::link);
  }

  /** Where the octave of the chosen part begins; empty where it does not follow the roots. */
  private Optional<Integer> lowest() {
    return pattern().flatMap(NamedPattern::lowest);
  }
}
