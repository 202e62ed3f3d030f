package westtide.sound.voice;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A preview instrument: a stand-in for the sampler or synthesizer a producer uses later.
 *
 * @param name what people choose it by, such as {@code "felt piano"}
 * @param family what it is for
 * @param touch how it answers to the length of a note
 * @param program the General MIDI program nearest to it, 0 to 127
 * @param gain factor that brings it to the loudness of the others
 * @param settings what can be set
 * @param recipe how it sounds
 * @param takesTurns whether equal strokes are struck in turn in several ways, as drums and plucked
 *     strings are
 */
public record Instrument(
    String name,
    Family family,
    Touch touch,
    int program,
    double gain,
    List<Setting> settings,
    Recipe recipe,
    boolean takesTurns) {
  /** Velocity to loudness, as amplitude: 127 is full, 64 about 10 dB below (our own choice). */
  public static final double VELOCITY_POWER = 1.7;

  private static final int CUT_MILLIS = 8;

  /** Copies the settings. */
  public Instrument {
    settings = List.copyOf(settings);
  }

  /** An instrument at its own loudness that strikes everything alike. */
  public Instrument(
      String name, Family family, Touch touch, int program, List<Setting> settings, Recipe recipe) {
    this(name, family, touch, program, 1, settings, recipe, false);
  }

  /** The same instrument brought to the loudness of the others. */
  public Instrument withGain(double factor) {
    return new Instrument(name, family, touch, program, factor, settings, recipe, takesTurns);
  }

  /** The same instrument striking equal strokes in turn in several ways. */
  public Instrument takingTurns() {
    return new Instrument(name, family, touch, program, gain, settings, recipe, true);
  }

  /** The setting of that name, if it has one. */
  public Optional<Setting> setting(String wanted) {
    return settings.stream().filter(setting -> setting.name().equals(wanted)).findFirst();
  }

  /** A value for every setting: the chosen one held inside its range, or the usual one. */
  public Map<String, Integer> values(Map<String, Integer> chosen) {
    Map<String, Integer> out = new LinkedHashMap<>();
    for (Setting setting : settings) {
      Integer value = chosen.get(setting.name());
      out.put(setting.name(), value == null ? setting.usual() : setting.held(value));
    }
    return out;
  }

  /** How long it rings after the end of a note, in milliseconds. */
  public int release(Map<String, Integer> chosen) {
    return values(chosen).getOrDefault("release", CUT_MILLIS);
  }
}
