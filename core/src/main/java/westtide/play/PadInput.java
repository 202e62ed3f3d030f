package westtide.play;

import javax.sound.midi.MidiUnavailableException;

/**
 * Something drums and lines are played on: a device with pads or keys, or its stand-in. What it
 * plays arrives on a thread of its own.
 */
public interface PadInput extends AutoCloseable {
  /** Takes what is played. */
  @FunctionalInterface
  interface Struck {
    /**
     * A pad or key was struck.
     *
     * @param key MIDI note, 0 to 127
     * @param velocity 1 to 127
     * @param nanos when, on the clock of {@link System#nanoTime}
     */
    void struck(int key, int velocity, long nanos);

    /**
     * A key was let go.
     *
     * @param key MIDI note, 0 to 127
     * @param nanos when, on the clock of {@link System#nanoTime}
     */
    default void released(int key, long nanos) {}

    /**
     * The sustain pedal went down or up.
     *
     * @param down whether it holds from now on
     * @param nanos when, on the clock of {@link System#nanoTime}
     */
    default void pedal(boolean down, long nanos) {}
  }

  /** What people know it by. */
  String name();

  /**
   * Listens from now on.
   *
   * @throws MidiUnavailableException when another program has it
   */
  void open(Struck struck) throws MidiUnavailableException;

  /** Listens no longer. */
  @Override
  void close();
}
