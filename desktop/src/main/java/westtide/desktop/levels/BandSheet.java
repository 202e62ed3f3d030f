package westtide.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.DoubleUnaryOperator;
import java.util.function.UnaryOperator;
import javafx.scene.Cursor;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.review.heard.StyleBand;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Mix;
import westtide.sound.loudness.ThirdOctaves;
import westtide.style.SoundHabit;

/**
 * The spectrum as water between two sluice gates: the low cut and the low-pass are dragged to the
 * side, three floats raise or lower a band. The whole mix is drawn over the band its style usually
 * fills.
 */
final class BandSheet extends Drawing implements SheetGestures.Sheet<BandSheet.Mark> {
  /** What can be moved. */
  enum Mark {
    LOW_CUT("low cut"),
    LOW("low band"),
    MID("middle band"),
    HIGH("high band"),
    LOW_PASS("low-pass");

    private final String title;

    Mark(String title) {
      this.title = title;
    }
  }

  private static final double LOWEST = 20;
  private static final double HIGHEST = 20_000;
  private static final double FOOT = 18;
  private static final double TOP = 16;
  private static final double DEEPEST_DB = 54;
  private static final double NEAR = 13;
  private static final double LOW_AT = 60;
  private static final double HIGH_AT = 11_000;
  private static final int[] RULES = {50, 100, 200, 500, 1000, 2000, 5000, 10_000};

  private final BiConsumer<String, UnaryOperator<Mix>> change;
  private final KeyTable keys;
  private Mix mix = Mix.PLAIN;
  private List<Double> part = List.of();
  private List<Double> whole = List.of();
  private StyleBand style = StyleBand.of(SoundHabit.Tilt.NONE);
  private boolean showsWhole;
  private Mark chosen = Mark.LOW_CUT;

  /** A sheet that changes the mix of the chosen part, saying what it sets. */
  BandSheet(String id, BiConsumer<String, UnaryOperator<Mix>> change) {
    super("Band: what of the part is let through", true);
    this.change = change;
    setId(id);
    this.keys =
        new KeyTable("Band")
            .key("mark before", () -> walk(-1), "LEFT")
            .key("next mark", () -> walk(1), "RIGHT")
            .key("raise the band", () -> raise(5), "UP")
            .key("lower the band", () -> raise(-5), "DOWN")
            .key("lower in pitch", () -> shift(-1), "Shift+LEFT")
            .key("higher in pitch", () -> shift(1), "Shift+RIGHT")
            .menu("as it was: open or flat", () -> true, this::reset, "DELETE", "BACK_SPACE");
    SheetGestures.on(this, this);
  }

  /** Shows a part's mix and its spectrum, where that is known. */
  void show(Mix shown, List<Double> ofPart) {
    mix = shown;
    part = ofPart;
    redraw();
  }

  /** Shows the whole mix, where it is known, over the band of its style. */
  void showWhole(List<Double> ofWhole, StyleBand usual) {
    showsWhole = true;
    whole = ofWhole;
    style = usual;
    redraw();
  }

  private Axis across() {
    return new Axis(octaves(LOWEST), octaves(HIGHEST), 8, getWidth() - 8);
  }

  private static double octaves(double hertz) {
    return Math.log(hertz) / Math.log(2);
  }

  private double x(double hertz) {
    return across().at(octaves(Math.max(LOWEST, Math.min(HIGHEST, hertz))));
  }

  private int hertz(double x) {
    return (int) Math.round(Math.pow(2, across().value(x)));
  }

  private double foot() {
    return getHeight() - FOOT;
  }

  private Axis gain() {
    double middle = (TOP + foot()) / 2;
    double reach = 0.42 * (foot() - TOP);
    return new Axis(-Equaliser.MOST, Equaliser.MOST, middle + reach, middle - reach);
  }

  private double markX(Mark mark) {
    return switch (mark) {
      case LOW_CUT -> x(mix.lowCut());
      case LOW_PASS -> x(mix.lowPass());
      case LOW -> x(LOW_AT);
      case MID -> x(mix.effects().equaliser().midHertz());
      case HIGH -> x(HIGH_AT);
    };
  }

  private double markY(Mark mark) {
    Equaliser bands = mix.effects().equaliser();
    return switch (mark) {
      case LOW_CUT, LOW_PASS -> TOP + 2;
      case LOW -> gain().at(bands.low());
      case MID -> gain().at(bands.mid());
      case HIGH -> gain().at(bands.high());
    };
  }

  @Override
  protected void draw() {
    if (getWidth() < 100 || getHeight() < 60) {
      return;
    }
    for (int rule : RULES) {
      line(x(rule), TOP, x(rule), foot(), "rule", "faint");
      String words = rule >= 1000 ? rule / 1000 + " k" : String.valueOf(rule);
      textCentred(x(rule), getHeight() - 4, 40, words, "soft");
    }
    if (showsWhole) {
      drawWhole();
    } else {
      drawPart();
    }
    line(8, foot(), getWidth() - 8, foot(), "rule");
  }

