package westtide.play;

import java.util.ArrayList;
import java.util.List;
import javax.sound.midi.MidiDevice;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.MidiUnavailableException;
import javax.sound.midi.Receiver;
import javax.sound.midi.Sequencer;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Synthesizer;

/** A MIDI device of this machine as something to play drums on. */
public final class MidiPads implements PadInput {
  private final MidiDevice device;

  /** A device that sends MIDI. */
  public MidiPads(MidiDevice device) {
    this.device = device;
  }

  /** The devices of this machine that send MIDI; none where there are none. */
  public static List<PadInput> present() {
    List<PadInput> out = new ArrayList<>();
    for (MidiDevice.Info info : MidiSystem.getMidiDeviceInfo()) {
      try {
        MidiDevice device = MidiSystem.getMidiDevice(info);
        boolean software = device instanceof Sequencer || device instanceof Synthesizer;
        if (!software && device.getMaxTransmitters() != 0) {
          out.add(new MidiPads(device));
        }
      } catch (MidiUnavailableException e) {
        continue;
      }
    }
    return out;
  }

  @Override
  public String name() {
    return device.getDeviceInfo().getName();
  }

  @Override
  public void open(Struck struck) throws MidiUnavailableException {
    device.open();
    device.getTransmitter().setReceiver(new Notes(struck));
  }

  @Override
  public void close() {
    device.close();
  }

  /** Passes on the starts of notes. */
  private record Notes(Struck struck) implements Receiver {
    @Override
    public void send(MidiMessage message, long timeStamp) {
      if (message instanceof ShortMessage note
          && note.getCommand() == ShortMessage.NOTE_ON
          && note.getData2() > 0) {
        struck.struck(note.getData1(), note.getData2(), System.nanoTime());
      }
    }

    @Override
    public void close() {}
  }
}
