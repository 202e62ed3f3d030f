package westtide.theory.voicing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedList;
import java.util.List;
import westtide.theory.Chord;
import westtide.theory.Pitch;

/**
 * Lays a progression out so that the hand moves little: the bass keeps the root or slash bass, the
 * upper voices take the inversion with the least total movement over the whole progression (Viterbi
 * search).
 */
public final class VoicingPlan {
  private static final double CENTRE_WEIGHT = 0.35;
  private static final double MUD_COST = 4;

  private final VoicingRange range;
  private final VoicingKind kind;

  private VoicingPlan(VoicingRange range, VoicingKind kind) {
    this.range = range;
    this.kind = kind;
  }

  /** A plan of close chords that keeps to a range. */
  public static VoicingPlan in(VoicingRange range) {
    return new VoicingPlan(range, VoicingKind.CLOSE);
  }

  /** The same plan for chords spread another way. */
  public VoicingPlan spread(VoicingKind other) {
    return new VoicingPlan(range, other);
  }

  /** One voicing a chord, in order; the same chords in the same range give the same voicings. */
  public List<Voicing> voice(List<Chord> chords) {
    return lay(chords.stream().map(VoicingWish::of).toList());
  }

  /** As {@link #voice}, each chord with what is asked of it. */
  public List<Voicing> lay(List<VoicingWish> wishes) {
    if (wishes.isEmpty()) {
      return List.of();
    }
    List<List<Voicing>> choices = wishes.stream().map(this::candidates).toList();
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

  private List<Voicing> candidates(VoicingWish wish) {
    if (wish.fixed().isPresent()) {
      return List.of(wish.fixed().get());
    }
    VoicingKind spread = wish.kind().orElse(kind);
    Chord chord = wish.inverted();
    int bass = Pitch.atOrAbove(range.bassLow(), chord.bass().pitchClass());
    List<Integer> hand = spread.hand(chord);
    List<Voicing> out = new ArrayList<>();
    for (int turns = 0; turns < spread.inversions(hand); turns++) {
      addInversion(out, spread, hand, turns, bass);
    }
    if (!out.isEmpty()) {
      return out;
    }
    List<Integer> keys = spread.stand(lowest(hand, 0, bass, spread), hand, 0);
    return List.of(onBass(bass, keys.get(0) > bass ? keys : raised(keys)));
  }

  private void addInversion(
      List<Voicing> out, VoicingKind spread, List<Integer> hand, int turns, int bass) {
    for (int low = lowest(hand, turns, bass, spread); low <= range.high(); low += 12) {
      List<Integer> keys = spread.stand(low, hand, turns);
      if (keys.get(0) > bass && keys.get(keys.size() - 1) <= range.high() + spread.reach()) {
        out.add(onBass(bass, keys));
      }
    }
  }

  private static List<Integer> raised(List<Integer> keys) {
    return keys.stream().map(key -> key + 12).toList();
  }

  private int lowest(List<Integer> hand, int turns, int bass, VoicingKind spread) {
    int from = Math.max(range.low() - spread.depth(), bass + 1);
    return Pitch.atOrAbove(from, hand.get(turns));
  }

  private static Voicing onBass(int bass, List<Integer> hand) {
    List<Integer> keys = new ArrayList<>(hand);
    keys.add(bass);
    return new Voicing(keys);
  }

  private static double hand(Voicing from, Voicing to) {
    List<Integer> before = from.upper();
    List<Integer> after = to.upper();
    if (stacked(before) && stacked(after) && before.size() == after.size()) {
      int moved = 0;
      for (int i = 0; i < before.size(); i++) {
        moved += Math.abs(after.get(i) - before.get(i));
      }
      return moved;
    }
    return VoiceLeading.movement(new Voicing(from.upper()), new Voicing(to.upper()));
  }

  /** Whether a hand is doubled an octave higher, so that it moves as one shape. */
  private static boolean stacked(List<Integer> hand) {
    int half = hand.size() / 2;
    boolean doubled = half > 1 && hand.size() % 2 == 0;
    for (int i = 0; i < half && doubled; i++) {
      doubled = hand.get(i + half) - hand.get(i) == 12;
    }
    return doubled;
  }

  private double standing(Voicing voicing) {
    double centre = voicing.upper().stream().mapToInt(k -> k).average().orElse(range.centre());
    return CENTRE_WEIGHT * Math.abs(centre - range.centre()) + MUD_COST * voicing.muddy().size();
  }
}
