package westtide.song.line;

import java.util.Optional;

/**
 * How the pitches of a line are written, apart from their octaves.
 *
 * @param <P> what a pitch is here: a MIDI note of the octave of home, or a degree of a chord
 */
public interface PitchText<P> {
  /** What stands for a pitch, such as {@code "b6"} or {@code "R"}; empty when nothing does. */
  Optional<P> parse(String body);

  /** A pitch as it is read back. */
  String format(P pitch);

  /** What may be written, for a message. */
  String allowed();
}
