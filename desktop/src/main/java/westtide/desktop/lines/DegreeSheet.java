package westtide.desktop.lines;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.Rectangle;
import westtide.desktop.kit.Axis;
import westtide.desktop.kit.Drawing;
import westtide.rhythm.Position;
import westtide.rhythm.Ticks;
import westtide.song.Brief;
import westtide.song.Note;
import westtide.song.Pattern;
import westtide.song.PlacedChord;

/**
 * Four bars of a written line on degree rows: chord tones shaded bar by bar, notes as bars joined
 * by a thin contour. A click on an empty place writes a note; a note is dragged to move it, at its
 * right end to lengthen it; the keys do the same for the chosen note.
 */
final class DegreeSheet extends Drawing {
  /** What the sheet asks its room to do. */
  interface Hands {
    void add(Note note);

    void remove(Note note);

    /** Puts a note in place of another; changes of one gesture share its number. */
    void replace(Note old, Note changed, long gesture);

    void chosen(Optional<Note> note);
  }

  static final int BARS = 4;
  private static final double LEFT = 50;
  private static final double TOP = 26;
  private static final double FOOT = 8;
  private static final double GRIP = 7;
  private static final int NEW_STEPS = 2;
  private static final int NEW_VELOCITY = 92;

  private final Hands hands;
  private Brief brief;
  private Pattern.Written line = new Pattern.Written(1, List.of());
  private List<PlacedChord> chords = List.of();
  private int firstBar;
  private Optional<Note> chosen = Optional.empty();
  private int cursorStep;
  private int cursorKey = 72;
  private Optional<Note> grabbed = Optional.empty();
  private boolean lengthening;
  private double grabTick;
  private long gesture;
  private int lowest = 60;
  private int highest = 84;

  DegreeSheet(Hands hands) {
    super("The line on degree rows", true);
    this.hands = hands;
    setId("degree-sheet");
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(event -> grabbed = Optional.empty());
    setOnMouseMoved(this::hover);
    setOnKeyPressed(this::key);
  }

  /** Shows the bars of a line from one on; {@code anew} when it is not the line shown before. */
  void show(Brief in, Pattern.Written shown, List<PlacedChord> harmony, int fromBar, boolean anew) {
    brief = in;
    line = shown;
    makeRoom(anew);
    chords = harmony;
    firstBar = fromBar;
    chosen = chosen.filter(line.notes()::contains);
    int first = firstBar * stepsPerBar();
    cursorStep = Math.max(first, Math.min(cursorStep, first + bars() * stepsPerBar() - 1));
    redraw();
  }

  Optional<Note> chosen() {
    return chosen;
  }

  private int stepsPerBar() {
    return brief.meter().stepsPerBar();
  }

  private int bars() {
    return Math.min(BARS, line.bars() - firstBar);
  }

  private int firstTick() {
    return firstBar * brief.meter().ticksPerBar();
  }

  private int endTick() {
    return firstTick() + bars() * brief.meter().ticksPerBar();
  }

  private Axis time() {
    return new Axis(firstTick(), endTick(), LEFT, getWidth() - 8);
  }

  private DegreeRows rows() {
    return new DegreeRows(brief.key(), lowest, highest, TOP, getHeight() - FOOT);
  }

  /** Rows stay where they are while the line is worked on, unless a note comes near their edge. */
  private void makeRoom(boolean anew) {
    int low = line.notes().stream().mapToInt(Note::key).min().orElse(69);
    int high = line.notes().stream().mapToInt(Note::key).max().orElse(74);
    int middle = (low + high) / 2;
    boolean tight = low <= lowest || high >= highest;
    if (anew || (tight && grabbed.isEmpty())) {
      lowest = Math.max(0, Math.min(low - 4, middle - 11));
      highest = Math.min(127, Math.max(high + 4, middle + 11));
    }
  }

  private int step(double pixel) {
    double tick = Math.max(firstTick(), Math.min(endTick() - 1.0, time().value(pixel)));
    return (int) tick / Ticks.PER_STEP;
  }

  private Optional<Note> noteAt(double x, double y) {
    DegreeRows rows = rows();
    Axis time = time();
    return line.notes().stream()
        .filter(note -> x >= time.at(note.start()) - 2 && x <= time.at(note.end()) + 2)
        .filter(note -> Math.abs(rows.y(note.key()) - y) <= 9)
        .min(Comparator.comparingDouble(note -> Math.abs(rows.y(note.key()) - y)));
  }

