package westtide.rhythm;

import java.util.Arrays;
import java.util.Optional;

/** How fast a tempo feels: as counted, or at half when the backbeat falls on beat 3 alone. */
public enum Feel {
  FULL("as counted", 1),
  HALF("half-time", 2);

  private final String title;
  private final int divisor;

  Feel(String title, int divisor) {
    this.title = title;
    this.divisor = divisor;
  }

  /** The feel written as its title. */
  public static Optional<Feel> find(String title) {
    return Arrays.stream(values()).filter(feel -> feel.title.equals(title)).findFirst();
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
