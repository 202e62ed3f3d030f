package westtide.song.mix;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A preview instrument, or a drum kit, by name, and what is set about it.
 *
 * @param instrument the name, such as {@code "felt piano"}
 * @param settings values of settings that differ from the usual, such as {@code decay: 900}
 */
public record Patch(String instrument, Map<String, Integer> settings) {
  /** Copies the settings. */
  public Patch {
    settings = Collections.unmodifiableMap(new LinkedHashMap<>(settings));
  }

  /** An instrument as it usually is. */
  public static Patch of(String instrument) {
    return new Patch(instrument, Map.of());
  }

  /** The patch with one setting changed. */
  public Patch with(String setting, int value) {
    Map<String, Integer> more = new LinkedHashMap<>(settings);
    more.put(setting, value);
    return new Patch(instrument, more);
  }
}
