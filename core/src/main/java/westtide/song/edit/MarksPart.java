package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Mark;
import westtide.song.form.TransitionEffect;
import westtide.song.form.TransitionKind;
import westtide.song.pattern.NamedPattern;

/** The part that holds risers, crashes and what else is heard only where sections meet. */
public final class MarksPart {
  /** Its General MIDI program, counted from 0: seashore, the nearest to a riser. */
  private static final int PROGRAM = 122;

  private MarksPart() {}

  /** The song with a part for its marks, if it has marks that need one and no part yet. */
  public static Song with(Song song) {
    boolean needed =
        song.form().sections().stream()
            .flatMap(section -> section.marks().stream())
            .map(Mark::transition)
            .anyMatch(one -> needsPart(one.kind(), song));
    if (!needed || !song.parts(Role.MARKS).isEmpty()) {
      return song;
    }
    List<Part> parts = new ArrayList<>(song.parts());
    parts.add(
        Part.of(
            PartNames.freeId(song, Role.MARKS),
            PartNames.free(song, "Marks"),
            Role.MARKS,
            PROGRAM,
            List.of(new NamedPattern("A", BlankPattern.of(song, Role.MARKS)))));
    return song.withParts(parts);
  }

  /** A crash is struck on the kit where there is one. */
  private static boolean needsPart(TransitionKind kind, Song song) {
    return kind.effect() instanceof TransitionEffect.Sound sound
        && !(sound.onKit() && !song.parts(Role.DRUMS).isEmpty());
  }
}
