package westtide.desktop.line;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Polygon;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;
import westtide.theory.Key;

/**
 * Some bars of a line: each note a wedge, thick where it starts by its velocity and thin where it
 * ends, a slide a slope from the note before; the chords heard stand above. What lies under the
 * notes is drawn by the room it stands in.
 */
public abstract class NoteSheet extends Drawing {
  private static final double TOP = 26;
  private static final double ARCS = 24;
  private static final int ARC_POINTS = 16;

  /** Pixels right of the last bar. */
  protected static final double RIGHT = 8;

  private static final int LONG_BARS = 4;
  private static final double THIN = 1.3;
  private static final double LEAST_HEAD = 3;
  private static final double MOST_HEAD = 8.5;

  private final NoteMarks.Actions actions;
  private final NoteMarks marks;
  private boolean naming;
  private final SheetGestures<Note> gestures;
  private final String noteId;
  private final double left;
  private final double foot;
  private Consumer<Integer> turn = bars -> {};
  private Optional<HeardLine> line = Optional.empty();
  private Optional<Score> score = Optional.empty();
  private List<ScoredNote> ghosts = List.of();
  private int firstBar;
  private int shownBars = 4;

  /**
   * A sheet.
   *
   * @param name what it is, for screen readers
   * @param id its id
   * @param noteId what the ids of its notes begin with
   * @param left pixels left of the first bar
   * @param foot pixels below the rows
   * @param actions what is done with notes
   */
  protected NoteSheet(
      String name, String id, String noteId, double left, double foot, NoteMarks.Actions actions) {
    super(name, true);
    setId(id);
    this.left = left;
    this.foot = foot;
    this.noteId = noteId;
    this.actions = actions;
    this.marks = new NoteMarks(actions, this::page, this::redraw);
    this.gestures = SheetGestures.on(this, marks);
    addEventFilter(ScrollEvent.SCROLL, this::wheel);
  }

  /** What the wheel does: Ctrl looks closer or further, else it turns by bars. */
  void turning(Consumer<Boolean> zoom, Consumer<Integer> bars) {
    marks.zooming(zoom);
    turn = bars;
  }

  /** Shows the name of every note, or none. */
  void naming(boolean shown) {
    naming = shown;
    redraw();
  }

  /** Keeps notes that are written or moved with the pointer inside the scale, or no longer. */
  void locking(boolean locked) {
    marks.locking(locked);
  }

  /** What can be done here and by which keys. */
  public KeyTable keys() {
    return marks.keys();
  }

  /**
   * Shows bars of a line.
   *
   * @param in the score around it
   * @param shown the line
   * @param others notes of other parts, in ticks of the song
   * @param from the first bar, from 0
   * @param bars how many
   * @param anew whether it is not the line that was shown before
   */
  void show(Score in, HeardLine shown, List<ScoredNote> others, int from, int bars, boolean anew) {
    score = Optional.of(in);
    line = Optional.of(shown);
    ghosts = others;
    firstBar = from;
    shownBars = bars;
    makeRoom(shown.notes(), anew, gestures.dragging());
    marks.settle();
    redraw();
  }

  /** Shows a tick of the line, if it is on the page. */
  public void follow(double tick) {
    LinePage page = page();
    if (tick >= page.firstTick() && tick < page.endTick()) {
      playAt(tick);
    } else {
      playNowhere();
    }
  }

  private void wheel(ScrollEvent event) {
    if (event.isAltDown()) {
      marks.louder(event.getDeltaY() + event.getDeltaX() > 0 ? 1 : -1);
      event.consume();
    } else if (!event.isShortcutDown()) {
      turn.accept(event.getDeltaY() > 0 ? -1 : 1);
      event.consume();
    }
  }

  @Override
  protected double playX(double tick) {
    return page().time().at(tick);
  }

  @Override
  protected double playFoot() {
    return getHeight() - foot;
  }

  /** Pixels above the rows; a phrase has its arcs there. */
  protected double top() {
    boolean phrase = line.flatMap(HeardLine::phrase).isPresent();
    return scaled(phrase ? TOP + ARCS : TOP);
  }

  /** The rows at the present size. */
  protected abstract Rows rows();

