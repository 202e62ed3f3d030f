package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds a tempo from taps on the beat: the median gap between taps, so that one slip does not
 * count. A pause of over two seconds starts again.
 *
 * @param taps times of the taps in milliseconds, ascending
 */
public record TapTempo(List<Long> taps) {
  private static final long PAUSE_MILLIS = 2000;
  private static final int REMEMBERED = 12;

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

  /** The tempo tapped so far; empty before the third tap. */
  public Optional<Tempo> tempo() {
    if (taps.size() < 3) {
      return Optional.empty();
    }
    List<Long> gaps = new ArrayList<>();
    for (int i = 1; i < taps.size(); i++) {
      gaps.add(Math.max(1, taps.get(i) - taps.get(i - 1)));
    }
    gaps.sort(Long::compare);
    int middle = gaps.size() / 2;
    double median =
        gaps.size() % 2 == 1 ? gaps.get(middle) : (gaps.get(middle - 1) + gaps.get(middle)) / 2.0;
    return Optional.of(Tempo.nearest(60_000 / median));
  }
}
