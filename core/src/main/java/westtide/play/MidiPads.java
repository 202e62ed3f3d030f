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

/** A MIDI device of this machine as something to play on. */
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

  /** Passes on what keys and pedal do. */
  private record Notes(Struck struck) implements Receiver {
    private static final int SUSTAIN = 64;
    private static final int DOWN = 64;

    @Override
    public void send(MidiMessage message, long timeStamp) {
      if (!(message instanceof ShortMessage short3)) {
        return;
      }
      long now = System.nanoTime();
      int first = short3.getData1();
      int second = short3.getData2();
      switch (short3.getCommand()) {
        case ShortMessage.NOTE_ON -> {
          if (second > 0) {
            struck.struck(first, second, now);
          } else {
            struck.released(first, now);
          }
        }
        case ShortMessage.NOTE_OFF -> struck.released(first, now);
        case ShortMessage.CONTROL_CHANGE -> {
          if (first == SUSTAIN) {
            struck.pedal(second >= DOWN, now);
          }
        }
        default -> {}
      }
    }

    @Override
    public void close() {}
  }
}