  /** Finds room for the notes; rows stay where they are while a line is worked on. */
  protected abstract void makeRoom(List<Note> notes, boolean anew, boolean dragging);

  /** Draws what lies under the notes. */
  protected abstract void ground(HeardLine shown, LinePage page);

  /** Draws what lies over the notes. */
  protected void over(HeardLine shown, LinePage page) {}

  /** The key notes are named in. */
  protected Key key() {
    return line.orElseThrow().song().brief().key();
  }

  /** The line, if one is shown. */
  protected Optional<HeardLine> line() {
    return line;
  }

  /** The notes of a part that sound with the page, in ticks of the song. */
  protected List<ScoredNote> notes(ScoredPart part, LinePage page) {
    int from = line.orElseThrow().songTick() + page.firstTick();
    int to = line.orElseThrow().songTick() + page.endTick();
    return part.between(Math.max(0, from - LONG_BARS * meter().ticksPerBar()), to).stream()
        .filter(note -> note.end() > from)
        .toList();
  }

  /** The score around the line. */
  protected Score score() {
    return score.orElseThrow();
  }

  /** Notes of other parts that sound with the page, in ticks of the song. */
  protected List<ScoredNote> ghosts() {
    return ghosts;
  }

  /** Where a tick of the song stands on the page. */
  protected double songX(LinePage page, int songTick) {
    return page.time().at(songTick - line.orElseThrow().songTick());
  }

  private LinePage page() {
    HeardLine shown = line.orElseThrow();
    return new LinePage(
        shown.notes(),
        shown.bars(),
        meter(),
        shown.song().barLines().bar(shown.songTick()),
        firstBar,
        shownBars,
        rows(),
        left,
        getWidth() - RIGHT);
  }

  private Meter meter() {
    return line.orElseThrow().song().brief().meter();
  }

  @Override
  protected void draw() {
    if (line.isEmpty()) {
      return;
    }
    HeardLine shown = line.get();
    LinePage page = page();
    ground(shown, page);
    drawBars(shown, page);
    drawContour(page);
    List<Note> chosen = actions.chosen();
    for (int i = 0; i < shown.notes().size(); i++) {
      Note note = shown.notes().get(i);
      drawNote(note, i, chosen.contains(note), page);
    }
    drawPhrase(shown, page);
    over(shown, page);
    if (chosen.isEmpty()) {
      drawCursor(page);
    }
  }

  /** Arcs over the units of a phrase, and a ring where a note differs from what they lead to. */
  private void drawPhrase(HeardLine shown, LinePage page) {
    if (shown.phrase().isEmpty()) {
      return;
    }
    Pattern.Phrase phrase = shown.phrase().get();
    int ticks = phrase.unitBars() * meter().ticksPerBar();
    List<Note> differing = phrase.differing(shown.song().brief().key(), meter());
    Axis x = page.time();
    for (int i = 0; i < phrase.units().size(); i++) {
      int from = Math.max(page.firstTick(), i * ticks);
      int to = Math.min(page.endTick(), (i + 1) * ticks);
      if (to > from) {
        PhraseUnit unit = phrase.units().get(i);
        arc(x.at(from) + 5, x.at(to) - 5);
        String own = unit.own().isPresent() ? " own" : "";
        String words = unit.change().sign() + own;
        textCentred((x.at(from) + x.at(to)) / 2, scaled(11), x.length(to - from), words, "section");
      }
    }
    for (Note note : differing) {
      boolean here = note.start() >= page.firstTick() && note.start() < page.endTick();
      if (here && page.rows().shows(note.key())) {
        dot(x.at(note.start()) + 3, page.rows().y(note.key()), 11, "differs");
      }
    }
  }

  private void arc(double from, double to) {
    double[] points = new double[2 * (ARC_POINTS + 1)];
    for (int i = 0; i <= ARC_POINTS; i++) {
      double share = i / (double) ARC_POINTS;
      points[2 * i] = from + share * (to - from);
      points[2 * i + 1] = scaled(26) - 10 * (1 - Math.pow(2 * share - 1, 2));
    }
    polyline(points, "arc");
  }

