package westtide.review.lines;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.rhythm.Position;
import westtide.rhythm.Ticks;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.HeardPlace;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.edit.Edit;
import westtide.song.edit.line.LineEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/**
 * Lines against what sounds with them, passage by passage, and the slips of their notes: lost under
 * the chords, rubbing against a sounding note, on another line's notes; too loud by accident, on
 * top of each other, too short to be meant, off the grid alone. The same slip of a pattern is told
 * once. Limits are common practice, no published source.
 */
final class LineFindings {
  private static final double LOST = 0.5;
  private static final double TOGETHER = 0.25;

  /** How far apart two sides are that tell lines apart (common practice, our figure). */
  private static final int SIDES = 25;

  private static final int LONG = 2 * Ticks.PER_STEP;
  private static final int OCTAVE = 12;
  private static final int MINOR_NINTH = 13;
  private static final int OUTLIER = 40;
  private static final int SHORTEST = 20;
  private static final double ON_GRID = 0.8;
  private static final int LEAST_NOTES = 5;

  /** Tenths of a dB under a line at which chords no longer hide it. */
  private static final int HALO = 40;

  private final Score score;
  private final Key key;
  private final List<Finding> out = new ArrayList<>();
  private final Set<FindingId> found = new HashSet<>();
  private final Map<PartId, Integer> longest = new HashMap<>();

  LineFindings(Score score) {
    this.score = score;
    this.key = score.song().brief().key();
  }

  List<Finding> take() {
    List<ScoredPart> lines = score.parts(Role.LINE);
    List<ScoredPart> beds = score.parts(Role.CHORDS);
    for (ScoredPart line : lines) {
      Set<String> heard = new HashSet<>();
      List<ScoredPart> hiding = leads(line, lines) ? over(line, beds) : List.of();
      for (Passage passage : line.passages()) {
        if (heard.add(
            passage.name() + "/" + passage.harmony().progression() + "/" + beds(beds, passage))) {
          addLost(line, passage, hiding);
          addClashes(line, passage, beds);
          passage.line().ifPresent(written -> addSlips(line, passage, written));
        }
      }
    }
    for (int i = 0; i < lines.size(); i++) {
      for (int j = i + 1; j < lines.size(); j++) {
        addMeeting(lines.get(i), lines.get(j));
      }
    }
    return out;
  }

  /** The main part, where it is a line; else the line that is heard longest. */
  private boolean leads(ScoredPart line, List<ScoredPart> lines) {
    return score
        .song()
        .main()
        .filter(id -> lines.stream().anyMatch(l -> l.part().id().equals(id)))
        .or(() -> new PlayedBars(score.song()).part(Role.LINE).map(Part::id))
        .filter(line.part().id()::equals)
        .isPresent();
  }

  /**
   * Chord parts that can hide a line: what lies well under it, doubles another part or stands on
   * another side is a halo, not a tune.
   */
  private static List<ScoredPart> over(ScoredPart line, List<ScoredPart> beds) {
    return beds.stream()
        .filter(bed -> level(bed) > level(line) - HALO && !apart(line, bed))
        .filter(bed -> bed.part().rules(FollowRule.Doubling.class).isEmpty())
        .toList();
  }

  private static int level(ScoredPart part) {
    return part.part().mix().level();
  }

  /** Which chord parts play what where a passage begins: alike, the passages sound alike. */
  private static String beds(List<ScoredPart> beds, Passage passage) {
    StringBuilder out = new StringBuilder();
    for (ScoredPart bed : beds) {
      out.append(bed.passage(passage.start()).map(Passage::name).orElse("-")).append('/');
    }
    return out.toString();
  }

  /**
   * Whether most of a passage of the lead lies at or under the highest note of the chords that
   * sound.
   */
  private void addLost(ScoredPart line, Passage passage, List<ScoredPart> beds) {
    int under = 0;
    int over = 0;
    int deepest = 0;
    Optional<ScoredPart> above = Optional.empty();
    for (ScoredNote note : passage.notes()) {
      for (ScoredPart bed : beds) {
        int top = sounding(bed, note).stream().mapToInt(ScoredNote::key).max().orElse(-1);
        if (top >= note.key()) {
          under++;
          deepest = Math.max(deepest, top - note.key());
          above = Optional.of(bed);
          break;
        }
      }
      over++;
    }
    FindingId id = FindingId.of(Check.LINES_LOST, line.part().id());
    if (above.isEmpty() || over < LEAST_NOTES || under < LOST * over || !found.add(id)) {
      return;
    }
    int octaves = Math.min(3, deepest / OCTAVE + 1);
    add(
        id,
        line.part().name() + " lies under the top of " + above.get().part().name(),
        at(passage.notes().get(0)) + ", " + Math.round(100.0 * under / over) + " % of its notes",
        "The highest note is heard as the tune; a lead under the top of the chords is lost.",
        octaves == 1 ? "an octave up" : octaves + " octaves up",
        new PartEdits(line.part().id())
            .transpose(line.part().transposition().semitones() + OCTAVE * octaves));
  }

