package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.random.RandomGenerator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Picker;
import westtide.desktop.kit.TypedLine;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.LaneShapes;
import westtide.rhythm.LaneText;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.Restart;
import westtide.song.id.PartId;
import westtide.song.pattern.NamedPattern;
import westtide.text.Reading;

/**
 * Ways with the chosen lane as a whole: turned, reversed, doubled, filled, spread and copied; its
 * grid, swing and accents; late, and varied from hit to hit.
 */
final class LanePage implements Page<GrooveScene> {
  private static final int MOST_EVERY = 64;
  private static final String SPREAD = "\\d{1,3}(/\\d{1,3})?";
  private static final String AS_SONG = "song swing";
  private static final String OWN_RHYTHM = "its own rhythm";
  private static final int ACCENTS = 7;
  private static final String STRAIGHT = "straight";
  private static final String OWN = "own swing";
  private static final String HERE = "set in this groove";
  private static final String EVERYWHERE = "set in all grooves";

  private final GrooveChoice choice;
  private final NumberField every =
      NumberField.whole("lane-every", "hits every", this::fill, by -> {}).inline();
  private final NumberField spread =
      new NumberField("lane-spread", "even spread, hits/steps", this::spread, by -> {}).inline();
  private final OffsetField late =
      new OffsetField(
          "lane-late",
          () -> choice().scene().song().brief().tempo(),
          () -> choice().scene().chosen().feel().nudge(),
          ticks -> feel("Set the lateness", feel -> feel.withNudge(ticks)));
  private final NumberField loose =
      feel("vary", "humanise velocity", 0, 40, LaneFeel::velocity, LaneFeel::withVelocity);
  private final NumberField wander =
      feel("wander", "humanise timing, ticks", 0, 60, LaneFeel::ticks, LaneFeel::withTicks);
  private final NumberField tight =
      NumberField.whole("lane-tight", "quantise, %", this::tighten, by -> {}).inline();
  private final Chooser<StepGrid> grid =
      new Chooser<>("lane-grid", "length of a step", List.of(StepGrid.values()), this::takeGrid);
  private final Chooser<String> swings =
      new Chooser<>(
          "lane-swings", "how the lane swings", List.of(AS_SONG, STRAIGHT, OWN), this::takeSwings);
  private final NumberField swing =
      NumberField.held("lane-swing", "%", 50, 75, this::swingNow, this::takeSwing).inline();
  private final Button random =
      Controls.explained(
          Controls.action("lane-random-accents", "random accents", this::randomAccents),
          "Loud, plain and soft accents from a new seed, over the length typed here");
  private final TypedLine accents = new TypedLine("lane-accents", "X.oxo", this::takeAccents);
  private final NumberField restart =
      NumberField.held(
              "lane-restart",
              "restart every, steps (0: with all)",
              0,
              4096,
              this::restartNow,
              this::takeRestart)
          .inline();
  private final Picker<String> copyBar =
      new Picker<>("lane-copy-bar", "copy this bar to", this::takeCopyBar);
  private final Picker<Target> copyTo =
      new Picker<>("lane-copy-to", "copy lane to", this::takeCopyTo);
  private final Chooser<String> rhythm =
      new Chooser<>("lane-rhythm-of", "where its rhythm comes from", List.of(), this::takeRhythm);
  private final Chooser<String> reach =
      new Chooser<>("lane-reach", "where the lane is set", List.of(HERE, EVERYWHERE), this::reach);
  private boolean everywhere;
  private final VBox box;

  LanePage(GrooveChoice choice) {
    this.choice = choice;
    every.show("–");
    spread.show("–");
    tight.show("–");
    accents.field().setPrefWidth(150);
    accents.field().getStyleClass().add("small-typed");
    this.box = new VBox(6, shapes(), grids(), feels());
  }

  /** For what is made before the page is. */
  private GrooveChoice choice() {
    return choice;
  }

