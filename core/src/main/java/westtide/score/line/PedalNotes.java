package westtide.score.line;

import java.util.List;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.form.ChordOption;
import westtide.song.form.Section;
import westtide.song.line.Note;
import westtide.theory.NoteName;
import westtide.theory.voicing.Voicing;

/** Low parts over a pedal that is strict: every note of theirs is the one that stays. */
public final class PedalNotes {
  private static final int OCTAVE = 12;

  private PedalNotes() {}

  /** What a part plays in a section of what its line says. */
  public static Line of(Line line, Part part, Section section) {
    boolean low = part.role() == Role.SUB || part.role() == Role.BASS;
    boolean strict = low && section.has(ChordOption.STRICT_PEDAL);
    return strict ? section.pedal().map(note -> kept(line, note)).orElse(line) : line;
  }

  private static Line kept(Line line, NoteName pedal) {
    List<Note> notes =
        line.notes().stream().map(note -> note.withKey(nearest(note.key(), pedal))).toList();
    return new Line(line.pattern(), notes, line.origins());
  }

  private static int nearest(int key, NoteName pedal) {
    int up = Math.floorMod(pedal.pitchClass() - key, OCTAVE);
    return Voicing.held(up <= OCTAVE / 2 ? key + up : key + up - OCTAVE);
  }
}
