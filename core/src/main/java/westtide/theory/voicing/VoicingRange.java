package westtide.theory.voicing;

/**
 * Where a chord part may stand: its bass note and the hand above it.
 *
 * @param bassLow lowest MIDI note of the bass; the bass takes the octave from here up
 * @param low lowest MIDI note of the upper voices
 * @param high highest MIDI note of the upper voices, at least 14 above {@code low}
 */
public record VoicingRange(int bassLow, int low, int high) {
  /** Checks that an inversion of any chord fits. */
  public VoicingRange {
    if (bassLow < 0 || high > 127 || high - low < 14) {
      throw new IllegalArgumentException(
          "a voicing range spans at least 14 semitones inside 0 to 127, but was "
              + bassLow
              + ", "
              + low
              + " to "
              + high);
    }
  }

  /** The middle of the upper voices. */
  double centre() {
    return (low + high) / 2.0;
  }
}
