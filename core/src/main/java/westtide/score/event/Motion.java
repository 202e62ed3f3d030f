package westtide.score.event;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;

/**
 * How one thing of a part moves over the song: straight pieces in order that do not overlap.
 * Between them it rests.
 *
 * @param pieces the pieces
 */
public record Motion(List<Piece> pieces) {
  /** Nothing moves. */
  public static final Motion STILL = new Motion(List.of());

  private static final double SAME = 1e-9;

  /**
   * A straight movement.
   *
   * @param from first tick of the song
   * @param to tick after it
   * @param first the value at its start
   * @param last the value at its end
   */
  public record Piece(int from, int to, double first, double last) {
    /** The value at a tick of the song inside it. */
    public double at(int tick) {
      return first + (last - first) * (tick - from) / (double) (to - from);
    }
  }

  /** Copies the pieces. */
  public Motion {
    pieces = List.copyOf(pieces);
  }

  /** Whether anything moves. */
  public boolean any() {
    return !pieces.isEmpty();
  }

  /** The value at a tick of the song, or what it rests at. */
  public double at(int tick, double rest) {
    int low = 0;
    int high = pieces.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (pieces.get(middle).to() <= tick) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    boolean inside = low < pieces.size() && pieces.get(low).from() <= tick;
    return inside ? pieces.get(low).at(tick) : rest;
  }

  /** The same, staying at its last value for good where it moves up to that tick or beyond. */
  public Motion held(int end) {
    if (!any() || pieces.get(pieces.size() - 1).to() < end) {
      return this;
    }
    Piece last = pieces.get(pieces.size() - 1);
    List<Piece> more = new ArrayList<>(pieces);
    more.add(new Piece(last.to(), Integer.MAX_VALUE, last.last(), last.last()));
    return new Motion(more);
  }

  /** Two movements as what they come to together. */
  public static Motion together(AutomationTarget what, Motion one, Motion other) {
    if (!one.any() || !other.any()) {
      return one.any() ? one : other;
    }
    List<Piece> all = new ArrayList<>(one.pieces);
    all.addAll(other.pieces);
    return of(what, all);
  }

  /** Pieces that may overlap, as what they come to together. */
  public static Motion of(AutomationTarget what, List<Piece> pieces) {
    List<Piece> sorted =
        pieces.stream()
            .filter(piece -> piece.to() > piece.from())
            .sorted(Comparator.comparingInt(Piece::from))
            .toList();
    if (!overlap(sorted)) {
      return new Motion(sorted);
    }
    TreeSet<Integer> bounds = new TreeSet<>();
    sorted.forEach(
        piece -> {
          bounds.add(piece.from());
          bounds.add(piece.to());
        });
    List<Piece> out = new ArrayList<>();
    List<Piece> open = new ArrayList<>();
    int next = 0;
    Integer from = null;
    for (int bound : bounds) {
      if (from != null && !open.isEmpty()) {
        addTogether(out, what, open, from, bound);
      }
      int at = bound;
      open.removeIf(piece -> piece.to() <= at);
      while (next < sorted.size() && sorted.get(next).from() == bound) {
        open.add(sorted.get(next++));
      }
      from = bound;
    }
    return new Motion(out);
  }

  private static boolean overlap(List<Piece> sorted) {
    for (int i = 1; i < sorted.size(); i++) {
      if (sorted.get(i).from() < sorted.get(i - 1).to()) {
        return true;
      }
    }
    return false;
  }

  /** Two straight lines may cross, so a stretch of the lower or higher of them is cut there. */
  private static void addTogether(
      List<Piece> out, AutomationTarget what, List<Piece> open, int from, int to) {
    TreeSet<Integer> cuts = new TreeSet<>(List.of(from, to));
    boolean extremes = what == AutomationTarget.LOW_PASS || what == AutomationTarget.HIGH_PASS;
    for (int i = 0; extremes && i < open.size(); i++) {
      for (int j = i + 1; j < open.size(); j++) {
        double before = open.get(i).at(from) - open.get(j).at(from);
        double after = open.get(i).at(to) - open.get(j).at(to);
        if (before * after < -SAME) {
          cuts.add((int) Math.round(from + (to - from) * before / (before - after)));
        }
      }
    }
    List<Integer> places = List.copyOf(cuts);
    for (int i = 0; i + 1 < places.size(); i++) {
      int start = places.get(i);
      int end = places.get(i + 1);
      out.add(new Piece(start, end, together(what, open, start), together(what, open, end)));
    }
  }

  private static double together(AutomationTarget what, List<Piece> open, int tick) {
    double value = open.get(0).at(tick);
    for (int i = 1; i < open.size(); i++) {
      value = what.together(value, open.get(i).at(tick));
    }
    return value;
  }
}
