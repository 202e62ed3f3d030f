package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import westtide.follow.Harmony;
import westtide.follow.SectionHarmony;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.line.Note;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Lines of a draft over all the chords they are heard over: a line drawn for the hook and hinted at
 * in a verse with other chords must not rub there. A note that rubs a semitone above a chord, on a
 * beat or held, goes to the nearest height at which it rubs nowhere, or falls silent where there is
 * none; the last note of a line ends on a tone of its chord (common practice).
 */
final class SettledLines {
  private static final int FARTHEST = 4;

  /** Ticks from which on a rub off the beat is heard as one: an eighth. */
  private static final int HELD = 480;

  private final Song song;
  private final Part part;
  private final Meter meter;

  private SettledLines(Song song, Part part) {
    this.song = song;
    this.part = part;
    this.meter = song.brief().meter();
  }

  /** The draft with its written lines settled. */
  static Song in(Song draft) {
    Song out = draft;
    for (Part part : draft.parts(Role.LINE)) {
      SettledLines lines = new SettledLines(draft, part);
      out = out.withPart(part.id(), p -> p.withPatterns(lines.settled()));
    }
    return out;
  }

  private List<NamedPattern> settled() {
    return part.patterns().stream()
        .map(
            named ->
                named.pattern() instanceof Pattern.Written line
                        && line.cycle().equals(LineCycle.NONE)
                    ? named.withPattern(line.withNotes(settled(named.name(), line)))
                    : named)
        .toList();
  }

  private List<Note> settled(String name, Pattern.Written line) {
    List<Heard> heard = heard(name);
    List<Note> notes = new ArrayList<>(ended(line, heard));
    for (int i = notes.size() - 1; i >= 0; i--) {
      if (rubs(notes, i, line, heard)) {
        Note note = notes.remove(i);
        int place = i;
        IntPredicate fits =
            key -> {
              List<Note> tried = new ArrayList<>(notes);
              tried.add(place, note.withKey(key));
              return !rubs(tried, place, line, heard);
            };
        IntStream.rangeClosed(1, FARTHEST)
            .flatMap(by -> IntStream.of(note.key() - by, note.key() + by))
            .filter(key -> song.brief().key().contains(key % 12))
            .filter(fits)
            .findFirst()
            .ifPresent(key -> notes.add(place, note.withKey(key)));
      }
    }
    return notes;
  }

  /** The notes, the last of them on a tone of every chord it is heard over, where there is one. */
  private List<Note> ended(Pattern.Written line, List<Heard> heard) {
    List<Note> notes = new ArrayList<>(line.notes());
    if (notes.isEmpty() || heard.isEmpty()) {
      return notes;
    }
    int last = notes.size() - 1;
    Note end = notes.get(last);
    IntStream.rangeClosed(0, FARTHEST)
        .flatMap(by -> IntStream.of(end.key() - by, end.key() + by))
        .filter(key -> ends(end.withKey(key), line, heard))
        .findFirst()
        .ifPresent(key -> notes.set(last, end.withKey(key)));
    return notes;
  }

  private boolean ends(Note note, Pattern.Written line, List<Heard> heard) {
    int length = line.bars() * meter.ticksPerBar();
    return heard.stream()
        .allMatch(
            stretch -> {
              int at = note.start() + (stretch.to() - 1 - note.start()) / length * length;
              boolean there = at >= stretch.from() && at < stretch.to();
              LineFit fit = new LineFit(List.of(), stretch.harmony().chords(), meter);
              return !there || fit.onChord(note.withStart(at));
            });
  }

  /** A stretch in which a pattern is heard, with the chords of its section. */
  private record Heard(Harmony harmony, int from, int to) {}

  private List<Heard> heard(String name) {
    List<Heard> out = new ArrayList<>();
    for (int place = 0; place < song.form().sections().size(); place++) {
      for (CellSpan span : song.form().sections().get(place).spans(part.id())) {
        Cell cell = span.cell();
        boolean plays =
            cell.level() != Level.OUT && part.pattern(cell.pattern()).name().equals(name);
        if (plays) {
          Harmony heard = new SectionHarmony(song).of(place);
          out.add(new Heard(heard, span.from(meter), span.to(meter)));
        }
      }
    }
    return out;
  }

  private boolean rubs(List<Note> notes, int index, Pattern.Written line, List<Heard> heard) {
    int length = line.bars() * meter.ticksPerBar();
    return heard.stream().anyMatch(stretch -> rubs(notes, index, length, stretch));
  }

  private boolean rubs(List<Note> notes, int index, int length, Heard stretch) {
    Note note = notes.get(index);
    for (int from = 0; from + note.start() < stretch.to(); from += length) {
      int at = from + note.start();
      if (at >= stretch.from()) {
        List<Note> near = new ArrayList<>();
        near.add(note.withStart(at));
        if (index + 1 < notes.size()) {
          near.add(notes.get(index + 1).withStart(from + notes.get(index + 1).start()));
        }
        LineFit fit = new LineFit(near, stretch.harmony().chords(), meter);
        if (fit.rubs().contains(near.get(0)) || fit.grating(HELD).contains(near.get(0))) {
          return true;
        }
      }
    }
    return false;
  }
}
