package westtide.score.drum;

import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.rhythm.Ticks;
import westtide.rhythm.When;
import westtide.song.Part;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlacedHit;
import westtide.song.form.CellSpan;
import westtide.song.pattern.Pattern;

/**
 * A groove laid out over a stretch of a section: lanes repeated and restarted, hits that do not
 * play on this pass or are choked left out, rolls split, nudges applied.
 */
public final class Groove {
  private static final int STROKE = Ticks.PER_STEP / 2;
  private static final int FILL_BARS = 4;

  private final Pattern.Drums drums;
  private final GrooveLayout layout;
  private final Part part;
  private final String name;
  private final Meter meter;
  private final Swing swing;

  /** A groove of a part, laid out in a meter and swing. */
  public Groove(Pattern.Drums drums, Part part, String name, Meter meter, Swing swing) {
    this(drums, GrooveLayout.of(drums, part, meter), part, name, meter, swing);
  }

  private Groove(
      Pattern.Drums drums, GrooveLayout layout, Part part, String name, Meter meter, Swing swing) {
    this.layout = layout;
    this.drums = drums;
    this.part = part;
    this.name = name;
    this.meter = meter;
    this.swing = swing;
  }

  /**
   * Hands over the strokes of the hits inside a stretch of the section, in ticks from the section's
   * start. Early ones may sound just before the stretch, but not before the section.
   */
  public void over(CellSpan span, StrokeSink sink) {
    for (int i = 0; i < drums.lanes().size(); i++) {
      lane(i, span, sink);
    }
  }

  /** As {@link #over}, of the lanes of one drum only. */
  public void over(CellSpan span, DrumVoice voice, StrokeSink sink) {
    for (int i = 0; i < drums.lanes().size(); i++) {
      if (drums.lanes().get(i).voice() == voice) {
        lane(i, span, sink);
      }
    }
  }

  private void lane(int index, CellSpan span, StrokeSink sink) {
    DrumLane lane = drums.lanes().get(index);
    StruckLane struck = StruckLane.of(lane, part, name, swing);
    int from = span.from(meter);
    int to = span.to(meter);
    Set<Integer> silent = layout.silent(index, to, (l, hit) -> plays(l, hit, from, to));
    for (PlacedHit laid : layout.hits(lane, to)) {
      if (plays(lane, laid, from, to) && (silent.isEmpty() || !silent.contains(laid.tick()))) {
        strike(struck, laid, to, sink);
      }
    }
  }

  /** The same groove with lanes that are struck at ticks of the section, whatever they hold. */
  public Groove borrowing(Map<LaneId, List<Integer>> ticks) {
    return new Groove(drums, layout.borrowing(ticks), part, name, meter, swing);
  }

  private boolean plays(DrumLane lane, PlacedHit laid, int from, int to) {
    When when = laid.hit().when();
    return laid.tick() >= from
        && !lane.silences(laid)
        && (when.equals(When.ALWAYS) || when.plays(pass(laid, from, to), laid.hit().step()));
  }

  private When.Pass pass(PlacedHit laid, int from, int to) {
    int bar = laid.tick() / meter.ticksPerBar();
    boolean lastBar = (bar + 1) * meter.ticksPerBar() >= to;
    return new When.Pass(
        laid.pass(),
        laid.from() <= from && laid.to() > from,
        laid.to() >= to,
        lastBar || (bar + 1) % FILL_BARS == 0);
  }

  private static void strike(StruckLane struck, PlacedHit laid, int to, StrokeSink sink) {
    DrumLane lane = struck.lane();
    Hit hit = laid.hit();
    int late = laid.tick() + lane.late(laid.step());
    int grid = lane.grid().ticks();
    int length = Math.max(1, STROKE * hit.roll().steps() / hit.strokes());
    int first = late + hit.offset(0, grid) - hit.flam();
    if (hit.flam() > 0 && first >= 0) {
      sink.stroke(
          struck, laid, first, Math.min(length, hit.flam()), hit.flamVelocity(), hit.pitch(0));
    }
    for (int stroke = 0; stroke < hit.strokes(); stroke++) {
      int start = Math.max(0, late + hit.offset(stroke, grid));
      if (start < to) {
        sink.stroke(struck, laid, start, length, lane.velocity(laid, stroke), hit.pitch(stroke));
      }
    }
  }
}
