package westtide.sound.instrument;

import java.util.List;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Recipe;
import westtide.sound.voice.Setting;
import westtide.sound.voice.Touch;

/** The usual kinds of instrument and of setting, in short words. */
final class InstrumentFactory {
  private InstrumentFactory() {}

  static Instrument drum(String name, Recipe recipe, Setting... settings) {
    return new Instrument(name, Family.DRUM, Touch.STRUCK, 0, List.of(settings), recipe)
        .takingTurns();
  }

  static Instrument held(
      String name, Family family, int program, Recipe recipe, Setting... settings) {
    return new Instrument(name, family, Touch.HELD, program, List.of(settings), recipe);
  }

  /** Held, and no two strokes alike. */
  static Instrument plucked(
      String name, Family family, int program, Recipe recipe, Setting... settings) {
    return held(name, family, program, recipe, settings).takingTurns();
  }

  static Instrument gliding(
      String name, Family family, int program, Recipe recipe, Setting... settings) {
    return new Instrument(name, family, Touch.GLIDING, program, List.of(settings), recipe);
  }

  static Instrument stretched(
      String name, Family family, int program, Recipe recipe, Setting... settings) {
    return new Instrument(name, family, Touch.STRETCHED, program, List.of(settings), recipe);
  }

  static Setting hertz(int low, int high, int usual) {
    return new Setting("tune", "Hz", low, high, usual);
  }

  static Setting decay(int low, int high, int usual) {
    return new Setting("decay", "ms", low, high, usual);
  }

  static Setting attack(int low, int high, int usual) {
    return new Setting("attack", "ms", low, high, usual);
  }

  static Setting release(int low, int high, int usual) {
    return new Setting("release", "ms", low, high, usual);
  }

  static Setting tone(int low, int high, int usual) {
    return new Setting("tone", "Hz", low, high, usual);
  }

  static Setting drop(int usual) {
    return new Setting("drop", "semitones", 0, 48, usual);
  }

  static Setting glide(int usual) {
    return new Setting("glide", "ms", 0, 500, usual);
  }

  static Setting pc(String name, int usual) {
    return new Setting(name, "%", 0, 100, usual);
  }

  static Setting db(String name, int usual) {
    return new Setting(name, "dB", 0, 24, usual);
  }
}
