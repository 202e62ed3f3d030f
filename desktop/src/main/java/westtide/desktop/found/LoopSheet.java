package westtide.desktop.found;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Cursor;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.Part;
import westtide.song.found.FoundSound;
import westtide.song.found.PieceLine;

/**
 * The loop as it swings, its bars and the marks between its pieces. The flag of the downbeat and
 * every mark are pulled; a double click cuts, Delete joins a piece to the one before; a click
 * chooses a piece and it is heard.
 */
final class LoopSheet extends Drawing implements SheetGestures.Sheet<LoopSheet.Spot> {
  /** What can be taken hold of. */
  enum What {
    DOWNBEAT,
    MARK,
    PIECE
  }

  /**
   * A place of the sheet.
   *
   * @param what what is there
   * @param piece the piece, or the one a mark begins; 0 for the downbeat
   */
  record Spot(What what, int piece) {}

  /** What the sheet does with what a hand does. */
  interface Hand {
    /** Hears a piece. */
    void hear(int piece);

    /** Cuts it at other samples. */
    void cut(List<Integer> marks);

    /** Moves the first downbeat of a part as it was when it was taken hold of. */
    void downbeat(Part from, int sample);
  }

  private static final double EDGE = 16;
  private static final double NEAR = 6;
  private static final double WAVE_SHARE = 0.42;
  private static final int POINTS = 900;
  private static final double LEAST_LETTER = 13;

  private final Hand hand;
  private final KeyTable keys;
  private Optional<FoundScene> scene = Optional.empty();
  private OptionalInt chosen = OptionalInt.empty();
  private double pressedX;

  LoopSheet(Hand hand) {
    super("The loop, its bars and its pieces", true);
    this.hand = hand;
    this.keys =
        new KeyTable("Loop")
            .key("the piece before", () -> step(-1), "LEFT")
            .key("the next piece", () -> step(1), "RIGHT")
            .key("hear the piece", this::hear, "ENTER")
            .key("cut the piece in the middle", this::split, "INSERT")
            .menu(
                "join it to the piece before",
                this::isJoinable,
                this::join,
                "DELETE",
                "BACK_SPACE");
    setId("loop-sheet");
    SheetGestures.on(this, this);
  }

  void show(FoundScene shown) {
    if (scene.map(before -> !before.part().id().equals(shown.part().id())).orElse(false)) {
      chosen = OptionalInt.empty();
    }
    scene = Optional.of(shown);
    redraw();
  }

  private int shownFrom(FoundSound sound) {
    int lead = sound.recording().rate() / 4;
    return Math.max(0, sound.downbeat() - lead - sound.downbeat() / 3);
  }

  private int shownTo(FoundSound sound) {
    int more = (int) (sound.frames() * 0.015);
    return Math.max(sound.downbeat() + 1, Math.min(sound.recording().frames(), sound.end() + more));
  }

  private Axis axis(FoundSound sound) {
    return new Axis(shownFrom(sound), shownTo(sound), EDGE, getWidth() - EDGE);
  }

  private double top() {
    return scaled(34);
  }

  private double foot() {
    return getHeight() - scaled(26);
  }

  private double middle() {
    return (top() + foot()) / 2;
  }

  @Override
  protected void draw() {
    scene.ifPresent(this::draw);
  }

  private void draw(FoundScene shown) {
    FoundSound sound = shown.sound();
    Axis x = axis(sound);
    box(x.from(), top(), x.to() - x.from(), foot() - top(), "water-ground");
    ring(1, 1, getWidth() - 2, getHeight() - 2);
    drawLead(sound, x);
    shown.heard().ifPresent(heard -> drawWave(heard.envelope(), sound, x));
    if (shown.heard().isEmpty()) {
      String said = sound.recording().isThere() ? "listening …" : "its sound is missing";
      textCentred(getWidth() / 2, middle(), getWidth(), said, "soft");
    }
    drawBars(sound, x);
    drawPieces(sound, x);
    drawDownbeat(sound, x);
  }

