package westtide.review.drums;

import java.util.List;
import java.util.stream.IntStream;
import westtide.review.finding.Measure;
import westtide.rhythm.Meter;
import westtide.song.pattern.Pattern;

/** The figures of one groove: density, off-beats, syncopation, velocities and swing. */
final class DrumMeasures {
  private static final int SHAPED = 6;

  private final StyledGroove view;
  private final Pattern.Drums groove;
  private final Meter meter;

  DrumMeasures(StyledGroove view) {
    this.view = view;
    this.groove = view.groove();
    this.meter = view.meter();
  }

  List<Measure> take() {
    int hits = groove.lanes().stream().mapToInt(lane -> view.heard(lane).size()).sum();
    double perBar = view.hitsPerBar();
    double off = hits == 0 ? 0 : offBeat() / (double) hits;
    double syncopation = GroovePulls.syncopation(groove, meter) / (double) groove.bars();
    int spread = velocitySpread();
    long swung = swung();
    return List.of(
        new Measure(
            "density, hits per bar",
            String.valueOf(Math.round(perBar)),
            perBar,
            0,
            Math.max(48, view.style().groove().hitsPerBar().high() + 8),
            view.style().groove().hitsPerBar()),
        Measure.of("off-beat share", Math.round(100 * off) + " %", off, 1, 0.3, 0.8),
        Measure.of(
            "syncopation, a bar",
            String.valueOf(Math.round(syncopation * 10) / 10.0),
            syncopation,
            12,
            0,
            7),
        Measure.of("velocity range", String.valueOf(spread), spread, 127, softest(), 90),
        Measure.of(
            "swung notes",
            swung + " of " + hits,
            swung,
            Math.max(1, hits),
            view.song().brief().swing().straight() ? 0 : 1,
            Math.max(1, hits)));
  }

  /** The least spread that is usual: none where the style has everything full. */
  private int softest() {
    return view.style().groove().schools().full() ? 0 : SHAPED;
  }

  private long offBeat() {
    return groove.lanes().stream()
        .flatMap(lane -> view.heard(lane).stream())
        .filter(laid -> laid.tick() % meter.ticksPerBeat() != 0)
        .count();
  }

  /** From the softest tenth to the loudest tenth of all hits. */
  private int velocitySpread() {
    int[] sorted =
        groove.lanes().stream()
            .flatMapToInt(
                lane ->
                    view.heard(lane).stream().flatMapToInt(l -> IntStream.of(lane.velocity(l, 0))))
            .filter(velocity -> velocity > 0)
            .sorted()
            .toArray();
    return sorted.length == 0
        ? 0
        : sorted[sorted.length - 1 - sorted.length / 10] - sorted[sorted.length / 10];
  }

  private long swung() {
    return groove.lanes().stream()
        .mapToLong(
            lane ->
                view.heard(lane).stream()
                    .filter(laid -> lane.swing(view.song().brief().swing()).reaches(laid.tick()))
                    .count())
        .sum();
  }
}
