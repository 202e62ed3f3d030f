package westtide.desktop.line;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;
import westtide.song.line.NoteShapes;
import westtide.theory.Key;

/** What can be made of the chosen notes, or of all of them where none is chosen. */
final class ShapePage implements Page<LineScene> {
  private static final int LOOSE_TICKS = 18;
  private static final int LOOSE_VELOCITY = 9;

  private final LineBench bench;
  private final VBox box;
  private final NumberField strength =
      NumberField.held("shape-strength", "at, %", 0, 100, this::strength, this::strength).inline();
  private final NumberField repeats =
      NumberField.held("shape-repeats", "ramp, steps", 2, 24, this::repeats, this::repeats)
          .inline();
  private final Chips<Grid> grids = new Chips<>("shape-grid-", Grid::toString, this::grid);
  private LineScene scene;
  private int strengthNow = 100;
  private int repeatsNow = 9;
  private Grid gridNow = Grid.SIXTEENTH;
  private int turns;

  /** What starts are quantised to, and where notes are cut. */
  private enum Grid {
    EIGHTH("1/8", Ticks.PER_QUARTER / 2),
    SIXTEENTH("1/16", Ticks.PER_STEP),
    TRIPLET("triplet", Ticks.PER_QUARTER / 6),
    THIRTY_SECOND("1/32", Ticks.PER_STEP / 2);

    private final String title;
    private final int ticks;

