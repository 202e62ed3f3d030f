package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.TreeSet;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.review.lowend.LowEndRange;
import westtide.rhythm.Ticks;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.theory.Key;
import westtide.theory.RomanNumeral;
import westtide.theory.voicing.VoiceLeading;
import westtide.theory.voicing.VoiceMove;
import westtide.theory.voicing.Voicing;

/**
 * Chords as cards on a bar ruler, the rhythm they are struck in below, and under it each chord's
 * voicing as dots on a pitch ladder, joined to the next chord's by lines whose slope is the
 * movement of each voice. A dot's size is its velocity, its place in time shows push and strum.
 */
final class VoiceLadder extends Drawing {
  static final double CARD_TOP = 20;
  static final double CARD_HEIGHT = 48;
  private static final double LEFT = 66;
  private static final double LABEL = 11;
  private static final double BESIDE = 29;
  private static final double STRIKES = CARD_TOP + CARD_HEIGHT + 11;
  private static final double LADDER_TOP = STRIKES + 18;
  private static final int TOLD_MOVE = 3;
  private static final double EDGE = 7;
  private static final double NEAR = 9;

  private final ChordMarks marks;
  private ChordScene scene;
  private int note = -1;
  private int drop = -1;

  VoiceLadder(ChordChoice choice, OneChordPage page) {
    super("Chord cards and voices", true);
    setId("voice-ladder");
    this.marks = new ChordMarks(this, choice, page);
    SheetGestures.on(this, marks);
  }

  /** What can be done here and by which keys. */
  KeyTable keys() {
    return marks.keys();
  }

  void show(ChordScene shown, int chosenNote) {
    scene = shown;
    note = chosenNote;
    redraw();
  }

  /** Marks the place a dragged card would go to; −1 for none. */
  void showDrop(int index) {
    drop = index;
    redraw();
  }

  boolean empty() {
    return scene == null;
  }

  /** Where time stands across the sheet. */
  Axis time() {
    return new Axis(0, scene.row().ticks(), LEFT, getWidth() - 6);
  }

  /** Where MIDI notes stand up and down the ladder. */
  Axis pitch() {
    int low = scene.voicings().stream().mapToInt(Voicing::bass).min().orElse(48);
    int high = scene.voicings().stream().mapToInt(Voicing::top).max().orElse(72);
    return new Axis(low - 1.5, high + 1, getHeight() - 8, LADDER_TOP);
  }

  /** The chord at a pixel across, from 0. */
  int chordAt(double x) {
    double tick = time().value(x);
    List<PlacedChord> placed = scene.row().placed();
    for (int i = 0; i < placed.size(); i++) {
      if (tick < placed.get(i).end()) {
        return i;
      }
    }
    return placed.size() - 1;
  }

  /** The chord whose card ends near a point, or −1. */
  int endAt(double x, double y) {
    if (!onCards(y)) {
      return -1;
    }
    List<PlacedChord> placed = scene.row().placed();
    for (int i = 0; i < placed.size(); i++) {
      if (Math.abs(x - time().at(placed.get(i).end())) <= EDGE) {
        return i;
      }
    }
    return -1;
  }

  boolean onCards(double y) {
    return y <= CARD_TOP + CARD_HEIGHT + 4;
  }

  /** The note of a chord near a point, or −1. */
  int noteAt(int chord, double x, double y) {
    double column = column(scene.row().placed().get(chord));
    return scene.voicings().get(chord).keys().stream()
        .filter(k -> Math.abs(x - column) <= NEAR + 4 && Math.abs(y - pitch().at(k)) <= NEAR)
        .findFirst()
        .orElse(-1);
  }

  private double column(PlacedChord chord) {
    return time().at(chord.start()) + 16;
  }

  @Override
  protected double playX(double tick) {
    return time().at(tick);
  }

