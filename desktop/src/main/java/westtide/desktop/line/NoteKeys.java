package westtide.desktop.line;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.input.KeyCode;
import westtide.desktop.kit.KeyTable;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.line.Note;
import westtide.theory.Key;

/** What keys and the menu do with the chosen notes of a line, and with its cursor. */
final class NoteKeys {
  private static final int LOUDER = 6;
  private static final int OCTAVE = 12;

  private final NoteMarks marks;
  private final NoteMarks.Actions actions;
  private final Supplier<LinePage> page;
  private List<Note> copied = List.of();

  NoteKeys(NoteMarks marks, NoteMarks.Actions actions, Supplier<LinePage> page) {
    this.marks = marks;
    this.actions = actions;
    this.page = page;
  }

  KeyTable table() {
    return new KeyTable("Notes of a line")
        .key("step before, or notes earlier", () -> sideways(-1), "LEFT")
        .key("next step, or notes later", () -> sideways(1), "RIGHT")
        .key("degree above", () -> upDown(1), "UP")
        .key("degree below", () -> upDown(-1), "DOWN")
        .menu("write a note", () -> !chosen(), marks::writeHere, "ENTER")
        .keys("write a degree and go on", "1 … 7", this::enter, digits())
        .key("rest a step length and go on", () -> marks.advance(), "0")
        .key("shorter steps to write", () -> marks.stepLength(-1), "COMMA")
        .key("longer steps to write", () -> marks.stepLength(1), "PERIOD")
        .menu("delete", this::chosen, this::delete, "DELETE", "BACK_SPACE")
        .menu("a step longer", this::chosen, () -> lengthen(1), "Shift+RIGHT")
        .menu("a step shorter", this::chosen, () -> lengthen(-1), "Shift+LEFT")
        .menu("semitone up", this::chosen, () -> transpose(1), "Shift+UP")
        .menu("semitone down", this::chosen, () -> transpose(-1), "Shift+DOWN")
        .menu("octave up", this::chosen, () -> transpose(OCTAVE), "PAGE_UP")
        .menu("octave down", this::chosen, () -> transpose(-OCTAVE), "PAGE_DOWN")
        .key("louder", () -> louder(LOUDER), "PLUS", "EQUALS", "ADD")
        .key("softer", () -> louder(-LOUDER), "MINUS", "SUBTRACT")
        .menu("copy", this::chosen, this::copy, "Shortcut+C")
        .menu("cut", this::chosen, this::cut, "Shortcut+X")
        .menu("paste at the cursor", () -> !copied.isEmpty(), this::paste, "Shortcut+V")
        .menu("duplicate after", this::chosen, this::duplicate, "Shortcut+D")
        .menu("choose all notes", () -> true, this::chooseAll, "Shortcut+A")
        .menu("choose nothing", this::chosen, () -> actions.choose(List.of()), "ESCAPE");
  }

  private static String[] digits() {
    return new String[] {"1", "2", "3", "4", "5", "6", "7"};
  }

  /** Step entry: the degree of the key nearest to the cursor, as long as the chosen step. */
  private void enter(KeyCode code) {
    Key key = page.get().rows().key();
    int degree = Math.min(code.ordinal() - KeyCode.DIGIT1.ordinal(), key.notes().size() - 1);
    int pitchClass = key.notes().get(degree).pitchClass();
    int up = Math.floorMod(pitchClass - marks.cursorKey(), 12);
    int midi = marks.cursorKey() + (up > 6 ? up - 12 : up);
    marks.enter(Math.max(0, Math.min(127, midi)));
  }

  private boolean chosen() {
    return !actions.chosen().isEmpty();
  }

  private void sideways(int steps) {
    if (!chosen()) {
      marks.walk(steps, 0);
      return;
    }
    int ticks = Ticks.ofSteps(steps);
    for (Note note : actions.chosen()) {
      ticks = page.get().heldStart(note.start() + ticks, note.ticks()) - note.start();
    }
    int by = ticks;
    change("Move notes", note -> note.withStart(note.start() + by));
  }

  private void upDown(int direction) {
    if (chosen()) {
      Rows rows = page.get().rows();
      change("Move notes by a degree", note -> note.withKey(rows.next(note.key(), direction)));
    } else {
      marks.walk(0, direction);
    }
  }

  private void lengthen(int steps) {
    LinePage on = page.get();
    change(
        "Lengthen notes",
        note -> note.withTicks(on.heldLength(note, note.ticks() + Ticks.ofSteps(steps))));
  }

  /** Moves by semitones unless a note would leave 0 to 127. */
  private void transpose(int semitones) {
    boolean fits =
        actions.chosen().stream()
            .allMatch(n -> n.key() + semitones >= 0 && n.key() + semitones <= 127);
    if (fits) {
      change("Transpose notes", note -> note.withKey(note.key() + semitones));
    }
  }

  private void louder(int by) {
    change("Set velocity", note -> note.withVelocity(Velocity.held(note.velocity() + by)));
  }

  private void change(String name, UnaryOperator<Note> change) {
    List<Note> before = actions.chosen();
    List<Note> after = before.stream().map(change).toList();
    if (!after.equals(before)) {
      actions.put(name, before, after);
    }
  }

  private void delete() {
    int count = actions.chosen().size();
    actions.put(
        count == 1 ? "Delete a note" : "Delete " + count + " notes", actions.chosen(), List.of());
  }

  private void copy() {
    copied = actions.chosen();
  }

  private void cut() {
    copy();
    delete();
  }

  private void paste() {
    put("Paste", copied, Ticks.ofSteps(marks.cursorStep()) - start(copied));
  }

  private void duplicate() {
    List<Note> chosen = actions.chosen();
    int end = chosen.stream().mapToInt(Note::end).max().orElse(0);
    int steps = (end - start(chosen) + Ticks.PER_STEP - 1) / Ticks.PER_STEP;
    put("Duplicate", chosen, Ticks.ofSteps(steps));
  }

  /** Notes that would end behind the line are left out. */
  private void put(String name, List<Note> notes, int ticks) {
    List<Note> out = new ArrayList<>();
    for (Note note : notes) {
      if (note.start() + ticks >= 0 && note.end() + ticks <= page.get().lineEnd()) {
        out.add(note.withStart(note.start() + ticks));
      }
    }
    if (!out.isEmpty()) {
      actions.put(name + " " + out.size() + " notes", List.of(), out);
    }
  }

  private static int start(List<Note> notes) {
    return notes.stream().mapToInt(Note::start).min().orElse(0);
  }

  private void chooseAll() {
    actions.choose(page.get().notes());
  }
}
