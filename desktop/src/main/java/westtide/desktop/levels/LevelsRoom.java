package westtide.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.open.SongView;
import westtide.desktop.play.Moment;
import westtide.desktop.room.Desk;
import westtide.desktop.room.Instruments;
import westtide.desktop.room.PartActions;
import westtide.desktop.room.Room;
import westtide.review.Stage;
import westtide.song.Part;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.PartEdits;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Duck;

/** Levels: the mix on plumb lines, and the instrument and settings of the chosen part. */
public final class LevelsRoom implements Room {
  private static final int TRIED_KEY = 60;
  private static final int TRIED_LOW = 33;
  private static final int TRIED_VELOCITY = 100;

  private final Desk desk;
  private final VBox sheet = new VBox();
  private final PlumbSheet plumbs = new PlumbSheet(new Gestures());
  private final PartActions actions;
  private final Label name = Controls.label("", "stop-name");
  private final Chooser<String> instrument =
      new Chooser<>("instrument", "instrument of the part", List.of(), this::chooseInstrument);
  private final PartNumbers numbers;
  private final Chips<DelayTime> delays;
  private final Chips<Duck.Trigger> ducks;

  /** The room. */
  public LevelsRoom(Desk desk) {
    this.desk = desk;
    this.delays =
        new Chips<>(
            "delay-time-",
            DelayTime::toString,
            time -> mix("delay time", mix -> mix.withDelayTime(time)));
    this.ducks =
        new Chips<>(
            "duck-",
            Duck.Trigger::toString,
            trigger -> mix("ducking", mix -> mix.withDuck(mix.duck().withTrigger(trigger))));
    this.numbers = new PartNumbers(desk::apply, this::tryIt);
    this.actions = new PartActions(desk, "levels-");
    build();
    desk.play().watch(plumbs::redraw);
  }

  @Override
  public Stage stage() {
    return Stage.LEVELS;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String summary(SongView view) {
    return view.heard()
        .map(heard -> Math.round(heard.integrated()) + " LUFS")
        .orElse(view.song().parts().size() + " parts")
        .replace('-', '−');
  }

  @Override
  public void show(SongView view) {
    List<Part> parts = view.song().parts();
    Part part = part();
    plumbs.show(parts, parts.indexOf(part));
    actions.show(view);
    name.setText(part.name());
    instrument.display(Instruments.names(part.role()), part.patch().instrument());
    numbers.show(part);
    delays.show(List.of(DelayTime.values()), part.mix().delayTime());
    ducks.show(List.of(Duck.Trigger.values()), part.mix().duck().trigger());
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(plumbs.keys(), numbers.keys());
  }

  @Override
  public void follow(Moment moment) {
    plumbs.sound(part -> desk.play().gauges().peak(part.id()));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox details =
        Controls.column(
            8,
            Controls.row(
                12,
                name,
                Controls.label("instrument"),
                instrument,
                Controls.action("try-sound", "play this part", this::tryIt),
                Controls.action("mute-part", "mute", () -> new Gestures().mute(part())),
                Controls.action("alone-part", "solo", () -> new Gestures().alone(part())),
                Controls.spring(),
                numbers.exact()),
            Controls.flow(
                Controls.label("ducking"), ducks, Controls.label("   delay time"), delays),
            numbers);
    ScrollPane scroll = new ScrollPane(details);
    scroll.setFitToWidth(true);
    scroll.setMinHeight(150);
    scroll.setPrefHeight(290);
    scroll.setMinWidth(0);
    VBox.setVgrow(plumbs, Priority.ALWAYS);
    plumbs.setMinHeight(170);
    sheet
        .getChildren()
        .addAll(
            Controls.row(
                14,
                Controls.title("Levels"),
                Controls.spring(),
                Controls.label("depth is level, swing is pan: drag a bob", "small")),
            plumbs,
            actions,
            scroll);
  }

  private void chooseInstrument(String wanted) {
    int program = Instruments.program(wanted, part().program());
    desk.apply(MixEdits.instrument(part().id(), wanted, program));
    tryIt();
  }

  /** Lets the chosen part sound once. */
  private void tryIt() {
    Part part = part();
    int key =
        switch (part.role()) {
          case DRUMS -> westtide.song.drum.DrumVoice.KICK.note();
          case SUB, BASS -> TRIED_LOW;
          default -> TRIED_KEY;
        };
    desk.play().touch(part, key, TRIED_VELOCITY);
  }

  private Part part() {
    return desk.open().part();
  }

  private void mix(String what, java.util.function.UnaryOperator<westtide.song.mix.Mix> change) {
    desk.apply(MixEdits.mix(part().id(), what, change));
  }

  private final class Gestures implements PlumbSheet.Actions {
    @Override
    public void choose(int part) {
      desk.open().select(desk.open().song().parts().get(part));
    }

    @Override
    public void rename(Part part, String wanted) {
      desk.apply(new PartEdits(part.id()).rename(wanted));
    }

    @Override
    public void reorder(Part part, int to) {
      desk.apply(new PartEdits(part.id()).move(to));
    }

    @Override
    public void move(Map<Part, PlumbSheet.Place> places) {
      List<Edit> edits = new ArrayList<>();
      places.forEach(
          (part, to) ->
              edits.add(
                  MixEdits.mix(
                      part.id(),
                      "level and pan",
                      mix -> mix.withLevel(to.level()).withPan(to.pan()))));
      desk.apply(
          edits.size() == 1
              ? edits.get(0)
              : Edit.together("Set level and pan of " + edits.size() + " parts", edits));
    }

    @Override
    public String heard(Part part) {
      String muted = desk.play().muted(part.id().value()) ? "muted" : "";
      return desk.play().alone(part.id().value()) ? "solo" : muted;
    }

    @Override
    public void mute(Part part) {
      desk.play().toggleMute(part.id().value());
    }

    @Override
    public void alone(Part part) {
      desk.play().toggleAlone(part.id().value());
    }
  }
}