  private void drawWhole() {
    List<Double> edge = new ArrayList<>();
    for (int i = 0; i < ThirdOctaves.BANDS; i++) {
      edge.add(x(ThirdOctaves.hertz(i)));
      edge.add(height(style.high().get(i)));
    }
    for (int i = ThirdOctaves.BANDS - 1; i >= 0; i--) {
      edge.add(x(ThirdOctaves.hertz(i)));
      edge.add(height(style.low().get(i)));
    }
    polygon(edge.stream().mapToDouble(v -> v).toArray(), "band", "leave");
    text(14, TOP - 3, "sand: the band this style usually fills; line: this mix", "soft");
    if (whole.isEmpty()) {
      textCentred(getWidth() / 2, getHeight() / 2, 300, "listening to the song …", "soft");
      return;
    }
    List<Double> heard = StyleBand.against(whole);
    polyline(outline(heard, this::height), "plumb", "level-line");
  }

  /** The height of a level against the mean of all. */
  private double height(double level) {
    return new Axis(-34, 30, foot(), TOP).at(Math.max(-34, Math.min(30, level)));
  }

  private void drawPart() {
    if (part.isEmpty()) {
      textCentred(getWidth() / 2, getHeight() / 2, 300, "listening to the part …", "soft");
    } else {
      double top = part.stream().mapToDouble(v -> v).max().orElse(0);
      Axis y = new Axis(top - DEEPEST_DB, top + 3, foot(), TOP);
      double[] line = outline(part, v -> y.at(Math.max(top - DEEPEST_DB, v)));
      double[] water = new double[line.length + 4];
      System.arraycopy(line, 0, water, 0, line.length);
      water[line.length] = line[line.length - 2];
      water[line.length + 1] = foot();
      water[line.length + 2] = line[0];
      water[line.length + 3] = foot();
      polygon(water, "water-half");
    }
    line(8, gain().at(0), getWidth() - 8, gain().at(0), "rule", "faint");
    drawCurve();
    for (Mark mark : Mark.values()) {
      drawMark(mark);
    }
  }

  private double[] outline(List<Double> levels, DoubleUnaryOperator y) {
    double[] out = new double[2 * levels.size()];
    for (int i = 0; i < levels.size(); i++) {
      out[2 * i] = x(ThirdOctaves.hertz(i));
      out[2 * i + 1] = y.applyAsDouble(levels.get(i));
    }
    return out;
  }

  /** What the three bands do, as one line. */
  private void drawCurve() {
    Equaliser bands = mix.effects().equaliser();
    if (bands.flat()) {
      return;
    }
    List<Double> points = new ArrayList<>();
    for (double hertz = LOWEST; hertz <= HIGHEST; hertz *= 1.12) {
      double low = bands.low() / (1 + Math.pow(hertz / Equaliser.LOW_HERTZ, 2));
      double high = bands.high() / (1 + Math.pow(Equaliser.HIGH_HERTZ / hertz, 2));
      double apart = octaves(hertz / bands.midHertz()) / 0.75;
      points.add(x(hertz));
      points.add(gain().at(low + high + bands.mid() * Math.exp(-apart * apart)));
    }
    polyline(points.stream().mapToDouble(v -> v).toArray(), "plumb");
  }

  private void drawMark(Mark mark) {
    double x = markX(mark);
    double y = markY(mark);
    boolean gate = mark == Mark.LOW_CUT || mark == Mark.LOW_PASS;
    if (gate) {
      Line post = line(x, TOP, x, foot(), "gate-post");
      post.setStrokeWidth(4);
      if (mark == Mark.LOW_CUT) {
        text(x + 8, TOP + 10, words(mark), "soft");
      } else {
        textEnding(x - 8, TOP + 10, words(mark), "soft");
      }
    }
    Circle buoy = dot(x, y, gate ? 5 : 6, gate ? "pull-mark" : "bob");
    String id = "band-" + mark.name().toLowerCase(Locale.ROOT).replace('_', '-');
    thing(buoy, id, "mark", words(mark), mark == chosen);
    if (mark == chosen) {
      ring(x - 9, y - 9, 18, 18);
    }
  }

  private String words(Mark mark) {
    Equaliser bands = mix.effects().equaliser();
    return switch (mark) {
      case LOW_CUT -> mix.lowCut() == 0 ? "low cut off" : "low cut " + pitch(mix.lowCut());
      case LOW_PASS ->
          mix.lowPass() >= Mix.OPEN ? "low-pass open" : "low-pass " + pitch(mix.lowPass());
      case LOW -> mark.title + " " + decibels(bands.low());
      case MID -> mark.title + " " + decibels(bands.mid()) + " at " + pitch(bands.midHertz());
      case HIGH -> mark.title + " " + decibels(bands.high());
    };
  }

