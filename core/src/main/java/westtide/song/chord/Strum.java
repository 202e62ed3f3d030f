package westtide.song.chord;

import westtide.theory.voicing.Voicing;

/**
 * How the notes of a chord enter one after the other, as a hand draws over strings. 10 to 40 ms a
 * note is usual (from memory).
 *
 * @param up whether the lowest note comes first
 * @param millis milliseconds from note to note on average, 0 to 120; 0 strikes them at once
 * @param curve −100 to 100: below 0 the hand begins slowly and gets faster, above 0 it slows down
 */
public record Strum(boolean up, int millis, int curve) {
  /** All notes at once. */
  public static final Strum BLOCK = new Strum(true, 0, 0);

  /** Checks the ranges. */
  public Strum {
    if (millis < 0 || millis > 120) {
      throw new IllegalArgumentException("a strum takes 0 to 120 ms a note, but was " + millis);
    }
    if (curve < -100 || curve > 100) {
      throw new IllegalArgumentException("a strum's curve is -100 to 100, but was " + curve);
    }
  }

  /** An even upward strum. */
  public static Strum up(int millis) {
    return new Strum(true, millis, 0);
  }

  /** How late a note of a voicing enters, in milliseconds; its notes are counted from the bass. */
  public double late(Voicing voicing, int note) {
    int last = voicing.keys().size() - 1;
    int order = up ? note : last - note;
    if (last == 0) {
      return 0;
    }
    double share = order / (double) last;
    return millis * last * Math.pow(share, Math.pow(2, curve / 100.0));
  }

  @Override
  public String toString() {
    return millis == 0 ? "block" : (up ? "up " : "down ") + millis + " ms";
  }
}
