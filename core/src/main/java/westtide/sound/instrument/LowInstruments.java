package westtide.sound.instrument;

import static westtide.sound.instrument.Making.db;
import static westtide.sound.instrument.Making.decay;
import static westtide.sound.instrument.Making.drop;
import static westtide.sound.instrument.Making.glide;
import static westtide.sound.instrument.Making.held;
import static westtide.sound.instrument.Making.pc;
import static westtide.sound.instrument.Making.release;
import static westtide.sound.instrument.Making.tone;

import java.util.List;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Touch;

/** 808, sub and basses. */
final class LowInstruments {
  private LowInstruments() {}

  static List<Instrument> all() {
    return List.of(
        new Instrument(
            "808",
            Family.LOW,
            Touch.GLIDING,
            38,
            1,
            List.of(
                decay(400, 9000, 4200),
                drop(12),
                db("drive", 8),
                tone(200, 6000, 1600),
                pc("click", 25),
                glide(0),
                release(5, 400, 25)),
            Basses::eightOhEight),
        new Instrument(
            "sub",
            Family.LOW,
            Touch.GLIDING,
            38,
            1,
            List.of(pc("octave", 10), glide(0), release(5, 300, 25)),
            Basses::sub),
        held(
            "finger bass",
            Family.LOW,
            33,
            Strings::fingerBass,
            decay(600, 9000, 5200),
            tone(500, 6000, 1700),
            release(10, 400, 60)),
        new Instrument(
            "square bass",
            Family.LOW,
            Touch.GLIDING,
            38,
            1,
            List.of(tone(120, 3000, 520), glide(0), release(5, 400, 30)),
            Basses::square),
        new Instrument(
            "driven bass",
            Family.LOW,
            Touch.GLIDING,
            39,
            1,
            List.of(db("drive", 12), tone(300, 6000, 1500), glide(0), release(5, 400, 30)),
            Basses::driven),
        new Instrument(
            "log drum",
            Family.LOW,
            Touch.GLIDING,
            36,
            1,
            List.of(
                decay(200, 2500, 900), drop(7), db("drive", 9), glide(0), release(10, 600, 120)),
            Basses::logDrum));
  }
}
