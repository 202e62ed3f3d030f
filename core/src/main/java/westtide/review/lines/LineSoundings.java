package westtide.review.lines;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.line.LineEdits;
import westtide.song.line.Note;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.Pattern;
import westtide.style.Style;
import westtide.theory.Key;

/**
 * Every line against the chords heard wherever it plays. The same slip of a pattern is told once,
 * at the first place it is heard.
 */
public final class LineSoundings {
  private final Score score;
  private final Song song;
  private final Key key;

  /** Lines of few pitches that run against the bar rub on purpose: they never resolve. */
  private final boolean rubsAreMeant;

  private final boolean bright;
  private final Set<FindingId> found = new HashSet<>();

  /** Of a score. */
  public LineSoundings(Score score, Style style) {
    this.score = score;
    this.bright = style.lead().bright();
    this.rubsAreMeant = !style.lead().language().cycles().isEmpty();
    this.song = score.song();
    this.key = song.brief().key();
  }

  /** What is measured and found. */
  public StageSoundings take() {
    List<Finding> findings = new ArrayList<>();
    for (ScoredPart part : score.parts(Role.LINE)) {
      for (Passage passage : part.passages()) {
        passage.line().ifPresent(line -> findings.addAll(findings(part, passage, line)));
      }
    }
    findings.addAll(new LineFindings(score).take());
    return new StageSoundings(measures(), findings);
  }

  /** The figures of the pattern heard longest of the line heard longest. */
  private List<Measure> measures() {
    PlayedBars played = new PlayedBars(song);
    return played
        .part(Role.LINE)
        .flatMap(part -> score.part(part.id()))
        .map(scored -> measures(scored, played.pattern(scored.part())))
        .orElse(List.of());
  }

  /** The figures of a pattern of a line, over the chords of all passages that play it. */
  public List<Measure> measures(ScoredPart part, String pattern) {
    int notes = 0;
    int ticks = 0;
    double strong = 0;
    double onChord = 0;
    double moves = 0;
    double leaps = 0;
    int low = 128;
    int high = -1;
    for (Passage passage : part.passages()) {
      if (!passage.name().equals(pattern) || passage.notes().isEmpty()) {
        continue;
      }
      LineFit fit = fit(passage);
      notes += fit.notes().size();
      ticks += passage.end() - passage.start();
      strong += fit.strong().size();
      onChord += fit.chordToneShare() * fit.strong().size();
      moves += fit.notes().size() - 1;
      leaps += fit.leapShare() * (fit.notes().size() - 1);
      low = Math.min(low, fit.notes().stream().mapToInt(Note::key).min().orElse(low));
      high = Math.max(high, fit.notes().stream().mapToInt(Note::key).max().orElse(high));
    }
    if (notes == 0) {
      return List.of();
    }
    double perBar = notes * (double) song.brief().meter().ticksPerBar() / ticks;
    return List.of(
        share("chord tones on beats", strong == 0 ? 1 : onChord / strong, 0.6, 1),
        share(
            "leaps over two semitones",
            moves == 0 ? 0 : leaps / moves,
            bright ? 0.15 : 0.05,
            bright ? 0.75 : 0.6),
        Measure.of("range, semitones", String.valueOf(high - low), high - low, 24, 5, 16),
        Measure.of("notes a bar", String.format(Locale.ROOT, "%.1f", perBar), perBar, 16, 1.5, 8),
        repetition(part, pattern));
  }

  /** How its two-bar units repeat, as letters, and the share that repeats an earlier rhythm. */
  private Measure repetition(ScoredPart part, String pattern) {
    LinePlan plan =
        part.passages().stream()
            .filter(passage -> passage.name().equals(pattern))
            .findFirst()
            .map(
                passage ->
                    LinePlan.of(fit(passage).notes(), 2 * song.brief().meter().ticksPerBar()))
            .orElse(new LinePlan("", 0));
    return Measure.of("repetition, two bars", plan.letters(), plan.repeated(), 1, 0.25, 0.9);
  }

  private static Measure share(String name, double share, double low, double high) {
    return Measure.of(name, Math.round(100 * share) + " %", share, 1, low, high);
  }

