package westtide.sound.instrument;

import static westtide.sound.instrument.InstrumentFactory.decay;
import static westtide.sound.instrument.InstrumentFactory.held;
import static westtide.sound.instrument.InstrumentFactory.pc;
import static westtide.sound.instrument.InstrumentFactory.plucked;
import static westtide.sound.instrument.InstrumentFactory.release;
import static westtide.sound.instrument.InstrumentFactory.tone;

import java.util.List;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;

/** Keys, plucks and bells. */
final class KeyInstruments {
  private KeyInstruments() {}

  static List<Instrument> all() {
    return List.of(
        held(
                "electric piano",
                Family.KEYS,
                4,
                Keyboards::electricPiano,
                decay(1500, 12000, 6500),
                pc("tine", 45),
                release(30, 1500, 180))
            .withGain(0.82),
        held(
                "felt piano",
                Family.KEYS,
                0,
                Keyboards::feltPiano,
                decay(2000, 14000, 8000),
                pc("felt", 60),
                release(40, 2000, 260))
            .withGain(0.74),
        held("organ", Family.KEYS, 16, Keyboards::organ, pc("bright", 45), release(10, 800, 60))
            .withGain(0.84),
        plucked(
                "plucked guitar",
                Family.KEYS,
                24,
                Strings::guitar,
                decay(800, 9000, 4200),
                tone(1200, 9000, 5200),
                release(20, 1500, 160))
            .withGain(0.88),
        plucked(
                "muted pluck",
                Family.KEYS,
                28,
                Strings::muted,
                decay(120, 1500, 480),
                tone(800, 8000, 4200),
                release(10, 600, 60))
            .withGain(1.05),
        plucked(
                "plucked keyboard",
                Family.KEYS,
                7,
                Strings::keyboard,
                decay(300, 4000, 1500),
                tone(1200, 9000, 4800),
                release(10, 400, 45))
            .withGain(0.95),
        plucked(
                "thumb piano",
                Family.KEYS,
                108,
                Keyboards::thumbPiano,
                decay(300, 4000, 1300),
                pc("buzz", 20),
                release(30, 1500, 220))
            .withGain(0.9),
        held(
                "bell",
                Family.KEYS,
                14,
                Keyboards::bell,
                decay(500, 9000, 3600),
                release(60, 4000, 900))
            .withGain(0.6));
  }
}
