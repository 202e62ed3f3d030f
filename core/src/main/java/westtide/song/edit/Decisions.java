package westtide.song.edit;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;

/**
 * Which stages of the work a person has decided something in: what an edit changed is theirs, what
 * a draft brought is not. An edit that changes most of the song at once is another draft.
 */
public final class Decisions {
  private static final int DRAFT = 4;

  private Decisions() {}

  /** The same edit, which also notes the stage it decides something in. */
  public static Edit noting(Edit edit) {
    return Edit.named(edit::name, song -> noted(song, edit.apply(song)));
  }

  private static Song noted(Song before, Song after) {
    Set<String> changed = stages(before, after);
    if (before == after || changed.isEmpty() || changed.size() >= DRAFT) {
      return after;
    }
    Set<String> all = new TreeSet<>(after.brief().plan().decided());
    return all.addAll(changed)
        ? after.withBrief(after.brief().withPlan(after.brief().plan().withDecided(all)))
        : after;
  }

  private static Set<String> stages(Song before, Song after) {
    Set<String> out = new TreeSet<>();
    boolean brief = before.brief().withPlan(after.brief().plan()).equals(after.brief());
    add(out, "Brief", !brief);
    add(
        out,
        "Chords",
        !before.progressions().equals(after.progressions())
            || differ(before, after, List.of(Role.CHORDS), Part::patterns));
    add(
        out,
        "Drums",
        differ(before, after, List.of(Role.DRUMS), Part::patterns)
            || differ(before, after, List.of(Role.DRUMS), Part::lanes));
    add(out, "Low end", differ(before, after, List.of(Role.SUB, Role.BASS), Part::patterns));
    add(out, "Lines", differ(before, after, List.of(Role.LINE), Part::patterns));
    add(out, "Form", !before.form().equals(after.form()));
    List<Role> all = List.of(Role.values());
    add(
        out,
        "Levels",
        differ(before, after, all, Part::mix)
            || differ(before, after, all, Part::patch)
            || !before.master().equals(after.master()));
    return out;
  }

  private static void add(Set<String> out, String stage, boolean changed) {
    if (changed) {
      out.add(stage);
    }
  }

  private static boolean differ(
      Song before, Song after, List<Role> roles, Function<Part, Object> what) {
    return !of(before, roles, what).equals(of(after, roles, what));
  }

  private static List<Object> of(Song song, List<Role> roles, Function<Part, Object> what) {
    return song.parts().stream().filter(part -> roles.contains(part.role())).map(what).toList();
  }
}
