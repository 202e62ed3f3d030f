package westtide.sound.voice;

import java.util.List;
import java.util.Map;

/**
 * What an instrument is asked to play into a table of samples.
 *
 * @param rate samples a second
 * @param frames how long the sound may be needed, in samples, release included
 * @param pitches the pitch at the start and every pitch glided to afterwards
 * @param force how hard, 0 to 1; it changes the colour, the loudness is applied later
 * @param settings values of the instrument's settings, all of them
 * @param turn which of the {@value #TURNS} ways to strike it: no two strokes of a drum or a plucked
 *     string are alike, so that repeats take turns; 0 for an instrument that repeats itself
 */
public record Strike(
    int rate,
    int frames,
    List<Pitched> pitches,
    double force,
    Map<String, Integer> settings,
    int turn) {
  /** How many ways there are to strike the same. */
  public static final int TURNS = 3;

  /**
   * A pitch from a sample on.
   *
   * @param frame the sample
   * @param hertz the frequency
   * @param glide samples the way to it takes; 0 as long as the instrument's own glide
   */
  public record Pitched(int frame, double hertz, int glide) {
    /** A pitch reached as the instrument glides. */
    public Pitched(int frame, double hertz) {
      this(frame, hertz, 0);
    }
  }

  /** Copies the pitches. */
  public Strike {
    pitches = List.copyOf(pitches);
  }

  /** The first of its ways. */
  public Strike(
      int rate, int frames, List<Pitched> pitches, double force, Map<String, Integer> settings) {
    this(rate, frames, pitches, force, settings, 0);
  }

  /** A seed for noise of this strike, another one each turn. */
  public int seed(int base) {
    return base + 7919 * turn;
  }

  /**
   * How far something strays this turn, −1 to 1: low, middle or high and a little aside; {@code
   * what} tells one thing from another.
   */
  public double stray(int what) {
    int mixed = (turn * 97 + what) * 0x9E3779B1;
    mixed ^= mixed >>> 15;
    mixed *= 0x85EBCA6B;
    double aside = mixed / (double) (1L << 31);
    return 0.8 * (Math.floorMod(turn + what, TURNS) - 1) + 0.2 * aside;
  }

  /** A value that strays by a share of itself this turn. */
  public double about(double value, double share, int what) {
    return value * (1 + share * stray(what));
  }

  /** The pitch it starts on, in Hz. */
  public double hertz() {
    return pitches.get(0).hertz();
  }

  /**
   * How far a drum is shifted from its own tuning, as a ratio: drums are asked for at 440 Hz and an
   * octave higher at 880.
   */
  public double shift() {
    return hertz() / 440;
  }

  /** The value of a setting. */
  public int get(String setting) {
    return settings.get(setting);
  }

  /** That many milliseconds in samples. */
  public int samples(double millis) {
    return (int) Math.round(millis / 1000 * rate);
  }
}
