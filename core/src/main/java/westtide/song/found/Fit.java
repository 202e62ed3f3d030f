package westtide.song.found;

import java.util.function.Consumer;

/**
 * How a loop is made to fit the tempo of a song.
 *
 * @param way repitched, stretched or cut
 * @param feel at which of its own tempi it is counted
 * @param semitones how far it is moved besides, −24 to 24
 * @param cents the same in cents, −100 to 100
 */
public record Fit(Way way, Feel feel, int semitones, int cents) {
  /** Repitched as it is. */
  public static final Fit USUAL = new Fit(Way.REPITCH, Feel.AS_IT_IS, 0, 0);

  /** A way to fit; practitioners disagree, so all are there. */
  public enum Way {
    REPITCH("repitch", "faster is higher, as on a turntable: nothing smears"),
    STRETCH("stretch", "its pitch is kept; best for chords and lines"),
    SPLICE("stretch drums", "its pitch is kept and strokes stay sharp; best for drums"),
    SLICES("pieces", "its pieces are placed in the song's time, each at its own speed");

    private final String title;
    private final String reason;

    Way(String title, String reason) {
      this.title = title;
      this.reason = reason;
    }

    /** What it costs and gives, in a few words. */
    public String reason() {
      return reason;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Counted as it is, at half or at double its tempo. */
  public enum Feel {
    HALF("half", 0.5),
    AS_IT_IS("as it is", 1),
    DOUBLE("double", 2);

    private final String title;
    private final double factor;

    Feel(String title, double factor) {
      this.title = title;
      this.factor = factor;
    }

    /** What its tempo is multiplied by. */
    public double factor() {
      return factor;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks the ranges. */
  public Fit {
    if (semitones < -24 || semitones > 24) {
      throw new IllegalArgumentException(
          "a loop is moved by −24 to 24 semitones, but was by " + semitones);
    }
    if (cents < -100 || cents > 100) {
      throw new IllegalArgumentException(
          "a loop is tuned by −100 to 100 cents, but was by " + cents);
    }
  }

  /** The same in another way. */
  public Fit withWay(Way other) {
    return with(copy -> copy.way = other);
  }

  /** The same counted otherwise. */
  public Fit withFeel(Feel other) {
    return with(copy -> copy.feel = other);
  }

  /** The same moved by other semitones. */
  public Fit withSemitones(int other) {
    return with(copy -> copy.semitones = other);
  }

  /** The same tuned by other cents. */
  public Fit withCents(int other) {
    return with(copy -> copy.cents = other);
  }

  private Fit with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return new Fit(copy.way, copy.feel, copy.semitones, copy.cents);
  }

  private static final class Copy {
    private Way way;
    private Feel feel;
    private int semitones;
    private int cents;

    Copy(Fit from) {
      way = from.way;
      feel = from.feel;
      semitones = from.semitones;
      cents = from.cents;
    }
  }
}