  /** The notes of a passage as they are written, over the chords heard there. */
  private LineFit fit(Passage passage) {
    List<Note> notes = new ArrayList<>(passage.notes().size());
    for (ScoredNote note : passage.notes()) {
      if (note.since() == 0 && note.written() >= passage.start()) {
        notes.add(
            new Note(
                note.written() - passage.sectionStart(),
                note.ticks(),
                note.key(),
                note.velocity()));
      }
    }
    return new LineFit(notes, passage.harmony().chords(), song.brief().meter());
  }

  private List<Finding> findings(ScoredPart part, Passage passage, Pattern.Written line) {
    LineFit fit = fit(passage);
    List<Finding> out = new ArrayList<>();
    if (fit.notes().isEmpty()) {
      return out;
    }
    for (Note note : rubsAreMeant ? List.<Note>of() : fit.rubs()) {
      found(
              new Slip(Check.LINES_RUB, part, passage, line, note),
              Severity.WARNING,
              name(note) + " rubs a semitone above the chord",
              "On a beat it grates unless it falls at once into the chord tone below.",
              note.key() - 1)
          .ifPresent(out::add);
    }
    Note last = fit.notes().get(fit.notes().size() - 1);
    if (!fit.onChord(last) && !rubsAreMeant) {
      found(
              new Slip(Check.LINES_END, part, passage, line, last),
              Severity.NOTE,
              part.part().name() + " ends on " + name(last) + ", off the chord",
              "Phrases usually end on a chord tone; an open end is fine when an answer follows.",
              nearest(last.key(), midi -> fit.onChord(last.withKey(midi))))
          .ifPresent(out::add);
    }
    for (Note note : fit.notes()) {
      if (!key.contains(note.key() % 12) && !fit.onChord(note)) {
        found(
                new Slip(Check.LINES_OUTSIDE, part, passage, line, note),
                Severity.NOTE,
                name(note) + " is outside " + key,
                "It is neither in the scale nor in the chord: a blue note, a passing note or a slip.",
                key.nearest(note.key()))
            .ifPresent(out::add);
      }
    }
    return out;
  }

  /** A note that is heard somewhere as it should not be. */
  private record Slip(
      Check check, ScoredPart part, Passage passage, Pattern.Written line, Note heard) {
    /** The note of the pattern it comes from. */
    Note written(Meter meter) {
      int inPattern = line.within(heard.start(), meter);
      int semitones = part.part().transposition().semitones();
      return line.notes().stream()
          .filter(n -> n.start() == inPattern && n.key() == heard.key() - semitones)
          .findFirst()
          .orElse(heard);
    }
  }

  private Optional<Finding> found(Slip slip, Severity weight, String title, String why, int midi) {
    Note written = slip.written(song.brief().meter());
    FindingId id = FindingId.of(slip.check, slip.part.part().id(), slip.passage.name()).at(written);
    if (!found.add(id)) {
      return Optional.empty();
    }
    Position at = song.barLines().position(slip.passage.sectionStart() + slip.heard.start());
    String where =
        slip.part.part().name()
            + " "
            + slip.passage.name()
            + ", "
            + song.form().label(slip.passage.place())
            + ", "
            + at;
    LineEdits edits = new LineEdits(slip.part.part().id(), slip.passage.name());
    int moved = written.key() + midi - slip.heard.key();
    Optional<Fix> fix =
        Optional.of(moved)
            .filter(to -> plays(to) && plays(midi))
            .map(
                to ->
                    new Fix(
                        "move it to " + key.pitch(midi),
                        edits.put("Move a note", List.of(written), List.of(written.withKey(to)))));
    return Optional.of(new Finding(id, weight, title, where, why, fix));
  }

  private String name(Note note) {
    return key.pitch(note.key()).name().toString();
  }

  private static boolean plays(int midi) {
    return midi >= 0 && midi <= 127;
  }

  private static int nearest(int midi, IntPredicate wanted) {
    for (int distance = 1; distance < 12; distance++) {
      if (plays(midi - distance) && wanted.test(midi - distance)) {
        return midi - distance;
      }
      if (plays(midi + distance) && wanted.test(midi + distance)) {
        return midi + distance;
      }
    }
    return midi;
  }
}
