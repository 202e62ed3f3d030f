package westtide.desktop.drums;

import java.util.List;
import java.util.function.IntFunction;
import java.util.function.IntSupplier;
import java.util.function.ToIntFunction;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.rhythm.Hit;
import westtide.rhythm.Roll;
import westtide.rhythm.Velocity;
import westtide.rhythm.When;

/** Everything about the chosen hit as numbers: velocity, time, pitch, strokes, repeats, chance. */
final class HitPage implements Page<GrooveScene> {
  private static final List<Integer> ROLLS = List.of(1, 2, 3, 4, 6, 8);

  private final GrooveChoice choice;
  private final NumberField velocity =
      field("velocity", "velocity", 1, 127, Hit::velocity, v -> h -> h.withVelocity(v));
  private final OffsetField late =
      new OffsetField(
          "hit-late",
          () -> choice().scene().song().brief().tempo(),
          () -> now(Hit::nudge),
          v -> choice().change("Move a hit by " + v + " ticks", h -> h.withNudge(v)));
  private final NumberField pitch =
      field("pitch", "pitch, st", -24, 24, Hit::pitch, v -> h -> h.withPitch(v));
  private final NumberField flam =
      field("flam", "flam, ticks before", 0, 120, Hit::flam, v -> h -> h.withFlam(v));
  private final NumberField over =
      field(
          "over", "length, steps", 1, 16, h -> h.roll().steps(), v -> rolled(r -> r.withSteps(v)));
  private final NumberField swell =
      field(
          "swell",
          "velocity ramp, %",
          -90,
          90,
          h -> h.roll().ramp(),
          v -> rolled(r -> r.withRamp(v)));
  private final NumberField rise =
      field(
          "rise", "pitch ramp, st", -24, 24, h -> h.roll().rise(), v -> rolled(r -> r.withRise(v)));
  private final NumberField pass =
      field("pass", "on repeat", 1, 64, h -> h.when().on(), v -> counted(v, 0));
  private final NumberField every =
      field("every", "every", 1, 64, h -> h.when().every(), v -> counted(0, v));
  private final NumberField chance =
      field(
          "chance",
          "chance, %",
          1,
          100,
          h -> h.when().percent(),
          v -> h -> h.withWhen(h.when().withPercent(v)));
  private final Chips<Integer> strokes;
  private final Chooser<When.Turn> turn =
      new Chooser<>(
          "hit-turn",
          "on which repeats the hit plays",
          List.of(When.Turn.values()),
          this::takeTurn);
  private final VBox box;

  HitPage(GrooveChoice choice) {
    this.choice = choice;
    this.strokes =
        new Chips<>(
            "hit-strokes-",
            String::valueOf,
            n -> choice.change("Roll of " + n, h -> h.withStrokes(n)));
    strokes.getStyleClass().add("small-chips");
    this.box =
        new VBox(
            7,
            row(velocity, late.node(), pitch, flam),
            row(Controls.whole(Controls.label("roll", "small")), strokes, over, swell, rise),
            row(
                Controls.whole(Controls.label("condition", "small")),
                turn,
                pass,
                every,
                chance,
                Controls.action("hit-draw", "reseed", this::drawAnew)));
  }

  private static FlowPane row(Node... nodes) {
    FlowPane row = Controls.flow(nodes);
    row.setHgap(12);
    return row;
  }

  @Override
  public String title() {
    return "hit";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(GrooveScene scene) {
    box.setDisable(scene.hit().isEmpty());
    Hit hit = scene.hit().orElse(Hit.of(0, Velocity.HIT));
    velocity.show(String.valueOf(hit.velocity()));
    late.show(hit.nudge());
    pitch.show(String.valueOf(hit.pitch()));
    flam.show(String.valueOf(hit.flam()));
    strokes.show(ROLLS, hit.strokes());
    over.show(String.valueOf(hit.roll().steps()));
    swell.show(String.valueOf(hit.roll().ramp()));
    rise.show(String.valueOf(hit.roll().rise()));
    boolean roll = hit.strokes() > 1;
    List.of(over, swell, rise).forEach(field -> field.setDisable(!roll));
    When when = hit.when();
    turn.display(when.turn());
    pass.show(String.valueOf(when.on()));
    every.show(String.valueOf(when.every()));
    pass.setDisable(when.turn() != When.Turn.COUNTED);
    every.setDisable(when.turn() != When.Turn.COUNTED);
    chance.show(String.valueOf(when.percent()));
  }

  private NumberField field(
      String id,
      String name,
      int low,
      int high,
      ToIntFunction<Hit> value,
      IntFunction<UnaryOperator<Hit>> change) {
    IntSupplier now = () -> now(value);
    return NumberField.held(
            "hit-" + id,
            name,
            low,
            high,
            now,
            v -> choice.change("Set " + name + " of a hit to " + v, change.apply(v)))
        .inline();
  }

  /** For what is made before the page is. */
  private GrooveChoice choice() {
    return choice;
  }

  private int now(ToIntFunction<Hit> value) {
    return choice.scene().hit().map(value::applyAsInt).orElse(0);
  }

  private static UnaryOperator<Hit> rolled(UnaryOperator<Roll> change) {
    return hit -> hit.withRoll(change.apply(hit.roll()));
  }

  /** Passes by their count; 0 keeps what is there. */
  private static UnaryOperator<Hit> counted(int on, int every) {
    return hit -> {
      int of = every == 0 ? Math.max(hit.when().every(), on) : every;
      int at = on == 0 ? Math.min(hit.when().on(), of) : on;
      return hit.withWhen(hit.when().withPasses(When.on(at, of)));
    };
  }

  private void takeTurn(When.Turn taken) {
    choice.change(
        "Condition: " + taken, hit -> hit.withWhen(hit.when().withPasses(When.at(taken))));
  }

  private void drawAnew() {
    choice.change(
        "Reseed the chances", hit -> hit.withWhen(hit.when().withSeed(hit.when().seed() + 1)));
  }
}
