package westtide.desktop.drums;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Point2D;
import javafx.scene.shape.Circle;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.desktop.open.NotePlace;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.rhythm.When;
import westtide.score.drum.GrooveLayout;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlacedHit;

/**
 * A groove as bead lines: a lane is a line, a hit a bead whose size is its velocity, whose distance
 * from the grid is its real timing and whose height over the line is its pitch. A split bead is a
 * roll, a hollow one does not always play, a ringed one differs from the groove it grew from, a
 * knot marks where a lane of its own length starts again.
 */
final class HitSheet extends Drawing {
  static final double LEFT = 116;
  private static final double RIGHT = 20;
  private static final double GONE = 3.5;

  private final GrooveChoice choice;
  private final KeyTable keys;
  private final Set<NotePlace> ringed = new HashSet<>();
  private GrooveScene scene;
  private int close = -1;
  private int bars;
  private int firstBar;

  /** Bead lines of what is chosen; {@code zoom} is asked to look closer, or less close. */
  HitSheet(GrooveChoice choice, Consumer<Boolean> zoom) {
    super("Bead lines of the groove", true);
    this.choice = choice;
    setId("bead-sheet");
    this.keys = new BeadKeys(this, choice).table();
    SheetGestures.on(this, new BeadMarks(this, choice, keys, zoom));
  }

  /** What can be done here and by which keys. */
  KeyTable keys() {
    return keys;
  }

  void show(GrooveScene shown) {
    scene = shown;
    int all = scene.groove().bars();
    int seen = bars == 0 ? all : Math.min(bars, all);
    int bar = scene.tick() / scene.meter().ticksPerBar();
    firstBar = bars == 0 ? 0 : Math.min(bar / seen * seen, all - seen);
    close = Math.min(close, scene.groove().lanes().size() - 1);
    setMinHeight(BeadScale.TOP + BeadScale.FOOT + BeadScale.LEAST * scene.groove().lanes().size());
    redraw();
  }

  /** Shows nothing: the song has no drums. */
  void showNothing() {
    scene = null;
    redraw();
  }

  /** Shows so many bars at once, those around the chosen step; 0 for all. */
  void look(int shownBars) {
    bars = shownBars;
    if (scene != null) {
      show(scene);
    }
  }

  /** Where the chosen step sounds. */
  Point2D chosenPlace() {
    BeadScale scale = scale();
    return new Point2D(scale.x(scene.lane(), scene.column()), scale.y(scene.lane()));
  }

  /** Looks closely at the chosen lane, or no longer. */
  void closer() {
    close = close == scene.lane() ? -1 : scene.lane();
    redraw();
  }

  BeadScale scale() {
    int bar = scene.meter().ticksPerBar();
    int seen = bars == 0 ? scene.groove().bars() : Math.min(bars, scene.groove().bars());
    double from = firstBar * (double) bar;
    Axis time = new Axis(from, from + seen * (double) bar, LEFT, getWidth() - RIGHT);
    return new BeadScale(scene, close, time, getHeight());
  }

  @Override
  protected double playX(double tick) {
    double x = scale().time().at(tick);
    return x < LEFT - 2 || x > getWidth() ? -4 : x;
  }

  @Override
  protected double playFoot() {
    return scene == null ? getHeight() : scale().bottom();
  }

  @Override
  protected void draw() {
    if (scene == null) {
      return;
    }
    BeadScale scale = scale();
    ringed.clear();
    choice
        .chosenHits()
        .forEach((id, hits) -> hits.forEach(hit -> ringed.add(NotePlace.of(id, hit.step()))));
    drawGrid(scale);
    for (int i = 0; i < scene.groove().lanes().size(); i++) {
      drawLane(i, scale);
    }
    drawRestarts(scale);
    drawPulls(scale);
    double half = Math.min(15, scale.time().length(scene.chosen().grid().ticks()) / 2);
    double at = scale.x(scene.lane(), scene.column());
    double tall = Math.min(30, scale.tall(scene.lane()) - 2);
    ring(at - half, scale.y(scene.lane()) - tall / 2, 2 * half, tall);
  }

  private boolean inView(BeadScale scale, double tick) {
    return tick >= scale.time().low() && tick < scale.time().high();
  }

  private void drawGrid(BeadScale scale) {
    int lane = scene.lane();
    Meter meter = scene.meter();
    box(0, scale.top(lane) + 2, getWidth(), scale.tall(lane) - 4, "band", "pick");
    int grid = scene.chosen().grid().triplet() ? scene.chosen().grid().ticks() : 240;
    for (int tick = (int) scale.time().low(); tick <= scale.time().high(); tick += grid) {
      double x = scale.time().at(tick);
      boolean bar = tick % meter.ticksPerBar() == 0;
      boolean beat = tick % meter.ticksPerBeat() == 0;
      line(x, BeadScale.TOP - 6, x, scale.bottom(), "rule", bar ? "bar" : beat ? "beat" : "faint");
      boolean room = scale.time().length(meter.ticksPerBeat()) > 28;
      if ((room ? beat : bar) && tick < scale.time().high()) {
        Position at = scene.position(tick);
        text(x + 3, BeadScale.TOP - 9, at.bar() + "." + at.beat(), "soft");
      }
    }
  }

