package westtide.song;

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
 */
public record Brief(String style, Tempo tempo, Feel feel, Meter meter, Key key, Swing swing) {
  /** The same brief in another style. */
  public Brief withStyle(String other) {
    return new Brief(other, tempo, feel, meter, key, swing);
  }

  /** The same brief at another tempo. */
  public Brief withTempo(Tempo other) {
    return new Brief(style, other, feel, meter, key, swing);
  }

  /** The same brief with another reading of the tempo. */
  public Brief withFeel(Feel other) {
    return new Brief(style, tempo, other, meter, key, swing);
  }

  /** The same brief in another key. */
  public Brief withKey(Key other) {
    return new Brief(style, tempo, feel, meter, other, swing);
  }

  /** The same brief with another swing. */
  public Brief withSwing(Swing other) {
    return new Brief(style, tempo, feel, meter, key, other);
  }

  /** The felt tempo in BPM, such as {@code "73"}. */
  public String felt() {
    return feel.felt(tempo);
  }
}
