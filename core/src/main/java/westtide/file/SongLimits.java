package westtide.file;

import java.util.List;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.form.CellSpan;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * How large a song may be that is read from a file: far beyond what anyone makes, and small enough
 * for the memory of the window. Notes are counted before they are made.
 */
final class SongLimits {
  static final int BYTES = 16 << 20;
  static final int PARTS = 100;
  static final int PATTERNS = 200;
  static final int PROGRESSIONS = 200;
  static final int WRITTEN = 20_000;
  static final int LETTERS = 200;
  static final int NOTES = 2_000_000;

  /** Ticks of the longest note and chord: over 250 bars of four quarter notes. */
  static final int TICKS = 1_000_000;

  private static final int THIRTY_SECOND = 120;

  private final Song song;
  private final Meter meter;

  private SongLimits(Song song) {
    this.song = song;
    this.meter = song.brief().meter();
  }

  /**
   * Checks a song.
   *
   * @throws IllegalArgumentException with what there is too much of
   */
  static Song checked(Song song) {
    new SongLimits(song).check();
    return song;
  }

  private void check() {
    most("parts", song.parts().size(), PARTS);
    most("progressions", song.progressions().size(), PROGRESSIONS);
    most("letters in its title", song.title().length(), LETTERS);
    most("letters in its project", song.project().length(), LETTERS);
    song.progressions()
        .forEach(
            row -> {
              most("chords in a progression", row.spans().size(), WRITTEN);
              row.spans().forEach(chord -> most("ticks in a chord", chord.ticks(), TICKS));
            });
    for (Part part : song.parts()) {
      most("letters in the name of a part", part.name().length(), LETTERS);
      most("patterns of " + part.name(), part.patterns().size(), PATTERNS);
      for (NamedPattern pattern : part.patterns()) {
        most("letters in the name of a pattern", pattern.name().length(), LETTERS);
        most("notes in a pattern of " + part.name(), written(pattern.pattern()), WRITTEN);
        longest(pattern.pattern());
      }
    }
    List<Form> forms = song.alternatives().all(song.form());
    for (Form form : forms) {
      most("notes", notes(form), NOTES);
    }
  }

  private static void longest(Pattern pattern) {
    if (pattern instanceof Pattern.Written line) {
      line.notes().forEach(SongLimits::inside);
    } else if (pattern instanceof Pattern.Phrase phrase) {
      phrase.motif().forEach(SongLimits::inside);
      phrase.units().forEach(unit -> unit.own().ifPresent(own -> own.forEach(SongLimits::inside)));
    } else if (pattern instanceof Pattern.Attached attached) {
      attached
          .notes()
          .forEach(note -> inside(new Note(note.start(), note.ticks(), 0, 1, note.slide())));
    }
  }

  private static void inside(Note note) {
    most("ticks before, in or under a note", Math.max(note.start(), note.ticks()), TICKS);
    most("ticks in a slide", note.slide(), TICKS);
  }

  private static void most(String what, long count, int most) {
    if (count > most) {
      throw new IllegalArgumentException(
          "it has " + count + " " + what + "; at most " + most + " can be");
    }
  }

  private long notes(Form form) {
    long notes = 0;
    for (Section section : form.sections()) {
      for (Part part : song.parts()) {
        for (CellSpan span : section.spans(part.id())) {
          if (span.cell().level() != Level.OUT) {
            notes += notes(part, span);
          }
        }
      }
    }
    return notes;
  }

  private long notes(Part part, CellSpan span) {
    long ticks = (long) span.to(meter) - span.from(meter);
    Pattern pattern = part.pattern(span.cell().pattern()).pattern();
    if (pattern instanceof Pattern.Varied) {
      pattern = part.groove(span.cell().pattern(), meter).map(Pattern.class::cast).orElse(pattern);
    }
    if (pattern instanceof Pattern.Drums drums) {
      return drums.lanes().stream().mapToLong(lane -> strokes(lane, ticks)).sum();
    }
    if (pattern instanceof Pattern.Following) {
      return ticks / THIRTY_SECOND;
    }
    return written(pattern) * (ticks / pass(pattern) + 1);
  }

  /** Rolls have up to 8 strokes, flams one more. */
  private static long strokes(DrumLane lane, long ticks) {
    long pass = lane.lane().hits().stream().mapToLong(hit -> hit.roll().strokes() + 1).sum();
    return pass * (ticks / lane.ticks() + 1);
  }

  private static long written(Pattern pattern) {
    return pattern.accept(new WrittenCount());
  }

  private long pass(Pattern pattern) {
    if (pattern instanceof Pattern.Written line) {
      return line.cycle().ticks(line.bars(), meter);
    }
    int bars =
        pattern instanceof Pattern.Phrase phrase
            ? phrase.bars()
            : pattern instanceof Pattern.Attached attached ? attached.bars() : 1;
    return (long) bars * meter.ticksPerBar();
  }

  /** Hits and notes that stand in the file. */
  private static final class WrittenCount implements Pattern.Kinds<Long> {
    @Override
    public Long drums(Pattern.Drums pattern) {
      return pattern.lanes().stream().mapToLong(lane -> lane.lane().hits().size()).sum();
    }

    @Override
    public Long varied(Pattern.Varied pattern) {
      return (long) pattern.changes().size();
    }

    @Override
    public Long written(Pattern.Written pattern) {
      return (long) pattern.notes().size();
    }

    @Override
    public Long phrase(Pattern.Phrase pattern) {
      long own =
          pattern.units().stream().flatMap(unit -> unit.own().stream()).mapToLong(List::size).sum();
      return own + (long) pattern.motif().size() * pattern.units().size();
    }

    @Override
    public Long attached(Pattern.Attached pattern) {
      return (long) pattern.notes().size();
    }

    @Override
    public Long following(Pattern.Following pattern) {
      return 0L;
    }
  }
}
