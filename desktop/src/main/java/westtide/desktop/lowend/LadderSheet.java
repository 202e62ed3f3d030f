package westtide.desktop.lowend;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.line.HeardLine;
import westtide.desktop.line.LinePage;
import westtide.desktop.line.NoteMarks;
import westtide.desktop.line.NoteSheet;
import westtide.desktop.line.Rows;
import westtide.review.lowend.KickOverlap;
import westtide.review.lowend.LowEndRange;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.line.Note;
import westtide.sound.instrument.DrumTuning;
import westtide.theory.Pitch;

/**
 * The low ladder of note and Hz: kick hits as verticals, the other low parts as outlines, the
 * useful range of the 808 and the zone other parts leave to it shaded, and notes that intrude
 * there.
 */
final class LadderSheet extends NoteSheet {
  private static final List<Role> LOW = List.of(Role.SUB, Role.BASS);
  private static final double LEFT = 92;
  private static final double FOOT = 34;
  private static final double BESIDE = 12;
  private static final double HALF = 4.5;

  /** Pixels between names one above the other; nearer ones stand beside each other. */
  private static final double CLEAR = 11;

  private static final double BESIDE_NAME = 24;

  private static final double CLOSE = 9;
  private static final double HATCH = 5;
  private static final double ROOM_FOR_MILLIS = 46;
  private int lowest = LowEndRange.LOWEST_USEFUL;
  private int highest = LowEndRange.HIGHEST_LEFT_FREE;

  LadderSheet(NoteMarks.Actions actions) {
    super("Low end: 808 and bass against the kick", "low-end-sheet", "sub-", LEFT, FOOT, actions);
  }

  @Override
  protected Rows rows() {
    return ladder();
  }

  private LadderRows ladder() {
    return new LadderRows(key(), lowest, highest, top(), getHeight() - FOOT);
  }

  @Override
  protected void makeRoom(List<Note> notes, boolean anew, boolean dragging) {
    if (dragging) {
      return;
    }
    int low = notes.stream().mapToInt(Note::key).min().orElse(LowEndRange.LOWEST_USEFUL);
    int high = notes.stream().mapToInt(Note::key).max().orElse(LowEndRange.HIGHEST_LEFT_FREE);
    lowest = Math.max(0, Math.min(LowEndRange.LOWEST_USEFUL - 2, low - 2));
    highest = Math.min(127, Math.max(LowEndRange.HIGHEST_LEFT_FREE + 1, high + 2));
  }

  @Override
  protected void ground(HeardLine shown, LinePage page) {
    drawZones();
    drawRungs(shown.notes());
    drawKicks(page);
    for (ScoredPart part : score().parts()) {
      boolean other = !part.part().id().equals(shown.part().id());
      if (other && LOW.contains(part.part().role())) {
        notes(part, page).forEach(note -> drawOther(note, shown, page));
      }
    }
    for (ScoredNote ghost : ghosts()) {
      if (ladder().shows(ghost.key())) {
        double from = Math.max(LEFT, songX(page, ghost.start()));
        double to = Math.min(getWidth() - RIGHT, songX(page, ghost.end()));
        line(from, ladder().y(ghost.key()), Math.max(from, to), ladder().y(ghost.key()), "ghost");
      }
    }
  }

  @Override
  protected void over(HeardLine shown, LinePage page) {
    drawOverlaps(shown, page);
    drawIntruders(shown, page);
    drawZoneNames(shown, page);
    drawTunings(page);
    if (shown.notes().isEmpty()) {
      double y = ladder().y(LowEndRange.LOWEST_USEFUL) - 10;
      text(LEFT + 14, y, shown.part().name() + " plays nothing here", "section");
    }
  }

  private void drawZones() {
    Axis y = ladder().axis();
    double right = getWidth() - RIGHT;
    double free = y.at(LowEndRange.HIGHEST_LEFT_FREE + 0.5);
    double useful = y.at(LowEndRange.HIGHEST_USEFUL + 0.5);
    double bottom = y.at(LowEndRange.LOWEST_USEFUL - 0.5);
    box(LEFT, free, right - LEFT, useful - free, "band", "leave");
    box(LEFT, useful, right - LEFT, bottom - useful, "band", "useful");
  }

  private void drawRungs(List<Note> notes) {
    TreeSet<Integer> keys =
        new TreeSet<>(
            List.of(
                LowEndRange.LOWEST_USEFUL,
                LowEndRange.HIGHEST_USEFUL,
                LowEndRange.HIGHEST_LEFT_FREE));
    notes.forEach(note -> keys.add(note.key()));
    textEnding(LEFT - 8, top() - 10, "Hz", "soft");
    Set<Integer> played = notes.stream().map(Note::key).collect(Collectors.toSet());
    double last = Double.MAX_VALUE;
    for (int midi : keys) {
      double at = ladder().y(midi);
      line(LEFT, at, getWidth() - RIGHT, at, "rule", "faint");
      boolean clear = last - at >= scaled(CLEAR);
      if (clear) {
        text(8, at + 4, key().pitch(midi).toString());
        textEnding(LEFT - 8, at + 4, String.format(Locale.ROOT, "%.1f", Pitch.hertz(midi)), "soft");
        last = at;
      } else if (played.contains(midi) && last - at >= scaled(CLOSE)) {
        text(8 + scaled(BESIDE_NAME), at + 4, key().pitch(midi).toString());
        last = at;
      }
    }
  }

  private void drawKicks(LinePage page) {
    double bottom = getHeight() - FOOT;
    text(8, bottom + 18, "kick", "soft");
    for (ScoredPart part : score().parts(Role.DRUMS)) {
      for (ScoredNote note : notes(part, page)) {
        double x = songX(page, note.start());
        if (note.of(DrumVoice.KICK) && x >= LEFT - 1) {
          line(x, top(), x, bottom, "rule", "kick");
          dot(x, bottom + 14, 5, "bead");
        }
      }
    }
  }