  private boolean atEnd(Note note, double x) {
    double width = time().length(note.ticks());
    return x > time().at(note.end()) - Math.min(GRIP, width / 3);
  }

  private void hover(MouseEvent event) {
    Optional<Note> note = noteAt(event.getX(), event.getY());
    setCursor(
        note.map(n -> atEnd(n, event.getX()) ? Cursor.E_RESIZE : Cursor.HAND)
            .orElse(Cursor.DEFAULT));
  }

  private void press(MouseEvent event) {
    requestFocus();
    if (event.getX() < LEFT) {
      return;
    }
    gesture++;
    cursorStep = step(event.getX());
    cursorKey = rows().midi(event.getY());
    Optional<Note> found = noteAt(event.getX(), event.getY());
    if (found.isEmpty()) {
      choose(Optional.of(newNote()));
      hands.add(chosen.orElseThrow());
      return;
    }
    grabbed = found;
    lengthening = atEnd(found.get(), event.getX());
    grabTick = time().value(event.getX());
    choose(found);
  }

  private Note newNote() {
    int start = Ticks.ofSteps(cursorStep);
    int most = line.bars() * brief.meter().ticksPerBar() - start;
    return new Note(start, Math.min(Ticks.ofSteps(NEW_STEPS), most), cursorKey, NEW_VELOCITY);
  }

  private void drag(MouseEvent event) {
    if (grabbed.isEmpty() || chosen.isEmpty()) {
      return;
    }
    Note first = grabbed.get();
    long steps = Math.round((time().value(event.getX()) - grabTick) / Ticks.PER_STEP);
    int moved = Ticks.ofSteps((int) steps);
    Note changed =
        lengthening
            ? first.withTicks(Math.max(Ticks.PER_STEP, first.ticks() + moved))
            : first
                .withStart(held(first.start() + moved, first.ticks()))
                .withKey(rows().midi(event.getY()));
    change(changed);
  }

  private int held(int start, int ticks) {
    int end = line.bars() * brief.meter().ticksPerBar();
    return Math.max(0, Math.min(end - ticks, start));
  }

  private void change(Note changed) {
    Note old = chosen.orElseThrow();
    if (!changed.equals(old)) {
      choose(Optional.of(changed));
      hands.replace(old, changed, gesture);
    }
  }

  private void choose(Optional<Note> note) {
    chosen = note;
    hands.chosen(note);
    redraw();
  }