  private List<ScoredNote> sounding(ScoredPart part, ScoredNote note) {
    int back = longest.computeIfAbsent(part.part().id(), id -> part.longest());
    List<ScoredNote> with = new ArrayList<>();
    for (ScoredNote other : part.between(note.start() - back, note.end())) {
      if (other.end() > note.start() && other.start() < note.end()) {
        with.add(other);
      }
    }
    return with;
  }

  /** A note that stands a semitone or a minor ninth over a chord's note for an eighth or more. */
  private void addClashes(ScoredPart line, Passage passage, List<ScoredPart> beds) {
    for (ScoredNote note : passage.notes()) {
      boolean member = passage.chord(note.written()).chord().contains(note.key() % 12);
      if (member || note.ticks() < LONG) {
        continue;
      }
      for (ScoredPart bed : beds) {
        sounding(bed, note).stream()
            .filter(other -> rubs(note, other))
            .findFirst()
            .ifPresent(other -> clash(line, passage, note, bed, other));
      }
    }
  }

  private static boolean rubs(ScoredNote note, ScoredNote other) {
    int apart = note.key() - other.key();
    int together = Math.min(note.end(), other.end()) - Math.max(note.start(), other.start());
    return (apart == 1 || apart == MINOR_NINTH) && together >= LONG;
  }

  private void clash(
      ScoredPart line, Passage passage, ScoredNote note, ScoredPart bed, ScoredNote other) {
    Optional<Note> written = passage.source(note);
    if (written.isEmpty()) {
      return;
    }
    FindingId id = id(Check.LINES_CLASH, line, passage, written.get());
    if (!found.add(id)) {
      return;
    }
    String interval = note.key() - other.key() == 1 ? "a semitone" : "a minor ninth";
    add(
        id,
        key.pitch(note.key()) + " stands " + interval + " over " + key.pitch(other.key()),
        line.part().name() + " against " + bed.part().name() + ", " + at(note),
        "Held for an eighth or longer it grates; a semitone lower it is the chord's own note.",
        "move it to " + key.pitch(note.key() - 1),
        put(line, passage, "Move a note", written.get(), n -> n.withKey(n.key() - 1)));
  }

  private static Edit put(
      ScoredPart line, Passage passage, String name, Note note, UnaryOperator<Note> change) {
    return new LineEdits(line.part().id(), passage.name())
        .put(name, List.of(note), List.of(change.apply(note)));
  }

  /** Two lines on one note together, or one now above and now below the other. */
  private void addMeeting(ScoredPart one, ScoredPart other) {
    int together = 0;
    int unison = 0;
    int above = 0;
    Optional<ScoredNote> first = Optional.empty();
    for (ScoredNote note : one.notes()) {
      for (ScoredNote with : sounding(other, note)) {
        together++;
        above += note.key() > with.key() ? 1 : 0;
        if (note.key() == with.key()) {
          unison++;
          first = first.isEmpty() ? Optional.of(note) : first;
        }
      }
    }
    if (together < LEAST_NOTES) {
      return;
    }
    String names = one.part().name() + " and " + other.part().name();
    int up = other.part().transposition().semitones() + OCTAVE;
    if (unison > TOGETHER * together && !apart(one, other)) {
      add(
          FindingId.of(Check.LINES_UNISON, one.part().id()).at(other.part().id()),
          names + " on one note",
          at(first.orElseThrow()) + ", " + unison + " times",
          "Two lines on one note are one line that is louder; an octave apart they are two.",
          other.part().name() + " an octave up",
          new PartEdits(other.part().id()).transpose(up));
    }
    double share = above / (double) (together - unison + 1);
    if (share > TOGETHER && share < 1 - TOGETHER && !apart(one, other)) {
      add(
          FindingId.of(Check.LINES_CROSSING, one.part().id()).at(other.part().id()),
          names + " cross",
          Math.round(100 * share) + " % above, the rest below",
          "Two lines in one register are hard to tell apart; each keeps to a register of its own.",
          other.part().name() + " an octave up",
          new PartEdits(other.part().id()).transpose(up));
    }
  }

