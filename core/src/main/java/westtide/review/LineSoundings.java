package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;
import westtide.rhythm.Position;
import westtide.score.Score;
import westtide.song.LineFit;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.edit.LineEdits;
import westtide.theory.Key;

/** The lead against the chords of the first progression. */
final class LineSoundings {
  private final Song song;
  private final Key key;

  LineSoundings(Score score) {
    this.song = score.song();
    this.key = song.brief().key();
  }

  StageSoundings take() {
    Optional<Part> lead = song.part(Role.LEAD);
    if (lead.isEmpty()
        || !(lead.get().variants().get(0).pattern() instanceof Pattern.Written line)
        || line.notes().isEmpty()) {
      return new StageSoundings(List.of(), List.of());
    }
    LineEdits edits = new LineEdits(lead.get().id(), lead.get().variants().get(0).name());
    int ticks = line.bars() * song.brief().meter().ticksPerBar();
    List<Note> inside = line.notes().stream().filter(note -> note.start() < ticks).toList();
    List<PlacedChord> chords = song.progressions().get(0).over(ticks);
    LineFit fit = new LineFit(inside, chords, song.brief().meter());
    return new StageSoundings(measures(fit, line), findings(fit, edits));
  }

  private static List<Measure> measures(LineFit fit, Pattern.Written line) {
    double perBar = line.notes().size() / (double) line.bars();
    return List.of(
        Measure.of(
            "chord tones on beats",
            Math.round(100 * fit.chordToneShare()) + " %",
            fit.chordToneShare(),
            1,
            0.6,
            1),
        Measure.of(
            "leaps over two semitones",
            Math.round(100 * fit.leapShare()) + " %",
            fit.leapShare(),
            1,
            0.1,
            0.6),
        Measure.of("range, semitones", String.valueOf(fit.range()), fit.range(), 24, 5, 16),
        Measure.of(
            "notes a bar",
            String.format(java.util.Locale.ROOT, "%.1f", perBar),
            perBar,
            16,
            1.5,
            8));
  }

  private List<Finding> findings(LineFit fit, LineEdits edits) {
    List<Finding> out = new ArrayList<>();
    for (Note note : fit.rubs()) {
      out.add(
          finding(
              "lines.rub." + note.start() + "." + note.key(),
              Weight.WARNING,
              name(note) + " rubs a semitone above the chord",
              note,
              "On a beat it grates unless it falls at once into the chord tone below.",
              fix(edits, note, note.key() - 1)));
    }
    Note last = fit.notes().get(fit.notes().size() - 1);
    if (!fit.onChord(last)) {
      int tone = nearest(last.key(), midi -> fit.onChord(last.withKey(midi)));
      out.add(
          finding(
              "lines.end." + last.start() + "." + last.key(),
              Weight.NOTE,
              "The line ends on " + name(last) + ", off the chord",
              last,
              "Phrases usually end on a chord tone; an open end is fine when an answer follows.",
              fix(edits, last, tone)));
    }
    for (Note note : fit.notes()) {
      if (!key.contains(note.key() % 12) && !fit.onChord(note)) {
        out.add(
            finding(
                "lines.outside." + note.start() + "." + note.key(),
                Weight.NOTE,
                name(note) + " is outside " + key,
                note,
                "It is neither in the scale nor in the chord: a blue note, a passing note or a slip.",
                fix(edits, note, key.nearest(note.key()))));
      }
    }
    return out;
  }

  private Finding finding(String id, Weight weight, String title, Note note, String why, Fix fix) {
    Position at = Position.of(note.start(), song.brief().meter());
    return new Finding(id, weight, title, "line, " + at, why, Optional.of(fix));
  }

  private Fix fix(LineEdits edits, Note note, int midi) {
    return new Fix("move it to " + key.pitch(midi), edits.replace(note, note.withKey(midi)));
  }

  private String name(Note note) {
    return key.pitch(note.key()).name().toString();
  }

  private static int nearest(int midi, IntPredicate wanted) {
    for (int distance = 1; distance < 12; distance++) {
      if (wanted.test(midi - distance)) {
        return midi - distance;
      }
      if (wanted.test(midi + distance)) {
        return midi + distance;
      }
    }
    return midi;
  }
}
