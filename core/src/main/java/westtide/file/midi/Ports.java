package westtide.file.midi;

/** How many MIDI ports of sixteen channels a file uses. */
public enum Ports {
  /**
   * One, as long as sixteen channels hold the pitched parts: drum parts share channel 10, their
   * levels are in their velocities.
   */
  ONE,
  /** One for each drum part, so that each has level, side and movements of its own. */
  EACH_DRUM_PART
}
