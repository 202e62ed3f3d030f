package westtide.style;

import java.util.List;
import westtide.song.chord.ChordRhythm;
import westtide.theory.ChordQuality;
import westtide.theory.voicing.VoicingKind;

/**
 * What chords a style uses and how they are played.
 *
 * @param progressions typed lines of numerals, four bars or fewer
 * @param second whether verses usually have a progression of their own
 * @param pedal whether the bass usually stays on one note in the verses
 * @param rhythms rhythms to strike them in
 * @param spread how their notes are usually spread
 * @param strum milliseconds from note to note of a strummed chord; 0 strikes all at once
 * @param vary how much velocities usually differ, 0 to 40
 * @param colours the qualities it likes, the most usual first
 * @param sevenths usual share of chords with a seventh or more, 0 to 1
 */
public record ChordHabit(
    List<String> progressions,
    boolean second,
    boolean pedal,
    List<ChordRhythm> rhythms,
    VoicingKind spread,
    int strum,
    int vary,
    List<ChordQuality> colours,
    Span sevenths) {
  /** Copies the lists. */
  public ChordHabit {
    progressions = List.copyOf(progressions);
    rhythms = List.copyOf(rhythms);
    colours = List.copyOf(colours);
  }
}
