package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.Ticks;
import westtide.song.edit.form.FormEdits;
import westtide.song.mix.Curve;
import westtide.song.mix.CurveShape;

/** What of the selected part moves from the selected section on: drawn, shaped, or swinging. */
final class CurvePage implements Page<FormScene> {
  private static final int BAR = 4 * Ticks.PER_QUARTER;

  /** Note values of a movement to and fro. */
  private enum Swing {
    NONE("from point to point", 0),
    BARS_2("2 bars", 2 * BAR),
    BAR_1("1 bar", BAR),
    HALF("1/2", BAR / 2),
    QUARTER("1/4", BAR / 4),
    EIGHTH("1/8", BAR / 8),
    SIXTEENTH("1/16", BAR / 16);

    private final String title;
    private final int ticks;

    Swing(String title, int ticks) {
      this.title = title;
      this.ticks = ticks;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  private final RoomContext context;
  private final Chips<Curve.Kind> kinds =
      new Chips<Curve.Kind>("curve-kind-", Curve.Kind::toString, this::kind).wrapping();
  private final CurveSheet sheet = new CurveSheet(this::shape);
  private final NumberField from =
      NumberField.held("curve-from", "from bar", 1, Curve.MOST_BARS, this::fromBar, this::from)
          .inline();
  private final NumberField bars =
      NumberField.held("curve-bars", "bars", 0, Curve.MOST_BARS, this::barsNow, this::bars)
          .inline()
          .telling("How long; 0 to the end of the section; it may be longer than the section");
  private final NumberField start =
      NumberField.held("curve-start", "starts at", -600, 20_000, () -> end(0), v -> end(0, v))
          .inline();
  private final NumberField goal =
      NumberField.held("curve-end", "ends at", -600, 20_000, () -> end(-1), v -> end(-1, v))
          .inline();
  private final Chooser<CurveShape.Bend> bend =
      new Chooser<>(
          "curve-bend",
          "how it goes on from the chosen point",
          List.of(CurveShape.Bend.values()),
          this::bend);
  private final Chooser<Swing> swing =
      new Chooser<>(
          "curve-swing", "whether it swings at a note value", List.of(Swing.values()), this::swing);
  private final VBox box = new VBox(6);
  private final Node details;
  private FormScene scene;
  private Curve.Kind kind = Curve.Kind.LEVEL;

  CurvePage(RoomContext context) {
    this.context = context;
    kinds.getStyleClass().add("small-chips");
    HBox.setHgrow(sheet, Priority.ALWAYS);
    details =
        Controls.flow(
            from,
            bars,
            start,
            goal,
            bend,
            swing,
            Controls.action("curve-remove", "delete curve", this::remove));
    box.getChildren()
        .addAll(
            sheet,
            Controls.flow(
                Controls.explained(
                    Controls.action("curve-add", "add curve", this::add),
                    "Lets it move from here to the end of the section; then pull its points"),
                details),
            kinds);
  }

  @Override
  public String title() {
    return "curves";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(FormScene shown) {
    boolean other =
        scene == null
            || !scene.id().equals(shown.id())
            || !scene.part().id().equals(shown.part().id());
    scene = shown;
    List<Curve> all = curves();
    if (other && !all.isEmpty() && now().isEmpty()) {
      kind = all.get(0).kind();
    }
    kinds.showMany(
        List.of(Curve.Kind.values()),
        java.util.stream.Stream.concat(
                all.stream().map(Curve::kind), java.util.stream.Stream.of(kind))
            .distinct()
            .toList());
    details.setVisible(now().isPresent());
    sheet.show(now());
    if (now().isPresent()) {
      from.show(String.valueOf(fromBar()));
      bars.show(String.valueOf(barsNow()));
      start.show(String.valueOf(end(0)));
      goal.show(String.valueOf(end(-1)));
      Curve curve = now().get();
      boolean cycle = curve.shape() instanceof CurveShape.Cycle;
      bend.setDisable(cycle);
      swing.display(swingOf(curve));
      if (curve.shape() instanceof CurveShape.Points points) {
        bend.display(points.points().get(chosen(points)).bend());
      }
    }
  }

  private int chosen(CurveShape.Points points) {
    return Math.max(0, Math.min(sheet.point(), points.points().size() - 2));
  }

  private static Swing swingOf(Curve curve) {
    if (curve.shape() instanceof CurveShape.Cycle cycle) {
      for (Swing one : Swing.values()) {
        if (one.ticks == cycle.ticks()) {
          return one;
        }
      }
    }
    return Swing.NONE;
  }

  private List<Curve> curves() {
    return scene.section().curves().getOrDefault(scene.part().id(), List.of());
  }

  private Optional<Curve> now() {
    return curves().stream().filter(curve -> curve.kind() == kind).findFirst();
  }

  private void kind(Curve.Kind wanted) {
    kind = wanted;
    show(scene);
  }

  /** Something that can be heard at once, from the selected bar to the end of the section. */
  private void add() {
    if (now().isPresent()) {
      context
          .messages()
          .done("The " + kind + " of " + scene.part().name() + " moves here already.");
      return;
    }
    int bar = Math.min(scene.tank().fromBar(), scene.section().bars() - 1);
    List<Curve> next = new ArrayList<>(curves());
    next.add(new Curve(kind, bar, 0, usual(kind)));
    context.apply(FormEdits.curves(scene.id(), scene.part().id(), next));
  }

  private static CurveShape usual(Curve.Kind kind) {
    return switch (kind) {
      case LEVEL -> CurveShape.straight(-120, 0);
      case PAN -> new CurveShape.Cycle(-60, 60, BAR / 4, CurveShape.Wave.STEPS);
      case LOW_PASS -> CurveShape.straight(400, 20_000);
      case HIGH_PASS -> CurveShape.straight(10, 600);
      case ROOM, DELAY -> CurveShape.straight(0, 60);
      case WIDTH -> new CurveShape.Cycle(0, 80, BAR, CurveShape.Wave.SINE);
      case GATE, WOBBLE -> CurveShape.straight(100, 100);
      case GATE_RATE, WOBBLE_RATE ->
          new CurveShape.Points(
              List.of(
                  new CurveShape.Point(0, 2, CurveShape.Bend.HELD),
                  new CurveShape.Point(500, 4, CurveShape.Bend.HELD),
                  new CurveShape.Point(1000, 4, CurveShape.Bend.HELD)));
    };
  }

  private void change(UnaryOperator<Curve> to) {
    List<Curve> next =
        curves().stream().map(curve -> curve.kind() == kind ? to.apply(curve) : curve).toList();
    context.apply(FormEdits.curves(scene.id(), scene.part().id(), next));
  }

  private void shape(CurveShape changed) {
    change(curve -> curve.withShape(changed));
  }

  private void remove() {
    context.apply(
        FormEdits.curves(
            scene.id(),
            scene.part().id(),
            curves().stream().filter(curve -> curve.kind() != kind).toList()));
  }

  private int fromBar() {
    return now().map(curve -> curve.fromBar() + 1).orElse(1);
  }

  private void from(int bar) {
    change(curve -> curve.over(bar - 1, curve.bars()));
  }

  private int barsNow() {
    return now().map(Curve::bars).orElse(0);
  }

  private void bars(int wanted) {
    change(curve -> curve.over(curve.fromBar(), wanted));
  }

  /** The value at an end: 0 the first, −1 the last; of a cycle its low and high end. */
  private int end(int which) {
    return now()
        .map(
            curve -> {
              List<Integer> values = curve.shape().values();
              return values.get(which == 0 ? 0 : values.size() - 1);
            })
        .orElse(0);
  }

  private void end(int which, int value) {
    if (value < kind.low() || value > kind.high()) {
      throw new IllegalArgumentException(
          "a "
              + kind
              + " is "
              + kind.low()
              + " to "
              + kind.high()
              + " "
              + kind.unit()
              + ", but was "
              + value);
    }
    change(
        curve -> {
          if (curve.shape() instanceof CurveShape.Cycle cycle) {
            return curve.withShape(
                which == 0
                    ? new CurveShape.Cycle(value, cycle.high(), cycle.ticks(), cycle.wave())
                    : new CurveShape.Cycle(cycle.low(), value, cycle.ticks(), cycle.wave()));
          }
          CurveShape.Points points = (CurveShape.Points) curve.shape();
          CurveShape.Point old = points.points().get(which == 0 ? 0 : points.points().size() - 1);
          return curve.withShape(points.with(new CurveShape.Point(old.at(), value, old.bend())));
        });
  }

  private void bend(CurveShape.Bend wanted) {
    change(
        curve -> {
          CurveShape.Points points = (CurveShape.Points) curve.shape();
          CurveShape.Point old = points.points().get(chosen(points));
          return curve.withShape(points.with(new CurveShape.Point(old.at(), old.value(), wanted)));
        });
  }

  /** Lets it go to and fro at a note value between its ends, or from one to the other once. */
  private void swing(Swing wanted) {
    change(
        curve -> {
          int low = curve.shape().values().get(0);
          int high = curve.shape().values().get(curve.shape().values().size() - 1);
          CurveShape.Wave wave =
              kind == Curve.Kind.PAN ? CurveShape.Wave.STEPS : CurveShape.Wave.SINE;
          return curve.withShape(
              wanted == Swing.NONE
                  ? CurveShape.straight(low, high)
                  : new CurveShape.Cycle(low, high, wanted.ticks, wave));
        });
  }
}
