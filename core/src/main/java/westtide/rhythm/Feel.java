package westtide.rhythm;

import java.util.Arrays;
import java.util.Optional;

/** How fast a tempo feels: at full time, or at half when the backbeat falls on beat 3 alone. */
public enum Feel {
  FULL("full time", 1),
  HALF("half-time", 2);

  /** What older files call full time. */
  private static final String FORMERLY = "as counted";

  private final String title;
  private final int divisor;

  Feel(String title, int divisor) {
    this.title = title;
    this.divisor = divisor;
  }

  /** The feel written as its title, or as older files write it. */
  public static Optional<Feel> find(String title) {
    String now = title.equals(FORMERLY) ? FULL.title : title;
    return Arrays.stream(values()).filter(feel -> feel.title.equals(now)).findFirst();
  }

  /** The felt tempo in BPM as people say it: 146 in half-time is "73". */
  public String felt(Tempo tempo) {
    return String.valueOf(Math.round(tempo.bpm() / divisor));
  }

  @Override
  public String toString() {
    return title;
  }
}
