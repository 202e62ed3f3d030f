package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds a tempo from taps on the beat: the mean gap between taps, those left out that lie a fifth
 * or more from the median, so that a slip does not count. A pause of over two seconds starts again.
 *
 * @param taps times of the taps in milliseconds, ascending
 */
public record TapTempo(List<Long> taps) {
  private static final long PAUSE_MILLIS = 2000;
  private static final int REMEMBERED = 12;
  private static final double SLIP = 0.2;

  /** Copies the taps. */
  public TapTempo {
    taps = List.copyOf(taps);
  }

  /** Nothing tapped yet. */
  public static TapTempo none() {
    return new TapTempo(List.of());
  }

  /** The taps with one more at {@code millis}, which is not earlier than the last. */
  public TapTempo plus(long millis) {
    if (!taps.isEmpty() && millis - taps.get(taps.size() - 1) > PAUSE_MILLIS) {
      return new TapTempo(List.of(millis));
    }
    List<Long> more = new ArrayList<>(taps);
    more.add(millis);
    return new TapTempo(more.subList(Math.max(0, more.size() - REMEMBERED), more.size()));
  }

  /**
   * What was tapped.
   *
   * @param tempo the tempo of the steady taps
   * @param spread how far the steady gaps lie from their mean on average, in ms
   * @param dropped how many gaps were left out as slips
   */
  public record Reading(Tempo tempo, double spread, int dropped) {
    /** Whether the taps are steady enough to trust: within 3 % of a beat. */
    public boolean steady() {
      return spread <= 0.03 * tempo.millis(Ticks.PER_QUARTER);
    }
  }

  /** The tempo tapped so far; empty before the third tap. */
  public Optional<Tempo> tempo() {
    return reading().map(Reading::tempo);
  }

  /** What was tapped so far; empty before the third tap. */
  public Optional<Reading> reading() {
    if (taps.size() < 3) {
      return Optional.empty();
    }
    List<Long> gaps = new ArrayList<>();
    for (int i = 1; i < taps.size(); i++) {
      gaps.add(Math.max(1, taps.get(i) - taps.get(i - 1)));
    }
    double median = median(gaps);
    List<Long> steady =
        gaps.stream().filter(gap -> Math.abs(gap - median) <= SLIP * median).toList();
    List<Long> counted = steady.isEmpty() ? gaps : steady;
    double mean = counted.stream().mapToLong(gap -> gap).average().orElse(median);
    double spread = counted.stream().mapToDouble(gap -> Math.abs(gap - mean)).average().orElse(0);
    return Optional.of(
        new Reading(Tempo.nearest(60_000 / mean), spread, gaps.size() - counted.size()));
  }

  private static double median(List<Long> gaps) {
    List<Long> sorted = gaps.stream().sorted().toList();
    int middle = sorted.size() / 2;
    return sorted.size() % 2 == 1
        ? sorted.get(middle)
        : (sorted.get(middle - 1) + sorted.get(middle)) / 2.0;
  }
}
