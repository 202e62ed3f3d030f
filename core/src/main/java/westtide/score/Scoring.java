package westtide.score;

import java.util.ArrayList;
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
    List<ScoredNote> sorted = NoteOrder.sorted(out);
    return MonophonicCut.sameSource(
        part.role() == Role.SUB ? MonophonicCut.allKeys(sorted) : sorted);
  }

  private void addSection(List<ScoredNote> out, Part part, int index) {
    Section section = song.form().sections().get(index);
    int sectionStart = song.form().startBar(index) * meter.ticksPerBar();
    for (CellSpan span : section.spans(part.id())) {
      if (span.cell().level() == Level.OUT) {
        continue;
      }
      Optional<Pattern.Drums> groove = part.groove(span.cell().variant(), meter);
      if (groove.isPresent()) {
        addGroove(out, new Groove(groove.get(), part, meter, swing), span, sectionStart);
      } else {
        addLine(out, part, span, index);
      }
    }
  }

  private void addGroove(List<ScoredNote> out, Groove groove, CellSpan span, int sectionStart) {
    Placing placing = placing(span, sectionStart);
    groove.over(
        span,
        (lane, start, ticks, velocity, semitones) ->
            placing.add(
                out,
                lane.swing(),
                start,
                ticks,
                new Sounding(lane.key(), velocity, lane.struck(semitones))));
  }

  private Placing placing(CellSpan span, int sectionStart) {
    return new Placing(
        span.cell().level(), sectionStart, sectionStart + span.endBar() * meter.ticksPerBar());
  }

  private void addLine(List<ScoredNote> out, Part part, CellSpan span, int index) {
    Section section = song.form().sections().get(index);
    int from = span.fromBar() * meter.ticksPerBar();
    int to = span.endBar() * meter.ticksPerBar();
    int sectionStart = song.form().startBar(index) * meter.ticksPerBar();
    Placing placing = placing(span, sectionStart);
    for (Note note : line(part, span.cell(), harmonies.get(index), section.bars())) {
      if (note.start() >= from && note.start() < to) {
        placing.add(
            out,
            swing,
            note.start(),
            note.end() - note.start(),
            new Sounding(note.key(), note.velocity(), Optional.empty()));
      }
    }
  }

  /** What sounds, apart from when. */
  private record Sounding(int key, int velocity, Optional<ScoredNote.Struck> struck) {}

  /** Where written notes of a cell sound, and how loud. */
  private record Placing(Level level, int sectionStart, int cellEnd) {
    void add(List<ScoredNote> out, Swing swing, int from, int ticks, Sounding sounding) {
      int written = sectionStart + from;
      long start = swing.at(written);
      long end = swing.at(Math.min(written + ticks, cellEnd));
      if (end > start) {
        int velocity = level.scale(sounding.velocity());
        out.add(
            new ScoredNote(
                (int) start, (int) (end - start), sounding.key(), velocity, sounding.struck()));
      }
    }
  }

  /**
   * What a part plays over a whole section with the pattern of a cell, from the section's start.
   */
  private List<Note> line(Part part, Cell cell, Harmony harmony, int bars) {
    Pattern pattern = part.variant(cell.variant()).pattern();
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
    return new KickTrack(drums.get(), section, brief).ticks();
  }
}
