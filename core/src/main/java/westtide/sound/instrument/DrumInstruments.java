package westtide.sound.instrument;

import static westtide.sound.instrument.InstrumentFactory.db;
import static westtide.sound.instrument.InstrumentFactory.decay;
import static westtide.sound.instrument.InstrumentFactory.drop;
import static westtide.sound.instrument.InstrumentFactory.drum;
import static westtide.sound.instrument.InstrumentFactory.hertz;
import static westtide.sound.instrument.InstrumentFactory.pc;
import static westtide.sound.instrument.InstrumentFactory.stretched;
import static westtide.sound.instrument.InstrumentFactory.tone;

import java.util.List;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Setting;

/** Drums and cymbals, hand drums and blocks. */
final class DrumInstruments {
  private DrumInstruments() {}

  static List<Instrument> all() {
    return List.of(
        drum(
            "kick",
            Kicks::kick,
            hertz(30, 90, 49),
            decay(80, 900, 340),
            drop(34),
            pc("click", 40),
            db("drive", 5)),
        drum(
            "click kick",
            Kicks::kick,
            hertz(40, 160, 72),
            decay(40, 400, 110),
            drop(40),
            pc("click", 100),
            db("drive", 8)),
        drum("snare", Snares::snare, hertz(120, 320, 188), decay(60, 600, 210), pc("wires", 75)),
        drum("rim", Snares::rim, hertz(300, 900, 470), decay(15, 150, 45)),
        drum(
            "clap",
            Snares::clap,
            new Setting("tone", "Hz", 600, 2000, 1050),
            decay(60, 600, 230),
            new Setting("hands", "", 2, 6, 4),
            new Setting("spread", "ms", 8, 60, 30)),
        drum("closed hat", Cymbals::hat, tone(6000, 11000, 7600), decay(20, 160, 60)).withGain(1.7),
        drum("open hat", Cymbals::hat, tone(6000, 11000, 7200), decay(150, 1200, 420))
            .withGain(1.4),
        drum("ride", Cymbals::ride, decay(500, 3500, 1900), pc("ping", 60)).withGain(1.2),
        drum("crash", Cymbals::crash, tone(1500, 7000, 3300), decay(600, 4000, 2200)).withGain(0.9),
        stretched("reversed crash", Family.DRUM, 119, Cymbals::reversed, tone(1500, 7000, 3300))
            .withGain(0.9),
        drum("tom", Kicks::tom, hertz(60, 260, 112), decay(120, 1000, 420), drop(7)).withGain(0.72),
        drum("low conga", Percussions::conga, hertz(120, 300, 196), decay(80, 700, 300)),
        drum("high conga", Percussions::conga, hertz(180, 500, 294), decay(60, 600, 210)),
        drum("shaker", Percussions::shaker, tone(3000, 9000, 5600), decay(20, 200, 75))
            .withGain(0.74),
        drum("tambourine", Cymbals::tambourine, decay(60, 500, 190)).withGain(1.1),
        drum("cowbell", Percussions::cowbell, hertz(400, 900, 592), decay(60, 600, 260))
            .withGain(0.56),
        drum("wood block", Percussions::block, hertz(500, 1600, 910), decay(20, 200, 70)),
        drum("stick", Snares::stick, hertz(1200, 3200, 2150), decay(8, 80, 30)).withGain(0.85),
        drum(
            "zap",
            Percussions::zap,
            hertz(40, 400, 90),
            decay(60, 900, 240),
            new Setting("sweep", "ms", 20, 600, 160)),
        drum("shekere", Percussions::shekere, tone(1800, 6000, 3200), decay(60, 400, 170))
            .withGain(0.9),
        drum(
            "stomp",
            Kicks::stomp,
            hertz(40, 140, 78),
            decay(80, 600, 230),
            new Setting("spread", "ms", 8, 60, 26)),
        stretched(
            "snare roll",
            Family.DRUM,
            119,
            Snares::roll,
            hertz(120, 320, 188),
            decay(60, 600, 150),
            pc("wires", 75),
            pc("swell", 80),
            new Setting("strokes", "a second", 6, 40, 18)),
        drum("low percussion", Kicks::tom, hertz(50, 160, 84), decay(80, 900, 330), drop(4))
            .withGain(0.75));
  }
}
