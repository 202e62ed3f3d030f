package westtide.desktop.found;

import java.util.Locale;
import java.util.Optional;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.found.FoundSound;

/**
 * How far the loop is from where it was recorded: a rule of semitones with the tempo each would
 * take it to when it is only played faster. The diamond is where it sounds now, and is pulled.
 */
final class FitSheet extends Drawing implements SheetGestures.Sheet<String> {
  /** Takes semitones it was pulled to. */
  interface Hand {
    void semitones(int wanted);
  }

  private static final int MOST = 12;
  private static final double EDGE = 26;
  private static final double NEAR = 14;

  private final Hand hand;
  private final KeyTable keys;
  private Optional<FoundScene> scene = Optional.empty();

  FitSheet(Hand hand) {
    super("How it fits", true);
    this.hand = hand;
    this.keys =
        new KeyTable("Fit of a loop")
            .key("a semitone lower", () -> nudge(-1), "LEFT")
            .key("a semitone higher", () -> nudge(1), "RIGHT");
    setId("fit-sheet");
    SheetGestures.on(this, this);
    keepHeight(78);
  }

  void show(FoundScene shown) {
    scene = Optional.of(shown);
    redraw();
  }

  private Axis axis() {
    return new Axis(-MOST, MOST, EDGE, getWidth() - EDGE);
  }

  private double y() {
    return scaled(38);
  }

  private double now() {
    return scene.map(s -> s.sound().semitones(s.tempo())).orElse(0.0);
  }

  @Override
  protected void draw() {
    scene.ifPresent(this::draw);
  }

  private void draw(FoundScene shown) {
    Axis x = axis();
    FoundSound sound = shown.sound();
    ring(1, 1, getWidth() - 2, getHeight() - 2);
    line(x.from(), y(), x.to(), y(), "rule", "bar");
    int every = x.at(2) - x.at(0) < scaled(48) ? 4 : 2;
    for (int at = -MOST; at <= MOST; at += every) {
      line(x.at(at), y() - 5, x.at(at), y() + 5, "rule", "bar");
      double bpm = sound.countedBpm() * Math.pow(2, at / 12.0);
      textCentred(x.at(at), y() - scaled(14), 90, String.format(Locale.ROOT, "%.1f", bpm), "soft");
      String signed = at == 0 ? "0 st" : String.format(Locale.ROOT, "%+d", at).replace('-', '−');
      textCentred(x.at(at), y() + scaled(22), 90, signed, "soft");
    }
    double place = x.at(Math.max(-MOST, Math.min(MOST, now())));
    double size = scaled(8);
    thing(
        polygon(
            new double[] {
              place - size, y(), place, y() - 1.6 * size, place + size, y(), place, y() + 1.6 * size
            },
            "diamond",
            "full"),
        "fit-mark",
        "number",
        String.format(Locale.ROOT, "%+.2f semitones", now()),
        true);
  }

  @Override
  public Optional<String> at(double x, double y) {
    double place = axis().at(Math.max(-MOST, Math.min(MOST, now())));
    return Math.abs(place - x) <= NEAR && Math.abs(y - y()) <= 1.5 * NEAR
        ? Optional.of("fit-mark")
        : Optional.empty();
  }

  @Override
  public Optional<Pull> grab(String mark, double x, double y, boolean alt) {
    Axis axis = axis();
    return Optional.of(
        (toX, toY) -> {
          int wanted = (int) Math.max(-MOST, Math.min(MOST, Math.round(axis.value(toX))));
          hand.semitones(wanted);
          return String.format(Locale.ROOT, "%+d semitones", wanted).replace('-', '−');
        });
  }

  private void nudge(int by) {
    hand.semitones((int) Math.max(-MOST, Math.min(MOST, Math.round(now()) + by)));
  }

  @Override
  public KeyTable keys() {
    return keys;
  }
}
