package westtide.review.lines;

import java.util.Optional;
import java.util.function.IntPredicate;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.rhythm.Position;
import westtide.song.Song;
import westtide.song.line.Note;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.Pattern;

/** Notes of a line that do not fit the chord or the key where they are heard. */
enum ChordFit implements LineCheck {
  /** A note rubs a semitone above the chord. */
  RUB {
    @Override
    void look(HeardLine line, LineFit fit, FoundOnce out) {
      for (Note note : fit.rubs()) {
        tell(
            new Misfit(Check.LINES_RUB, Severity.WARNING, line, note, note.key() - 1),
            spelled(line, note) + " rubs a semitone above the chord",
            "On a beat it grates unless it falls at once into the chord tone below.",
            out);
      }
    }
  },
  /** A phrase ends off the chord. */
  END {
    @Override
    void look(HeardLine line, LineFit fit, FoundOnce out) {
      Note last = fit.notes().get(fit.notes().size() - 1);
      if (!fit.onChord(last)) {
        int goal = nearest(last.key(), midi -> fit.onChord(last.withKey(midi)));
        tell(
            new Misfit(Check.LINES_END, Severity.NOTE, line, last, goal),
            line.name() + " ends on " + spelled(line, last) + ", off the chord",
            "Phrases usually end on a chord tone; an open end is fine when an answer follows.",
            out);
      }
    }
  },
  /** A note is in neither scale nor chord. */
  OUTSIDE {
    @Override
    void look(HeardLine line, LineFit fit, FoundOnce out) {
      for (Note note : fit.notes()) {
        if (!line.key().contains(note.key() % 12) && !fit.onChord(note)) {
          int goal = line.key().nearest(note.key());
          tell(
              new Misfit(Check.LINES_OUTSIDE, Severity.NOTE, line, note, goal),
              spelled(line, note) + " is outside " + line.key(),
              "It is neither in the scale nor in the chord: a blue note, a passing note or a slip.",
              out);
        }
      }
    }
  };

  abstract void look(HeardLine line, LineFit fit, FoundOnce out);

  @Override
  public void look(HeardLine line, FoundOnce out) {
    Optional.of(line.fit())
        .filter(fit -> !fit.notes().isEmpty())
        .ifPresent(f -> look(line, f, out));
  }

  /** A note that is heard as it should not be, and the key it would fit on. */
  private record Misfit(Check check, Severity severity, HeardLine line, Note heard, int goal) {
    /** The note of the pattern it comes from. */
    Note written(Pattern.Written pattern) {
      int at = pattern.within(heard.start(), line.score().song().brief().meter());
      int semitones = line.part().part().transposition().semitones();
      return pattern.notes().stream()
          .filter(n -> n.start() == at && n.key() == heard.key() - semitones)
          .findFirst()
          .orElse(heard);
    }
  }

  private static void tell(Misfit misfit, String title, String why, FoundOnce out) {
    HeardLine line = misfit.line();
    line.passage()
        .line()
        .map(misfit::written)
        .ifPresent(
            note -> {
              FindingId id = line.id(misfit.check(), note);
              if (out.isNew(id)) {
                out.add(
                    new Finding(
                        id, misfit.severity(), title, where(misfit), why, fix(misfit, note)));
              }
            });
  }

  private static String where(Misfit misfit) {
    HeardLine line = misfit.line();
    Song song = line.score().song();
    Position at = song.barLines().position(line.passage().sectionStart() + misfit.heard().start());
    String section = song.form().label(line.passage().place());
    return line.name() + " " + line.passage().name() + ", " + section + ", " + at;
  }

  private static Optional<Fix> fix(Misfit misfit, Note written) {
    HeardLine line = misfit.line();
    int moved = written.key() + misfit.goal() - misfit.heard().key();
    return plays(moved) && plays(misfit.goal())
        ? Optional.of(
            new Fix(
                "move it to " + line.key().pitch(misfit.goal()),
                line.put("Move a note", written, n -> n.withKey(moved))))
        : Optional.empty();
  }

  private static String spelled(HeardLine line, Note note) {
    return line.key().pitch(note.key()).name().toString();
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
