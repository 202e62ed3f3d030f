package westtide.song.mix;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** How a curve moves: from point to point, or to and fro at a note value. */
public sealed interface CurveShape {
  /** Every value it names. */
  List<Integer> values();

  /** A straight line between two values. */
  static CurveShape straight(int from, int to) {
    return new Points(
        List.of(new Point(0, from, Bend.STRAIGHT), new Point(1000, to, Bend.STRAIGHT)));
  }

  /** How a curve goes from one point to the next. */
  enum Bend {
    STRAIGHT("straight"),
    LATE("slow, then fast"),
    EARLY("fast, then slow"),
    HELD("held");

    private final String title;

    Bend(String title) {
      this.title = title;
    }

    /** How far towards the next point, 0 to 1, at a share of the way. */
    public double at(double share) {
      return switch (this) {
        case STRAIGHT -> share;
        case LATE -> share * share;
        case EARLY -> 1 - (1 - share) * (1 - share);
        case HELD -> 0;
      };
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /**
   * A point of a curve.
   *
   * @param at how far along the curve, 0 to 1000
   * @param value the value there
   * @param bend how it goes on from there
   */
  record Point(int at, int value, Bend bend) {
    /** Checks the place. */
    public Point {
      Range.check("a point's place", at, 0, 1000, "thousandths of the curve");
    }
  }

  /**
   * Points joined one after another.
   *
   * @param points at least two, in order; the first at 0 and the last at 1000
   */
  record Points(List<Point> points) implements CurveShape {
    /** Sorts the points and checks the ends. */
    public Points {
      points = points.stream().sorted(Comparator.comparingInt(Point::at)).toList();
      if (points.size() < 2
          || points.get(0).at() != 0
          || points.get(points.size() - 1).at() != 1000) {
        throw new IllegalArgumentException(
            "a curve has a point at its start and one at its end, but had " + points.size());
      }
    }

    @Override
    public List<Integer> values() {
      return points.stream().map(Point::value).toList();
    }

    /** The same with a point set or added. */
    public Points with(Point point) {
      List<Point> out = new ArrayList<>(points);
      out.removeIf(other -> other.at() == point.at());
      out.add(point);
      return new Points(out);
    }

    /** The same without a point between its ends. */
    public Points without(int at) {
      return at == 0 || at == 1000
          ? this
          : new Points(points.stream().filter(point -> point.at() != at).toList());
    }

    @Override
    public String toString() {
      return points.get(0).value() + " to " + points.get(points.size() - 1).value();
    }
  }

  /** The form of a cycle. */
  enum Wave {
    SINE("swinging"),
    STEPS("from side to side"),
    RISE("rising"),
    FALL("falling");

    private final String title;

    Wave(String title) {
      this.title = title;
    }

    /** How high it is, 0 to 1, at a share of the cycle. */
    public double at(double share) {
      return switch (this) {
        case SINE -> 0.5 - 0.5 * Math.cos(2 * Math.PI * share);
        case STEPS -> share < 0.5 ? 0 : 1;
        case RISE -> share;
        case FALL -> 1 - share;
      };
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /**
   * A movement that comes again at a note value.
   *
   * @param low the value at its low end
   * @param high the value at its high end
   * @param ticks how long one movement to and fro takes, 120 to 61 440
   * @param wave its form
   */
  record Cycle(int low, int high, int ticks, Wave wave) implements CurveShape {
    /** Checks the length. */
    public Cycle {
      Range.check("a curve's cycle", ticks, 120, 61_440, "ticks");
    }

    @Override
    public List<Integer> values() {
      return List.of(low, high);
    }

    @Override
    public String toString() {
      return wave + " " + low + " to " + high;
    }
  }
}
