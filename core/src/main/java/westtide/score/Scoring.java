package westtide.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import westtide.follow.Follower;
import westtide.follow.Harmony;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.song.Brief;
import westtide.song.Cell;
import westtide.song.CellSpan;
import westtide.song.FollowRule;
import westtide.song.Level;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.Song;

/** Makes the score of one song, section by section and cell by cell. */
final class Scoring {
  private final Song song;
  private final Brief brief;
  private final Meter meter;
  private final Swing swing;

  /** What following parts hear in each section, in the order of the form. */
  private final List<Harmony> harmonies;

  Scoring(Song song) {
    this.song = song;
    this.brief = song.brief();
    this.meter = brief.meter();
    this.swing = brief.swing();
    this.harmonies = song.form().sections().stream().map(this::harmony).toList();
  }

  Score score() {
    List<ScoredPart> parts = new ArrayList<>();
    for (Part part : song.parts()) {
      parts.add(new ScoredPart(part, notes(part)));
    }
    return new Score(song, parts, song.ticks());
  }

  private List<ScoredNote> notes(Part part) {
    List<ScoredNote> out = new ArrayList<>();
    for (int i = 0; i < song.form().sections().size(); i++) {
      addSection(out, part, i);
    }
    out.sort(Comparator.comparingInt(ScoredNote::start).thenComparingInt(ScoredNote::key));
    return MonophonicCut.sameKey(part.role() == Role.SUB ? MonophonicCut.allKeys(out) : out);
  }

  private void addSection(List<ScoredNote> out, Part part, int index) {
    Section section = song.form().sections().get(index);
    int sectionStart = song.form().startBar(index) * meter.ticksPerBar();
    for (CellSpan span : section.spans(part.id())) {
      Cell cell = span.cell();
      if (cell.level() == Level.OUT) {
        continue;
      }
      int from = span.fromBar() * meter.ticksPerBar();
      int to = span.endBar() * meter.ticksPerBar();
      for (Note note : played(part, cell, harmonies.get(index), section.bars())) {
        if (note.start() >= from && note.start() < to) {
          add(out, note, cell.level(), sectionStart, to);
        }
      }
    }
  }

  private void add(List<ScoredNote> out, Note note, Level level, int sectionStart, int cellEnd) {
    long start = swing.at(sectionStart + note.start());
    long end = swing.at(sectionStart + Math.min(note.end(), cellEnd));
    if (end > start) {
      int velocity = level.scale(note.velocity());
      out.add(new ScoredNote((int) start, (int) (end - start), note.key(), velocity));
    }
  }

  /**
   * What a part plays over a whole section with the pattern of a cell, from the section's start.
   */
  private List<Note> played(Part part, Cell cell, Harmony harmony, int bars) {
    Pattern pattern = part.variant(cell.variant()).pattern();
    if (pattern instanceof Pattern.Drums drums) {
      return new Groove(drums, meter).over(bars);
    }
    if (pattern instanceof Pattern.Written written) {
      return repeated(written, bars);
    }
    FollowRule rule = ((Pattern.Following) pattern).rule();
    return Follower.resolve(rule, harmony, brief.key());
  }

  private List<Note> repeated(Pattern.Written written, int bars) {
    int length = written.bars() * meter.ticksPerBar();
    int total = bars * meter.ticksPerBar();
    List<Note> out = new ArrayList<>();
    for (int from = 0; from < total; from += length) {
      for (Note note : written.notes()) {
        if (note.start() < length && from + note.start() < total) {
          out.add(note.withStart(from + note.start()));
        }
      }
    }
    return out;
  }

  private Harmony harmony(Section section) {
    Harmony chords =
        Harmony.of(song.progression(section.progression()), section.bars(), brief, kicks(section));
    return section.pedal().map(chords::overPedal).orElse(chords);
  }

  /** The kick hits as written for a section, also where the drums are out. */
  private List<Integer> kicks(Section section) {
    Optional<Part> drums = song.part(Role.DRUMS);
    if (drums.isEmpty()) {
      return List.of();
    }
    return new KickTrack(drums.get(), section, meter).ticks();
  }
}