  @Override
  protected void draw() {
    if (scene == null) {
      return;
    }
    Axis x = time();
    Axis y = pitch();
    drawLeftToSub(y);
    drawRungs(y);
    drawBars(x);
    drawStrikes(x);
    List<PlacedChord> placed = scene.row().placed();
    for (int i = 0; i < placed.size(); i++) {
      drawCard(placed.get(i), i, x);
      drawVoices(placed, i, x, y);
    }
    if (drop >= 0) {
      double at = drop < placed.size() ? x.at(placed.get(drop).start()) : x.at(scene.row().ticks());
      line(at, CARD_TOP - 6, at, CARD_TOP + CARD_HEIGHT + 6, "here");
    }
  }

  private void drawLeftToSub(Axis y) {
    double top = y.at(LowEndRange.HIGHEST_LEFT_FREE + 0.5);
    if (top < getHeight() - 14) {
      box(LEFT, top, getWidth() - LEFT - 6, getHeight() - 8 - top, "band", "leave");
      textEnding(getWidth() - 12, getHeight() - 12, "left to the 808", "soft");
    }
  }

  private void drawRungs(Axis y) {
    TreeSet<Integer> used = new TreeSet<>();
    scene.voicings().forEach(voicing -> used.addAll(voicing.keys()));
    double[] lastLabel = {Double.MAX_VALUE, Double.MAX_VALUE};
    for (int key : used) {
      double height = y.at(key);
      line(LEFT, height, getWidth() - 6, height, "rule", "faint");
      int column = lastLabel[0] - height >= LABEL ? 0 : 1;
      if (lastLabel[column] - height >= LABEL) {
        String name = scene.brief().key().pitch(key).toString();
        textEnding(LEFT - 8 - column * BESIDE, height + 4, name, "soft");
        lastLabel[column] = height;
      }
    }
  }

  private void drawBars(Axis x) {
    int ticksPerBar = scene.brief().meter().ticksPerBar();
    int ticks = scene.row().ticks();
    int every = ticks / ticksPerBar > 16 ? 4 : 1;
    for (int bar = 0; bar * ticksPerBar <= ticks; bar += every) {
      double at = x.at(bar * ticksPerBar);
      line(at, CARD_TOP - 4, at, getHeight() - 8, "rule", "bar");
      if (bar * ticksPerBar < ticks) {
        text(at + 4, 13, "bar " + (bar + 1), "soft");
      }
    }
  }

  /** The strikes as the part plays them: a stroke as long as the chord sounds. */
  private void drawStrikes(Axis x) {
    TreeMap<Integer, Integer> ends = new TreeMap<>();
    scene.played().forEach(n -> ends.merge(n.start(), n.end(), Math::max));
    int last = -Ticks.PER_STEP;
    for (var strike : ends.entrySet()) {
      if (strike.getKey() - last < Ticks.PER_STEP / 2) {
        continue;
      }
      last = strike.getKey();
      double from = x.at(strike.getKey()) + 2;
      double to = Math.max(from + 2, x.at(strike.getValue()) - 2);
      line(from, STRIKES, to, STRIKES, "strike");
      line(from, STRIKES - 5, from, STRIKES + 5, "strike", "onset");
    }
  }

  private void drawCard(PlacedChord chord, int index, Axis x) {
    ChordArticulation articulation = chord.span().articulation();
    double left = x.at(chord.start()) + 2;
    double width = x.length(chord.ticks()) - 4;
    Rectangle card = box(left, CARD_TOP, width, CARD_HEIGHT, "chord-card");
    card.setArcWidth(14);
    card.setArcHeight(14);
    String numeral =
        articulation.rest()
            ? "rest"
            : RomanNumeral.of(chord.chord(), scene.brief().key()).toString();
    String name = articulation.rest() ? "" : chord.chord().toString();
    String words = "Chord " + (index + 1) + ", " + numeral + ", " + name;
    thing(card, "chord-card-" + index, "chord", words, index == scene.chord());
    if (articulation.rest()) {
      card.getStyleClass().add("rest");
    }
    if (index == scene.chord()) {
      card.getStyleClass().add("chosen");
      ring(left - 3, CARD_TOP - 3, width + 6, CARD_HEIGHT + 6);
    }
    squeeze(text(left + 8, CARD_TOP + 21, numeral, "big"), width - 12);
    squeeze(text(left + 8, CARD_TOP + 39, name + signs(articulation)), width - 12);
  }

