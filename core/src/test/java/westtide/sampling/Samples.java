package westtide.sampling;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A few of many cases. A usual run tries a few, drawn from a seed that changes with the date where
 * tests run on their own ({@code CI} is set) and is 1 elsewhere; {@code ./west-tide check} tries
 * all of them. Tests that draw are {@link Sampled}, so that a failure says from which seed.
 */
public final class Samples {
  private static final boolean ALL = Boolean.getBoolean("sample.all");
  private static final long SEED =
      Optional.ofNullable(Long.getLong("sample.seed"))
          .orElseGet(() -> System.getenv("CI") == null ? 1 : LocalDate.now().toEpochDay());

  private Samples() {}

  /** The seed that cases are drawn from. */
  static long seed() {
    return SEED;
  }

  /** Whether all cases are tried. */
  static boolean all() {
    return ALL;
  }

  /** As many of these as said, in their order; all of them in the longer run. */
  public static <T> List<T> few(int count, List<T> cases) {
    if (ALL || count >= cases.size()) {
      return cases;
    }
    List<Integer> places = new ArrayList<>();
    for (int i = 0; i < cases.size(); i++) {
      places.add(i);
    }
    Collections.shuffle(places, new Random(SEED));
    return places.subList(0, count).stream().sorted().map(cases::get).toList();
  }

  /** How many cases are made: the first number in a usual run, the second in the longer one. */
  public static int count(int few, int many) {
    return ALL ? many : few;
  }
}
