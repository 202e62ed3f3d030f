package westtide.desktop.lines;

import java.util.List;
import javafx.scene.shape.Rectangle;
import westtide.desktop.kit.Axis;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.SheetGestures;
import westtide.rhythm.Position;
import westtide.rhythm.Ticks;
import westtide.song.Brief;
import westtide.song.Note;
import westtide.song.Pattern;
import westtide.song.chord.PlacedChord;

/**
 * Four bars of a written line on degree rows: chord tones shaded bar by bar, notes as bars joined
 * by a thin contour.
 */
final class DegreeSheet extends Drawing {
  private static final double LEFT = 50;
  private static final double TOP = 26;
  private static final double FOOT = 8;

  private final NoteMarks.Actions actions;
  private final NoteMarks marks;
  private final SheetGestures<Note> gestures;
  private Brief brief;
  private Pattern.Written line = new Pattern.Written(1, List.of());
  private List<PlacedChord> chords = List.of();
  private int firstBar;
  private int lowest = 60;
  private int highest = 84;

  DegreeSheet(NoteMarks.Actions actions) {
    super("The line on degree rows", true);
    setId("degree-sheet");
    this.actions = actions;
    this.marks = new NoteMarks(actions, this::page, this::redraw);
    this.gestures = SheetGestures.on(this, marks);
  }

  /** What can be done here and by which keys. */
  KeyTable keys() {
    return marks.keys();
  }

  /** Shows the bars of a line from one on; {@code anew} when it is not the line shown before. */
  void show(Brief in, Pattern.Written shown, List<PlacedChord> harmony, int fromBar, boolean anew) {
    brief = in;
    line = shown;
    makeRoom(anew);
    chords = harmony;
    firstBar = fromBar;
    marks.settle();
    redraw();
  }

  /** Shows a tick of the line, if it is on the page. */
  void follow(double tick) {
    LinePage page = page();
    if (tick >= page.firstTick() && tick < page.endTick()) {
      playAt(tick);
    } else {
      playNowhere();
    }
  }

  @Override
  protected double playX(double tick) {
    return page().time().at(tick);
  }

  private LinePage page() {
    DegreeRows rows = new DegreeRows(brief.key(), lowest, highest, TOP, getHeight() - FOOT);
    return new LinePage(line, brief.meter(), firstBar, rows, LEFT, getWidth() - 8);
  }

  /** Rows stay where they are while the line is worked on, unless a note comes near their edge. */
  private void makeRoom(boolean anew) {
    int low = line.notes().stream().mapToInt(Note::key).min().orElse(69);
    int high = line.notes().stream().mapToInt(Note::key).max().orElse(74);
    int middle = (low + high) / 2;
    boolean tight = low <= lowest || high >= highest;
    if (anew || (tight && !gestures.dragging())) {
      lowest = Math.max(0, Math.min(low - 4, middle - 11));
      highest = Math.min(127, Math.max(high + 4, middle + 11));
    }
  }

  @Override
  protected void draw() {
    if (brief == null) {
      return;
    }
    LinePage page = page();
    Axis x = page.time();
    drawRows(page, x);
    drawBars(page, x);
    drawContour(page, x);
    List<Note> chosen = actions.chosen();
    for (int i = 0; i < line.notes().size(); i++) {
      Note note = line.notes().get(i);
      drawNote(note, i, chosen.contains(note), page, x);
    }
    if (chosen.isEmpty()) {
      DegreeRows rows = page.rows();
      int key = Math.max(rows.low(), Math.min(rows.high(), marks.cursorKey()));
      double from = x.at(Ticks.ofSteps(marks.cursorStep()));
      ring(from, rows.y(key) - 8, x.length(Ticks.PER_STEP), 16);
    }
  }

  private void drawRows(LinePage page, Axis x) {
    DegreeRows rows = page.rows();
    double lastLabel = Double.MAX_VALUE;
    for (int midi = rows.low(); midi <= rows.high(); midi++) {
      double y = rows.y(midi);
      double half = Math.min(9, rows.thickness(midi) / 2 - 1);
      for (PlacedChord chord : chords) {
        boolean shown = chord.end() > page.firstTick() && chord.start() < page.endTick();
        if (shown && chord.chord().contains(midi % 12)) {
          double from = x.at(Math.max(page.firstTick(), chord.start()));
          double to = x.at(Math.min(page.endTick(), chord.end()));
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

  private void drawBars(LinePage page, Axis x) {
    int ticksPerBar = brief.meter().ticksPerBar();
    for (int tick = page.firstTick();
        tick <= page.endTick();
        tick += brief.meter().ticksPerBeat()) {
      boolean bar = tick % ticksPerBar == 0;
      line(x.at(tick), TOP - 8, x.at(tick), getHeight() - FOOT, "rule", bar ? "bar" : "faint");
    }
    for (PlacedChord chord : chords) {
      if (chord.start() >= page.firstTick() && chord.start() < page.endTick()) {
        Position at = Position.of(chord.start(), brief.meter());
        String bar = chord.start() % ticksPerBar == 0 ? at.bar() + "  " : "";
        squeeze(
            text(x.at(chord.start()) + 4, TOP - 11, bar + chord.chord(), "bold"),
            x.length(chord.ticks()) - 6);
      }
    }
  }

  private void drawContour(LinePage page, Axis x) {
    DegreeRows rows = page.rows();
    for (int i = 0; i + 1 < line.notes().size(); i++) {
      Note from = line.notes().get(i);
      Note to = line.notes().get(i + 1);
      boolean near = to.start() - from.end() <= brief.meter().ticksPerBeat();
      if (near
          && from.end() > page.firstTick()
          && from.end() <= page.endTick()
          && to.start() < page.endTick()) {
        line(
            x.at(from.end()) - 3,
            rows.y(from.key()),
            x.at(to.start()) + 3,
            rows.y(to.key()),
            "contour");
      }
    }
  }

  private void drawNote(Note note, int index, boolean isChosen, LinePage page, Axis x) {
    if (note.start() >= page.endTick() || note.end() <= page.firstTick()) {
      return;
    }
    double from = x.at(Math.max(page.firstTick(), note.start()));
    double to = x.at(Math.min(page.endTick(), note.end()));
    double y = page.rows().y(note.key());
    Rectangle bar =
        box(from + 1, y - 6, Math.max(8, to - from - 2), 12, "note", isChosen ? "chosen" : "plain");
    bar.setArcWidth(12);
    bar.setArcHeight(12);
    String words = page.words(note) + ", velocity " + note.velocity();
    thing(bar, "note-" + index, "note", words, isChosen);
    sounds(bar, note.start(), note.end());
    if (isChosen) {
      chosenRing(from - 3, y - 10, Math.max(8, to - from) + 6, 20);
    }
  }
}
