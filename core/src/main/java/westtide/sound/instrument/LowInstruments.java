package westtide.sound.instrument;

import static westtide.sound.instrument.InstrumentFactory.db;
import static westtide.sound.instrument.InstrumentFactory.decay;
import static westtide.sound.instrument.InstrumentFactory.drop;
import static westtide.sound.instrument.InstrumentFactory.glide;
import static westtide.sound.instrument.InstrumentFactory.gliding;
import static westtide.sound.instrument.InstrumentFactory.pc;
import static westtide.sound.instrument.InstrumentFactory.plucked;
import static westtide.sound.instrument.InstrumentFactory.release;
import static westtide.sound.instrument.InstrumentFactory.tone;

import java.util.List;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;

/** 808, sub and basses. */
final class LowInstruments {
  private LowInstruments() {}

  static List<Instrument> all() {
    return List.of(
        gliding(
            "808",
            Family.LOW,
            38,
            Basses::eightOhEight,
            decay(400, 9000, 4200),
            drop(12),
            db("drive", 8),
            tone(200, 6000, 1600),
            pc("click", 25),
            glide(0),
            release(5, 400, 25)),
        gliding(
            "sub", Family.LOW, 38, Basses::sub, pc("octave", 10), glide(0), release(5, 300, 25)),
        plucked(
            "finger bass",
            Family.LOW,
            33,
            Strings::fingerBass,
            decay(600, 9000, 5200),
            tone(500, 6000, 2300),
            release(10, 400, 60)),
        gliding(
            "square bass",
            Family.LOW,
            38,
            Basses::square,
            tone(120, 3000, 700),
            glide(0),
            release(5, 400, 30)),
        gliding(
            "driven bass",
            Family.LOW,
            39,
            Basses::driven,
            db("drive", 12),
            tone(300, 6000, 1500),
            glide(0),
            release(5, 400, 30)),
        gliding(
                "rumble bass",
                Family.LOW,
                38,
                Basses::rumble,
                tone(80, 600, 190),
                pc("dirt", 40),
                glide(0),
                release(20, 900, 140))
            .withGain(0.85),
        gliding(
                "log drum",
                Family.LOW,
                36,
                Basses::logDrum,
                decay(200, 2500, 900),
                drop(7),
                db("drive", 9),
                glide(0),
                release(10, 600, 120))
            .takingTurns());
  }
}
