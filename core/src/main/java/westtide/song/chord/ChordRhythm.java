package westtide.song.chord;

import java.util.Optional;
import westtide.rhythm.Figure;

/**
 * In which rhythm chords are struck.
 *
 * @param figure the strikes; empty holds each chord for its length
 * @param push ticks by which every change comes before its place, 0 to 960
 */
public record ChordRhythm(Optional<Figure> figure, int push) {
  /** Checks the push. */
  public ChordRhythm {
    if (push < 0 || push > 960) {
      throw new IllegalArgumentException("a push is 0 to 960 ticks early, but was " + push);
    }
  }

  /** Struck in a figure, changes on time. */
  public static ChordRhythm of(Figure figure) {
    return new ChordRhythm(Optional.of(figure), 0);
  }
}