  private void drawCursor(LinePage page) {
    Rows rows = page.rows();
    int key = Math.max(rows.low(), Math.min(rows.high(), marks.cursorKey()));
    double from = page.time().at(Ticks.ofSteps(marks.cursorStep()));
    int ticks = Ticks.ofSteps(isFocused() ? marks.newSteps() : 1);
    ring(from, rows.y(key) - 8, page.time().length(ticks), 16);
  }

  private void drawBars(HeardLine shown, LinePage page) {
    Axis x = page.time();
    int bar = meter().ticksPerBar();
    for (int tick = page.firstTick(); tick <= page.endTick(); tick += meter().ticksPerBeat()) {
      String style = tick % bar == 0 ? "bar" : "faint";
      line(x.at(tick), top() - 8, x.at(tick), getHeight() - foot, "rule", style);
    }
    for (PlacedChord chord : shown.harmony().chords()) {
      int start = Math.max(chord.start(), page.firstTick());
      if (chord.end() > page.firstTick() && start < page.endTick()) {
        boolean rest = chord.span().articulation().rest();
        int songBar = shown.song().barLines().bar(shown.songTick() + start) + 1;
        String number = start % bar == 0 ? songBar + "  " : "";
        double room = x.length(Math.min(chord.end(), page.endTick()) - start) - 6;
        squeeze(
            text(x.at(start) + 4, top() - 11, number + (rest ? "rest" : chord.chord()), "bold"),
            room);
      }
    }
  }

  private void drawContour(LinePage page) {
    Axis x = page.time();
    Rows rows = page.rows();
    List<Note> notes = page.notes();
    for (int i = 0; i + 1 < notes.size(); i++) {
      Note from = notes.get(i);
      Note to = notes.get(i + 1);
      boolean near = to.start() - from.end() <= meter().ticksPerBeat();
      boolean here = from.end() > page.firstTick() && to.start() < page.endTick();
      boolean known = rows.shows(from.key()) && rows.shows(to.key());
      if (near && here && known && to.slide() == 0 && to.start() >= from.start()) {
        double end = Math.min(x.at(from.end()), x.at(to.start()));
        line(end, rows.y(from.key()), x.at(to.start()), rows.y(to.key()), "contour");
      }
    }
  }

  private void drawNote(Note note, int index, boolean isChosen, LinePage page) {
    boolean outside = note.start() >= page.endTick() || note.end() <= page.firstTick();
    if (outside || !page.rows().shows(note.key())) {
      return;
    }
    Axis x = page.time();
    double from = x.at(Math.max(page.firstTick(), note.start()));
    double to = Math.max(from + 7, x.at(Math.min(page.endTick(), note.end())) - 1);
    double y = page.rows().y(note.key());
    double head = LEAST_HEAD + (MOST_HEAD - LEAST_HEAD) * note.velocity() / 127.0;
    drawSlide(note, index, page);
    if (naming) {
      text(from + 2, y - head - 3, page.rows().key().pitch(note.key()).name().toString(), "soft")
          .setMouseTransparent(true);
    }
    Polygon wedge =
        polygon(
            new double[] {
              from,
              y - head * 0.7,
              from + 2.5,
              y - head,
              to,
              y - THIN,
              to,
              y + THIN,
              from + 2.5,
              y + head,
              from,
              y + head * 0.7
            },
            "note",
            isChosen ? "chosen" : "plain");
    String slides = note.slide() > 0 ? ", reached by a slide" : "";
    String words = page.words(note) + ", velocity " + note.velocity() + slides;
    thing(wedge, noteId + index, "note", words, isChosen);
    sounds(wedge, note.start(), note.end());
    if (isChosen) {
      chosenRing(from - 4, y - 11, to - from + 8, 22);
    }
  }

  /** A slide is a slope from the height of the note before. */
  private void drawSlide(Note note, int index, LinePage page) {
    if (note.slide() == 0 || index == 0) {
      return;
    }
    Note before = page.notes().get(index - 1);
    Axis x = page.time();
    if (page.rows().shows(before.key()) && note.start() >= page.firstTick()) {
      double end = x.at(Math.min(page.endTick(), note.start() + note.slide()));
      double start = x.at(note.start());
      line(
          x.at(before.end()),
          page.rows().y(before.key()),
          start,
          page.rows().y(before.key()),
          "slide");
      line(start, page.rows().y(before.key()), end, page.rows().y(note.key()), "slide");
    }
  }
}