  private void drawLane(int index, BeadScale scale) {
    DrumLane lane = scene.groove().lanes().get(index);
    double y = scale.y(index);
    boolean roomy = scale.tall(index) >= 36;
    String words = scene.part().name(lane.id()) + (roomy ? "" : soundMark(lane.id()));
    fit(text(8, y + (roomy ? 2 : 4), words, index == scene.lane() ? "bold" : "plain"), 104);
    if (roomy) {
      fit(text(8, y + 16, LaneSummary.facts(lane, scene) + soundMark(lane.id()), "soft"), 104);
    }
    line(LEFT, y, getWidth() - RIGHT, y, "rule", "lane");
    if (scene.borrows(lane)) {
      drawBorrowed(index, lane, scale);
    } else {
      Set<Integer> silent = choked(index);
      for (PlacedHit laid : laidOut().hits(lane)) {
        if (inView(scale, laid.tick())) {
          drawHit(index, laid, silent.contains(laid.tick()), scale);
        }
      }
    }
    drawKnots(lane, scale, y);
    drawSwing(lane, scale, y);
    drawMissing(lane, scale, y);
  }

  /** The strokes of a lane that plays the rhythm of another part: they are not changed here. */
  private void drawBorrowed(int index, DrumLane lane, BeadScale scale) {
    for (Hit hit : scene.heard(lane).hits()) {
      long tick = (long) hit.step() * lane.grid().ticks();
      if (inView(scale, tick)) {
        double x = scale.time().at(lane.swing(scene.swing()).at(tick));
        Circle bead = dot(x, scale.y(index), scale.radius(index, hit.velocity()), "bead", "some");
        String id = "borrowed-" + lane.id().slug() + "-" + (hit.step() + 1);
        named(bead, id, lane.id() + " at " + scene.position(tick) + ", in a borrowed rhythm");
        sounds(bead, tick, tick + 120);
      }
    }
  }

  private String soundMark(LaneId id) {
    String name = choice.audible(id);
    String muted = choice.context().play().muted(name) ? " · muted" : "";
    return choice.context().play().alone(name) ? " · solo" : muted;
  }

  private GrooveLayout laidOut() {
    return GrooveLayout.of(scene.groove(), scene.part(), scene.meter());
  }

  /** Ticks at which another lane of its choke group silences a lane on every pass. */
  Set<Integer> choked(int index) {
    return laidOut().silent(index);
  }

  private int restart() {
    return scene.groove().restart().ticks(scene.ticks());
  }

  /** A knot marks where a lane of its own length starts again. */
  private void drawKnots(DrumLane lane, BeadScale scale, double y) {
    int restart = scene.groove().restartTicks(lane, scene.meter());
    for (int start = 0; start < scene.ticks(); start += Math.min(restart, scene.ticks())) {
      int end = Math.min(scene.ticks(), start + Math.min(restart, scene.ticks()));
      for (int tick = start + lane.ticks(); tick < end; tick += lane.ticks()) {
        if (inView(scale, tick)) {
          double at = scale.time().at(tick);
          line(at - 3, y - 8, at + 3, y + 8, "rule", "bar");
          line(at + 3, y - 8, at - 3, y + 8, "rule", "bar");
        }
      }
    }
  }

  /** Where the off-steps of a lane that swings by itself fall, as ticks on its line. */
  private void drawSwing(DrumLane lane, BeadScale scale, double y) {
    if (lane.swing().isEmpty()) {
      return;
    }
    int grid = lane.grid().ticks();
    for (int tick = grid; tick < scene.ticks(); tick += 2 * grid) {
      long swung = lane.swing(scene.swing()).at(tick);
      if (inView(scale, swung)) {
        double at = scale.time().at(swung);
        line(at, y - 4, at, y + 4, "rule", "own-swing");
      }
    }
    String words = "own swing " + lane.swing().orElseThrow() + " %";
    named(textEnding(getWidth() - RIGHT, y - 5, words, "soft"), "swing-" + lane.id().slug(), words);
  }

  private void drawRestarts(BeadScale scale) {
    int restart = restart();
    for (long tick = restart; tick < scene.ticks() && restart > 0; tick += restart) {
      if (inView(scale, tick)) {
        double x = scale.time().at(tick);
        named(
            line(x, BeadScale.TOP - 4, x, scale.bottom(), "restart"),
            "restart-" + tick / 240,
            "all lanes restart");
      }
    }
  }

