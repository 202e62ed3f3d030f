package westtide.file.deliver;

import westtide.file.audio.WavFormat;
import westtide.file.midi.MidiOptions;

/**
 * How files say what can be said in several ways.
 *
 * @param midi slides and ports
 * @param wav bits and rate
 */
public record DeliverOptions(MidiOptions midi, WavFormat wav) {
  /** As other programs mostly expect it. */
  public static final DeliverOptions USUAL = new DeliverOptions(MidiOptions.USUAL, WavFormat.USUAL);

  /** The same with other MIDI. */
  public DeliverOptions withMidi(MidiOptions other) {
    return new DeliverOptions(other, wav);
  }

  /** The same with other WAV. */
  public DeliverOptions withWav(WavFormat other) {
    return new DeliverOptions(midi, other);
  }
}
