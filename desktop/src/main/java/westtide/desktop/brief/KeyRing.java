package westtide.desktop.brief;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.shape.Polygon;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.Brief;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.Pitch;
import westtide.theory.Tonics;

/**
 * The twelve notes by fifths, home at the top and what is in the key filled. The ring is turned:
 * what comes to the top is the new home. Arrows turn it by a fifth.
 */
final class KeyRing extends Drawing implements SheetGestures.Sheet<Integer> {
  private static final int NOTES = 12;
  private static final int FIFTH = 7;
  private static final int ARC = 8;
  private static final double INNER = 0.64;
  private static final double LABEL = 0.82;
  private static final int LOWEST = 24;

  private final Consumer<NoteName> take;
  private final KeyTable keys;
  private Optional<Brief> brief = Optional.empty();
  private double turned;

  /** A ring; {@code take} takes the new home note. */
  KeyRing(Consumer<NoteName> take) {
    super("Key: a ring of fifths", true);
    this.take = take;
    this.keys =
        new KeyTable("Key ring")
            .key("home a fifth lower", () -> turnBy(-1), "LEFT")
            .key("home a fifth higher", () -> turnBy(1), "RIGHT");
    setId("key-ring");
    setMinSize(200, 200);
    setPrefSize(290, 290);
    SheetGestures.on(this, this);
  }

  void show(Brief shown) {
    brief = Optional.of(shown);
    redraw();
  }

  /** The pitch class at a place of the ring, counted by fifths from the top. */
  private int pitchClass(Key key, int place) {
    return Math.floorMod(key.tonic().pitchClass() + FIFTH * place, NOTES);
  }

  @Override
  protected void draw() {
    brief.ifPresent(this::draw);
  }

  private void draw(Brief shown) {
    Key key = shown.key();
    if (isFocused()) {
      dot(middleX(), middleY(), radius() + 4, "focus-ring");
    }
    int top = Math.floorMod(Math.round(turned), NOTES);
    for (int place = 0; place < NOTES; place++) {
      int note = pitchClass(key, place);
      boolean home = place == top;
      String how = home ? "home" : key.contains(note) ? "in" : "out";
      NoteName name = Tonics.of(key, note);
      thing(wedge(place - turned, how), "ring-" + place, "key", name + " as home", home);
      double angle = angle(place - turned);
      textCentred(
          middleX() + LABEL * radius() * Math.cos(angle),
          middleY() + LABEL * radius() * Math.sin(angle) + scaled(5),
          200,
          name.toString(),
          home ? "on-deep" : "plain");
    }
    drawMiddle(shown, new Key(Tonics.of(key, pitchClass(key, top)), key.scale()));
  }

  private void drawMiddle(Brief shown, Key key) {
    textCentred(middleX(), middleY() - scaled(10), 200, key.toString(), "figure");
    double hertz = Pitch.hertz(LOWEST + key.tonic().pitchClass());
    String root = String.format(Locale.ROOT, "root %.1f Hz", hertz);
    textCentred(middleX(), middleY() + scaled(12), 200, root, "soft");
    String tuned = shown.cents() == 0 ? "in concert pitch" : shown.cents() + " cents";
    textCentred(middleX(), middleY() + scaled(31), 200, tuned.replace('-', '−'), "soft");
  }

  private Polygon wedge(double place, String how) {
    double[] points = new double[4 * (ARC + 1)];
    for (int i = 0; i <= ARC; i++) {
      double angle = angle(place - 0.5 + i / (double) ARC);
      put(points, i, radius(), angle);
      put(points, 2 * ARC + 1 - i, INNER * radius(), angle);
    }
    return polygon(points, "ring", how);
  }

  private void put(double[] points, int index, double radius, double angle) {
    points[2 * index] = middleX() + radius * Math.cos(angle);
    points[2 * index + 1] = middleY() + radius * Math.sin(angle);
  }

  private static double angle(double place) {
    return 2 * Math.PI * place / NOTES - Math.PI / 2;
  }

  private double middleX() {
    return getWidth() / 2;
  }

  private double middleY() {
    return getHeight() / 2;
  }

  private double radius() {
    return Math.min(getWidth(), getHeight()) / 2 - 6;
  }

  private double place(double x, double y) {
    return (Math.atan2(y - middleY(), x - middleX()) + Math.PI / 2) * NOTES / (2 * Math.PI);
  }

  @Override
  public Optional<Integer> at(double x, double y) {
    double far = Math.hypot(x - middleX(), y - middleY());
    return far > radius() || far < INNER * radius()
        ? Optional.empty()
        : Optional.of(Math.floorMod(Math.round(place(x, y)), NOTES));
  }

  @Override
  public void open(Integer place) {
    turnBy(place);
  }

  @Override
  public Optional<Pull> grab(Integer mark, double x, double y, boolean alt) {
    double from = place(x, y);
    return Optional.of(new Turn(from));
  }

  /** The ring follows the hand; the song follows when it is let go. */
  private final class Turn implements Pull {
    private final double from;

    Turn(double from) {
      this.from = from;
    }

    @Override
    public String to(double x, double y) {
      double by = from - place(x, y);
      turned = by - NOTES * Math.rint(by / NOTES);
      redraw();
      Key key = brief.orElseThrow().key();
      int note = pitchClass(key, (int) Math.round(turned));
      return new Key(Tonics.of(key, note), key.scale()).toString();
    }

    @Override
    public void end() {
      int by = (int) Math.round(turned);
      turned = 0;
      turnBy(by);
    }

    @Override
    public void giveBack() {
      turned = 0;
      redraw();
    }
  }

  private void turnBy(int places) {
    Key key = brief.orElseThrow().key();
    int note = pitchClass(key, places);
    if (note == key.tonic().pitchClass()) {
      redraw();
    } else {
      take.accept(Tonics.of(key, note));
    }
  }

  @Override
  public KeyTable keys() {
    return keys;
  }
}
