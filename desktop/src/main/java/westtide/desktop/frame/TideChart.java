package westtide.desktop.frame;

import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayDesk;
import westtide.desktop.play.PlayPosition;
import westtide.review.form.Energy;
import westtide.rhythm.BarLines;
import westtide.rhythm.Clock;
import westtide.song.form.Form;
import westtide.song.form.SectionKind;
import westtide.song.id.SectionId;
import westtide.style.FormHabit;

/**
 * The whole song at the lower edge: sections to scale on a bar ruler, energy bar by bar as a water
 * line, the style's usual energy as a thin dashed one, which is dragged to ask for another. A click
 * goes there and selects the bar and its section, a drag loops the bars it passes, a double click
 * opens the section in the form; the arrow keys select a section, with Shift a bar.
 */
public final class TideChart extends Drawing {
  private static final double EDGE = 22;

  /** Sections that are drawn narrower than this have no room for a letter. */
  private static final double NARROWEST_NAMED = 12;

  private static final double TOP = 22;
  private static final double FOOT = 22;
  private static final double LOWEST = 72;
  private static final double USUAL = 76;
  private static final double ROOMY = 800;
  private static final double SHALLOWEST = 28;

  /** Pixels above and below a target line in which it is taken hold of. */
  private static final double NEAR = 4;

  private final PlayDesk play;
  private final OpenSong open;
  private final Runnable openForm;
  private final EnergyPanel wishes;
  private Optional<SongView> view = Optional.empty();
  private int pressedBar;
  private boolean dragged;
  private Optional<Wish> wish = Optional.empty();
  private Optional<Wish> ghost = Optional.empty();

  /** An energy that is asked for, or would be reached, in a section. */
  private record Wish(SectionId section, int energy) {}

  /** A chart that plays from where it is clicked and selects what is there. */
  public TideChart(PlayDesk play, OpenSong open, Runnable openForm, EnergyPanel wishes) {
    super("Tide chart: the sections of the song and their energy", true);
    this.play = play;
    this.open = open;
    this.openForm = openForm;
    this.wishes = wishes;
    setId("tide-chart");
    getStyleClass().add("tide");
    setMinHeight(LOWEST);
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(this::release);
    setOnKeyPressed(this::key);
  }

  /** Takes its share of the height of a frame, within limits. */
  public void fitInto(Region frame) {
    prefHeightProperty()
        .bind(
            Bindings.createDoubleBinding(
                () -> fitted(frame.getHeight()), frame.heightProperty(), textScaleProperty()));
  }

  /** Large text leaves some water. */
  private double fitted(double frame) {
    double share = USUAL + (frame - ROOMY) / 6;
    return Math.max(Math.max(LOWEST, share), scaled(TOP + FOOT) + SHALLOWEST);
  }

  /** Shows the energy of every bar, with what is selected picked out. */
  public void show(SongView shown) {
    view = Optional.of(shown);
    redraw();
  }

  /** Shows where the song is in this frame. */
  public void follow(PlayPosition moment) {
    playAt(moment.tick());
  }

  @Override
  protected double playX(double tick) {
    return view.map(v -> bars(v).at(v.song().barLines().bars(tick))).orElse(0.0);
  }

  @Override
  protected double playFoot() {
    return foot() + 8;
  }

  private void press(MouseEvent event) {
    requestFocus();
    wish = onTarget(event.getX(), event.getY());
    if (wish.isPresent()) {
      dragged = true;
      return;
    }
    pressedBar = bar(event.getX());
    dragged = false;
    view.ifPresent(v -> open.selectBar(pressedBar));
    if (event.getClickCount() == 2) {
      openForm.run();
    }
  }

  /** The target line under a point. */
  private Optional<Wish> onTarget(double px, double py) {
    if (view.isEmpty()) {
      return Optional.empty();
    }
    SongView v = view.get();
    int section = v.song().form().sectionAt(bar(px));
    double line = energyAxis().at(target(v, section));
    return Math.abs(py - line) <= NEAR
        ? Optional.of(new Wish(v.song().form().id(section), target(v, section)))
        : Optional.empty();
  }