  private void key(KeyEvent event) {
    if (event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    gesture++;
    boolean known =
        chosen.isPresent() ? keyOnNote(event, chosen.get()) : keyOnCursor(event.getCode());
    if (known) {
      event.consume();
      redraw();
    }
  }

  private boolean keyOnNote(KeyEvent event, Note note) {
    int direction = event.getCode() == KeyCode.LEFT || event.getCode() == KeyCode.DOWN ? -1 : 1;
    switch (event.getCode()) {
      case LEFT, RIGHT -> {
        int moved = direction * Ticks.PER_STEP;
        change(
            event.isShiftDown()
                ? note.withTicks(Math.max(Ticks.PER_STEP, note.ticks() + moved))
                : note.withStart(held(note.start() + moved, note.ticks())));
      }
      case UP, DOWN ->
          change(
              note.withKey(
                  event.isShiftDown()
                      ? semitone(note, direction)
                      : rows().scaleNote(note.key(), direction)));
      case DELETE, BACK_SPACE -> {
        choose(Optional.empty());
        hands.remove(note);
      }
      case ESCAPE -> choose(Optional.empty());
      default -> {
        return false;
      }
    }
    chosen.ifPresent(
        n -> {
          cursorStep = n.start() / Ticks.PER_STEP;
          cursorKey = n.key();
        });
    return true;
  }

  private static int semitone(Note note, int direction) {
    return Math.max(0, Math.min(127, note.key() + direction));
  }

  private boolean keyOnCursor(KeyCode code) {
    int first = firstBar * stepsPerBar();
    int last = first + bars() * stepsPerBar() - 1;
    DegreeRows rows = rows();
    cursorKey = Math.max(rows.low(), Math.min(rows.high(), cursorKey));
    switch (code) {
      case LEFT -> cursorStep = Math.max(first, cursorStep - 1);
      case RIGHT -> cursorStep = Math.min(last, cursorStep + 1);
      case UP -> cursorKey = rows.scaleNote(cursorKey, 1);
      case DOWN -> cursorKey = rows.scaleNote(cursorKey, -1);
      case ENTER, SPACE -> placeOrChoose();
      default -> {
        return false;
      }
    }
    return true;
  }

  private void placeOrChoose() {
    int tick = Ticks.ofSteps(cursorStep);
    Optional<Note> here =
        line.notes().stream()
            .filter(n -> n.key() == cursorKey && n.start() <= tick && n.end() > tick)
            .findFirst();
    choose(Optional.of(here.orElseGet(this::newNote)));
    if (here.isEmpty()) {
      hands.add(chosen.orElseThrow());
    }
  }

  @Override
  protected void draw() {
    if (brief == null) {
      return;
    }
    Axis x = time();
    DegreeRows rows = rows();
    drawRows(x, rows);
    drawBars(x);
    drawContour(x, rows);
    for (int i = 0; i < line.notes().size(); i++) {
      drawNote(line.notes().get(i), i, x, rows);
    }
    int key = Math.max(rows.low(), Math.min(rows.high(), cursorKey));
    if (chosen.isEmpty()) {
      ring(x.at(Ticks.ofSteps(cursorStep)), rows.y(key) - 8, x.length(Ticks.PER_STEP), 16);
    }
  }

  private void drawRows(Axis x, DegreeRows rows) {
    double lastLabel = Double.MAX_VALUE;
    for (int midi = rows.low(); midi <= rows.high(); midi++) {
      double y = rows.y(midi);
      double half = Math.min(9, rows.thickness(midi) / 2 - 1);
      for (PlacedChord chord : chords) {
        boolean shown = chord.end() > firstTick() && chord.start() < endTick();
        if (shown && chord.chord().contains(midi % 12)) {
          double from = x.at(Math.max(firstTick(), chord.start()));
          double to = x.at(Math.min(endTick(), chord.end()));
          box(from, y - half, to - from, 2 * half, "band", "tone");
        }
      }
      boolean home = brief.key().tonic().pitchClass() == midi % 12;
      line(
          LEFT,
          y,
          getWidth() - 8,
          y,
          "rule",
          home ? "home" : rows.inScale(midi) ? "degree" : "faint");
      if (rows.inScale(midi) && lastLabel - y >= 11) {
        textEnding(
            LEFT - 9, y + 5, brief.key().degreeOf(midi % 12).toString(), home ? "bold" : "plain");
        lastLabel = y;
      }
    }
  }

  private void drawBars(Axis x) {
    int ticksPerBar = brief.meter().ticksPerBar();
    for (int tick = firstTick(); tick <= endTick(); tick += brief.meter().ticksPerBeat()) {
      boolean bar = tick % ticksPerBar == 0;
      line(x.at(tick), TOP - 8, x.at(tick), getHeight() - FOOT, "rule", bar ? "bar" : "faint");
    }
    for (PlacedChord chord : chords) {
      if (chord.start() >= firstTick() && chord.start() < endTick()) {
        Position at = Position.of(chord.start(), brief.meter());
        String bar = chord.start() % ticksPerBar == 0 ? at.bar() + "  " : "";
        fit(
            text(x.at(chord.start()) + 4, TOP - 11, bar + chord.chord(), "bold"),
            x.length(chord.ticks()) - 6);
      }
    }
  }

  private void drawContour(Axis x, DegreeRows rows) {
    for (int i = 0; i + 1 < line.notes().size(); i++) {
      Note from = line.notes().get(i);
      Note to = line.notes().get(i + 1);
      boolean near = to.start() - from.end() <= brief.meter().ticksPerBeat();
      if (near && from.end() > firstTick() && from.end() <= endTick() && to.start() < endTick()) {
        line(
            x.at(from.end()) - 3,
            rows.y(from.key()),
            x.at(to.start()) + 3,
            rows.y(to.key()),
            "contour");
      }
    }
  }

  private void drawNote(Note note, int index, Axis x, DegreeRows rows) {
    if (note.start() >= endTick() || note.end() <= firstTick()) {
      return;
    }
    double from = x.at(Math.max(firstTick(), note.start()));
    double to = x.at(Math.min(endTick(), note.end()));
    double y = rows.y(note.key());
    boolean isChosen = chosen.filter(note::equals).isPresent();
    Rectangle bar =
        box(from + 1, y - 6, Math.max(8, to - from - 2), 12, "note", isChosen ? "chosen" : "plain");
    bar.setArcWidth(12);
    bar.setArcHeight(12);
    String words =
        brief.key().pitch(note.key()) + " at " + Position.of(note.start(), brief.meter());
    named(bar, "note-" + index, words);
    if (isChosen) {
      ring(from - 3, y - 10, Math.max(8, to - from) + 6, 20);
    }
  }
}
