package westtide.theory;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedList;
import java.util.List;

/**
 * Lays a progression out so that the hand moves little: the bass keeps the root or slash bass, the
 * upper voices take the close inversion with the least total movement over the whole progression
 * (Viterbi search).
 *
 * <p>A chord of four or more notes leaves its root to the bass; a triad keeps it in the hand for
 * body.
 */
public final class VoicingPlan {
  private static final double CENTRE_WEIGHT = 0.35;
  private static final double LOW_CLUSTER_COST = 4;
  private static final int LOW_CLUSTER_BELOW = 52;

  private final VoicingRange range;

  private VoicingPlan(VoicingRange range) {
    this.range = range;
  }

  /** A plan that keeps to a range. */
  public static VoicingPlan in(VoicingRange range) {
    return new VoicingPlan(range);
  }

  /** One voicing a chord, in order; the same chords in the same range give the same voicings. */
  public List<Voicing> voice(List<Chord> chords) {
    if (chords.isEmpty()) {
      return List.of();
    }
    List<List<Voicing>> choices = chords.stream().map(this::candidates).toList();
    double[] cost = choices.get(0).stream().mapToDouble(this::standing).toArray();
    List<int[]> origins = new ArrayList<>();
    for (int i = 1; i < choices.size(); i++) {
      int[] origin = new int[choices.get(i).size()];
      cost = step(choices.get(i - 1), cost, choices.get(i), origin);
      origins.add(origin);
    }
    return trace(choices, cost, origins);
  }

  private double[] step(List<Voicing> from, double[] cost, List<Voicing> to, int[] origin) {
    double[] next = new double[to.size()];
    Arrays.fill(next, Double.MAX_VALUE);
    for (int j = 0; j < to.size(); j++) {
      for (int i = 0; i < from.size(); i++) {
        double total = cost[i] + hand(from.get(i), to.get(j));
        if (total < next[j]) {
          next[j] = total;
          origin[j] = i;
        }
      }
      next[j] += standing(to.get(j));
    }
    return next;
  }

  private static List<Voicing> trace(
      List<List<Voicing>> choices, double[] cost, List<int[]> origins) {
    int at = 0;
    for (int i = 1; i < cost.length; i++) {
      at = cost[i] < cost[at] ? i : at;
    }
    LinkedList<Voicing> out = new LinkedList<>();
    for (int i = choices.size() - 1; i >= 0; i--) {
      out.addFirst(choices.get(i).get(at));
      at = i > 0 ? origins.get(i - 1)[at] : at;
    }
    return out;
  }

  private List<Voicing> candidates(Chord chord) {
    int bass = Pitch.atOrAbove(range.bassLow(), chord.bass().pitchClass());
    List<Integer> hand = hand(chord);
    List<Voicing> out = new ArrayList<>();
    for (int start : hand) {
      int lowest = Pitch.atOrAbove(Math.max(range.low(), bass + 1), start);
      for (; lowest <= range.high(); lowest += 12) {
        List<Integer> keys = stack(lowest, hand);
        if (keys.get(keys.size() - 1) <= range.high()) {
          keys.add(bass);
          out.add(new Voicing(keys));
        }
      }
    }
    return out.isEmpty() ? List.of(fallback(bass, hand)) : out;
  }

  private static List<Integer> hand(Chord chord) {
    List<Integer> classes = new ArrayList<>(chord.pitchClasses());
    if (classes.size() > 3) {
      classes.remove(Integer.valueOf(chord.bass().pitchClass()));
    }
    return classes;
  }

  private static List<Integer> stack(int lowest, List<Integer> classes) {
    List<Integer> keys = new ArrayList<>();
    classes.stream()
        .map(pitchClass -> Pitch.atOrAbove(lowest, pitchClass))
        .sorted()
        .forEach(keys::add);
    return keys;
  }

  private Voicing fallback(int bass, List<Integer> hand) {
    List<Integer> keys = stack(range.low(), hand);
    keys.add(bass);
    return new Voicing(keys);
  }

  private static double hand(Voicing from, Voicing to) {
    return VoiceLeading.movement(new Voicing(from.upper()), new Voicing(to.upper()));
  }

  private double standing(Voicing voicing) {
    double centre = voicing.upper().stream().mapToInt(k -> k).average().orElse(range.centre());
    double cost = CENTRE_WEIGHT * Math.abs(centre - range.centre());
    for (int i = 1; i < voicing.keys().size(); i++) {
      int gap = voicing.keys().get(i) - voicing.keys().get(i - 1);
      if (voicing.keys().get(i - 1) < LOW_CLUSTER_BELOW && gap < 5) {
        cost += LOW_CLUSTER_COST;
      }
    }
    return cost;
  }
}