  private static String signs(ChordArticulation articulation) {
    StringBuilder out = new StringBuilder();
    if (articulation.push() > 0) {
      out.append("  ‹ ").append(articulation.push() >= 480 ? "1/8" : "1/16");
    }
    articulation.strum().ifPresent(strum -> out.append(strum.up() ? "  ↑" : "  ↓"));
    return out.toString();
  }

  private void drawVoices(List<PlacedChord> placed, int index, Axis x, Axis y) {
    Voicing voicing = scene.voicings().get(index);
    PlacedChord chord = placed.get(index);
    if (chord.span().articulation().rest()) {
      return;
    }
    double start = column(chord);
    double end = x.at(chord.end()) - 4;
    List<VoiceMove> moves =
        index + 1 < placed.size() && !placed.get(index + 1).span().articulation().rest()
            ? VoiceLeading.moves(voicing, scene.voicings().get(index + 1))
            : new ArrayList<>();
    for (VoiceMove move : moves) {
      drawMove(move, start, end, y);
    }
    if (moves.isEmpty()) {
      voicing.keys().forEach(key -> line(start, y.at(key), end, y.at(key), "voice", "held"));
    }
    for (int key : voicing.keys()) {
      drawDot(chord, index, key, start, y);
    }
  }

  private void drawDot(PlacedChord chord, int index, int key, double column, Axis y) {
    Key in = scene.brief().key();
    Voicing voicing = scene.voicings().get(index);
    double late =
        chord
            .span()
            .articulation()
            .strum()
            .map(s -> s.late(voicing, voicing.keys().indexOf(key)))
            .orElse(0.0);
    double shift = time().length(late / scene.brief().tempo().millis(1));
    double radius = radius(chord, key) + (key == voicing.bass() ? 1.5 : 0);
    boolean chosen = index == scene.chord();
    Circle dot = dot(column + shift, y.at(key), radius, "voice-dot", chosen ? "chosen" : "plain");
    boolean isChosen = chosen && key == note;
    String words = in.pitch(key) + " of chord " + (index + 1);
    thing(dot, "voice-" + index + "-" + key, "voice", words, isChosen);
    sounds(dot, chord.start(), chord.end());
    if (isChosen) {
      chosenRing(column + shift - 10, y.at(key) - 10, 20, 20);
    }
  }

  /** The size of a dot by the velocity its note is first struck with. */
  private double radius(PlacedChord chord, int key) {
    int velocity =
        scene.played().stream()
            .filter(n -> n.key() == key && n.end() > chord.start() && n.start() < chord.end())
            .mapToInt(Note::velocity)
            .findFirst()
            .orElse(84);
    return 2.6 + velocity / 30.0;
  }

  private void drawMove(VoiceMove move, double start, double end, Axis y) {
    double bend = Math.max(start, end - 18);
    double next = end + 20;
    boolean held = move.semitones() == 0;
    line(start, y.at(move.from()), bend, y.at(move.from()), "voice", "held");
    line(bend, y.at(move.from()), next, y.at(move.to()), "voice", held ? "held" : "moving");
    if (Math.abs(move.semitones()) >= TOLD_MOVE) {
      String sign = move.semitones() > 0 ? "+" : "−";
      double middle = (y.at(move.from()) + y.at(move.to())) / 2;
      text(end + 5, middle + 4, sign + Math.abs(move.semitones()), "move");
    }
  }
}
