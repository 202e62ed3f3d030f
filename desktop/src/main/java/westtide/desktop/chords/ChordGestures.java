package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import westtide.desktop.kit.Axis;
import westtide.rhythm.Ticks;
import westtide.song.chord.PlacedChord;

/**
 * Mouse and keys on the cards and the ladder. Cards: a click chooses, dragging an end changes the
 * length, dragging the middle moves the card. Notes: dragging moves, a double click adds or takes
 * away. Everything has a key as well.
 */
final class ChordGestures {
  private final VoiceLadder ladder;
  private final ChordChoice choice;
  private final OneChordPage page;
  private Drag drag = Drag.NONE;
  private double pressedAt;
  private int dragged;
  private int startValue;
  private double perPixel;

  private enum Drag {
    NONE,
    END,
    CARD,
    NOTE
  }

  ChordGestures(VoiceLadder ladder, ChordChoice choice, OneChordPage page) {
    this.ladder = ladder;
    this.choice = choice;
    this.page = page;
    ladder.setOnMousePressed(this::press);
    ladder.setOnMouseDragged(this::drag);
    ladder.setOnMouseReleased(this::release);
    ladder.setOnKeyPressed(this::key);
  }

  private void press(MouseEvent event) {
    ladder.requestFocus();
    if (ladder.empty()) {
      return;
    }
    int end = ladder.endAt(event.getX(), event.getY());
    if (end >= 0) {
      begin(Drag.END, event.getX(), end, 0, 1 / ladder.time().length(1));
      return;
    }
    int chord = ladder.chordAt(event.getX());
    int note = ladder.onCards(event.getY()) ? -1 : ladder.noteAt(chord, event.getX(), event.getY());
    if (event.getClickCount() == 2 && !ladder.onCards(event.getY())) {
      addOrTake(chord, note, ladder.pitch().nearest(event.getY()));
      return;
    }
    choice.chooseChord(chord);
    if (note >= 0) {
      choice.chooseNote(note);
      begin(Drag.NOTE, event.getY(), note, note, 1 / ladder.pitch().length(1));
    } else if (ladder.onCards(event.getY())) {
      begin(Drag.CARD, event.getX(), chord, 0, 1);
    }
  }

  private void begin(Drag kind, double at, int what, int value, double scale) {
    drag = kind;
    pressedAt = at;
    dragged = what;
    startValue = value;
    perPixel = scale;
  }

  private void drag(MouseEvent event) {
    switch (drag) {
      case END -> dragEnd((event.getX() - pressedAt) * perPixel);
      case NOTE ->
          moveNote(dragged, startValue + (int) Math.round((event.getY() - pressedAt) * perPixel));
      case CARD -> ladder.showDrop(dropAt(event.getX()));
      default -> {}
    }
  }

  /** Moves an end by whole steps from where it was pressed. */
  private void dragEnd(double ticks) {
    int wanted = (int) Math.round(ticks / Ticks.PER_STEP) * Ticks.PER_STEP;
    if (wanted != startValue) {
      choice.apply(choice.edits().end(dragged, wanted - startValue));
      startValue = wanted;
    }
  }

  private int dropAt(double x) {
    if (Math.abs(x - pressedAt) < 8) {
      return -1;
    }
    int over = ladder.chordAt(x);
    PlacedChord chord = choice.scene().row().placed().get(over);
    Axis time = ladder.time();
    boolean behind = x > (time.at(chord.start()) + time.at(chord.end())) / 2;
    return behind ? over + 1 : over;
  }

  private void release(MouseEvent event) {
    if (drag == Drag.CARD) {
      int to = dropAt(event.getX());
      ladder.showDrop(-1);
      int place = to > dragged ? to - 1 : to;
      if (to >= 0 && place != dragged) {
        choice.apply(choice.edits().move(dragged, place), place);
      }
    } else if (drag == Drag.NOTE) {
      choice.hear();
    }
    drag = Drag.NONE;
  }

  private void moveNote(int from, int to) {
    List<Integer> keys = new ArrayList<>(choice.scene().voicing().keys());
    if (to == from || to < 0 || to > 127 || keys.contains(to) || !keys.contains(from)) {
      return;
    }
    keys.set(keys.indexOf(from), to);
    dragged = to;
    choice.lay(keys, to);
  }

  private void addOrTake(int chord, int note, int pitch) {
    if (chord != choice.chord()) {
      choice.chooseChord(chord);
    }
    List<Integer> keys = new ArrayList<>(choice.scene().voicing().keys());
    if (note < 0) {
      keys.add(pitch);
    } else if (keys.size() > 1) {
      keys.remove(Integer.valueOf(note));
    }
    choice.lay(keys, note < 0 ? pitch : -1);
    choice.hear();
  }

  private void key(KeyEvent event) {
    if (ladder.empty()) {
      return;
    }
    boolean done =
        switch (event.getCode()) {
          case LEFT -> sideways(event, -1);
          case RIGHT -> sideways(event, 1);
          case UP -> upDown(event, 1);
          case DOWN -> upDown(event, -1);
          case DELETE, BACK_SPACE -> delete();
          case INSERT -> doubled();
          default -> event.isShortcutDown() || event.isAltDown() ? false : letter(event.getCode());
        };
    if (done) {
      event.consume();
    }
  }

  private boolean sideways(KeyEvent event, int by) {
    if (event.isShiftDown()) {
      choice.apply(choice.edits().end(choice.chord(), by * Ticks.PER_STEP));
    } else if (event.isShortcutDown()) {
      page.move(by);
    } else {
      int last = choice.scene().row().spans().size() - 1;
      choice.chooseChord(Math.max(0, Math.min(last, choice.chord() + by)));
    }
    return true;
  }

  private boolean upDown(KeyEvent event, int by) {
    if (event.isShortcutDown()) {
      return false;
    }
    List<Integer> keys = choice.scene().voicing().keys();
    if (event.isShiftDown() && choice.note() >= 0) {
      moveNote(choice.note(), choice.note() + by);
      choice.hear();
      return true;
    }
    int at = keys.indexOf(choice.note());
    int next = at < 0 ? (by > 0 ? 0 : keys.size() - 1) : at + by;
    choice.chooseNote(next < 0 || next >= keys.size() ? -1 : keys.get(next));
    return true;
  }

  private boolean delete() {
    if (choice.note() >= 0) {
      addOrTake(choice.chord(), choice.note(), 0);
    } else {
      page.remove();
    }
    return true;
  }

  /** Adds the chosen note once more, an octave up. */
  private boolean doubled() {
    if (choice.note() >= 0 && choice.note() + 12 <= 127) {
      addOrTake(choice.chord(), -1, choice.note() + 12);
    }
    return true;
  }

  private boolean letter(KeyCode code) {
    switch (code) {
      case D -> page.duplicate();
      case N -> page.insert();
      case E -> page.cyclePush();
      case R -> page.toggleRest();
      case I -> page.cycleTurn();
      case S -> page.cycleStrum();
      default -> {
        return false;
      }
    }
    return true;
  }
}
