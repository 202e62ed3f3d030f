package westtide.score;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import westtide.rhythm.Meter;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.mix.Curve;
import westtide.song.mix.CurveShape;
import westtide.song.mix.Mix;

/**
 * Works out what moves of a part over the song: its curves, the filters of its cells, how much
 * softer hints are, and what transitions add.
 */
final class Motions {
  /** dB a hint is below what its velocities say. */
  private static final double HINT_DECIBELS = -1.5;

  /** Straight pieces that stand for a bend or for half a swing. */
  private static final int PIECES = 8;

  /** Where a wobble is open, in octaves above 1 Hz: 12 kHz. */
  private static final double WOBBLE_OPEN = Math.log(12_000) / Math.log(2);

  private static final double WOBBLE_OCTAVES = 6;
  private static final double SILENT_DECIBELS = -60;

  private final Song song;
  private final Part part;
  private final Meter meter;
  private final Map<AutomationTarget, List<Motion.Piece>> pieces =
      new EnumMap<>(AutomationTarget.class);

  Motions(Song song, Part part) {
    this.song = song;
    this.part = part;
    this.meter = song.brief().meter();
  }

  /** The same with what transitions make of the part. */
  Motions with(Map<AutomationTarget, List<Motion.Piece>> more) {
    more.forEach((what, list) -> list.forEach(piece -> add(what, piece)));
    return this;
  }

  /** Everything that moves. */
  Map<AutomationTarget, Motion> all() {
    Form form = song.form();
    int start = 0;
    for (Section section : form.sections()) {
      for (CellSpan span : section.spans(part.id())) {
        addCell(span.cell(), start + span.from(meter), start + span.to(meter));
      }
      addCurves(section, start);
      start += section.ticks(meter);
    }
    Map<AutomationTarget, Motion> out = new EnumMap<>(AutomationTarget.class);
    pieces.forEach((what, list) -> out.put(what, Motion.of(what, list)));
    return out;
  }

  private void add(AutomationTarget what, Motion.Piece piece) {
    pieces.computeIfAbsent(what, w -> new ArrayList<>()).add(piece);
  }

  private void addCell(Cell cell, int from, int to) {
    int lowPass = cell.sound().lowPass();
    if (cell.level() != Level.OUT && lowPass < Mix.OPEN) {
      double octaves = Curve.Kind.LOW_PASS.even(lowPass);
      add(AutomationTarget.LOW_PASS, new Motion.Piece(from, to, octaves, octaves));
    }
    if (cell.level() == Level.HINT) {
      add(AutomationTarget.EXPRESSION, new Motion.Piece(from, to, HINT_DECIBELS, HINT_DECIBELS));
    }
  }

  private void addCurves(Section section, int start) {
    List<Curve> curves = section.curves().getOrDefault(part.id(), List.of());
    for (Curve curve : curves) {
      int from = start + curve.fromBar() * meter.ticksPerBar();
      int to = Math.min(song.ticks(), from + curve.barsIn(section.bars()) * meter.ticksPerBar());
      if (to > from) {
        addCurve(curve, curves, from, to);
      }
    }
  }

  private void addCurve(Curve curve, List<Curve> all, int from, int to) {
    int whole = from + curve.barsIn(1) * meter.ticksPerBar();
    List<Motion.Piece> drawn = drawn(curve, from, curve.bars() == 0 ? to : whole, to);
    switch (curve.kind()) {
      case LEVEL -> drawn.forEach(piece -> add(AutomationTarget.LEVEL, scaled(piece, 0.1)));
      case PAN -> drawn.forEach(piece -> add(AutomationTarget.PAN, piece));
      case LOW_PASS -> drawn.forEach(piece -> add(AutomationTarget.LOW_PASS, piece));
      case HIGH_PASS -> drawn.forEach(piece -> add(AutomationTarget.HIGH_PASS, piece));
      case ROOM -> drawn.forEach(piece -> add(AutomationTarget.ROOM, piece));
      case DELAY -> drawn.forEach(piece -> add(AutomationTarget.DELAY, piece));
      case WIDTH -> drawn.forEach(piece -> add(AutomationTarget.WIDTH, piece));
      case GATE -> addGate(new Motion(drawn), rate(all, Curve.Kind.GATE_RATE, from), from, to);
      case WOBBLE ->
          addWobble(new Motion(drawn), rate(all, Curve.Kind.WOBBLE_RATE, from), from, to);
      case GATE_RATE, WOBBLE_RATE -> {}
    }
  }

  private static Motion.Piece scaled(Motion.Piece piece, double by) {
    return new Motion.Piece(piece.from(), piece.to(), piece.first() * by, piece.last() * by);
  }

  /** How often a gate or wobble comes in a beat, by the curve of its rate where there is one. */
  private Motion rate(List<Curve> all, Curve.Kind kind, int from) {
    return all.stream()
        .filter(curve -> curve.kind() == kind)
        .findFirst()
        .map(
            curve -> {
              int bars = curve.barsIn(Curve.MOST_BARS) * meter.ticksPerBar();
              int end = curve.bars() == 0 ? sectionEnd(from) : from + bars;
              return new Motion(drawn(curve, from, end, end));
            })
        .orElse(Motion.STILL);
  }

