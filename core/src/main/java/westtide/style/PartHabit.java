package westtide.style;

import java.util.List;
import westtide.rhythm.Figure;
import westtide.song.pattern.KickLink;
import westtide.theory.voicing.VoicingRange;

/** The parts a style usually has. */
public sealed interface PartHabit {
  /** What the part is called. */
  String name();

  /** Its General MIDI program, 0 to 127. */
  int program();

  private static void check(String what, int value) {
    if (value < 0 || value > 127) {
      throw new IllegalArgumentException(what + " is 0 to 127, but was " + value);
    }
  }

  /**
   * The chord part.
   *
   * @param name what it is called
   * @param program General MIDI program
   * @param range where it stands
   */
  record Keys(String name, int program, VoicingRange range) implements PartHabit {
    /** Checks the program. */
    public Keys {
      check("a program", program);
    }
  }

  /**
   * The lead line.
   *
   * @param name what it is called
   * @param program General MIDI program
   * @param low lowest MIDI note
   * @param high highest MIDI note
   * @param bright whether leaps are welcome; otherwise the line leans on neighbours
   * @param language how it talks
   */
  record Lead(String name, int program, int low, int high, boolean bright, LineLanguage language)
      implements PartHabit {
    /** Checks the program and the range, an octave or more. */
    public Lead {
      check("a program", program);
      check("the lowest note of a lead", low);
      check("the highest note of a lead", high);
      if (high - low < 12) {
        throw new IllegalArgumentException(
            "a lead has an octave or more, but was " + low + " to " + high);
      }
    }

    /** The same with another interval habit. */
    public Lead withBright(boolean other) {
      return new Lead(name, program, low, high, other, language);
    }
  }

  /**
   * The 808 or sub.
   *
   * @param name what it is called
   * @param program General MIDI program
   * @param link the style's school
   * @param figures rhythms of its own
   * @param lowest lowest MIDI note
   * @param grammar how it speaks
   */
  record Bass808(
      String name, int program, KickLink link, List<Figure> figures, int lowest, LowHabit grammar)
      implements PartHabit {
    /** Checks the program and the lowest note. */
    public Bass808 {
      check("a program", program);
      check("the lowest note of an 808", lowest);
    }
  }

  /**
   * The bass.
   *
   * @param name what it is called
   * @param program General MIDI program
   * @param figures its rhythms
   * @param lowest lowest MIDI note
   * @param grammar how it speaks
   */
  record Bass(String name, int program, List<Figure> figures, int lowest, LowHabit grammar)
      implements PartHabit {
    /** Checks the program and the lowest note. */
    public Bass {
      check("a program", program);
      check("the lowest note of a bass", lowest);
    }
  }
}
