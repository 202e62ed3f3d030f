package westtide.desktop.lines;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.Note;

/**
 * Mouse and keys on a line: which note is chosen, where the cursor is, and what a gesture changes.
 */
final class NoteGestures {
  /** What the gestures ask the room to do. */
  interface Hands {
    /** The note that is chosen, as it is now. */
    Optional<Note> chosen();

    /** Writes a note and chooses it. */
    void add(Note note);

    void remove(Note note);

    /** Puts a note in place of another and chooses it; changes of one gesture share its number. */
    void replace(Note old, Note changed, long gesture);

    void choose(Optional<Note> note);
  }

  private static final int NEW_STEPS = 2;
  private static final int NEW_VELOCITY = 92;
  private static final int LOUDER = 6;

  private final Hands hands;
  private final Supplier<LinePage> page;
  private final Runnable redraw;
  private int cursorStep;
  private int cursorKey = 72;
  private Optional<Note> grabbed = Optional.empty();
  private boolean lengthening;
  private double grabTick;
  private long gesture;

  NoteGestures(Hands hands, Supplier<LinePage> page, Runnable redraw) {
    this.hands = hands;
    this.page = page;
    this.redraw = redraw;
  }

  Optional<Note> chosen() {
    return hands.chosen();
  }

  boolean dragging() {
    return grabbed.isPresent();
  }

  int cursorStep() {
    return cursorStep;
  }

  int cursorKey() {
    return cursorKey;
  }

  /** Brings the cursor onto the page. */
  void settle() {
    cursorStep = Math.max(firstStep(), Math.min(lastStep(), cursorStep));
  }

  void hover(MouseEvent event) {
    Optional<Note> note = page.get().noteAt(event.getX(), event.getY());
    ((Node) event.getSource())
        .setCursor(
            note.map(n -> page.get().atEnd(n, event.getX()) ? Cursor.E_RESIZE : Cursor.HAND)
                .orElse(Cursor.DEFAULT));
  }

  void press(MouseEvent event) {
    if (event.getX() < page.get().left()) {
      return;
    }
    gesture++;
    cursorStep = page.get().step(event.getX());
    cursorKey = page.get().rows().midi(event.getY());
    Optional<Note> found = page.get().noteAt(event.getX(), event.getY());
    if (found.isEmpty()) {
      write();
      return;
    }
    grabbed = found;
    lengthening = page.get().atEnd(found.get(), event.getX());
    grabTick = page.get().time().value(event.getX());
    choose(found);
  }

  void drag(MouseEvent event) {
    if (grabbed.isEmpty() || chosen().isEmpty()) {
      return;
    }
    Note first = grabbed.get();
    double distance = page.get().time().value(event.getX()) - grabTick;
    int moved = Ticks.ofSteps((int) Math.round(distance / Ticks.PER_STEP));
    change(
        lengthening
            ? first.withTicks(page.get().heldLength(first, first.ticks() + moved))
            : first
                .withStart(page.get().heldStart(first.start() + moved, first.ticks()))
                .withKey(page.get().rows().midi(event.getY())));
  }

  void release() {
    grabbed = Optional.empty();
  }

  void key(KeyEvent event) {
    if (event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    gesture++;
    boolean known =
        chosen().map(note -> keyOnNote(event, note)).orElseGet(() -> keyOnCursor(event.getCode()));
    if (known) {
      event.consume();
      redraw.run();
    }
  }

  private boolean keyOnNote(KeyEvent event, Note note) {
    boolean shift = event.isShiftDown();
    switch (event.getCode()) {
      case LEFT -> shift(note, -Ticks.PER_STEP, shift);
      case RIGHT -> shift(note, Ticks.PER_STEP, shift);
      case UP -> change(note.withKey(higher(note, 1, shift)));
      case DOWN -> change(note.withKey(higher(note, -1, shift)));
      case PLUS, EQUALS, ADD -> change(note.withVelocity(Velocity.held(note.velocity() + LOUDER)));
      case MINUS, SUBTRACT -> change(note.withVelocity(Velocity.held(note.velocity() - LOUDER)));
      case DELETE, BACK_SPACE -> {
        hands.remove(note);
      }
      case ESCAPE -> choose(Optional.empty());
      default -> {
        return false;
      }
    }
    chosen().ifPresent(this::follow);
    return true;
  }

  private void follow(Note note) {
    cursorStep = note.start() / Ticks.PER_STEP;
    cursorKey = note.key();
  }

  private void shift(Note note, int ticks, boolean length) {
    change(
        length
            ? note.withTicks(page.get().heldLength(note, note.ticks() + ticks))
            : note.withStart(page.get().heldStart(note.start() + ticks, note.ticks())));
  }

  private int higher(Note note, int direction, boolean semitone) {
    return semitone
        ? Math.max(0, Math.min(127, note.key() + direction))
        : page.get().rows().scaleNote(note.key(), direction);
  }

  private boolean keyOnCursor(KeyCode code) {
    DegreeRows rows = page.get().rows();
    cursorKey = Math.max(rows.low(), Math.min(rows.high(), cursorKey));
    switch (code) {
      case LEFT -> cursorStep = Math.max(firstStep(), cursorStep - 1);
      case RIGHT -> cursorStep = Math.min(lastStep(), cursorStep + 1);
      case UP -> cursorKey = rows.scaleNote(cursorKey, 1);
      case DOWN -> cursorKey = rows.scaleNote(cursorKey, -1);
      case ENTER -> chooseOrWrite();
      default -> {
        return false;
      }
    }
    return true;
  }

  private int firstStep() {
    return page.get().firstTick() / Ticks.PER_STEP;
  }

  private int lastStep() {
    return page.get().endTick() / Ticks.PER_STEP - 1;
  }

  private void chooseOrWrite() {
    int tick = Ticks.ofSteps(cursorStep);
    Optional<Note> here =
        page.get().line().notes().stream()
            .filter(n -> n.key() == cursorKey && n.start() <= tick && n.end() > tick)
            .findFirst();
    if (here.isPresent()) {
      choose(here);
    } else {
      write();
    }
  }

  private void write() {
    int start = Ticks.ofSteps(cursorStep);
    int ticks = Math.min(Ticks.ofSteps(NEW_STEPS), page.get().lineEnd() - start);
    Note note = new Note(start, ticks, cursorKey, NEW_VELOCITY);
    hands.add(note);
  }

  private void change(Note changed) {
    Note old = chosen().orElseThrow();
    if (!changed.equals(old)) {
      hands.replace(old, changed, gesture);
    }
  }

  private void choose(Optional<Note> note) {
    hands.choose(note);
  }
}
