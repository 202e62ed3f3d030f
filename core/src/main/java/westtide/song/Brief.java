package westtide.song;

import java.util.function.Consumer;
import westtide.rhythm.Feel;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.theory.Key;

/**
 * What is decided before the first note.
 *
 * @param style the id of a style in the style book, such as {@code "trap"}
 * @param tempo beats a minute as counted
 * @param feel how fast the tempo feels
 * @param meter the meter of every bar
 * @param key home note and scale
 * @param swing lateness of the off-steps
 * @param cents hundredths of a semitone by which everything pitched stands higher, −100 to 100
 * @param moved semitones by which nearest changes of key have carried the song from where it was
 *     written, −11 to 11; they are counted so that going the nearest way never drifts
 * @param plan how long the song shall be and what time is given to it
 */
public record Brief(
    String style,
    Tempo tempo,
    Feel feel,
    Meter meter,
    Key key,
    Swing swing,
    int cents,
    int moved,
    Plan plan) {
  /** Checks the tuning. */
  public Brief {
    if (cents < -100 || cents > 100) {
      throw new IllegalArgumentException("a song is tuned by -100 to 100 cents, but was " + cents);
    }
    if (moved < -11 || moved > 11) {
      throw new IllegalArgumentException(
          "a song has moved by -11 to 11 semitones, but was " + moved);
    }
  }

  /** A brief at concert pitch without a plan. */
  public static Brief of(String style, Tempo tempo, Feel feel, Meter meter, Key key, Swing swing) {
    return new Brief(style, tempo, feel, meter, key, swing, 0, 0, Plan.NONE);
  }

  /** The same brief in another style. */
  public Brief withStyle(String other) {
    return with(copy -> copy.style = other);
  }

  /** The same brief at another tempo. */
  public Brief withTempo(Tempo other) {
    return with(copy -> copy.tempo = other);
  }

  /** The same brief with another reading of the tempo. */
  public Brief withFeel(Feel other) {
    return with(copy -> copy.feel = other);
  }

  /** The same brief in another key. */
  public Brief withKey(Key other) {
    return with(copy -> copy.key = other);
  }

  /** The same brief with another count of how far it has moved. */
  public Brief withMoved(int semitones) {
    return with(copy -> copy.moved = semitones);
  }

  /** The same brief with another swing. */
  public Brief withSwing(Swing other) {
    return with(copy -> copy.swing = other);
  }

  /** The felt tempo in BPM, such as {@code "73"}. */
  public String felt() {
    return feel.felt(tempo);
  }

  /** The same brief tuned by other cents. */
  public Brief withCents(int other) {
    return with(copy -> copy.cents = other);
  }

  /** The same brief with another plan. */
  public Brief withPlan(Plan other) {
    return with(copy -> copy.plan = other);
  }

  private Brief with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private String style;
    private Tempo tempo;
    private Feel feel;
    private Meter meter;
    private Key key;
    private Swing swing;
    private int cents;
    private int moved;
    private Plan plan;

    Copy(Brief from) {
      style = from.style;
      tempo = from.tempo;
      feel = from.feel;
      meter = from.meter;
      key = from.key;
      swing = from.swing;
      cents = from.cents;
      moved = from.moved;
      plan = from.plan;
    }

    Brief made() {
      return new Brief(style, tempo, feel, meter, key, swing, cents, moved, plan);
    }
  }
}