  /** The fundamentals the kicks are tuned to, as rings on their verticals. */
  private void drawTunings(LinePage page) {
    for (ScoredPart part : score().parts(Role.DRUMS)) {
      for (ScoredNote note : notes(part, page)) {
        double x = songX(page, note.start());
        if (note.of(DrumVoice.KICK) && x >= LEFT - 1) {
          drawTuning(part, note, x);
        }
      }
    }
  }

  private void drawTuning(ScoredPart drums, ScoredNote kick, double x) {
    kick.struck()
        .flatMap(struck -> DrumTuning.of(drums.part(), struck.lane()))
        .filter(tuning -> ladder().shows(tuning.nearest()))
        .ifPresent(tuning -> dot(x, ladder().axis().at(tuning.midi()), 4.5, "kick-tuning"));
  }

  /** A note of another low part; beside the one in front where both would lie on one place. */
  private void drawOther(ScoredNote note, HeardLine shown, LinePage page) {
    if (!ladder().shows(note.key())) {
      return;
    }
    int start = note.start() - shown.songTick();
    int end = note.end() - shown.songTick();
    boolean under =
        shown.notes().stream()
            .anyMatch(n -> n.key() == note.key() && n.start() < end && start < n.end());
    double left = Math.max(LEFT, songX(page, note.start()));
    double right = Math.min(getWidth() - RIGHT, songX(page, note.end()) - 3);
    double y = ladder().y(note.key()) - HALF + (under ? BESIDE : 0);
    Rectangle bar = box(left, y, right - left, 2 * HALF, "tank-wall");
    bar.setArcWidth(9);
    bar.setArcHeight(9);
  }

  /** Where kick and note sound at once: hatched, its milliseconds above where there is room. */
  private void drawOverlaps(HeardLine shown, LinePage page) {
    List<KickOverlap> found =
        score().part(shown.part().id()).stream()
            .flatMap(part -> KickOverlap.of(score(), part).stream())
            .filter(o -> o.kick() >= page.firstTick() + shown.songTick())
            .filter(o -> o.kick() < page.endTick() + shown.songTick())
            .filter(o -> ladder().shows(o.note().key()))
            .toList();
    for (int i = 0; i < found.size(); i++) {
      double left = songX(page, found.get(i).kick());
      double next = i + 1 < found.size() ? songX(page, found.get(i + 1).kick()) : getWidth();
      hatch(found.get(i), left, page);
      if (next - left > scaled(ROOM_FOR_MILLIS)) {
        double y = ladder().y(found.get(i).note().key()) - HALF - 8;
        text(left + 3, y, Math.round(found.get(i).millis()) + " ms", "soft");
      }
    }
  }

  private void hatch(KickOverlap overlap, double left, LinePage page) {
    double right = Math.min(getWidth() - RIGHT, songX(page, overlap.kick() + overlap.ticks()));
    double y = ladder().y(overlap.note().key());
    for (double x = left + 2; x < right - 1; x += HATCH) {
      line(x, y + HALF + 4, Math.min(right, x + 5), y - HALF - 4, "rule", "overlap")
          .setMouseTransparent(true);
    }
  }

  /** Notes of chords and lines that stand in the zone left to the 808 while it sounds. */
  private void drawIntruders(HeardLine shown, LinePage page) {
    for (ScoredPart part : score().parts()) {
      if (part.part().role() != Role.LINE && part.part().role() != Role.CHORDS) {
        continue;
      }
      for (ScoredNote note : notes(part, page)) {
        int start = note.start() - shown.songTick();
        int end = note.end() - shown.songTick();
        boolean clash =
            shown.part().role() == Role.SUB
                && shown.notes().stream().anyMatch(s -> s.start() < end && start < s.end());
        if (LowEndRange.leftFree(note.key()) && clash && ladder().shows(note.key())) {
          double left = Math.max(LEFT, songX(page, note.start()));
          double right = Math.min(getWidth() - RIGHT, songX(page, note.end()) - 2);
          box(left, ladder().y(note.key()) - 4, right - left, 8, "note", "alarm");
          text(left, ladder().y(note.key()) - 8, part.part().name(), "alarm");
        }
      }
    }
  }

  /** Over the verticals, each on a patch of its own band, where no note is in the way. */
  private void drawZoneNames(HeardLine shown, LinePage page) {
    Axis y = ladder().axis();
    double free = y.at(LowEndRange.HIGHEST_LEFT_FREE + 0.5) + 14;
    double useful = y.at(LowEndRange.LOWEST_USEFUL - 0.5) - 6;
    patch(shown, page, free, "left free for it, up to 150 Hz", "leave");
    patch(shown, page, useful, "useful range of the 808", "useful");
  }

  private void patch(HeardLine shown, LinePage page, double foot, String words, String band) {
    Axis x = page.time();
    double step = (getWidth() - LEFT) / 8;
    for (double back = 0; back < getWidth() - LEFT; back += step) {
      Text text = textEnding(getWidth() - 18 - back, foot, words, "soft");
      double left = text.getX() - 4;
      double width = text.getLayoutBounds().getWidth() + 8;
      boolean free =
          left > LEFT
              && shown.notes().stream()
                  .filter(note -> Math.abs(ladder().y(note.key()) - (foot - 4)) < 16)
                  .noneMatch(
                      note -> x.at(note.start()) < left + width && x.at(note.end()) > left - 8);
      if (free) {
        box(left, foot - 11, width, 15, "band", band);
        raise(text);
        return;
      }
      remove(text);
    }
  }
}
