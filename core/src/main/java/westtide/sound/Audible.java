package westtide.sound;

import java.util.HashSet;
import java.util.Set;
import westtide.song.drum.LaneId;
import westtide.song.id.PartId;

/**
 * What is muted and what is heard alone while playing. It belongs to the listening, not to the
 * song. Parts are named by their id, drum lanes by part id and lane, such as {@code "drums/KICK"}.
 *
 * @param muted what is silent
 * @param alone what is heard alone; when empty, everything that is not muted
 */
public record Audible(Set<String> muted, Set<String> alone) {
  /** Everything is heard. */
  public static final Audible ALL = new Audible(Set.of(), Set.of());

  /** Copies both sets. */
  public Audible {
    muted = Set.copyOf(muted);
    alone = Set.copyOf(alone);
  }

  /** The name of a drum lane. */
  public static String lane(PartId part, LaneId lane) {
    return part + "/" + lane.code();
  }

  /** Mutes, or unmutes what is muted. */
  public Audible toggleMute(String name) {
    return new Audible(toggled(muted, name), alone);
  }

  /** Hears it alone, or again together with the rest. */
  public Audible toggleAlone(String name) {
    return new Audible(muted, toggled(alone, name));
  }

  /** Whether a part is heard, in whole or by a lane of it. */
  public boolean part(String id) {
    boolean chosen =
        alone.isEmpty()
            || alone.contains(id)
            || alone.stream().anyMatch(name -> name.startsWith(id + "/"));
    return chosen && !muted.contains(id);
  }

  /** Whether a drum lane of an audible part is heard. */
  public boolean lane(String name) {
    String part = name.substring(0, name.indexOf('/'));
    boolean lanesAlone =
        !alone.contains(part) && alone.stream().anyMatch(other -> other.startsWith(part + "/"));
    return !muted.contains(name) && (!lanesAlone || alone.contains(name));
  }

  private static Set<String> toggled(Set<String> names, String name) {
    Set<String> out = new HashSet<>(names);
    if (!out.remove(name)) {
      out.add(name);
    }
    return out;
  }
}
