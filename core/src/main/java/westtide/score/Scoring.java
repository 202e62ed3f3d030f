package westtide.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.score.boundary.Boundaries;
import westtide.score.drum.Groove;
import westtide.score.event.NoteOrder;
import westtide.score.event.ScoredNote;
import westtide.score.line.Harmonies;
import westtide.score.line.HeldLine;
import westtide.score.line.Line;
import westtide.score.line.Lines;
import westtide.score.line.PedalNotes;
import westtide.score.line.Placing;
import westtide.score.line.Spans;
import westtide.score.line.Thinned;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.LaneId;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.Thinning;
import westtide.song.found.FoundSound;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.Transposition;

/** Makes the score of one song, part by part and section by section. */
final class Scoring {
  private final Song song;
  private final Function<Part, Optional<ScoredPart>> known;
  private final Meter meter;
  private final Swing swing;
  private final Harmonies harmonies;
  private final Lines lines;
  private final Boundaries boundaries;

  /** A scoring that takes over what is known of a part. */
  Scoring(Song song, Function<Part, Optional<ScoredPart>> known) {
    this.song = song;
    this.known = known;
    this.meter = song.brief().meter();
    this.swing = song.brief().swing();
    this.harmonies = new Harmonies(song);
    this.lines = new Lines(song, harmonies);
    this.boundaries = new Boundaries(song, lines);
  }

  Score score() {
    List<ScoredPart> parts = new ArrayList<>(song.parts().size());
    for (Part part : song.parts()) {
      parts.add(known.apply(part).orElseGet(() -> scored(part)));
    }
    return new Score(song, parts, song.ticks());
  }

  /** A stretch of one level and pattern, and what it plays. */
  private record Stretch(int place, int sectionStart, CellSpan span, String name) {}

  private ScoredPart scored(Part part) {
    List<ScoredNote> out = new ArrayList<>();
    List<Stretch> stretches = new ArrayList<>();
    int start = 0;
    for (int i = 0; i < song.form().sections().size(); i++) {
      Section section = song.form().sections().get(i);
      List<CellSpan> spans = Spans.joined(section, part);
      for (CellSpan span : spans) {
        if (span.cell().level() != Level.OUT) {
          stretches.add(new Stretch(i, start, span, Spans.name(part, span.cell())));
        }
      }
      addSection(out, part, i, start, spans);
      start += section.ticks(meter);
    }
    List<ScoredNote> sorted = NoteOrder.sorted(out);
    Boundaries.Applied applied =
        boundaries.applied(
            part,
            MonophonicCut.sameSource(isMonophonic(part) ? MonophonicCut.allKeys(sorted) : sorted));
    return new ScoredPart(
        part,
        applied.notes(),
        passages(part, stretches, applied.ofPatterns()),
        new Motions(song, part).with(applied.moves()).all());
  }

  private static boolean isMonophonic(Part part) {
    return part.role() == Role.SUB || part.found().filter(FoundSound::chokes).isPresent();
  }

  private void addSection(
      List<ScoredNote> out, Part part, int place, int start, List<CellSpan> spans) {
    if (part.role() == Role.DRUMS) {
      spans.stream()
          .filter(span -> span.cell().level() != Level.OUT)
          .forEach(span -> addGroove(out, part, place, span, start));
    } else {
      addLines(out, part, place, start, spans);
    }
  }

  private void addGroove(List<ScoredNote> out, Part part, int place, CellSpan span, int start) {
    String name = Spans.name(part, span.cell());
    Map<LaneId, List<Integer>> borrowed = new HashMap<>();
    for (LaneId lane : part.borrowed().keySet()) {
      part.rhythmOf(lane, name).ifPresent(model -> borrowed.put(lane, lines.struck(model, place)));
    }
    Pattern.Drums groove = lines.groove(part, name);
    Placing placing = placing(span, start, Transposition.NONE);
    Thinning thinning = span.cell().sound().thinning();
    new Groove(groove, part, name, meter, swing)
        .borrowing(borrowed)
        .over(
            span,
            (lane, laid, from, ticks, velocity, semitones) -> {
              if (velocity >= thinning.softest() && !thinning.lanes().contains(lane.lane().id())) {
                placing.add(
                    out,
                    lane.swing(),
                    new Placing.Written(laid.tick(), from, from + ticks, from),
                    new Placing.Sounding(
                        lane.key(),
                        velocity,
                        0,
                        lane.source(laid.hit().step()),
                        lane.struck(semitones)));
              }
            });
  }

  private void addLines(
      List<ScoredNote> out, Part part, int place, int start, List<CellSpan> spans) {
    Optional<HeldLine> before = Optional.empty();
    for (CellSpan span : spans) {
      if (span.cell().level() == Level.OUT) {
        before = Optional.empty();
        continue;
      }
      HeldLine line = new HeldLine(thinned(part, span, place), span.from(meter), span.to(meter));
      Placing placing = placing(span, start, higher(part, span));
      line.over(before, (written, sounding) -> placing.add(out, swing, written, sounding));
      before = Optional.of(line);
    }
  }

  private Placing placing(CellSpan span, int start, Transposition transposition) {
    return new Placing(
        span.cell().level(),
        start,
        start + span.to(meter),
        transposition,
        span.cell().sound().instrument());
  }

  private Line thinned(Part part, CellSpan span, int place) {
    String name = Spans.name(part, span.cell());
    Line left =
        new Thinned(span.cell())
            .of(lines.of(part, name, place), () -> harmonies.of(part, name, place).harmony());
    return PedalNotes.of(left, part, song.form().sections().get(place));
  }

  /** Pieces of a sound are moved where they are played: their keys say which they are. */
  private static Transposition higher(Part part, CellSpan span) {
    if (!part.pitched()) {
      return Transposition.NONE;
    }
    int octaves = span.cell().sound().octave();
    return octaves == 0 ? part.transposition() : part.transposition().plusOctaves(octaves);
  }

  private List<Passage> passages(Part part, List<Stretch> stretches, List<ScoredNote> notes) {
    Map<String, Pattern> resolved = new HashMap<>();
    List<Passage> out = new ArrayList<>(stretches.size());
    for (Stretch one : stretches) {
      int from = one.sectionStart + one.span.from(meter);
      int to = one.sectionStart + one.span.to(meter);
      Pattern pattern = resolved.computeIfAbsent(one.name, name -> lines.pattern(part, name));
      out.add(
          new Passage(
              song.form().id(one.place),
              one.place,
              one.sectionStart,
              from,
              to,
              one.span.cell().level(),
              one.name,
              pattern,
              harmonies.of(part, one.name, one.place).harmony(),
              NoteOrder.between(notes, from, to)));
    }
    return out;
  }
}
