package westtide.song.line;

/**
 * A note of a line as its text sees it.
 *
 * @param start tick from the start of the pattern
 * @param ticks length
 * @param pitch its pitch without octave marks
 * @param octave octaves above (positive) or below that
 * @param velocity 1 to 127
 * @param slide ticks of the slide into it, 0 for none
 * @param <P> what a pitch is
 */
public record LineNote<P>(int start, int ticks, P pitch, int octave, int velocity, int slide) {
  int end() {
    return start + ticks;
  }

  boolean sounds(LineNote<P> other) {
    return pitch.equals(other.pitch) && octave == other.octave;
  }
}
