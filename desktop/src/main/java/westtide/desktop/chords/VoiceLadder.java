package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.function.IntConsumer;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.shape.Rectangle;
import westtide.desktop.kit.Axis;
import westtide.desktop.kit.Drawing;
import westtide.review.LowEndRange;
import westtide.song.Brief;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.theory.Key;
import westtide.theory.RomanNumeral;
import westtide.theory.VoiceLeading;
import westtide.theory.VoiceMove;
import westtide.theory.Voicing;

/**
 * Chords as cards on a bar ruler, and below them each chord's voicing as dots on a pitch ladder,
 * joined to the next chord's by lines whose slope is the movement of each voice.
 */
final class VoiceLadder extends Drawing {
  private static final double LEFT = 46;
  private static final double CARD_TOP = 22;
  private static final double CARD_HEIGHT = 56;
  private static final double LADDER_TOP = CARD_TOP + CARD_HEIGHT + 22;
  private static final int TOLD_MOVE = 3;

  private final IntConsumer select;
  private Brief brief;
  private Progression progression;
  private List<Voicing> voicings = List.of();
  private int selected;

  VoiceLadder(IntConsumer select) {
    super("Chord cards and voices", true);
    this.select = select;
    setId("voice-ladder");
    setOnMousePressed(
        event -> {
          requestFocus();
          chordAt(event.getX());
        });
    setOnKeyPressed(this::key);
  }

  void show(Brief in, Progression shown, List<Voicing> laidOut, int chosen) {
    brief = in;
    progression = shown;
    voicings = laidOut;
    selected = chosen;
    redraw();
  }

  private void key(KeyEvent event) {
    int step = event.getCode() == KeyCode.LEFT ? -1 : event.getCode() == KeyCode.RIGHT ? 1 : 0;
    if (step != 0) {
      select.accept(Math.max(0, Math.min(progression.spans().size() - 1, selected + step)));
      event.consume();
    }
  }

  private void chordAt(double pixel) {
    double tick = time().value(pixel);
    List<PlacedChord> placed = progression.placed();
    for (int i = 0; i < placed.size(); i++) {
      if (tick >= placed.get(i).start() && tick < placed.get(i).end()) {
        select.accept(i);
      }
    }
  }

  private Axis time() {
    return new Axis(0, progression.ticks(), LEFT, getWidth() - 6);
  }

  private Axis pitch() {
    int low = voicings.stream().mapToInt(Voicing::bass).min().orElse(48);
    int high = voicings.stream().mapToInt(Voicing::top).max().orElse(72);
    return new Axis(low - 1.5, high + 1, getHeight() - 8, LADDER_TOP);
  }

  @Override
  protected double playX(double tick) {
    return time().at(tick);
  }

  @Override
  protected void draw() {
    if (progression == null) {
      return;
    }
    Axis x = time();
    Axis y = pitch();
    drawLeftToSub(y);
    drawRungs(y);
    drawBars(x);
    List<PlacedChord> placed = progression.placed();
    for (int i = 0; i < placed.size(); i++) {
      drawCard(placed.get(i), i, x);
      drawVoices(placed, i, x, y);
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
    voicings.forEach(voicing -> used.addAll(voicing.keys()));
    double lastLabel = Double.MAX_VALUE;
    for (int key : used) {
      double height = y.at(key);
      line(LEFT, height, getWidth() - 6, height, "rule", "faint");
      if (lastLabel - height >= 11) {
        textEnding(LEFT - 8, height + 4, brief.key().pitch(key).toString(), "soft");
        lastLabel = height;
      }
    }
  }

  private void drawBars(Axis x) {
    int ticksPerBar = brief.meter().ticksPerBar();
    for (int bar = 0; bar * ticksPerBar <= progression.ticks(); bar++) {
      double at = x.at(bar * ticksPerBar);
      line(at, CARD_TOP - 4, at, getHeight() - 8, "rule", "bar");
      if (bar * ticksPerBar < progression.ticks()) {
        text(at + 4, 14, "bar " + (bar + 1), "soft");
      }
    }
  }

  private void drawCard(PlacedChord chord, int index, Axis x) {
    double left = x.at(chord.start()) + 3;
    double width = x.length(chord.ticks()) - 6;
    Rectangle card = box(left, CARD_TOP, width, CARD_HEIGHT, "chord-card");
    card.setArcWidth(14);
    card.setArcHeight(14);
    String numeral = RomanNumeral.of(chord.chord(), brief.key()).toString();
    String name = chord.chord().toString();
    named(card, "chord-card-" + index, "Chord " + (index + 1) + ", " + numeral + ", " + name);
    if (index == selected) {
      card.getStyleClass().add("chosen");
      ring(left - 3, CARD_TOP - 3, width + 6, CARD_HEIGHT + 6);
    }
    fit(text(left + 10, CARD_TOP + 25, numeral, "big"), width - 14);
    fit(text(left + 10, CARD_TOP + 45, name), width - 14);
  }

  private void drawVoices(List<PlacedChord> placed, int index, Axis x, Axis y) {
    Voicing voicing = voicings.get(index);
    double start = x.at(placed.get(index).start()) + 16;
    double end = x.at(placed.get(index).end()) - 4;
    List<VoiceMove> moves =
        index + 1 < voicings.size()
            ? VoiceLeading.moves(voicing, voicings.get(index + 1))
            : new ArrayList<>();
    for (VoiceMove move : moves) {
      drawMove(move, start, end, y);
    }
    if (moves.isEmpty()) {
      voicing.keys().forEach(key -> line(start, y.at(key), end, y.at(key), "voice", "held"));
    }
    Key in = brief.key();
    for (int key : voicing.keys()) {
      double radius = key == voicing.bass() ? 7.5 : 5.5;
      var dot = dot(start, y.at(key), radius, "voice-dot", index == selected ? "chosen" : "plain");
      named(dot, "voice-" + index + "-" + key, in.pitch(key).toString());
      sounds(dot, placed.get(index).start(), placed.get(index).end());
    }
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
