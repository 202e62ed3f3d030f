package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;

/** The arithmetic between the length of a loop, its bars and its tempo, in four-four time. */
public final class LoopLength {
  private static final double SECONDS_A_BAR_AT_ONE_BPM = 240;
  private static final int[] USUAL_BARS = {1, 2, 4, 8, 16};

  private LoopLength() {}

  /**
   * A way to read a loop.
   *
   * @param bars how many bars it may have
   * @param tempo the tempo it then has
   */
  public record Candidate(int bars, Tempo tempo) {}

  /** Bars of a loop: seconds × BPM ÷ 240. */
  public static double bars(double seconds, Tempo tempo) {
    return positive(seconds) * tempo.bpm() / SECONDS_A_BAR_AT_ONE_BPM;
  }

  /** Seconds of a number of bars. */
  public static double seconds(double bars, Tempo tempo) {
    return bars * SECONDS_A_BAR_AT_ONE_BPM / tempo.bpm();
  }

  /**
   * The tempo at which a loop has a number of bars, in thousandths of a BPM.
   *
   * @throws IllegalArgumentException when it lies outside 20 to 300 BPM
   */
  public static Tempo tempo(double seconds, double bars) {
    double bpm = positive(bars) * SECONDS_A_BAR_AT_ONE_BPM / positive(seconds);
    return new Tempo((int) Math.round(bpm * 1000));
  }

  /** The usual numbers of bars a loop may have, where the tempo lies between 60 and 180 BPM. */
  public static List<Candidate> candidates(double seconds) {
    List<Candidate> out = new ArrayList<>();
    for (int bars : USUAL_BARS) {
      double bpm = bars * SECONDS_A_BAR_AT_ONE_BPM / positive(seconds);
      if (bpm >= 60 && bpm <= 180) {
        out.add(new Candidate(bars, tempo(seconds, bars)));
      }
    }
    return out;
  }

  private static double positive(double value) {
    if (!(value > 0)) {
      throw new IllegalArgumentException("a length is more than 0, but was " + value);
    }
    return value;
  }
}
