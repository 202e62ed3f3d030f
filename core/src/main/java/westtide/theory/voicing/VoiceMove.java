package westtide.theory.voicing;

/**
 * One voice going from a chord to the next.
 *
 * @param from MIDI note it leaves
 * @param to MIDI note it reaches
 */
public record VoiceMove(int from, int to) {
  /** Semitones moved, up positive. */
  public int semitones() {
    return to - from;
  }
}
