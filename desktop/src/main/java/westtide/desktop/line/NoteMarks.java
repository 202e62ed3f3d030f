package westtide.desktop.line;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.geometry.Bounds;
import javafx.scene.Cursor;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.line.Note;

/**
 * The notes of a line as marks. A drag moves the chosen notes, at the right end of one it lengthens
 * them, with Alt it sets their velocity; a drag on an empty place writes a note as long as the
 * drag.
 */
public final class NoteMarks implements SheetGestures.Sheet<Note> {
  /** What the gestures ask the room to do. */
  public interface Actions {
    /** The chosen notes as they are now, in order. */
    List<Note> chosen();

    /** Chooses notes, and nothing else. */
    void choose(List<Note> notes);

    /** Puts notes in place of others, either of which may be none, and chooses them. */
    void put(String name, List<Note> without, List<Note> with);
  }

  private static final int WHEEL = 4;
  private static final List<Integer> STEP_LENGTHS = List.of(1, 2, 3, 4, 6, 8, 12, 16);
  private static final int NEW_VELOCITY = 92;

  private final Actions actions;
  private final Supplier<LinePage> page;
  private final Runnable redraw;
  private final KeyTable keys;
  private Consumer<Boolean> zoom = closer -> {};
  private int cursorStep;
  private int cursorKey = 72;
  private int newSteps = 2;
  private boolean locked;

