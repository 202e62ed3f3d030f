package westtide.desktop.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.line.DegreeRows;
import westtide.desktop.line.HeardLine;
import westtide.desktop.line.LinePage;
import westtide.desktop.line.NoteMarks;
import westtide.desktop.line.NoteSheet;
import westtide.desktop.line.Rows;
import westtide.rhythm.Ticks;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;

/**
 * A line on degree rows: chord tones shaded as they are heard, other parts as faint ghosts, and a
 * strip below that is darker where bar and register are already full.
 */
final class DegreeSheet extends NoteSheet {
  private static final double LEFT = 50;
  private static final double FOOT = 18;
  private static final int FULL = 5;
  private static final double CLEAR = 11;
  private static final double BESIDE = 18;

  private int lowest = 60;
  private int highest = 84;

  DegreeSheet(NoteMarks.Actions actions) {
    super("The line on degree rows", "degree-sheet", "note-", LEFT, FOOT, actions);
  }

  @Override
  protected Rows rows() {
    return degrees();
  }

  private DegreeRows degrees() {
    return new DegreeRows(key(), lowest, highest, top(), getHeight() - FOOT);
  }

  @Override
  protected void makeRoom(List<Note> notes, boolean anew, boolean dragging) {
    int low = notes.stream().mapToInt(Note::key).min().orElse(69);
    int high = notes.stream().mapToInt(Note::key).max().orElse(74);
    int middle = (low + high) / 2;
    boolean tight = low <= lowest || high >= highest;
    if (anew || (tight && !dragging)) {
      lowest = Math.max(0, Math.min(low - 4, middle - 11));
      highest = Math.min(127, Math.max(high + 4, middle + 11));
    }
  }

  @Override
  protected void ground(HeardLine shown, LinePage page) {
    DegreeRows rows = degrees();
    for (int midi = rows.low(); midi <= rows.high(); midi++) {
      double y = rows.y(midi);
      shade(shown, page, midi, y, Math.min(9, rows.thickness(midi) / 2 - 1));
      boolean home = key().tonic().pitchClass() == midi % 12;
      String style = home ? "home" : rows.inScale(midi) ? "degree" : "faint";
      line(LEFT, y, getWidth() - 8, y, "rule", style);
    }
    drawDegrees(shown, rows);
    for (ScoredNote ghost : ghosts()) {
      if (rows.shows(ghost.key())) {
        double from = Math.max(LEFT, songX(page, ghost.start()));
        double to = Math.min(getWidth() - 8, songX(page, ghost.end()));
        if (to > from) {
          line(from, rows.y(ghost.key()), to, rows.y(ghost.key()), "ghost");
        }
      }
    }
    drawDensity(shown, page);
  }

  /** Every row with a note says its degree, then the other rows of the key where there is room. */
  private void drawDegrees(HeardLine shown, DegreeRows rows) {
    TreeSet<Integer> played = new TreeSet<>();
    shown.notes().stream().map(Note::key).filter(rows::shows).forEach(played::add);
    List<Double> taken = new ArrayList<>();
    boolean beside = false;
    for (int midi : played) {
      double y = rows.y(midi);
      boolean clear = taken.stream().allMatch(other -> Math.abs(other - y) >= scaled(CLEAR));
      beside = !clear && !beside;
      degree(midi, rows, beside ? scaled(BESIDE) : 0);
      taken.add(y);
    }
    for (int midi = rows.low(); midi <= rows.high(); midi++) {
      double y = rows.y(midi);
      boolean clear = taken.stream().allMatch(other -> Math.abs(other - y) >= scaled(CLEAR));
      if (rows.inScale(midi) && clear) {
        degree(midi, rows, 0);
        taken.add(y);
      }
    }
  }

  private void degree(int midi, DegreeRows rows, double beside) {
    boolean home = key().tonic().pitchClass() == midi % 12;
    String degree = key().degreeOf(midi % 12).toString();
    textEnding(LEFT - 9 - beside, rows.y(midi) + 5, degree, home ? "bold" : "plain");
  }

  /** The tones of the chords heard, where they are heard. */
  private void shade(HeardLine shown, LinePage page, int midi, double y, double half) {
    Axis x = page.time();
    for (PlacedChord chord : shown.harmony().chords()) {
      boolean here = chord.end() > page.firstTick() && chord.start() < page.endTick();
      boolean rest = chord.span().articulation().rest();
      if (here && !rest && chord.chord().contains(midi % 12)) {
        double from = x.at(Math.max(page.firstTick(), chord.start()));
        double to = x.at(Math.min(page.endTick(), chord.end()));
        box(from, y - half, to - from, 2 * half, "band", "tone");
      }
    }
  }

  /** Eighth by eighth how many notes of other parts sound in the register of the line. */
  private void drawDensity(HeardLine shown, LinePage page) {
    Axis x = page.time();
    int eighth = 2 * Ticks.PER_STEP;
    int[] counts = new int[(page.endTick() - page.firstTick()) / eighth];
    int from = shown.songTick() + page.firstTick();
    for (ScoredPart part : score().parts()) {
      boolean other = !part.part().id().equals(shown.part().id());
      if (other && part.part().role() != Role.DRUMS) {
        notes(part, page).stream()
            .filter(this::inRegister)
            .forEach(note -> count(counts, note.start() - from, note.end() - from, eighth));
      }
    }
    textEnding(LEFT - 9, getHeight() - 4, "density", "soft");
    for (int i = 0; i < counts.length; i++) {
      if (counts[i] > 0) {
        double left = x.at(page.firstTick() + i * eighth);
        String shade = "density-" + Math.min(FULL, counts[i]);
        box(left, getHeight() - FOOT + 6, x.length(eighth) - 1, 8, "density", shade);
      }
    }
  }

  private static void count(int[] counts, int from, int to, int ticks) {
    for (int i = Math.max(0, from / ticks); i < counts.length && i * ticks < to; i++) {
      counts[i]++;
    }
  }

  private boolean inRegister(ScoredNote note) {
    return note.key() >= lowest && note.key() <= highest;
  }
}