  private Axis energyAxis() {
    return new Axis(0, 100, foot(), scaled(TOP));
  }

  private void drag(MouseEvent event) {
    if (wish.isPresent()) {
      int energy = (int) Math.round(Math.max(0, Math.min(100, energyAxis().value(event.getY()))));
      wish = Optional.of(new Wish(wish.get().section(), energy));
      redraw();
      return;
    }
    int bar = bar(event.getX());
    if (view.isEmpty() || (!dragged && bar == pressedBar)) {
      return;
    }
    dragged = true;
    BarLines lines = view.get().song().barLines();
    int from = Math.min(pressedBar, bar);
    int to = Math.max(pressedBar, bar) + 1;
    play.loop(new PlayDesk.Range(lines.tick(from), lines.tick(to)));
  }

  private void release(MouseEvent event) {
    if (wish.isPresent()) {
      Wish asked = wish.get();
      wish = Optional.empty();
      int place = view.orElseThrow().song().form().place(asked.section()).orElse(0);
      if (asked.energy() != target(view.get(), place)) {
        wishes.propose(this, asked.section(), asked.energy());
      }
      redraw();
      return;
    }
    if (view.isPresent() && !dragged) {
      play.seek(view.get().song().barLines().tick(pressedBar));
    }
  }

  private int bar(double x) {
    return view.map(v -> Math.max(0, Math.min(v.song().form().bars() - 1, (int) bars(v).value(x))))
        .orElse(0);
  }

  /** Shows what a section would come to, until {@link #noGhost}. */
  void ghost(SectionId section, int energy) {
    ghost = Optional.of(new Wish(section, energy));
    redraw();
  }

  void noGhost() {
    ghost = Optional.empty();
    redraw();
  }

  /** Where a section begins, in pixels. */
  double sectionX(SectionId section) {
    return view.map(
            v -> bars(v).at(v.song().form().startBar(v.song().form().place(section).orElse(0))))
        .orElse(0.0);
  }

  /** Looks for a way to the energy the style wants in the selected section. */
  public void reachTarget() {
    view.ifPresent(
        v -> wishes.propose(this, v.song().form().id(open.section()), target(v, open.section())));
  }

  private void key(KeyEvent event) {
    int step = event.getCode() == KeyCode.LEFT ? -1 : event.getCode() == KeyCode.RIGHT ? 1 : 0;
    if (view.isEmpty() || (step == 0 && event.getCode() != KeyCode.ENTER)) {
      return;
    }
    event.consume();
    if (step == 0) {
      openForm.run();
      return;
    }
    Form form = view.get().song().form();
    if (event.isShiftDown()) {
      open.selectBar(Math.max(0, Math.min(form.bars() - 1, open.bar() + step)));
    } else {
      open.select(Math.max(0, Math.min(form.sections().size() - 1, open.section() + step)));
    }
  }

  private double foot() {
    return getHeight() - scaled(FOOT);
  }

  private Axis bars(SongView v) {
    return new Axis(0, v.song().form().bars(), EDGE, getWidth() - EDGE);
  }

  @Override
  protected void draw() {
    if (view.isEmpty()) {
      return;
    }
    SongView v = view.get();
    Form form = v.song().form();
    Axis x = bars(v);
    Axis y = new Axis(0, 100, foot(), scaled(TOP));
    drawSelected(form, x);
    drawWater(v.energy(), x, y);
    drawLoop(v, x, y.at(0));
    drawRuler(form, x, y.at(0));
    for (int i = 0; i < form.sections().size(); i++) {
      drawSection(v, i, x, y);
    }
    text(
        EDGE,
        getHeight() - 6,
        "energy, bar by bar; dashed: what "
            + v.style().name().toLowerCase()
            + " usually wants, drag it · click goes there, drag loops",
        "soft");
    String length = form.bars() + " bars · " + Clock.of(v.song().millis());
    named(textEnding(getWidth() - EDGE, getHeight() - 6, length, "soft"), "tide-length", length);
    ring(3, 3, getWidth() - 6, getHeight() - 6);
  }

