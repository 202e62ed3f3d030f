package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How syncopated a rhythm is: for each struck step that is followed by a rest on a stronger one,
 * the weight of the strongest such rest less the weight of the strike, summed over the rhythm
 * (Longuet-Higgins and Lee, "The rhythmic interpretation of monophonic music", Music Perception
 * 1984, from memory). The rhythm goes round.
 */
public final class Syncopation {
  /**
   * A strike that leans on a stronger place after it on which nothing is struck.
   *
   * @param from the step of the strike
   * @param to the step it leans on; from {@code length} on it is in the next round
   * @param weight how much stronger that place is, 1 or more
   */
  public record Pull(int from, int to, int weight) {}

  private Syncopation() {}

  /**
   * The sum over a rhythm.
   *
   * @param struck steps that are struck, from 0
   * @param length steps of the rhythm
   * @param bar steps of a bar
   */
  public static int of(Set<Integer> struck, int length, int bar) {
    return pulls(struck, length, bar).stream().mapToInt(Pull::weight).sum();
  }

  /** What the sum is made of: the strikes that lean on a rest, in order. */
  public static List<Pull> pulls(Set<Integer> struck, int length, int bar) {
    List<Integer> onsets = struck.stream().sorted().toList();
    List<Pull> out = new ArrayList<>();
    for (int i = 0; i < onsets.size(); i++) {
      int from = onsets.get(i);
      int next = i + 1 < onsets.size() ? onsets.get(i + 1) : onsets.get(0) + length;
      pull(from, next, bar).ifPresent(out::add);
    }
    return out;
  }

  /** Towards the strongest step without a strike between two strikes, if it is stronger. */
  private static Optional<Pull> pull(int from, int next, int bar) {
    int own = MetricWeight.of(from, bar);
    Pull strongest = new Pull(from, from, 0);
    for (int step = from + 1; step < next; step++) {
      int more = MetricWeight.of(step, bar) - own;
      if (more > strongest.weight()) {
        strongest = new Pull(from, step, more);
      }
    }
    return strongest.weight() > 0 ? Optional.of(strongest) : Optional.empty();
  }
}