  /** Below the lanes, arcs from kick and backbeat to the stronger places they lean on. */
  private void drawPulls(BeadScale scale) {
    text(8, scale.bottom() + 15, "syncopation", "soft");
    for (PullMark mark : PullMark.of(scale)) {
      named(add(mark.arc(), "pull"), mark.id(), mark.words());
      dot(mark.right(), mark.y(), 2, "pull-end");
    }
  }

  /** Steps on which the groove it grew from plays and this one rests. */
  private void drawMissing(DrumLane lane, BeadScale scale, double y) {
    Optional<DrumLane> old = scene.parent().flatMap(parent -> parent.find(lane.id()));
    if (old.isEmpty() || old.get().ticks() != lane.ticks()) {
      return;
    }
    for (Hit hit : old.get().lane().hits()) {
      long tick = (long) hit.step() * lane.grid().ticks();
      if (lane.lane().at(hit.step()).isEmpty() && inView(scale, tick)) {
        double x = scale.time().at(lane.swing(scene.swing()).at(tick));
        String id = "gone-" + lane.id().slug() + "-" + hit.step();
        named(
            dot(x, y, GONE, "gone"), id, lane.id() + " plays here in the groove this one follows");
      }
    }
  }

  private void drawHit(int index, PlacedHit laid, boolean choked, BeadScale scale) {
    DrumLane lane = scene.groove().lanes().get(index);
    Hit hit = laid.hit();
    int grid = lane.grid().ticks();
    long late = (long) laid.tick() + lane.late(laid.step());
    boolean some = !hit.when().equals(When.ALWAYS);
    boolean silent = choked || lane.silences(laid);
    String look = silent ? "choked" : some ? "some" : "sounding";
    double y = scale.y(index);
    if (hit.flam() > 0) {
      double early = x(lane, late + hit.offset(0, grid) - hit.flam(), scale);
      double radius = scale.radius(index, hit.flamVelocity()) * 0.7;
      dot(early, y - scale.lift(index, hit.pitch(0)), radius, "bead", look);
    }
    for (int stroke = hit.strokes() - 1; stroke >= 0; stroke--) {
      long tick = lane.swing(scene.swing()).at(late + hit.offset(stroke, grid));
      int velocity = silent ? hit.velocity(stroke) : lane.velocity(laid, stroke);
      double radius = scale.radius(index, velocity) * (hit.strokes() > 1 ? 0.55 : 1);
      double at = y - scale.lift(index, hit.pitch(stroke));
      Circle bead = dot(scale.time().at(tick), at, radius, "bead", look);
      if (!silent) {
        sounds(bead, tick, tick + 120);
      }
      if (stroke == 0) {
        drawMarks(index, laid, bead, scale);
      }
    }
  }

  private static double x(DrumLane lane, long tick, BeadScale scale) {
    return scale.time().at(lane.swing(scale.scene().swing()).at(tick));
  }

  /** What stands beside a bead: its name, its condition, its ring; its figures when looked at. */
  private void drawMarks(int index, PlacedHit laid, Circle bead, BeadScale scale) {
    DrumLane lane = scene.groove().lanes().get(index);
    Hit hit = laid.hit();
    double right = bead.getCenterX() + bead.getRadius() + 1;
    boolean some = !hit.when().equals(When.ALWAYS);
    if (some) {
      text(right, bead.getCenterY() - 6, HitDescription.mark(hit.when()), "soft");
    }
    boolean isChosen = ringed.contains(NotePlace.of(lane.id(), hit.step()));
    if (isChosen) {
      double r = bead.getRadius() + 4;
      chosenRing(bead.getCenterX() - r, bead.getCenterY() - r, 2 * r, 2 * r);
    }
    if (differs(lane, laid)) {
      dot(bead.getCenterX(), bead.getCenterY(), bead.getRadius() + 3, "differs");
    }
    if (index == close && scale.time().length(lane.grid().ticks()) > 14) {
      String pitch =
          hit.pitch() == 0 ? "" : hit.pitch() > 0 ? " +" + hit.pitch() : " " + hit.pitch();
      text(
          bead.getCenterX() - 8,
          scale.top(index) + scale.tall(index) - 6,
          hit.velocity() + pitch,
          "soft");
    }
    String words =
        scene.part().name(lane.id())
            + " at "
            + scene.position(laid.tick())
            + ", velocity "
            + hit.velocity()
            + (some ? ", " + HitDescription.when(hit.when()) : "");
    String id = "bead-" + lane.id().slug() + "-" + (laid.tick() / lane.grid().ticks() + 1);
    thing(bead, id, "hit", words, isChosen);
  }

  private boolean differs(DrumLane lane, PlacedHit laid) {
    return scene
        .parent()
        .map(
            parent ->
                parent
                    .find(lane.id())
                    .filter(old -> old.ticks() == lane.ticks())
                    .map(old -> !old.lane().at(laid.hit().step()).equals(Optional.of(laid.hit())))
                    .orElse(true))
        .orElse(false);
  }
}