  private void drawSelected(Form form, Axis x) {
    int section = open.section();
    double width = x.length(form.sections().get(section).bars());
    box(x.at(form.startBar(section)), 4, width, foot() - 4, "band", "pick");
    if (open.selection().bar().isPresent()) {
      int bar = open.bar();
      String words = "Chosen bar " + (bar + 1);
      named(box(x.at(bar), 4, x.length(1), 4, "chosen-bar"), "tide-bar", words);
    }
  }

  private void drawWater(Energy energy, Axis x, Axis y) {
    List<Double> bars = energy.bars();
    double[] surface = new double[4 * bars.size()];
    for (int bar = 0; bar < bars.size(); bar++) {
      double level = y.at(bars.get(bar));
      surface[4 * bar] = x.at(bar);
      surface[4 * bar + 1] = level;
      surface[4 * bar + 2] = x.at(bar + 1);
      surface[4 * bar + 3] = level;
    }
    double[] water = new double[surface.length + 4];
    water[0] = x.at(0);
    water[1] = y.at(0);
    System.arraycopy(surface, 0, water, 2, surface.length);
    water[water.length - 2] = x.at(bars.size());
    water[water.length - 1] = y.at(0);
    polygon(water, "energy");
    polyline(surface, "energy-line");
  }

  private void drawLoop(SongView v, Axis x, double y) {
    BarLines lines = v.song().barLines();
    play.loop()
        .ifPresent(
            loop -> {
              double from = x.at(lines.bars(loop.from()));
              double to = x.at(lines.bars(loop.to()));
              named(
                  box(from, y + 1, to - from, 6, "loop"),
                  "tide-loop",
                  "Loop, bars "
                      + (lines.bar(loop.from()) + 1)
                      + " to "
                      + (lines.bar(loop.to() - 1) + 1));
            });
  }

  private void drawRuler(Form form, Axis x, double y) {
    line(EDGE, y, getWidth() - EDGE, y, "rule", "bar");
    for (int bar = 0; bar <= form.bars(); bar += 4) {
      line(x.at(bar), y, x.at(bar), y + (bar % 8 == 0 ? 6 : 3), "rule", "bar");
    }
  }

  private void drawName(SongView v, int index, double left, double width) {
    Form form = v.song().form();
    Text name = text(left + 5, scaled(16), form.label(index), "section");
    named(
        name,
        "tide-section-" + index,
        form.label(index)
            + ", "
            + form.sections().get(index).length().words(v.song().brief().meter()));
    fit(name, width - 8);
    double after = left + 5 + name.getLayoutBounds().getWidth() + 9;
    Text bar = text(after, scaled(16), String.valueOf(form.startBar(index) + 1), "soft");
    if (after + bar.getLayoutBounds().getWidth() > left + width - 3) {
      remove(bar);
    }
  }

  private void drawSection(SongView v, int index, Axis x, Axis y) {
    Form form = v.song().form();
    double left = x.at(form.startBar(index));
    double width = x.length(form.sections().get(index).bars());
    line(left, 6, left, y.at(0), "rule", "bar");
    if (width >= NARROWEST_NAMED) {
      drawName(v, index, left, width);
    }
    int wanted =
        wish.filter(asked -> asked.section().equals(form.id(index)))
            .map(Wish::energy)
            .orElse(target(v, index));
    named(
        line(left, y.at(wanted), left + width, y.at(wanted), "energy-target"),
        "tide-target-" + index,
        form.label(index) + ": target energy " + wanted);
    if (wish.filter(asked -> asked.section().equals(form.id(index))).isPresent()) {
      text(left + 6, y.at(wanted) - 4, "energy " + wanted, "bold");
    }
    ghost
        .filter(would -> would.section().equals(form.id(index)))
        .ifPresent(
            would ->
                named(
                    line(left, y.at(would.energy()), left + width, y.at(would.energy()), "ghost"),
                    "tide-ghost",
                    form.label(index) + " would reach " + would.energy()));
  }

  private static int target(SongView v, int index) {
    FormHabit habit = v.style().form();
    SectionKind kind = v.song().form().sections().get(index).word().kind();
    if (v.song().form().last(SectionKind.HOOK).orElse(-1) == index) {
      return habit.lastHook();
    }
    return habit.energy().getOrDefault(kind, 50);
  }
}
