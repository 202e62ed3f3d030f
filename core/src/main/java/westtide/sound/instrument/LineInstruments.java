package westtide.sound.instrument;

import static westtide.sound.instrument.Making.attack;
import static westtide.sound.instrument.Making.decay;
import static westtide.sound.instrument.Making.glide;
import static westtide.sound.instrument.Making.held;
import static westtide.sound.instrument.Making.hertz;
import static westtide.sound.instrument.Making.pc;
import static westtide.sound.instrument.Making.release;
import static westtide.sound.instrument.Making.stretched;
import static westtide.sound.instrument.Making.tone;

import java.util.List;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Setting;
import westtide.sound.voice.Touch;

/** Lines, layers, and what leads from one section to the next. */
final class LineInstruments {
  private LineInstruments() {}

  static List<Instrument> all() {
    return List.of(
        held(
                "pad",
                Family.LINE,
                89,
                Ensembles::pad,
                attack(20, 2000, 320),
                tone(400, 6000, 1500),
                new Setting("detune", "cents", 0, 25, 9),
                release(60, 4000, 800))
            .withGain(0.85),
        held(
                "string ensemble",
                Family.LINE,
                48,
                Ensembles::strings,
                attack(10, 1000, 110),
                tone(800, 9000, 3200),
                new Setting("vibrato", "cents", 0, 30, 9),
                release(40, 2500, 320))
            .withGain(0.75),
        held(
                "brass",
                Family.LINE,
                61,
                Ensembles::brass,
                attack(5, 400, 25),
                tone(500, 8000, 2600),
                release(20, 1000, 130))
            .withGain(0.75),
        new Instrument(
                "lead",
                Family.LINE,
                Touch.GLIDING,
                81,
                1,
                List.of(
                    tone(500, 9000, 2800),
                    glide(55),
                    new Setting("vibrato", "cents", 0, 30, 8),
                    release(10, 1500, 90)),
                Ensembles::lead)
            .withGain(0.7),
        new Instrument(
                "flute",
                Family.LINE,
                Touch.GLIDING,
                73,
                1,
                List.of(
                    attack(10, 400, 45),
                    pc("breath", 40),
                    glide(30),
                    new Setting("vibrato", "cents", 0, 30, 10),
                    release(20, 1500, 110)),
                Ensembles::flute)
            .withGain(0.62),
        held(
                "stab",
                Family.LINE,
                90,
                Ensembles::stab,
                decay(80, 1500, 420),
                tone(600, 9000, 2600),
                release(10, 800, 60))
            .withGain(2.1),
        stretched("riser", Transitions::riser).withGain(0.5),
        stretched("sweep down", Transitions::down).withGain(0.5),
        new Instrument(
                "impact",
                Family.TRANSITION,
                Touch.STRUCK,
                127,
                1,
                List.of(hertz(28, 80, 41), decay(500, 6000, 2600)),
                Transitions::impact)
            .withGain(0.9));
  }
}
