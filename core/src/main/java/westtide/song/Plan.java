package westtide.song;

import java.util.Collections;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a producer means to end up with and to spend, and where they have decided something.
 *
 * @param seconds the length wished for, 1 to 1200; 0 wishes none
 * @param minutes for the name of a stage, the minutes given to it, 1 to 600
 * @param decided the names of the stages in which a person has changed what a draft brought
 */
public record Plan(int seconds, Map<String, Integer> minutes, Set<String> decided) {
  /** No plan. */
  public static final Plan NONE = new Plan(0, Map.of(), Set.of());

  private static final int LONGEST_SECONDS = 1200;
  private static final int LONGEST_MINUTES = 600;

  /** Copies the times and checks the ranges. */
  public Plan {
    if (seconds < 0 || seconds > LONGEST_SECONDS) {
      throw new IllegalArgumentException(
          "a song is planned up to 20 minutes long, but was " + seconds + " s");
    }
    for (int given : minutes.values()) {
      if (given < 1 || given > LONGEST_MINUTES) {
        throw new IllegalArgumentException("a stage is given 1 to 600 minutes, but was " + given);
      }
    }
    minutes = Collections.unmodifiableMap(new TreeMap<>(minutes));
    decided = Collections.unmodifiableSet(new TreeSet<>(decided));
  }

  /** The same plan for another length; 0 wishes none. */
  public Plan withSeconds(int other) {
    return new Plan(other, minutes, decided);
  }

  /** The same plan with other stages decided. */
  public Plan withDecided(Set<String> stages) {
    return new Plan(seconds, minutes, stages);
  }

  /** The same plan with minutes for a stage; 0 gives it none. */
  public Plan withMinutes(String stage, int given) {
    Map<String, Integer> more = new TreeMap<>(minutes);
    if (given == 0) {
      more.remove(stage);
    } else {
      more.put(stage, given);
    }
    return new Plan(seconds, more, decided);
  }
}
