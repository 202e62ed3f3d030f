package westtide.desktop.levels;

import java.util.Comparator;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.sheet.ScaleSheet;
import westtide.desktop.room.RoomContext;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Duck;
import westtide.song.mix.Mix;
import westtide.song.mix.ReverbKind;
import westtide.song.mix.Space;

/** What is chosen from a few about a part's strip: its room, its repeats and what it ducks for. */
final class StripChoices extends VBox {
  private final Chips<ReverbKind> rooms;
  private final Chips<DelayTime> delays;
  private final Chips<Boolean> sides;
  private final Chooser<Duck.Trigger> ducks;
  private final ScaleSheet front;
  private final BiConsumer<String, UnaryOperator<Mix>> mix;
  private final Chips<Duck.Return> returns;
  private final Chooser<LaneId> lane;

  StripChoices(
      RoomContext context, BiConsumer<String, UnaryOperator<Mix>> mix, Consumer<String> exact) {
    super(6);
    this.mix = mix;
    this.front = new ScaleSheet("front-numbers", "Room, delay, drive and ducking", exact);
    this.rooms =
        new Chips<>(
            "room-",
            ReverbKind::toString,
            kind -> mix.accept("room", m -> m.withSpace(m.space().withRoom(kind))));
    this.delays =
        new Chips<>(
            "delay-time-",
            DelayTime::toString,
            time -> mix.accept("delay time", m -> m.withDelayTime(time)));
    this.sides =
        new Chips<>(
            "ping-pong-",
            pingPong -> pingPong ? "from side to side" : "in their place",
            pingPong -> mix.accept("repeats", m -> m.withSpace(m.space().withPingPong(pingPong))));
    this.ducks =
        new Chooser<>(
            "duck-trigger",
            "what it ducks for",
            List.of(Duck.Trigger.values()),
            trigger ->
                mix.accept("ducking", m -> m.withDuck(ducked(context.open().song(), m, trigger))));
    this.returns =
        new Chips<>(
            "duck-return-",
            Duck.Return::toString,
            curve -> mix.accept("ducking curve", m -> m.withDuck(m.duck().withCurve(curve))));
    this.lane =
        new Chooser<>(
            "duck-lane",
            "the drum lane it ducks for",
            List.of(),
            code -> mix.accept("ducking", m -> m.withDuck(m.duck().withLane(code.code()))));
    getChildren()
        .addAll(
            front,
            Controls.flow(Controls.label("room", "small"), rooms),
            Controls.flow(Controls.label("delay", "small"), delays),
            Controls.flow(Controls.label("ducking", "small"), ducks, lane));
  }

  /** What is chosen more rarely. */
  Node more() {
    return Controls.flow(
        Controls.label("repeats go", "small"),
        sides,
        Controls.label("   after ducking it comes back", "small"),
        returns);
  }

  /** What can be done with the scales and by which keys. */
  KeyTable keys() {
    return front.keys();
  }

  /** A lane is named at once, so that the choice is heard: the snare, or the first there is. */
  private static Duck ducked(Song song, Mix mix, Duck.Trigger trigger) {
    if (trigger != Duck.Trigger.LANE || !mix.duck().lane().isEmpty()) {
      return mix.duck().withTrigger(trigger);
    }
    List<LaneId> lanes = lanes(song);
    return lanes.stream()
        .filter(lane -> lane.code().equals("SNARE") || lane.code().equals("CLAP"))
        .findFirst()
        .or(() -> lanes.stream().findFirst())
        .map(lane -> mix.duck().withLane(lane.code()))
        .orElse(mix.duck());
  }

  private static List<LaneId> lanes(Song song) {
    return song.parts(Role.DRUMS).stream()
        .flatMap(part -> part.grooves(song.brief().meter()).values().stream())
        .flatMap(groove -> groove.lanes().stream())
        .map(DrumLane::id)
        .distinct()
        .sorted(Comparator.comparingInt(LaneId::index))
        .toList();
  }

  void show(Song song, Part part) {
    Space space = part.mix().space();
    Duck duck = part.mix().duck();
    front.show(
        MixAmounts.FRONT.stream()
            .map(
                amount ->
                    amount.scale(
                        part.mix(), to -> mix.accept(amount.name(), m -> amount.set().to(m, to))))
            .toList());
    rooms.show(List.of(ReverbKind.values()), space.room());
    delays.show(List.of(DelayTime.values()), part.mix().delayTime());
    sides.show(List.of(true, false), space.pingPong());
    ducks.display(duck.trigger());
    returns.show(List.of(Duck.Return.values()), duck.curve());
    boolean byLane = duck.trigger() == Duck.Trigger.LANE;
    lane.setVisible(byLane);
    lane.setManaged(byLane);
    lane.display(lanes(song), byLane ? LaneId.parse(duck.lane()) : null);
  }
}
