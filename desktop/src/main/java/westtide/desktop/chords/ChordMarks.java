package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Cursor;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.rhythm.Ticks;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.PlacedChord;

/**
 * Mouse and keys on the cards and the ladder. Dragging the end of a card changes its length,
 * dragging its middle moves it; dragging a note moves the note, a double click on the ladder adds
 * one. Everything has a key as well.
 */
final class ChordMarks implements SheetGestures.Sheet<ChordMark> {
  private final VoiceLadder ladder;
  private final ChordChoice choice;
  private final OneChordPage page;
  private final KeyTable keys;
  private Optional<ChordSpan> copied = Optional.empty();

  ChordMarks(VoiceLadder ladder, ChordChoice choice, OneChordPage page) {
    this.ladder = ladder;
    this.choice = choice;
    this.page = page;
    this.keys = table();
  }

  private KeyTable table() {
    return new KeyTable("Chords")
        .key("chord before", () -> step(-1), "LEFT")
        .key("next chord", () -> step(1), "RIGHT")
        .key("note above", () -> climb(1), "UP")
        .key("note below", () -> climb(-1), "DOWN")
        .menu("a step longer", this::there, () -> lengthen(1), "Shift+RIGHT")
        .menu("a step shorter", this::there, () -> lengthen(-1), "Shift+LEFT")
        .menu("move later", this::there, () -> page.move(1), "Shortcut+RIGHT")
        .menu("move earlier", this::there, () -> page.move(-1), "Shortcut+LEFT")
        .menu("note a semitone up", this::onNote, () -> moveChosen(1), "Shift+UP")
        .menu("note a semitone down", this::onNote, () -> moveChosen(-1), "Shift+DOWN")
        .menu("double the note an octave up", this::onNote, this::doubled, "INSERT")
        .menu("delete", this::there, this::delete, "DELETE", "BACK_SPACE")
        .menu("copy", this::there, this::copy, "Shortcut+C")
        .menu("cut", this::there, this::cut, "Shortcut+X")
        .menu("paste after", () -> copied.isPresent(), this::paste, "Shortcut+V")
        .menu("duplicate after", this::there, page::duplicate, "Shortcut+D", "D")
        .menu("new chord after", this::there, page::insert, "N")
        .menu("push: none, 1/16, 1/8", this::there, page::cyclePush, "E")
        .menu("rest, or chord again", this::there, page::toggleRest, "R")
        .menu("inversion: automatic, root, 1st, 2nd, 3rd", this::there, page::cycleTurn, "I")
        .menu("strum: block, up, down", this::there, page::cycleStrum, "S");
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  private boolean there() {
    return !ladder.empty();
  }

  private boolean onNote() {
    return there() && choice.note() >= 0;
  }

  @Override
  public Optional<ChordMark> at(double x, double y) {
    if (ladder.empty()) {
      return Optional.empty();
    }
    int end = ladder.endAt(x, y);
    if (end >= 0) {
      return Optional.of(ChordMark.card(end));
    }
    int chord = ladder.chordAt(x);
    if (ladder.onCards(y)) {
      return Optional.of(ChordMark.card(chord));
    }
    int note = ladder.noteAt(chord, x, y);
    return note < 0 ? Optional.empty() : Optional.of(new ChordMark(chord, note));
  }

  @Override
  public Set<ChordMark> chosen() {
    return Set.of(new ChordMark(choice.chord(), choice.note()));
  }

  /** One at a time: the card or note that was pressed last. */
  @Override
  public void choose(Set<ChordMark> marks) {
    marks.stream().filter(mark -> !chosen().contains(mark)).findFirst().ifPresent(this::choose);
  }

  private void choose(ChordMark mark) {
    choice.chooseChord(mark.chord());
    if (!mark.isCard()) {
      choice.chooseNote(mark.note());
    }
  }

  @Override
  public void cursor(double x, double y) {
    if (there()) {
      choice.chooseChord(ladder.chordAt(x));
    }
  }

  @Override
  public Cursor hover(double x, double y) {
    if (there() && ladder.endAt(x, y) >= 0) {
      return Cursor.H_RESIZE;
    }
    return at(x, y).isPresent() ? Cursor.HAND : Cursor.DEFAULT;
  }

  @Override
  public void write(double x, double y) {
    if (there()) {
      cursor(x, y);
      add(ladder.pitch().nearest(y));
    }
  }

  @Override
  public Optional<Pull> grab(ChordMark mark, double x, double y, boolean alt) {
    if (!mark.isCard()) {
      return Optional.of(new NotePull(mark.note(), y));
    }
    int end = ladder.endAt(x, y);
    return Optional.of(end >= 0 ? new EndPull(end, x) : new CardPull(mark.chord(), x));
  }

  /** The end of a card, by whole steps. */
  private final class EndPull implements Pull {
    private final int chord;
    private final double fromX;
    private int moved;

    EndPull(int chord, double fromX) {
      this.chord = chord;
      this.fromX = fromX;
    }

    @Override
    public String to(double x, double y) {
      double ticks = (x - fromX) / ladder.time().length(1);
      int wanted = (int) Math.round(ticks / Ticks.PER_STEP) * Ticks.PER_STEP;
      if (wanted != moved) {
        choice.apply(choice.edits().end(chord, wanted - moved));
        moved = wanted;
      }
      int steps = choice.scene().row().spans().get(chord).ticks() / Ticks.PER_STEP;
      return steps + (steps == 1 ? " step" : " steps");
    }
  }

  /** A card on its way to another place. */
  private final class CardPull implements Pull {
    private final int chord;
    private final double fromX;
    private int drop = -1;

    CardPull(int chord, double fromX) {
      this.chord = chord;
      this.fromX = fromX;
    }

    @Override
    public String to(double x, double y) {
      drop = Math.abs(x - fromX) < 8 ? -1 : place(x);
      ladder.showDrop(drop);
      return drop < 0 ? "" : "place " + (after() + 1);
    }

    private int place(double x) {
      int over = ladder.chordAt(x);
      PlacedChord on = choice.scene().row().placed().get(over);
      Axis time = ladder.time();
      boolean behind = x > (time.at(on.start()) + time.at(on.end())) / 2;
      return behind ? over + 1 : over;
    }

    private int after() {
      return drop > chord ? drop - 1 : drop;
    }

    @Override
    public void end() {
      ladder.showDrop(-1);
      if (drop >= 0 && after() != chord) {
        choice.apply(choice.edits().move(chord, after()), after());
      }
    }

    @Override
    public void giveBack() {
      ladder.showDrop(-1);
    }
  }

  /** A note of the chosen chord, by semitones. */
  private final class NotePull implements Pull {
    private final int first;
    private final double fromY;
    private int now;

    NotePull(int note, double fromY) {
      this.first = note;
      this.fromY = fromY;
      this.now = note;
    }

    @Override
    public String to(double x, double y) {
      int wanted = first + (int) Math.round((y - fromY) / ladder.pitch().length(1));
      if (moveNote(now, wanted)) {
        now = wanted;
      }
      return choice.scene().brief().key().pitch(now).toString();
    }

    @Override
    public void end() {
      choice.hear();
    }
  }

  private boolean moveNote(int from, int to) {
    List<Integer> keys = new ArrayList<>(choice.scene().voicing().keys());
    if (to == from || to < 0 || to > 127 || keys.contains(to) || !keys.contains(from)) {
      return false;
    }
    keys.set(keys.indexOf(from), to);
    choice.lay(keys, to);
    return true;
  }

  private void add(int pitch) {
    List<Integer> keys = new ArrayList<>(choice.scene().voicing().keys());
    if (pitch >= 0 && pitch <= 127 && !keys.contains(pitch)) {
      keys.add(pitch);
      choice.lay(keys, pitch);
      choice.hear();
    }
  }

  private void step(int by) {
    if (there()) {
      int last = choice.scene().row().spans().size() - 1;
      choice.chooseChord(Math.max(0, Math.min(last, choice.chord() + by)));
    }
  }

  private void lengthen(int steps) {
    choice.apply(choice.edits().end(choice.chord(), steps * Ticks.PER_STEP));
  }

  private void climb(int by) {
    if (!there()) {
      return;
    }
    List<Integer> keys = choice.scene().voicing().keys();
    int at = keys.indexOf(choice.note());
    int next = at < 0 ? (by > 0 ? 0 : keys.size() - 1) : at + by;
    choice.chooseNote(next < 0 || next >= keys.size() ? -1 : keys.get(next));
  }

  private void moveChosen(int by) {
    moveNote(choice.note(), choice.note() + by);
    choice.hear();
  }

  /** Adds the chosen note once more, an octave up. */
  private void doubled() {
    add(choice.note() + 12);
  }

  /** Deletes the chosen note, the last one excepted, or the chosen chord. */
  private void delete() {
    List<Integer> keys = new ArrayList<>(choice.scene().voicing().keys());
    if (choice.note() < 0) {
      page.remove();
    } else if (keys.size() > 1) {
      keys.remove(Integer.valueOf(choice.note()));
      choice.lay(keys, -1);
      choice.hear();
    }
  }

  private void copy() {
    copied = Optional.of(choice.scene().span());
  }

  private void cut() {
    copy();
    page.remove();
  }

  private void paste() {
    int after = choice.chord() + 1;
    copied.ifPresent(span -> choice.apply(choice.edits().insert(after, span), after));
  }
}
