package westtide.file;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import westtide.song.HintSound;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.VoicingKind;

/**
 * Hints of files of version 3, in which the level by itself filtered a part, raised a line by an
 * octave and took the bass of a chord away: what it did becomes values of their cells, so that they
 * sound as before. In versions 1 and 2 a hint was quiet and nothing else, as it is now.
 */
final class EarlierHints {
  /** The version of the song file in which the level of a hint made it thin. */
  static final int VERSION = 3;

  private EarlierHints() {}

  /** The song with the values of its hints in their cells. */
  static Song spelledOut(Song song) {
    Map<PartId, Role> roles = new LinkedHashMap<>();
    song.parts().forEach(part -> roles.put(part.id(), part.role()));
    return song.withEachForm(form -> spelledOut(form, roles));
  }

  /** The form with the values of its hints in their cells. */
  static Form spelledOut(Form form, Map<PartId, Role> roles) {
    return form.each(section -> spelledOut(section, roles));
  }

  private static Section spelledOut(Section section, Map<PartId, Role> roles) {
    Section out = section;
    for (Map.Entry<PartId, Role> part : roles.entrySet()) {
      out = HintSound.planned(out, part.getKey(), part.getValue());
    }
    return out;
  }

  /** What an earlier song plays otherwise now, a sentence each. */
  static List<String> told(Song song) {
    List<String> out = new ArrayList<>(withoutBass(song));
    boolean holds =
        song.form().sections().stream()
            .flatMap(section -> section.marks().stream())
            .anyMatch(mark -> mark.transition().kind() == TransitionKind.HOLD);
    boolean stacks =
        song.rules(FollowRule.Chords.class).stream()
            .anyMatch(rule -> rule.kind() == VoicingKind.OCTAVE_STACK);
    if (stacks) {
      out.add("Octave stacks now move as one shape, each chord on its root.");
    }
    if (holds) {
      out.add("Bars that are held now change their chord where the row does.");
    }
    return out;
  }

  private static List<String> withoutBass(Song song) {
    boolean asked =
        song.form().sections().stream()
            .flatMap(section -> section.cells().values().stream())
            .flatMap(List::stream)
            .anyMatch(EarlierHints::withoutBass);
    return asked
        ? List.of(
            "Where the bass of a chord is left out, strikes of one or two notes now stay whole.")
        : List.of();
  }

  private static boolean withoutBass(Cell cell) {
    return cell.sound().thinning().without().contains(ChordMember.BASS);
  }
}
