package westtide.score;

import java.util.List;
import java.util.Optional;
import westtide.follow.Harmony;
import westtide.score.event.ScoredNote;
import westtide.song.chord.PlacedChord;
import westtide.song.form.Level;
import westtide.song.id.SectionId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/**
 * What one part does over a stretch of a section: which pattern it plays, over which chords, and
 * the notes that sound. Ticks are of the song.
 *
 * @param section the section
 * @param place the place of the section in the form, counted from 0
 * @param sectionStart first tick of the section
 * @param start first tick of the stretch
 * @param end tick after the stretch
 * @param level how full
 * @param name the name of the pattern
 * @param pattern the pattern; a groove that follows another is worked out
 * @param harmony the chords heard over the section, from its start: the section's, or those of the
 *     progression a chord part has of its own
 * @param notes the notes that start in the stretch, in order
 */
public record Passage(
    SectionId section,
    int place,
    int sectionStart,
    int start,
    int end,
    Level level,
    String name,
    Pattern pattern,
    Harmony harmony,
    List<ScoredNote> notes) {

  /** Ticks from the start of its section to its own. */
  public int from() {
    return start - sectionStart;
  }

  /** Ticks from the start of its section to its end. */
  public int to() {
    return end - sectionStart;
  }

  /** The chord heard at a tick of the song inside the section. */
  public PlacedChord chord(int tick) {
    return harmony.at(tick - sectionStart);
  }

  /** The groove it plays, if it plays one. */
  public Optional<Pattern.Drums> groove() {
    return pattern instanceof Pattern.Drums drums ? Optional.of(drums) : Optional.empty();
  }

  /** The written line it plays, if it plays one. */
  public Optional<Pattern.Written> line() {
    return pattern instanceof Pattern.Written written ? Optional.of(written) : Optional.empty();
  }

  /** The note of the pattern a scored note was written as; none where a rule made it. */
  public Optional<Note> source(ScoredNote note) {
    int index = note.source().index();
    return line()
        .map(Pattern.Written::notes)
        .filter(written -> index >= 0 && index < written.size())
        .map(written -> written.get(index));
  }
}