    Grid(String title, int ticks) {
      this.title = title;
      this.ticks = ticks;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  ShapePage(LineBench bench) {
    this.bench = bench;
    grids.getStyleClass().add("small-chips");
    this.box =
        Controls.column(
            0,
            Controls.flow(
                pair("line", "semitone", n -> by(n, 1), n -> by(n, -1)),
                pair("key", "degree", n -> inKey(n, 1), n -> inKey(n, -1)),
                pair("octave", "octave", n -> by(n, 12), n -> by(n, -12)),
                does("shape-invert", "invert", "Upside down in the key", this::mirrored),
                does("shape-reverse", "reverse", "Backwards", NoteShapes::reversed),
                does("shape-double", "double", "Twice as long", n -> NoteShapes.stretched(n, 2, 1)),
                does("shape-half", "half", "Half as long", n -> NoteShapes.stretched(n, 1, 2)),
                does("shape-legato", "legato", "Each held to the next", NoteShapes::legato),
                does("shape-staccato", "staccato", "Half the length", NoteShapes::staccato),
                does("shape-last", "vary ending", "Another ending", this::lastChanged),
                does("shape-thin", "reduce notes", "Fewer off the beat", NoteShapes::thinned),
                does("shape-quantise", "quantise to", "Starts to the grid", this::quantised),
                grids,
                strength,
                does("shape-humanise", "humanise", "A little off, by a seed", this::humanised),
                does(
                    "shape-random",
                    "random pitches",
                    "Other notes of the key in the same rhythm and range",
                    this::randomPitches),
                does("shape-chop", "chop", "Cut into pieces at the grid", this::chopped),
                repeats,
                does("shape-ramp", "ramp", "Rising repeats of the last note", this::ramp),
                does("shape-slide", "slide", "From the note before; again: none", this::slid)));
    box.getStyleClass().add("shapes");
  }

  /** A word with a sign for up and one for down. */
  private Node pair(
      String id, String words, UnaryOperator<List<Note>> up, UnaryOperator<List<Note>> down) {
    return Controls.row(
        0,
        Controls.label(words, "small"),
        does(id + "-up", "▲", "A " + words + " up", up),
        does(id + "-down", "▼", "A " + words + " down", down));
  }

  private Button does(String id, String words, String help, UnaryOperator<List<Note>> shape) {
    String name = words.length() == 1 ? help : words;
    Button button = Controls.action(id, words, () -> shape(name, shape));
    return help.isEmpty() ? button : Controls.explained(button, help);
  }

  private void shape(String words, UnaryOperator<List<Note>> shape) {
    if (scene == null || bench.written().isEmpty()) {
      return;
    }
    List<Note> before = scene.meant();
    List<Note> after = shape.apply(before);
    if (after.stream().anyMatch(n -> n.end() > scene.line().ticks())) {
      after =
          after.stream().filter(n -> n.start() < scene.line().ticks()).map(this::inside).toList();
    }
    if (after.equals(before)) {
      bench.context().messages().done("That changes nothing here: " + words + ".");
      return;
    }
    String what = Character.toUpperCase(words.charAt(0)) + words.substring(1);
    List<Note> chosen = scene.chosen();
    bench.put(what + ", " + scene.line().part().name(), before, after);
    if (chosen.isEmpty()) {
      bench.choose(List.of());
    }
  }

  private Note inside(Note note) {
    return note.withTicks(Math.min(note.ticks(), scene.line().ticks() - note.start()));
  }

  private Key key() {
    return scene.line().song().brief().key();
  }

  private List<Note> by(List<Note> notes, int semitones) {
    boolean fits =
        notes.stream().allMatch(n -> n.key() + semitones >= 0 && n.key() + semitones <= 127);
    if (!fits) {
      bench
          .context()
          .messages()
          .done("A note would leave the range of MIDI, C−1 to G9; nothing was moved.");
    }
    return fits ? notes.stream().map(n -> n.withKey(n.key() + semitones)).toList() : notes;
  }

  private List<Note> inKey(List<Note> notes, int steps) {
    return NoteShapes.inKey(notes, key(), steps);
  }

  private List<Note> mirrored(List<Note> notes) {
    return NoteShapes.mirrored(notes, key());
  }

  private List<Note> lastChanged(List<Note> notes) {
    return NoteShapes.lastChanged(notes, key(), turns++);
  }

  private List<Note> quantised(List<Note> notes) {
    return NoteShapes.quantised(notes, gridNow.ticks, strengthNow);
  }

  private List<Note> randomPitches(List<Note> notes) {
    long seed = scene.line().song().seed() + scene.line().part().id().seed() + turns++;
    return notes.isEmpty() ? notes : NoteShapes.randomPitches(notes, key(), seed);
  }

  private List<Note> humanised(List<Note> notes) {
    long seed = scene.line().song().seed() + scene.line().part().id().seed() + turns++;
    return NoteShapes.humanised(notes, LOOSE_TICKS, LOOSE_VELOCITY, seed);
  }

  private List<Note> chopped(List<Note> notes) {
    return NoteShapes.chopped(notes, gridNow.ticks);
  }

  /** The last of the notes becomes a ramp. */
  private List<Note> ramp(List<Note> notes) {
    if (notes.isEmpty()) {
      return notes;
    }
    List<Note> out = new ArrayList<>(notes.subList(0, notes.size() - 1));
    out.addAll(NoteShapes.ramp(notes.get(notes.size() - 1), repeatsNow, 0));
    return out;
  }

  private List<Note> slid(List<Note> notes) {
    boolean some = notes.stream().anyMatch(n -> n.slide() == 0);
    return notes.stream().map(n -> n.withSlide(some ? Ticks.PER_STEP : 0)).toList();
  }

  private int strength() {
    return strengthNow;
  }

  private void strength(int percent) {
    strengthNow = checked("strength", percent, 0, 100);
    strength.show(String.valueOf(strengthNow));
  }

  private int repeats() {
    return repeatsNow;
  }

  private void repeats(int count) {
    repeatsNow = checked("repeats", count, 2, 24);
    repeats.show(String.valueOf(repeatsNow));
  }

  private static int checked(String what, int value, int low, int high) {
    if (value < low || value > high) {
      throw new IllegalArgumentException(what + ": " + low + " to " + high + ", but was " + value);
    }
    return value;
  }

  private void grid(Grid chosen) {
    gridNow = chosen;
  }

  @Override
  public String title() {
    return "shape";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    scene = shown;
    strength.show(String.valueOf(strengthNow));
    repeats.show(String.valueOf(repeatsNow));
    grids.show(List.of(Grid.values()), gridNow);
  }
}
