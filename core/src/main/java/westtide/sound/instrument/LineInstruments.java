package westtide.sound.instrument;

import static westtide.sound.instrument.InstrumentFactory.attack;
import static westtide.sound.instrument.InstrumentFactory.decay;
import static westtide.sound.instrument.InstrumentFactory.glide;
import static westtide.sound.instrument.InstrumentFactory.gliding;
import static westtide.sound.instrument.InstrumentFactory.held;
import static westtide.sound.instrument.InstrumentFactory.hertz;
import static westtide.sound.instrument.InstrumentFactory.pc;
import static westtide.sound.instrument.InstrumentFactory.release;
import static westtide.sound.instrument.InstrumentFactory.stretched;
import static westtide.sound.instrument.InstrumentFactory.tone;

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
                tone(400, 6000, 2400),
                new Setting("detune", "cents", 0, 25, 9),
                release(60, 4000, 800))
            .withGain(0.81),
        held(
                "string ensemble",
                Family.LINE,
                48,
                Ensembles::strings,
                attack(10, 1000, 110),
                tone(800, 9000, 4200),
                new Setting("vibrato", "cents", 0, 30, 9),
                release(40, 2500, 320))
            .withGain(0.64),
        held(
                "brass",
                Family.LINE,
                61,
                Ensembles::brass,
                attack(5, 400, 25),
                tone(500, 8000, 3400),
                release(20, 1000, 130))
            .withGain(0.67),
        held(
                "horn section",
                Family.LINE,
                61,
                Ensembles::horns,
                attack(5, 300, 18),
                tone(600, 8000, 2900),
                new Setting("spread", "ms", 0, 60, 18),
                release(20, 800, 110))
            .withGain(0.55),
        held(
                "brass swell",
                Family.LINE,
                62,
                Ensembles::brassSwell,
                attack(60, 3000, 700),
                tone(600, 9000, 3600),
                release(40, 2500, 300))
            .withGain(0.66),
        held(
                "choir pad",
                Family.LINE,
                52,
                Vowels::choir,
                attack(20, 2000, 220),
                pc("vowel", 62),
                release(60, 4000, 600))
            .withGain(1.1),
        gliding(
                "vocal chop",
                Family.LINE,
                54,
                Vowels::chop,
                decay(120, 4000, 900),
                pc("vowel", 66),
                glide(40),
                release(10, 800, 70))
            .withGain(1.25),
        gliding(
                "lead",
                Family.LINE,
                81,
                Ensembles::lead,
                tone(500, 9000, 3600),
                glide(55),
                new Setting("vibrato", "cents", 0, 30, 8),
                release(10, 1500, 90))
            .withGain(0.64),
        gliding(
                "resonant line",
                Family.LINE,
                38,
                Ensembles::resonant,
                tone(120, 3000, 420),
                pc("ring", 55),
                decay(60, 1500, 260),
                glide(35),
                release(5, 400, 20))
            .withGain(0.5),
        gliding(
                "flute",
                Family.LINE,
                73,
                Ensembles::flute,
                attack(10, 400, 45),
                pc("breath", 40),
                glide(30),
                new Setting("vibrato", "cents", 0, 30, 10),
                release(20, 1500, 110))
            .withGain(0.57),
        held(
                "stab",
                Family.LINE,
                90,
                Ensembles::stab,
                decay(80, 1500, 420),
                tone(600, 9000, 3600),
                release(10, 800, 60))
            .withGain(0.9),
        stretched("riser", Family.TRANSITION, 122, Transitions::riser, top()).withGain(0.5),
        stretched("sweep down", Family.TRANSITION, 122, Transitions::down, top()).withGain(0.5),
        stretched("crowd", Family.TRANSITION, 126, Surfaces::crowd).withGain(0.9),
        held(
                "record noise",
                Family.TRANSITION,
                122,
                Surfaces::record,
                tone(1500, 8000, 3800),
                pc("crackle", 40),
                release(10, 2000, 200))
            .withGain(0.6),
        new Instrument(
                "impact",
                Family.TRANSITION,
                Touch.STRUCK,
                127,
                List.of(hertz(28, 80, 41), decay(500, 6000, 2600)),
                Transitions::impact)
            .withGain(0.9));
  }

  private static Setting top() {
    return new Setting("top", "Hz", 2000, 16000, 9000);
  }
}