  NoteMarks(Actions actions, Supplier<LinePage> page, Runnable redraw) {
    this.actions = actions;
    this.page = page;
    this.redraw = redraw;
    this.keys = new NoteKeys(this, actions, page).table();
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  /** Keeps what the pointer writes and moves inside the scale, or no longer. */
  void locking(boolean inScale) {
    locked = inScale;
  }

  private int held(Rows rows, double y) {
    int midi = rows.midi(y);
    return locked ? rows.key().nearest(midi) : midi;
  }

  void zooming(Consumer<Boolean> zooming) {
    zoom = zooming;
  }

  @Override
  public void zoom(boolean closer) {
    zoom.accept(closer);
  }

  /** Makes the chosen notes louder or softer by turns of the wheel. */
  void louder(int turns) {
    change(
        "Set velocity",
        actions.chosen(),
        note -> note.withVelocity(Velocity.held(note.velocity() + (long) WHEEL * turns)));
  }

  int cursorStep() {
    return cursorStep;
  }

  int cursorKey() {
    return cursorKey;
  }

  /** Brings the cursor onto the page, or to the one note that is chosen. */
  void settle() {
    List<Note> chosen = actions.chosen();
    if (chosen.size() == 1) {
      cursorStep = chosen.get(0).start() / Ticks.PER_STEP;
      cursorKey = chosen.get(0).key();
    }
    cursorStep = Math.max(firstStep(), Math.min(lastStep(), cursorStep));
  }

  void walk(int steps, int rows) {
    Rows on = page.get().rows();
    cursorKey = Math.max(on.low(), Math.min(on.high(), cursorKey));
    cursorStep = Math.max(firstStep(), Math.min(lastStep(), cursorStep + steps));
    cursorKey = rows == 0 ? cursorKey : on.next(cursorKey, rows);
    redraw.run();
  }

  private int firstStep() {
    return page.get().firstTick() / Ticks.PER_STEP;
  }

  private int lastStep() {
    return page.get().endTick() / Ticks.PER_STEP - 1;
  }

  @Override
  public Optional<Note> at(double x, double y) {
    return x < page.get().left() ? Optional.empty() : page.get().noteAt(x, y);
  }

  @Override
  public Set<Note> chosen() {
    return Set.copyOf(actions.chosen());
  }

  @Override
  public void choose(Set<Note> marks) {
    actions.choose(List.copyOf(marks));
  }

  @Override
  public void cursor(double x, double y) {
    cursorStep = page.get().step(x);
    cursorKey = held(page.get().rows(), y);
    actions.choose(List.of());
    redraw.run();
  }

  @Override
  public Set<Note> within(Bounds frame) {
    LinePage on = page.get();
    return on.notes().stream()
        .filter(note -> on.rows().shows(note.key()))
        .filter(
            note ->
                frame.intersects(
                    on.time().at(note.start()),
                    on.rows().y(note.key()) - 1,
                    on.time().length(note.ticks()),
                    2))
        .collect(java.util.stream.Collectors.toSet());
  }

  @Override
  public Cursor hover(double x, double y) {
    return at(x, y)
        .map(note -> page.get().atEnd(note, x) ? Cursor.E_RESIZE : Cursor.HAND)
        .orElse(Cursor.DEFAULT);
  }

  @Override
  public void write(double x, double y) {
    cursor(x, y);
    writeHere();
  }

  /** Writes a note where the cursor is, or chooses the one that is there. */
  void writeHere() {
    int tick = Ticks.ofSteps(cursorStep);
    List<Note> here =
        page.get().notes().stream()
            .filter(n -> n.key() == cursorKey && n.start() <= tick && n.end() > tick)
            .limit(1)
            .toList();
    if (here.isEmpty()) {
      actions.put("Write a note", List.of(), List.of(written(newSteps)));
    } else {
      actions.choose(here);
    }
  }

  /** Writes a note at the cursor, chooses nothing, and goes on behind it. */
  void enter(int key) {
    cursorKey = key;
    Note note = written(newSteps);
    int step = cursorStep;
    actions.put("Write a note", List.of(), List.of(note));
    actions.choose(List.of());
    cursorStep = step;
    cursorKey = key;
    advance();
  }

  /** Goes on by the length of a written step, to the last of the page. */
  void advance() {
    cursorStep = Math.min(lastStep(), cursorStep + newSteps);
    redraw.run();
  }

  /** The next longer or shorter length of what is written. */
  void stepLength(int direction) {
    int at = STEP_LENGTHS.indexOf(newSteps) + direction;
    newSteps = STEP_LENGTHS.get(Math.max(0, Math.min(STEP_LENGTHS.size() - 1, at)));
    redraw.run();
  }

  /** How many steps a written note lasts. */
  int newSteps() {
    return newSteps;
  }

  private Note written(int steps) {
    int start = Ticks.ofSteps(cursorStep);
    int ticks = Math.min(Ticks.ofSteps(steps), page.get().lineEnd() - start);
    return new Note(start, ticks, cursorKey, NEW_VELOCITY);
  }

  @Override
  public Optional<Pull> draw(double x, double y) {
    return x < page.get().left() ? Optional.empty() : Optional.of(new Writing());
  }

  @Override
  public Optional<Pull> grab(Note mark, double x, double y, boolean alt) {
    if (alt) {
      return Optional.of(new Shading(y));
    }
    return Optional.of(page.get().atEnd(mark, x) ? new Lengthening(mark, x) : new Moving(mark, x));
  }

  /**
   * Puts the chosen notes as they were when a drag began, each changed, in place of what they are.
   */
  private void change(String name, List<Note> from, UnaryOperator<Note> change) {
    List<Note> to = from.stream().map(change).toList();
    if (!to.equals(actions.chosen())) {
      actions.put(name, actions.chosen(), to);
    }
  }

  private static String steps(int ticks) {
    return ticks / Ticks.PER_STEP + (ticks == Ticks.PER_STEP ? " step" : " steps");
  }

  /** A new note whose end follows the pointer. */
  private final class Writing implements Pull {
    private final int from = cursorStep;
    private List<Note> written = List.of();

    @Override
    public String to(double x, double y) {
      int steps = Math.max(1, page.get().step(x) - from + 1);
      Note note = written(steps);
      if (!written.equals(List.of(note))) {
        actions.put("Write a note", written, List.of(note));
        written = List.of(note);
      }
      return steps(note.ticks());
    }
  }

  private final class Moving implements Pull {
    private final List<Note> before = actions.chosen();
    private final Note grabbed;
    private final double fromTick;

    Moving(Note grabbed, double x) {
      this.grabbed = grabbed;
      this.fromTick = page.get().time().value(x);
    }

    @Override
    public String to(double x, double y) {
      LinePage on = page.get();
      int wanted = (int) Math.round((on.time().value(x) - fromTick) / Ticks.PER_STEP);
      int ticks = Ticks.ofSteps(wanted);
      int semitones = held(on.rows(), y) - grabbed.key();
      for (Note note : before) {
        ticks = on.heldStart(note.start() + ticks, note.ticks()) - note.start();
        semitones = Math.max(-note.key(), Math.min(127 - note.key(), semitones));
      }
      int late = ticks;
      int up = semitones;
      change(
          before.size() == 1 ? "Move a note" : "Move " + before.size() + " notes",
          before,
          note -> note.withStart(note.start() + late).withKey(note.key() + up));
      return on.words(grabbed.withStart(grabbed.start() + late).withKey(grabbed.key() + up));
    }
  }

  private final class Lengthening implements Pull {
    private final List<Note> before = actions.chosen();
    private final Note grabbed;
    private final double fromTick;

    Lengthening(Note grabbed, double x) {
      this.grabbed = grabbed;
      this.fromTick = page.get().time().value(x);
    }

    @Override
    public String to(double x, double y) {
      LinePage on = page.get();
      int steps = (int) Math.round((on.time().value(x) - fromTick) / Ticks.PER_STEP);
      int more = Ticks.ofSteps(steps);
      change(
          "Lengthen notes",
          before,
          note -> note.withTicks(on.heldLength(note, note.ticks() + more)));
      return steps(on.heldLength(grabbed, grabbed.ticks() + more));
    }
  }

  private final class Shading implements Pull {
    private final List<Note> before = actions.chosen();
    private final double fromY;

    Shading(double fromY) {
      this.fromY = fromY;
    }

    @Override
    public String to(double x, double y) {
      long up = Math.round(fromY - y);
      change(
          "Set velocity", before, note -> note.withVelocity(Velocity.held(note.velocity() + up)));
      return "velocity " + Velocity.held(before.get(0).velocity() + up);
    }
  }
}
