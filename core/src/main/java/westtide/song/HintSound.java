package westtide.song;

import java.util.EnumSet;
import java.util.Set;
import westtide.song.form.Cell;
import westtide.song.form.CellSound;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.theory.voicing.ChordMember;

/**
 * How a part that is only hinted at sounds besides being quiet: thin. What makes it thin stands in
 * its cell as values a person sees and changes; the level by itself changes nothing but loudness.
 */
public final class HintSound {
  private HintSound() {}

  /** Hz above which a hint of a part lets nothing through (our own choice, by ear). */
  private static int lowPass(Role role) {
    return switch (role) {
      case CHORDS -> 2200;
      case LINE, MARKS, FOUND -> 2600;
      case DRUMS -> 4500;
      case SUB, BASS -> 700;
    };
  }

  /** A sound made thin: low-passed, chords without their bass. */
  private static CellSound thin(CellSound sound, Role role) {
    CellSound closed = sound.withLowPass(Math.min(sound.lowPass(), lowPass(role)));
    if (role != Role.CHORDS) {
      return closed;
    }
    Set<ChordMember> without = EnumSet.of(ChordMember.BASS);
    without.addAll(sound.thinning().without());
    return closed.withThinning(sound.thinning().withoutMembers(without));
  }

  /** Thin, and a line an octave above where it is written. */
  private static CellSound thinAndHigh(CellSound sound, Role role) {
    boolean rises = role == Role.LINE && sound.octave() == 0;
    return thin(rises ? sound.withOctave(1) : sound, role);
  }

  /**
   * A cell led to another level: a hint becomes thin where nothing was asked of its sound; a cell
   * that was as thin as a hint is sounds as usual again. Its octave stays.
   */
  public static Cell led(Cell cell, Level level, Role role) {
    CellSound plain = CellSound.USUAL.withInstrument(cell.sound().instrument());
    CellSound sound = cell.sound();
    if (level == Level.HINT && sound.equals(plain)) {
      sound = thin(plain, role);
    } else if (level != Level.HINT && isHint(sound, plain, role)) {
      sound = plain;
    }
    CellSound changed = sound;
    return cell.withLevel(level).withSound(before -> changed);
  }

  private static boolean isHint(CellSound sound, CellSound plain, Role role) {
    return sound.equals(thin(plain, role)) || sound.equals(thinAndHigh(plain, role));
  }

  /** A cell as plans mean it: a hint is thin, and a line that is hinted at stands an octave up. */
  public static Cell planned(Cell cell, Role role) {
    return cell.level() == Level.HINT ? cell.withSound(sound -> thinAndHigh(sound, role)) : cell;
  }

  /** A section whose cells of a part are as plans mean them. */
  public static Section planned(Section section, PartId part, Role role) {
    boolean hints =
        section.cells().containsKey(part)
            && section.cells(part).stream().anyMatch(cell -> cell.level() == Level.HINT);
    return hints ? section.withEachCell(part, cell -> planned(cell, role)) : section;
  }
}
