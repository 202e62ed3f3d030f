package westtide.desktop.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.desktop.open.SongView;
import westtide.follow.ChordDegrees;
import westtide.follow.Harmony;
import westtide.follow.SectionHarmony;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.score.Passage;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.edit.Edit;
import westtide.song.edit.line.LineEdits;
import westtide.song.form.Section;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/**
 * One pass of a pattern over the chords that are heard below it: in the selected section, or in the
 * first that plays it.
 *
 * @param song the song
 * @param part the part
 * @param pattern the name of the pattern
 * @param notes its notes from the start of the pass; of a rule, what it plays
 * @param bars how long the pass is
 * @param writing how its notes are written
 * @param progression the progression heard below it
 * @param harmony the chords heard from the start of the pass to its end
 * @param place the place of the section in the form
 * @param firstBar the bar of the section at which the pass begins, from 0
 * @param description what it is heard over, or what it follows
 */
public record HeardLine(
    Song song,
    Part part,
    String pattern,
    List<Note> notes,
    int bars,
    Writing writing,
    Progression progression,
    Harmony harmony,
    int place,
    int firstBar,
    String description) {
  /** How the notes of a pattern are written. */
  public enum Writing {
    /** Each at its own height. */
    NOTES,
    /** As degrees of the chords, which they follow. */
    CHORD_DEGREES,
    /** Not at all: a rule plays them. */
    RULE
  }

  private static final int MOST_BARS = 16;

  /** The pass of a pattern in which a bar of the section lies, from 0. */
  static HeardLine of(SongView view, Part part, String pattern, int selected, int bar) {
    Song song = view.song();
    Optional<Passage> passage = passage(view, part, pattern, selected);
    int place = passage.map(Passage::place).orElse(selected);
    Section section = song.form().sections().get(place);
    Pattern written = part.pattern(pattern).pattern();
    int bars = bars(written, section);
    int firstBar = Math.min(bar, section.bars() - 1) / bars * bars;
    Progression row = song.progression(section.progression());
    int barTicks = song.brief().meter().ticksPerBar();
    SectionHarmony sections = new SectionHarmony(song);
    Harmony whole = sections.over(row, sections.offset(place), (firstBar + bars) * barTicks);
    Harmony heard =
        section
            .pedal()
            .map(whole::overPedal)
            .orElse(whole)
            .from(firstBar * barTicks, bars * barTicks);
    String over =
        passage.isPresent()
            ? "over the " + row.name() + " chords, in the " + song.form().label(place)
            : "over the " + row.name() + " chords; no section plays it yet";
    Writing writing = writing(written);
    String words = writing == Writing.RULE ? PatternDescription.of(written, song) : over;
    List<Note> notes =
        switch (writing) {
          case NOTES -> notes(written, song);
          case CHORD_DEGREES -> resolved((Pattern.Attached) written, heard, song);
          case RULE -> played(passage, firstBar * barTicks, bars * barTicks);
        };
    return new HeardLine(
        song, part, pattern, notes, bars, writing, row, heard, place, firstBar, words);
  }

  private static Writing writing(Pattern pattern) {
    if (pattern instanceof Pattern.Written || pattern instanceof Pattern.Phrase) {
      return Writing.NOTES;
    }
    return pattern instanceof Pattern.Attached ? Writing.CHORD_DEGREES : Writing.RULE;
  }

  private static int bars(Pattern pattern, Section section) {
    if (pattern instanceof Pattern.Written line) {
      return line.bars();
    }
    if (pattern instanceof Pattern.Phrase phrase) {
      return phrase.bars();
    }
    return pattern instanceof Pattern.Attached line
        ? line.bars()
        : Math.min(MOST_BARS, section.bars());
  }

  private static List<Note> notes(Pattern pattern, Song song) {
    return pattern instanceof Pattern.Phrase phrase
        ? phrase.written(song.brief().key(), song.brief().meter()).notes()
        : ((Pattern.Written) pattern).notes();
  }

  private static List<Note> resolved(Pattern.Attached line, Harmony harmony, Song song) {
    ChordDegrees degrees = new ChordDegrees(harmony, song.brief().key(), line.lowest());
    return line.notes().stream()
        .filter(note -> note.start() < harmony.ticks())
        .map(
            note ->
                new Note(
                    note.start(),
                    note.ticks(),
                    degrees.midi(note, note.start()),
                    note.velocity(),
                    note.slide()))
        .toList();
  }

  private static Optional<Passage> passage(SongView view, Part part, String pattern, int selected) {
    List<Passage> all =
        view.score().part(part.id()).stream()
            .flatMap(scored -> scored.passages().stream())
            .filter(passage -> passage.name().equals(pattern))
            .toList();
    return all.stream()
        .filter(passage -> passage.place() == selected)
        .findFirst()
        .or(() -> all.stream().findFirst());
  }

  private static List<Note> played(Optional<Passage> passage, int from, int ticks) {
    List<Note> notes = new ArrayList<>();
    passage.ifPresent(
        heard -> {
          for (ScoredNote note : heard.notes()) {
            int start = note.written() - heard.sectionStart() - from;
            if (start >= 0 && start < ticks) {
              notes.add(new Note(start, note.ticks(), note.key(), note.velocity(), note.slide()));
            }
          }
        });
    return notes;
  }

  /** Whether its notes are written and can be changed one by one. */
  public boolean written() {
    return writing != Writing.RULE;
  }

  /** The phrase it is, if its units are linked to a motif. */
  public Optional<Pattern.Phrase> phrase() {
    return part.pattern(pattern).pattern() instanceof Pattern.Phrase phrase
        ? Optional.of(phrase)
        : Optional.empty();
  }

  /** The tick of the song at which the pass begins. */
  public int songTick() {
    Meter meter = song.brief().meter();
    return song.form().startTick(place, meter) + firstBar * meter.ticksPerBar();
  }

  /** Where a tick of the pass is heard, counted in bars of the song. */
  public Position position(int tick) {
    return song.barLines().position(songTick() + tick);
  }

  /** Ticks of the pass. */
  public int ticks() {
    return bars * song.brief().meter().ticksPerBar();
  }

  /** Puts notes in place of others; notes attached to the chords stay so. */
  public Edit put(String name, List<Note> without, List<Note> with) {
    LineEdits edits = new LineEdits(part.id(), pattern);
    if (writing == Writing.NOTES) {
      return edits.put(name, without, with);
    }
    Pattern.Attached line = (Pattern.Attached) part.pattern(pattern).pattern();
    List<Note> gone = new ArrayList<>(without);
    List<ChordNote> out = new ArrayList<>();
    for (int i = 0; i < line.notes().size(); i++) {
      boolean shown = i < notes.size();
      if (!shown || !gone.remove(notes.get(i))) {
        out.add(line.notes().get(i));
      }
    }
    out.addAll(new ChordDegrees(harmony, song.brief().key(), line.lowest()).attach(with));
    return edits.replace(name, line.withNotes(out));
  }
}
