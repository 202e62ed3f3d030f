package westtide.rhythm;

/**
 * How strong a place of the bar is: 0 on the first beat, −1 half a bar later, −2 on the other
 * beats, −3 on eighths and −4 on sixteenths of a bar of four; each halving is one weaker
 * (Longuet-Higgins and Lee, "The rhythmic interpretation of monophonic music", Music Perception
 * 1984, from memory).
 */
public final class MetricWeight {
  private MetricWeight() {}

  /** The weight of a sixteenth, counted from the start of a bar of {@code steps}. */
  public static int of(int step, int steps) {
    int within = Math.floorMod(step, steps);
    int weight = 0;
    int span = steps;
    while (span > 1 && within % span != 0) {
      span = span % 2 == 0 ? span / 2 : span % 3 == 0 ? span / 3 : 1;
      weight--;
    }
    return weight;
  }
}