  @Override
  public String title() {
    return "lane";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(GrooveScene scene) {
    DrumLane lane = scene.chosen();
    late.show(lane.feel().nudge());
    loose.show(String.valueOf(lane.feel().velocity()));
    wander.show(String.valueOf(lane.feel().ticks()));
    grid.display(lane.grid());
    swings.display(
        lane.swing().isEmpty() ? AS_SONG : lane.swing().get().straight() ? STRAIGHT : OWN);
    swing.show(lane.swing(scene.swing()).toString());
    swing.setDisable(!OWN.equals(swings.value()));
    accents.show(lane.accents().map(StepLane::toString).orElse(""));
    restart.show(String.valueOf(restartNow()));
    rhythm.display(rhythms(scene), rhythmNow(scene));
    rhythm.setDisable(lane.voice() == DrumVoice.KICK);
    List<String> others =
        scene.part().patterns().stream()
            .map(NamedPattern::name)
            .filter(name -> !name.equals(scene.pattern().name()))
            .toList();
    reach.setVisible(!others.isEmpty());
    reach.setManaged(reach.isVisible());
    everywhere &= !others.isEmpty();
    reach.display(everywhere ? EVERYWHERE : HERE);
    copyBar.offer(bars(scene));
    List<Target> targets = new ArrayList<>();
    scene.groove().lanes().stream()
        .map(DrumLane::id)
        .filter(id -> !id.equals(lane.id()))
        .forEach(id -> targets.add(new Target(Optional.of(id), scene.part().name(id))));
    others.forEach(groove -> targets.add(new Target(Optional.empty(), groove)));
    copyTo.offer(targets);
  }

  private static List<Part> pitched(GrooveScene scene) {
    return scene.song().parts().stream().filter(part -> part.role() != Role.DRUMS).toList();
  }

  private static List<String> rhythms(GrooveScene scene) {
    List<String> out = new ArrayList<>();
    out.add(OWN_RHYTHM);
    pitched(scene).forEach(part -> out.add("rhythm of " + part.name()));
    return out;
  }

  private static String rhythmNow(GrooveScene scene) {
    return scene
        .part()
        .rhythmOf(scene.chosen().id(), scene.pattern().name())
        .flatMap(scene.song()::part)
        .map(part -> "rhythm of " + part.name())
        .orElse(OWN_RHYTHM);
  }

  private void takeRhythm(String chosen) {
    GrooveScene scene = choice.scene();
    Optional<PartId> model =
        pitched(scene).stream()
            .filter(part -> chosen.equals("rhythm of " + part.name()))
            .map(Part::id)
            .findFirst();
    LaneId lane = scene.chosen().id();
    choice.apply(
        everywhere || !reach.isVisible()
            ? choice.edits().borrow(lane, model)
            : choice.edits().borrowHere(lane, model));
  }

  private static List<String> bars(GrooveScene scene) {
    List<String> out = new ArrayList<>();
    out.add("all bars");
    for (int bar = 1; bar <= scene.groove().bars(); bar++) {
      out.add("bar " + bar);
    }
    return out;
  }

  private FlowPane shapes() {
    return Controls.flow(
        Controls.action(
            "lane-earlier", "◂ rotate", () -> shape("Rotate", l -> LaneShapes.turned(l, -1))),
        Controls.action(
            "lane-later", "rotate ▸", () -> shape("Rotate", l -> LaneShapes.turned(l, 1))),
        Controls.action("lane-reverse", "reverse", () -> shape("Reverse", LaneShapes::reversed)),
        Controls.action("lane-double", "double", this::doubleLane),
        Controls.action("lane-halve", "halve", () -> shape("Halve", LaneShapes::halved)),
        every,
        spread,
        copyBar);
  }

  private FlowPane grids() {
    return Controls.flow(
        grid,
        swings,
        swing,
        restart,
        Controls.whole(Controls.label("  accents", "small")),
        accents,
        random,
        Controls.explained(rhythm, "The lane strikes whenever that part does, and follows it"),
        Controls.explained(
            reach,
            "Whether offset, humanising, swing, grid, accents, restart and rhythm of the lane are set"
                + " in the groove in front and what follows it, or in every groove of the part"),
        copyTo);
  }

  private FlowPane feels() {
    FlowPane row =
        Controls.flow(
            late.node(),
            tight,
            loose,
            wander,
            Controls.action(
                "lane-anew", "reseed", () -> feel("Reseed", f -> f.withSeed(f.seed() + 1))));
    row.setHgap(10);
    return row;
  }

  /** Reads one figure of a feel. */
  private interface Figure {
    int of(LaneFeel feel);
  }

  /** Changes one figure of a feel. */
  private interface Change {
    LaneFeel to(LaneFeel feel, int value);
  }

  private NumberField feel(
      String id, String name, int low, int high, Figure figure, Change change) {
    return NumberField.held(
            "lane-" + id,
            name,
            low,
            high,
            () -> figure.of(choice.scene().chosen().feel()),
            value -> feel("Set \"" + name + "\"", feel -> change.to(feel, value)))
        .inline();
  }

  private void feel(String name, UnaryOperator<LaneFeel> change) {
    String words = name + " of " + choice.id();
    choice.apply(
        everywhere
            ? choice.edits().feelEverywhere(words, choice.id(), change)
            : choice.edits().feel(words, choice.id(), change));
  }

  private void whole(String name, UnaryOperator<DrumLane> change) {
    String words = name + " of " + choice.id();
    choice.apply(
        everywhere
            ? choice.edits().everywhere(words, choice.id(), change)
            : choice.edits().whole(words, choice.id(), change));
  }

  private void reach(String chosen) {
    everywhere = chosen.equals(EVERYWHERE);
  }

  /**
   * Where a lane may be copied to.
   *
   * @param lane another lane of the groove; empty where it is a groove
   * @param name what it is called
   */
  private record Target(Optional<LaneId> lane, String name) {
    @Override
    public String toString() {
      return lane.isPresent() ? name : "groove " + name;
    }
  }

  private void shape(String name, UnaryOperator<StepLane> change) {
    String words = name + " the " + choice.id() + " lane";
    choice.apply(choice.edits().shape(words, choice.id(), change));
  }

  private void doubleLane() {
    shape("Double", l -> 2 * l.length() <= StepLane.LONGEST ? LaneShapes.doubled(l) : l);
  }

  private void fill(int steps) {
    if (steps < 1 || steps > MOST_EVERY) {
      throw new IllegalArgumentException("a hit every 1 to 64 steps, but was " + steps);
    }
    shape("Fill", l -> LaneShapes.every(steps, l.length()));
    every.show(String.valueOf(steps));
  }

  /** {@code 5} spreads hits over the lane as it is, {@code 5/16} makes it that long. */
  private void spread(String text) {
    if (!text.strip().matches(SPREAD)) {
      throw new IllegalArgumentException("type hits, or hits and steps, such as 5/16");
    }
    String[] numbers = text.strip().split("/");
    int hits = Integer.parseInt(numbers[0]);
    shape(
        "Spread hits over",
        l ->
            LaneShapes.spread(
                hits, numbers.length == 1 ? l.length() : Integer.parseInt(numbers[1])));
    spread.show("–");
  }

  private void tighten(int percent) {
    shape("Tighten", l -> LaneShapes.tightened(l, percent));
    tight.show("–");
  }

  private void takeGrid(StepGrid taken) {
    whole("Set the grid", lane -> lane.withGrid(taken));
  }

  private void takeSwings(String way) {
    Swing song = choice.scene().swing();
    Optional<Swing> taken =
        switch (way) {
          case STRAIGHT -> Optional.of(Swing.STRAIGHT);
          case OWN -> Optional.of(song.straight() ? Swing.of(58) : song.withHundredths(6200));
          default -> Optional.empty();
        };
    whole("Set the swing", lane -> lane.withSwing(taken));
  }

  private int restartNow() {
    return choice.scene().chosen().restart().map(Restart::steps).orElse(0);
  }

  /** A restart of its own; 0 to restart with all lanes. */
  private void takeRestart(int steps) {
    Optional<Restart> own = steps == 0 ? Optional.empty() : Optional.of(new Restart(steps));
    whole("Set the restart", lane -> lane.withRestart(own));
  }

  /** Loud, plain and soft ones from a seed, over a length of their own. */
  private void randomAccents() {
    int length = choice.scene().chosen().accents().map(StepLane::length).orElse(ACCENTS);
    RandomGenerator random = choice.nextSeed().random("accents");
    StringBuilder text = new StringBuilder();
    for (int step = 0; step < length; step++) {
      text.append("Xxxo".charAt(random.nextInt(4)));
    }
    whole("Random accents", lane -> lane.withAccents(Optional.of(StepLane.parse(text.toString()))));
  }

  private int swingNow() {
    return choice.scene().chosen().swing(choice.scene().swing()).hundredths() / 100;
  }

  private void takeSwing(int percent) {
    Swing taken = Swing.of(percent).on(choice.scene().swing().grid());
    whole("Set the swing", lane -> lane.withSwing(Optional.of(taken)));
  }

  private Optional<Reading.Problem<?>> takeAccents(String text) {
    if (text.isBlank()) {
      whole("Delete the accents", lane -> lane.withAccents(Optional.empty()));
      return Optional.empty();
    }
    Reading<StepLane> reading = LaneText.read(text);
    if (reading instanceof Reading.Problem<StepLane> problem) {
      return Optional.of(problem);
    }
    whole("Set the accents", lane -> lane.withAccents(Optional.of(reading.orElseThrow())));
    return Optional.empty();
  }

  private void takeCopyBar(String bar) {
    GrooveScene scene = choice.scene();
    int from = scene.tick() / scene.meter().ticksPerBar();
    int to = bars(choice.scene()).indexOf(bar) - 1;
    choice.apply(
        choice.edits().copyBar(choice.id(), from, to < 0 ? Optional.empty() : Optional.of(to)));
  }

  private void takeCopyToGroove(String groove) {
    choice.apply(choice.edits().copyToGroove(choice.id(), groove));
    choice
        .context()
        .messages()
        .done(choice.id() + " is in groove " + groove + " too, as it is here.");
  }

  private void takeCopyTo(Target to) {
    to.lane()
        .ifPresentOrElse(
            lane -> choice.apply(choice.edits().copyTo(choice.id(), lane)),
            () -> takeCopyToGroove(to.name()));
  }
}
