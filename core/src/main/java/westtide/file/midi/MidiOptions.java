package westtide.file.midi;

/**
 * How a MIDI file says what can be said in several ways.
 *
 * @param slides slides as overlapping notes or as bends
 * @param ports one port, or one for each drum part
 */
public record MidiOptions(Slides slides, Ports ports) {
  /** Overlapping notes on one port. */
  public static final MidiOptions USUAL = new MidiOptions(Slides.OVERLAP, Ports.ONE);

  /** The same with slides said the other way. */
  public MidiOptions withSlides(Slides other) {
    return new MidiOptions(other, ports);
  }

  /** The same on other ports. */
  public MidiOptions withPorts(Ports other) {
    return new MidiOptions(slides, other);
  }
}