  private void drawLead(FoundSound sound, Axis x) {
    double from = x.from();
    double to = x.at(sound.downbeat());
    for (double at = from + 3; at < to - 1; at += 6) {
      line(at, top(), Math.max(from, at - 8), foot(), "rule", "faint");
    }
  }

  private void drawWave(Envelope envelope, FoundSound sound, Axis x) {
    double frames = sound.recording().frames();
    float most = Math.max(0.05f, Math.max(envelope.high(0, 1), -envelope.low(0, 1)));
    double tall = WAVE_SHARE * (foot() - top()) / most;
    double from = shownFrom(sound) / frames;
    double to = shownTo(sound) / frames;
    double[] points = new double[4 * POINTS];
    for (int i = 0; i < POINTS; i++) {
      double a = from + (to - from) * i / POINTS;
      double b = from + (to - from) * (i + 1) / POINTS;
      double at = x.at(a * frames);
      points[2 * i] = at;
      points[2 * i + 1] = middle() - tall * envelope.high(a, b);
      int back = 2 * POINTS - 1 - i;
      points[2 * back] = at;
      points[2 * back + 1] = middle() - tall * envelope.low(a, b);
    }
    polygon(points, "loop-wave");
  }

  private void drawBars(FoundSound sound, Axis x) {
    for (int bar = 0; bar <= sound.bars(); bar++) {
      double at = x.at(sound.downbeat() + bar * sound.frames() / sound.bars());
      if (at > x.to() + 1) {
        break;
      }
      line(at, top(), at, foot() + scaled(6), "rule", "bar");
      if (bar < sound.bars()) {
        text(at + 5, foot() + scaled(20), String.valueOf(bar + 1), "plain");
      }
    }
  }

  private void drawPieces(FoundSound sound, Axis x) {
    for (int piece = 0; piece < sound.pieces(); piece++) {
      double from = x.at(sound.begins(piece));
      double to = x.at(sound.ends(piece));
      boolean now = chosen.isPresent() && chosen.getAsInt() == piece;
      if (now) {
        chosenRing(from + 1, top() + 1, Math.max(4, to - from - 2), foot() - top() - 2);
      }
      String letter = PieceLine.letter(piece);
      String words =
          String.format(
              Locale.ROOT,
              "piece %s at beat %.2f, %d ms",
              letter,
              sound.beat(piece) + 1,
              Math.round(
                  1000.0 * (sound.ends(piece) - sound.begins(piece)) / sound.recording().rate()));
      thing(
          box(from - 1, top() - 2, 2, scaled(16), "loop-mark"),
          "piece-" + piece,
          "piece",
          words,
          now);
      dot(from, top() + scaled(15), 3.2, "loop-mark");
      if (to - from >= LEAST_LETTER || now) {
        text(from + 6, top() + scaled(12), letter, now ? "figure" : "section");
      }
    }
  }

  private void drawDownbeat(FoundSound sound, Axis x) {
    double at = x.at(sound.downbeat());
    double size = scaled(8);
    polygon(
        new double[] {at - size, top() - size - 4, at + size, top() - size - 4, at, top() - 2},
        "diamond",
        "full");
    text(at + size + 6, top() - scaled(6), "first downbeat: pull it", "soft");
  }

  private boolean onDownbeat(FoundSound sound, double x, double y) {
    return y < top() && Math.abs(axis(sound).at(sound.downbeat()) - x) <= 2.5 * NEAR;
  }

  @Override
  public Optional<Spot> at(double x, double y) {
    if (scene.isEmpty()) {
      return Optional.empty();
    }
    FoundSound sound = scene.get().sound();
    if (onDownbeat(sound, x, y)) {
      return Optional.of(new Spot(What.DOWNBEAT, 0));
    }
    Axis axis = axis(sound);
    for (int piece = 1; piece < sound.pieces(); piece++) {
      if (Math.abs(axis.at(sound.begins(piece)) - x) <= NEAR && y <= middle()) {
        return Optional.of(new Spot(What.MARK, piece));
      }
    }
    return piece(x).stream().mapToObj(piece -> new Spot(What.PIECE, piece)).findFirst();
  }