  private int sectionEnd(int tick) {
    int end = 0;
    for (Section section : song.form().sections()) {
      end += section.ticks(meter);
      if (tick < end) {
        return end;
      }
    }
    return end;
  }

  private List<Motion.Piece> drawn(Curve curve, int from, int whole, int to) {
    List<Motion.Piece> out = new ArrayList<>();
    if (curve.shape() instanceof CurveShape.Cycle cycle) {
      addCycle(out, curve.kind(), cycle, from, to);
    } else if (curve.shape() instanceof CurveShape.Points points) {
      addPoints(out, curve.kind(), points.points(), from, whole);
    }
    return out.stream().filter(p -> p.from() < to).map(p -> cut(p, to)).toList();
  }

  private static Motion.Piece cut(Motion.Piece piece, int to) {
    return piece.to() <= to
        ? piece
        : new Motion.Piece(piece.from(), to, piece.first(), piece.at(to));
  }

  private static void addPoints(
      List<Motion.Piece> out, Curve.Kind kind, List<CurveShape.Point> points, int from, int to) {
    for (int i = 0; i + 1 < points.size(); i++) {
      CurveShape.Point one = points.get(i);
      CurveShape.Point next = points.get(i + 1);
      boolean bent = one.bend() == CurveShape.Bend.EARLY || one.bend() == CurveShape.Bend.LATE;
      int count = bent ? PIECES : 1;
      double low = kind.even(one.value());
      double high = kind.even(next.value());
      for (int piece = 0; piece < count; piece++) {
        double start = piece / (double) count;
        double end = (piece + 1) / (double) count;
        boolean held = one.bend() == CurveShape.Bend.HELD;
        add(
            out,
            from + (to - from) * (one.at() + (next.at() - one.at()) * start) / 1000,
            from + (to - from) * (one.at() + (next.at() - one.at()) * end) / 1000,
            low + (high - low) * one.bend().at(start),
            held ? low : low + (high - low) * one.bend().at(end));
      }
    }
  }

  private static void addCycle(
      List<Motion.Piece> out, Curve.Kind kind, CurveShape.Cycle cycle, int from, int to) {
    double low = kind.even(cycle.low());
    double high = kind.even(cycle.high());
    int count = cycle.wave() == CurveShape.Wave.SINE ? 2 * PIECES : 2;
    boolean steps = cycle.wave() == CurveShape.Wave.STEPS;
    for (int start = from; start < to; start += cycle.ticks()) {
      for (int piece = 0; piece < count; piece++) {
        double first = cycle.wave().at(piece / (double) count);
        double last =
            piece + 1 == count ? end(cycle.wave()) : cycle.wave().at((piece + 1.0) / count);
        add(
            out,
            start + cycle.ticks() * piece / (double) count,
            start + cycle.ticks() * (piece + 1) / (double) count,
            low + (high - low) * first,
            low + (high - low) * (steps ? first : last));
      }
    }
  }

  private static double end(CurveShape.Wave wave) {
    return switch (wave) {
      case SINE, FALL -> 0;
      case STEPS, RISE -> 1;
    };
  }

  private static void add(
      List<Motion.Piece> out, double from, double to, double first, double last) {
    int start = (int) Math.round(from);
    int end = (int) Math.round(to);
    if (end > start) {
      out.add(new Motion.Piece(start, end, first, last));
    }
  }

  /** Every second half of a stroke closes. */
  private void addGate(Motion depth, Motion rate, int from, int to) {
    double usual = Curve.Kind.GATE_RATE.rest();
    for (int beat = from; beat < to; beat += meter.ticksPerBeat()) {
      int strokes = (int) Math.round(rate.at(beat, usual));
      int stroke = meter.ticksPerBeat() / strokes;
      for (int start = beat; start < Math.min(to, beat + strokes * stroke); start += stroke) {
        double open = 1 - depth.at(Math.min(to - 1, start + stroke / 2), 0) / 100;
        double decibels = Math.max(SILENT_DECIBELS, 20 * Math.log10(Math.max(1e-6, open)));
        if (decibels < 0) {
          int end = Math.min(to, start + stroke);
          add(
              AutomationTarget.EXPRESSION,
              new Motion.Piece(start + stroke / 2, end, decibels, decibels));
        }
      }
    }
  }

  /** The low-pass swings from open to as far closed as the depth says and back. */
  private void addWobble(Motion depth, Motion rate, int from, int to) {
    double usual = Curve.Kind.WOBBLE_RATE.rest();
    for (int beat = from; beat < to; beat += meter.ticksPerBeat()) {
      int swings = (int) Math.round(rate.at(beat, usual));
      double piece = meter.ticksPerBeat() / (double) (swings * PIECES);
      for (int i = 0; i < swings * PIECES; i++) {
        int start = (int) Math.round(beat + i * piece);
        int end = (int) Math.round(beat + (i + 1) * piece);
        if (start < to && end > start) {
          int last = Math.min(to, end);
          add(
              AutomationTarget.LOW_PASS,
              new Motion.Piece(
                  start, last, wobbled(depth, start, i), wobbled(depth, last - 1, i + 1)));
        }
      }
    }
  }

  private static double wobbled(Motion depth, int tick, int piece) {
    double closed = CurveShape.Wave.SINE.at(piece / (double) PIECES);
    return WOBBLE_OPEN - closed * WOBBLE_OCTAVES * depth.at(tick, 0) / 100;
  }
}
