package westtide.style;

import java.util.List;
import java.util.Set;
import westtide.rhythm.Feel;

/** How the drums of a style divide the bar, as people look for a style: common practice. */
public enum BeatFamily {
  /** The backbeat on beat 3 alone. */
  HALF_TIME("Half-time"),
  /** Snare or clap on 2 and 4 over a kick of its own. */
  BACKBEAT("Backbeat"),
  /** A kick on every beat, with a backbeat or none. */
  FOUR_ON_THE_FLOOR("Four on the floor"),
  /** No plain backbeat: snares and rims between the beats. */
  OFF_BEAT("Off-beat and log drum");

  private static final List<Integer> BEATS = List.of(0, 4, 8, 12);
  private static final List<Integer> TWO_AND_FOUR = List.of(4, 12);

  private final String title;

  BeatFamily(String title) {
    this.title = title;
  }

  /** The family of a bar by the sixteenths on which kick and backbeat stand, from 0. */
  static BeatFamily of(Feel feel, Set<Integer> kick, Set<Integer> backbeat) {
    if (feel == Feel.HALF) {
      return HALF_TIME;
    }
    boolean backed = backbeat.containsAll(TWO_AND_FOUR);
    if (kick.containsAll(BEATS) && (backed || backbeat.isEmpty())) {
      return FOUR_ON_THE_FLOOR;
    }
    return backed ? BACKBEAT : OFF_BEAT;
  }

  @Override
  public String toString() {
    return title;
  }
}