  private OptionalInt piece(double x) {
    FoundSound sound = scene.orElseThrow().sound();
    double sample = axis(sound).value(x);
    return IntStream.range(0, sound.pieces())
        .filter(piece -> sample >= sound.begins(piece) && sample < sound.ends(piece))
        .findFirst();
  }

  @Override
  public Set<Spot> chosen() {
    return chosen.stream()
        .mapToObj(piece -> new Spot(What.PIECE, piece))
        .collect(Collectors.toUnmodifiableSet());
  }

  @Override
  public void choose(Set<Spot> spots) {
    chosen =
        spots.stream()
            .filter(spot -> spot.what() != What.DOWNBEAT)
            .mapToInt(Spot::piece)
            .findFirst();
    redraw();
    hear();
  }

  @Override
  public Optional<Pull> grab(Spot spot, double x, double y, boolean alt) {
    FoundScene taken = scene.orElseThrow();
    return switch (spot.what()) {
      case DOWNBEAT -> Optional.of(downbeat(taken));
      case MARK -> Optional.of(pulled(taken.sound(), axis(taken.sound()), spot.piece()));
      case PIECE -> Optional.empty();
    };
  }

  private Pull downbeat(FoundScene taken) {
    FoundSound sound = taken.sound();
    Axis axis = axis(sound);
    return (toX, toY) -> {
      int sample = held((int) Math.round(axis.value(toX)), 0, sound.recording().frames() - 1);
      hand.downbeat(taken.part(), sample);
      return seconds(sound, sample);
    };
  }

  private Pull pulled(FoundSound sound, Axis axis, int piece) {
    int least = sound.begins(piece - 1) + sound.recording().rate() / 200;
    int most = sound.ends(piece) - sound.recording().rate() / 200;
    return (toX, toY) -> {
      int sample = held((int) Math.round(axis.value(toX)), least, Math.max(least, most));
      List<Integer> marks = new ArrayList<>(sound.marks());
      marks.set(piece, sample);
      hand.cut(marks);
      return PieceLine.letter(piece) + " at " + seconds(sound, sample);
    };
  }

  private static int held(int value, int least, int most) {
    return Math.max(least, Math.min(most, value));
  }

  private static String seconds(FoundSound sound, int sample) {
    return String.format(Locale.ROOT, "%.3f s", sample / (double) sound.recording().rate());
  }

  @Override
  public void pressed(double x, double y) {
    pressedX = x;
  }

  /** A piece is cut where it was pressed. */
  @Override
  public void open(Spot spot) {
    if (spot.what() == What.PIECE) {
      cutAt((int) Math.round(axis(scene.orElseThrow().sound()).value(pressedX)));
    }
  }

  private void cutAt(int sample) {
    List<Integer> marks = new ArrayList<>(scene.orElseThrow().sound().marks());
    marks.add(sample);
    hand.cut(marks);
  }

  @Override
  public Cursor hover(double x, double y) {
    return at(x, y)
        .map(spot -> spot.what() == What.PIECE ? Cursor.HAND : Cursor.H_RESIZE)
        .orElse(Cursor.DEFAULT);
  }

  private void step(int by) {
    scene.ifPresent(
        s -> {
          int next = chosen.isEmpty() ? 0 : chosen.getAsInt() + by;
          chosen = OptionalInt.of(held(next, 0, s.sound().pieces() - 1));
          redraw();
          hear();
        });
  }

  private void hear() {
    chosen.ifPresent(hand::hear);
  }

  private boolean isJoinable() {
    return chosen.isPresent() && chosen.getAsInt() > 0;
  }

  private void join() {
    if (isJoinable()) {
      List<Integer> marks = new ArrayList<>(scene.orElseThrow().sound().marks());
      marks.remove(chosen.getAsInt());
      chosen = OptionalInt.of(chosen.getAsInt() - 1);
      hand.cut(marks);
    }
  }

  private void split() {
    if (chosen.isPresent() && scene.isPresent()) {
      FoundSound sound = scene.get().sound();
      int piece = chosen.getAsInt();
      cutAt((sound.begins(piece) + sound.ends(piece)) / 2);
    }
  }

  @Override
  public KeyTable keys() {
    return keys;
  }
}
