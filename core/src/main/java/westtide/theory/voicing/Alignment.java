package westtide.theory.voicing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The cheapest order-keeping pairing of two ascending note lists in which every note takes part: a
 * dynamic programme over prefixes, where a step takes the next note of one list or of both.
 */
final class Alignment {
  private final List<Integer> from;
  private final List<Integer> to;
  private final int[][] cost;

  Alignment(List<Integer> from, List<Integer> to) {
    this.from = from;
    this.to = to;
    this.cost = new int[from.size()][to.size()];
    for (int i = 0; i < from.size(); i++) {
      for (int j = 0; j < to.size(); j++) {
        cost[i][j] = Math.abs(to.get(j) - from.get(i)) + before(i, j);
      }
    }
  }

  List<VoiceMove> moves() {
    List<VoiceMove> out = new ArrayList<>();
    int i = from.size() - 1;
    int j = to.size() - 1;
    out.add(new VoiceMove(from.get(i), to.get(j)));
    while (i > 0 || j > 0) {
      int best = before(i, j);
      if (i > 0 && j > 0 && cost[i - 1][j - 1] == best) {
        i--;
        j--;
      } else if (i > 0 && cost[i - 1][j] == best) {
        i--;
      } else {
        j--;
      }
      out.add(new VoiceMove(from.get(i), to.get(j)));
    }
    Collections.reverse(out);
    return out;
  }

  private int before(int i, int j) {
    if (i == 0 && j == 0) {
      return 0;
    }
    int diagonal = i > 0 && j > 0 ? cost[i - 1][j - 1] : Integer.MAX_VALUE;
    int fromStays = j > 0 ? cost[i][j - 1] : Integer.MAX_VALUE;
    int toStays = i > 0 ? cost[i - 1][j] : Integer.MAX_VALUE;
    return Math.min(diagonal, Math.min(fromStays, toStays));
  }
}
