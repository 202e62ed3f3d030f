package westtide.file.midi;

import java.util.ArrayList;
import java.util.List;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.ShortMessage;
import westtide.rhythm.Ticks;
import westtide.song.mix.Gate;

/**
 * The gate of a part as expression, controller 11, which a receiver multiplies with controller 7;
 * read as 40·log10(value/127) dB like that one (General MIDI recommendation, from memory).
 */
final class MidiGate {
  private static final int EXPRESSION = 11;
  private static final int FULL = 127;

  private MidiGate() {}

  /** The events of a gate over so many ticks; none where it never closes. */
  static List<MidiEvent> of(Gate gate, int channel, int ticks) throws InvalidMidiDataException {
    List<MidiEvent> out = new ArrayList<>();
    if (!gate.closes()) {
      return out;
    }
    int last = -1;
    for (int tick = 0; tick < ticks; tick += Ticks.PER_STEP) {
      int value = (int) Math.round(FULL * Math.sqrt(gate.gain(tick)));
      if (value != last) {
        out.add(
            new MidiEvent(
                new ShortMessage(ShortMessage.CONTROL_CHANGE, channel, EXPRESSION, value), tick));
        last = value;
      }
    }
    return out;
  }
}
