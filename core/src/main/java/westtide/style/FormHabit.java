package westtide.style;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import westtide.song.form.SectionKind;

/**
 * How a style lays out a song.
 *
 * @param templates named forms
 * @param levels what each part id does in each kind of section, as {@link LevelPlan} texts
 * @param energy the usual energy of each kind of section, 0 to 100
 * @param lastHook the usual energy of the last hook
 */
public record FormHabit(
    List<Template> templates,
    Map<SectionKind, Map<String, LevelPlan>> levels,
    Map<SectionKind, Integer> energy,
    int lastHook) {
  /** Copies the collections. */
  public FormHabit {
    templates = List.copyOf(templates);
    levels = Collections.unmodifiableMap(new LinkedHashMap<>(levels));
    energy = Collections.unmodifiableMap(new LinkedHashMap<>(energy));
  }

  /**
   * A named form.
   *
   * @param name what it is called
   * @param line the form as a typed line
   */
  public record Template(String name, String line) {}
}