  private static String pitch(int hertz) {
    return hertz >= 1000 ? String.format(Locale.ROOT, "%.1f kHz", hertz / 1000.0) : hertz + " Hz";
  }

  private static String decibels(int tenths) {
    return String.format(Locale.ROOT, "%+.1f dB", tenths / 10.0).replace('-', '−');
  }

  @Override
  public Optional<Mark> at(double x, double y) {
    if (showsWhole) {
      return Optional.empty();
    }
    for (Mark mark : List.of(Mark.LOW, Mark.MID, Mark.HIGH)) {
      if (Math.hypot(x - markX(mark), y - markY(mark)) < NEAR) {
        return Optional.of(mark);
      }
    }
    for (Mark mark : List.of(Mark.LOW_CUT, Mark.LOW_PASS)) {
      if (Math.abs(x - markX(mark)) < NEAR - 4) {
        return Optional.of(mark);
      }
    }
    return Optional.empty();
  }

  @Override
  public Set<Mark> chosen() {
    return Set.of(chosen);
  }

  @Override
  public void choose(Set<Mark> marks) {
    marks.stream().findFirst().ifPresent(mark -> chosen = mark);
    redraw();
  }

  @Override
  public Cursor hover(double x, double y) {
    return at(x, y)
        .map(mark -> mark == Mark.LOW_CUT || mark == Mark.LOW_PASS ? Cursor.H_RESIZE : Cursor.MOVE)
        .orElse(Cursor.DEFAULT);
  }

  @Override
  public Optional<Pull> grab(Mark mark, double x, double y, boolean alt) {
    return Optional.of(
        (px, py) -> {
          move(mark, hertz(px), (int) (Math.round(gain().value(py) / 5) * 5));
          return words(mark);
        });
  }

  private void move(Mark mark, int hertz, int tenths) {
    int gain = Math.max(-Equaliser.MOST, Math.min(Equaliser.MOST, tenths));
    switch (mark) {
      case LOW_CUT -> {
        int cut = hertz <= LOWEST + 4 ? 0 : Math.min(Mix.HIGHEST_CUT, hertz);
        change.accept("low cut", now -> now.withLowCut(cut));
      }
      case LOW_PASS -> {
        int pass = hertz > 18_500 ? Mix.OPEN : Math.max(Mix.LOWEST_PASS, Math.min(Mix.OPEN, hertz));
        change.accept("low-pass", now -> now.withLowPass(pass));
      }
      case LOW -> equalise("low band", bands -> bands.withLow(gain));
      case MID -> {
        int middle = Math.max(200, Math.min(8000, hertz));
        equalise("middle band", bands -> bands.withMid(gain).withMidHertz(middle));
      }
      case HIGH -> equalise("high band", bands -> bands.withHigh(gain));
    }
  }

  private void equalise(String what, UnaryOperator<Equaliser> to) {
    change.accept(
        what,
        now -> now.withEffects(now.effects().withEqualiser(to.apply(now.effects().equaliser()))));
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  private void walk(int by) {
    int to = Math.max(0, Math.min(Mark.values().length - 1, chosen.ordinal() + by));
    choose(Set.of(Mark.values()[to]));
  }

  private int gainOf(Mark mark) {
    Equaliser bands = mix.effects().equaliser();
    return switch (mark) {
      case LOW -> bands.low();
      case MID -> bands.mid();
      case HIGH -> bands.high();
      case LOW_CUT, LOW_PASS -> 0;
    };
  }

  private int hertzOf(Mark mark) {
    return switch (mark) {
      case LOW_CUT -> Math.max((int) LOWEST, mix.lowCut());
      case LOW_PASS -> mix.lowPass();
      default -> mix.effects().equaliser().midHertz();
    };
  }

  private void raise(int tenths) {
    if (chosen == Mark.LOW_CUT || chosen == Mark.LOW_PASS) {
      shift(Integer.signum(tenths));
    } else {
      move(chosen, hertzOf(chosen), gainOf(chosen) + tenths);
    }
  }

  /** A sixth of an octave. */
  private void shift(int by) {
    int hertz = (int) Math.round(hertzOf(chosen) * Math.pow(2, by / 6.0));
    move(chosen, hertz, gainOf(chosen));
  }

  private void reset() {
    switch (chosen) {
      case LOW_CUT -> change.accept("low cut", now -> now.withLowCut(0));
      case LOW_PASS -> change.accept("low-pass", now -> now.withLowPass(Mix.OPEN));
      default -> move(chosen, hertzOf(chosen), 0);
    }
  }
}
