package westtide.song.chord;

import westtide.theory.Chord;
import westtide.theory.NoteName;

/**
 * A chord at a place in time.
 *
 * @param start first tick
 * @param ticks length, 1 or more
 * @param span the chord and how it is played
 * @param push ticks by which it begins before its written place
 */
public record PlacedChord(int start, int ticks, ChordSpan span, int push) {
  /** The chord. */
  public Chord chord() {
    return span.chord();
  }

  /** The tick after the last. */
  public int end() {
    return start + ticks;
  }

  /** Whether the chord sounds at a tick. */
  public boolean covers(int tick) {
    return tick >= start && tick < end();
  }

  /** The same place over another bass note, as over a pedal. */
  public PlacedChord overBass(NoteName bass) {
    return new PlacedChord(
        start,
        ticks,
        new ChordSpan(chord().withBass(bass), span.ticks(), span.articulation()),
        push);
  }
}