  /** Whether two lines stand on different sides, which tells them apart in one register too. */
  private static boolean apart(ScoredPart one, ScoredPart other) {
    return Math.abs(one.part().mix().pan() - other.part().mix().pan()) >= SIDES;
  }

  private void addSlips(ScoredPart line, Passage passage, Pattern.Written written) {
    List<Note> notes = written.notes();
    for (int i = 0; i < notes.size(); i++) {
      Note note = notes.get(i);
      addOutlier(line, passage, notes, i);
      addOverlap(line, passage, notes, i);
      if (note.ticks() < SHORTEST) {
        slip(
            line,
            passage,
            Check.LINES_SHORT,
            key.pitch(note.key()) + " lasts " + note.ticks() + " ticks",
            "So short a note is a click or nothing; it is usually a slip of the hand.",
            "a sixteenth",
            note,
            n -> n.withTicks(Ticks.PER_STEP));
      }
    }
    addStragglers(line, passage, notes);
  }

  /** Louder than both neighbours by so much that it sounds like a slip. */
  private void addOutlier(ScoredPart line, Passage passage, List<Note> notes, int index) {
    if (index == 0 || index + 1 == notes.size()) {
      return;
    }
    Note note = notes.get(index);
    int around = Math.max(notes.get(index - 1).velocity(), notes.get(index + 1).velocity());
    if (note.velocity() - around < OUTLIER) {
      return;
    }
    slip(
        line,
        passage,
        Check.LINES_LOUD,
        key.pitch(note.key()) + " at velocity " + note.velocity() + " among " + around,
        "An accent of 40 or more over both neighbours is mostly an accident.",
        "velocity " + around,
        note,
        n -> n.withVelocity(around));
  }

  /** A key that is struck again while it still sounds. */
  private void addOverlap(ScoredPart line, Passage passage, List<Note> notes, int index) {
    Note note = notes.get(index);
    notes.stream()
        .filter(n -> n.key() == note.key() && n.start() > note.start() && n.start() < note.end())
        .min(Comparator.comparingInt(Note::start))
        .ifPresent(
            next ->
                slip(
                    line,
                    passage,
                    Check.LINES_OVERLAP,
                    key.pitch(note.key()) + " is struck again while it sounds",
                    "The first note's end cuts the second off on many instruments.",
                    "end it there",
                    note,
                    n -> n.withTicks(next.start() - n.start())));
  }

  /** Notes off the grid that nearly all others keep to. */
  private void addStragglers(ScoredPart line, Passage passage, List<Note> notes) {
    long on = notes.stream().filter(LineFindings::onGrid).count();
    if (notes.size() < LEAST_NOTES || on < ON_GRID * notes.size()) {
      return;
    }
    for (int i = 0; i < notes.size(); i++) {
      Note note = notes.get(i);
      if (!onGrid(note)) {
        int goal = Math.round(note.start() / (float) Ticks.PER_STEP) * Ticks.PER_STEP;
        int off = note.start() - goal;
        slip(
            line,
            passage,
            Check.LINES_STRAGGLER,
            key.pitch(note.key())
                + " is "
                + Math.abs(off)
                + " ticks "
                + (off < 0 ? "early" : "late"),
            "Every other note of the pattern is on the grid; one that is not sounds like a slip.",
            "on the grid",
            note,
            n -> n.withStart(goal));
      }
    }
  }

  /** On sixteenths, thirty-seconds or triplets. */
  private static boolean onGrid(Note note) {
    return note.start() % (Ticks.PER_STEP / 2) == 0 || note.start() % (Ticks.PER_QUARTER / 6) == 0;
  }

  private void slip(
      ScoredPart line,
      Passage passage,
      Check check,
      String title,
      String why,
      String label,
      Note note,
      UnaryOperator<Note> change) {
    FindingId id = id(check, line, passage, note);
    if (found.add(id)) {
      String at = new HeardPlace(score.song()).of(line.part().id(), passage.name(), note.start());
      String where = line.part().name() + " " + passage.name() + ", " + at;
      add(id, title, where, why, label, put(line, passage, "Change a note", note, change));
    }
  }

  private void add(FindingId id, String title, String where, String why, String label, Edit edit) {
    out.add(new Finding(id, Severity.NOTE, title, where, why, Optional.of(new Fix(label, edit))));
  }

  private static FindingId id(Check check, ScoredPart line, Passage passage, Note note) {
    return FindingId.of(check, line.part().id(), passage.name()).at(note);
  }

  private String at(ScoredNote note) {
    Position at = score.song().barLines().position(note.start());
    return "bar " + at.bar() + "." + at.beat();
  }
}
