package westtide.rhythm;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One line of a groove: hits on steps, over and over. Its length is its own, so a lane of five
 * steps runs against one of sixteen.
 *
 * @param length steps before the lane starts again, 1 to 256
 * @param hits the hits, one a step at most, in order
 */
public record StepLane(int length, List<Hit> hits) {
  /** Most steps a lane has. */
  public static final int LONGEST = 256;

  /** Sorts the hits and checks that each has a step of its own inside the lane. */
  public StepLane {
    if (length < 1 || length > LONGEST) {
      throw new IllegalArgumentException("a lane has 1 to 256 steps, but was " + length);
    }
    hits = hits.stream().sorted(Comparator.comparingInt(Hit::step)).toList();
    for (int i = 0; i < hits.size(); i++) {
      int step = hits.get(i).step();
      if (step >= length) {
        throw new IllegalArgumentException(
            "a lane of " + length + " steps has no step " + (step + 1));
      }
      if (i > 0 && hits.get(i - 1).step() == step) {
        throw new IllegalArgumentException("step " + (step + 1) + " has two hits");
      }
    }
  }

  /** A lane without hits. */
  public static StepLane empty(int length) {
    return new StepLane(length, List.of());
  }

  /**
   * Reads lane text; see {@link LaneText}.
   *
   * @throws IllegalArgumentException with the column when it is not understood
   */
  public static StepLane parse(String text) {
    return LaneText.read(text).orElseThrow();
  }

  /**
   * This lane where another one lacks what text cannot say: a hit written the same on the same step
   * keeps its velocity, nudge, swell, flam and chance.
   */
  public StepLane refining(StepLane typed) {
    List<Hit> out = new ArrayList<>();
    for (Hit hit : typed.hits) {
      Optional<Hit> old = at(hit.step()).filter(h -> LaneText.sign(h).equals(LaneText.sign(hit)));
      out.add(old.orElse(hit));
    }
    return new StepLane(typed.length, out);
  }

  /** The hit on a step, if there is one. */
  public Optional<Hit> at(int step) {
    int place = place(step);
    return place < 0 ? Optional.empty() : Optional.of(hits.get(place));
  }

  /** How loud the hit on a step is; 0 where there is none. */
  public int velocityAt(int step) {
    int place = place(step);
    return place < 0 ? 0 : hits.get(place).velocity();
  }

  /** Where the hit on a step stands among the hits; −1 where there is none. */
  private int place(int step) {
    int low = 0;
    int high = hits.size() - 1;
    while (low <= high) {
      int middle = (low + high) >>> 1;
      int found = hits.get(middle).step();
      if (found == step) {
        return middle;
      }
      if (found < step) {
        low = middle + 1;
      } else {
        high = middle - 1;
      }
    }
    return -1;
  }

  /** The lane with this hit in place of whatever stood on its step. */
  public StepLane with(Hit hit) {
    List<Hit> more = new ArrayList<>(without(hit.step()).hits);
    more.add(hit);
    return new StepLane(length, more);
  }

  /** The lane without a hit on that step. */
  public StepLane without(int step) {
    return new StepLane(length, hits.stream().filter(hit -> hit.step() != step).toList());
  }

  /**
   * The hits over a span of steps as they are written: repeated when it is longer than the lane,
   * cut when it is shorter. Hits that play on some passes only are included on all.
   */
  public List<Hit> over(int steps) {
    List<Hit> out = new ArrayList<>();
    for (int pass = 0; pass < steps; pass += length) {
      for (Hit hit : hits) {
        if (pass + hit.step() < steps) {
          out.add(hit.withStep(pass + hit.step()));
        }
      }
    }
    return out;
  }

  /** The lane as text that {@link #parse} reads; finer velocities and nudges are not in it. */
  @Override
  public String toString() {
    return LaneText.format(this);
  }
}
