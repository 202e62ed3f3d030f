package westtide.sound.desk;

/**
 * What of a channel moves over the song.
 *
 * @param level dB added to its level
 * @param lowPass its low-pass, in octaves above 1 Hz
 * @param lowCut its low cut, in octaves above 1 Hz
 * @param pan −100 left to 100 right, in place of its own
 * @param reverb percent sent to the room, in place of its own
 * @param delay percent sent to the delay, in place of its own
 * @param width percent, in place of its own
 */
public record Movements(
    Automation level,
    Automation lowPass,
    Automation lowCut,
    Automation pan,
    Automation reverb,
    Automation delay,
    Automation width) {
  private static final Automation STILL = Automation.still(0);

  /** Nothing moves. */
  public static final Movements NONE =
      new Movements(STILL, STILL, STILL, STILL, STILL, STILL, STILL);
}
