package westtide.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Pages;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.EffectsBox;
import westtide.desktop.room.Instruments;
import westtide.desktop.room.PartActions;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.desktop.room.Searched;
import westtide.play.Loudspeaker;
import westtide.review.finding.Stage;
import westtide.review.heard.StyleBand;
import westtide.song.Part;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.mix.Mix;
import westtide.sound.Balance;
import westtide.sound.Listening;

/** Levels: the mix on plumb lines, and the instrument and settings of the chosen part. */
public final class LevelsRoom implements Room {
  private static final int TRIED_KEY = 60;
  private static final int TRIED_LOW = 33;
  private static final int TRIED_VELOCITY = 100;

  private final RoomContext context;
  private final VBox sheet = new VBox();
  private final MixSheet plumbs = new MixSheet(new Gestures());
  private final PartActions actions;
  private final Label name = Controls.label("", "stop-name");
  private final Chooser<String> instrument =
      new Chooser<>("instrument", "instrument of the part", List.of(), this::chooseInstrument);
  private final PartNumbers numbers;
  private final BandSheet band = new BandSheet("band-sheet", this::mix);
  private final BandSheet wholeBand = new BandSheet("spectrum-sheet", (what, change) -> {});
  private final StripChoices choices;
  private final Chips<Loudspeaker> speakers;
  private final EffectsBox effects;
  private final WholeMix whole;
  private final Chooser<Receivers> copyTo =
      new Chooser<>("copy-strip", "copy this strip to", List.of(), Receivers::name, this::copyTo);

  private final LevelsPage numbersPage;
  private final Pages<SongView> pages;

  /** One page of the room. */
  private record LevelsPage(String title, Node node, Consumer<SongView> shows)
      implements Page<SongView> {
    @Override
    public void show(SongView view) {
      shows.accept(view);
    }
  }

  /** The room. */
  public LevelsRoom(RoomContext context) {
    this.context = context;

    this.speakers = new Chips<>("through-", Loudspeaker::toString, context.play()::listenThrough);
    this.effects =
        new EffectsBox(
            "part-",
            (what, change) -> mix(what, mix -> mix.withEffects(change.apply(mix.effects()))));
    this.whole = new WholeMix(context);
    this.numbers = new PartNumbers(context::apply, this::tryIt);
    this.choices = new StripChoices(context, this::mix, this::typeExactly);
    this.numbersPage =
        new LevelsPage(
            "numbers",
            Controls.column(6, Controls.row(8, numbers.exact(), choices.more()), numbers),
            view -> numbers.show(part()));
    this.pages =
        new Pages<SongView>(
            "levels-page-",
            List.of(
                new LevelsPage("band", Controls.row(14, band, choices), this::showBand),
                numbersPage,
                new LevelsPage("effects", effects, view -> effects.show(part().mix().effects())),
                new LevelsPage("whole mix", Controls.row(14, wholeBand, whole), this::showWhole)),
            context.pages(),
            () -> context.open().view().ifPresent(this::show));
    context.open().watchOpening(pages::startOver);
    this.actions = new PartActions(context, "levels-");
    build();
    context.play().watch(plumbs::redraw);
    context.play().watch(this::showSpeaker);
    showSpeaker();
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
    pages.show(view);
    copyTo.display(Receivers.of(parts, part), null);
    copyTo.setText("copy this strip to …");
  }

  @Override
  public List<Searched> searched() {
    return Searched.of(sheet, pages);
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(
        plumbs.keys(), band.keys(), choices.keys(), numbers.keys(), effects.keys(), whole.keys());
  }

  @Override
  public void follow(PlayPosition moment) {
    plumbs.sound(part -> context.play().gauges().peak(part.id()));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    HBox.setHgrow(band, Priority.ALWAYS);
    band.setMinHeight(130);
    band.setPrefHeight(170);
    HBox.setHgrow(wholeBand, Priority.ALWAYS);
    wholeBand.setMinHeight(120);
    wholeBand.setPrefHeight(150);
    wholeBand.setMinWidth(260);
    whole.setPrefWidth(430);
    choices.setMinWidth(0);
    choices.setPrefWidth(430);
    VBox.setVgrow(plumbs, Priority.ALWAYS);
    plumbs.setMinHeight(170);
    sheet
        .getChildren()
        .addAll(
            Controls.flow(
                Controls.title("Levels"),
                Controls.whole(Controls.label("hear", "small")),
                speakers,
                Controls.whole(
                    Controls.label(
                        "depth level · swing pan · cord width · ring room · dots delay · notch duck",
                        "small"))),
            plumbs,
            actions,
            Controls.flow(
                Controls.whole(name),
                Controls.whole(Controls.label("instrument")),
                instrument,
                Controls.action("try-sound", "play this part", this::tryIt),
                Controls.action("mute-part", "mute", () -> new Gestures().mute(part())),
                Controls.action("alone-part", "solo", () -> new Gestures().alone(part())),
                copyTo),
            pages);
  }

  private void chooseInstrument(String wanted) {
    int program = Instruments.program(wanted, part().program());
    context.apply(MixEdits.instrument(part().id(), wanted, program));
    tryIt();
  }

  private void showSpeaker() {
    speakers.show(List.of(Loudspeaker.values()), context.play().speaker());
  }

  private void showBand(SongView view) {
    Part part = part();
    choices.show(view.song(), part);
    Balance balance = view.heard().map(Listening::balance).orElse(Balance.NONE);
    band.show(part.mix(), balance.parts().getOrDefault(part.id(), List.of()));
  }

  private void showWhole(SongView view) {
    whole.show(view);
    Balance balance = view.heard().map(Listening::balance).orElse(Balance.NONE);
    wholeBand.showWhole(balance.mix(), StyleBand.of(view.style().sound().tilt()));
  }

  private void typeExactly(String id) {
    pages.turnTo(numbersPage);
    numbers.typeExactly(id.replaceFirst("front", "mix"));
  }

  private void copyTo(Receivers others) {
    context.apply(MixEdits.copyStrip(part().id(), others.parts()));
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
    context.play().touch(part, key, TRIED_VELOCITY);
  }

  private Part part() {
    return context.open().part();
  }

  private void mix(String what, UnaryOperator<Mix> change) {
    context.apply(MixEdits.mix(part().id(), what, change));
  }

  private final class Gestures implements MixSheet.Actions {
    @Override
    public void choose(int part) {
      context.open().select(context.open().song().parts().get(part));
    }

    @Override
    public void rename(Part part, String wanted) {
      context.apply(new PartEdits(part.id()).rename(wanted));
    }

    @Override
    public void reorder(Part part, int to) {
      context.apply(new PartEdits(part.id()).move(to));
    }

    @Override
    public void move(Map<Part, MixSheet.Place> places) {
      List<Edit> edits = new ArrayList<>();
      places.forEach(
          (part, to) ->
              edits.add(
                  MixEdits.mix(
                      part.id(),
                      "level and pan",
                      mix -> mix.withLevel(to.level()).withPan(to.pan()))));
      context.apply(
          edits.size() == 1
              ? edits.get(0)
              : Edit.together("Set level and pan of " + edits.size() + " parts", edits));
    }

    @Override
    public String heard(Part part) {
      String muted = context.play().muted(part.id().value()) ? "muted" : "";
      return context.play().alone(part.id().value()) ? "solo" : muted;
    }

    @Override
    public void mute(Part part) {
      context.play().toggleMute(part.id().value());
    }

    @Override
    public void alone(Part part) {
      context.play().toggleAlone(part.id().value());
    }
  }
}
