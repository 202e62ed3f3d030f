package westtide.song.edit;

import westtide.song.line.Note;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;

/**
 * A change of pitches, kind by kind of pattern and rule: written notes one by one, rules each in
 * their way; grooves have no pitch and stay.
 */
public interface PitchChange extends Pattern.Kinds<Pattern>, FollowRule.Kinds<FollowRule> {
  /** What becomes of one written note. */
  Note note(Note note);

  @Override
  default Pattern drums(Pattern.Drums pattern) {
    return pattern;
  }

  @Override
  default Pattern varied(Pattern.Varied pattern) {
    return pattern;
  }

  @Override
  default Pattern written(Pattern.Written pattern) {
    return pattern.withNotes(pattern.notes().stream().map(this::note).toList());
  }

  @Override
  default Pattern phrase(Pattern.Phrase pattern) {
    return new Pattern.Phrase(
        pattern.unitBars(),
        pattern.motif().stream().map(this::note).toList(),
        pattern.units().stream()
            .map(
                unit ->
                    new PhraseUnit(
                        unit.change(),
                        unit.own().map(own -> own.stream().map(this::note).toList())))
            .toList());
  }

  /** Notes attached to the chords move with them; their octave moves as rules of the low end do. */
  @Override
  default Pattern attached(Pattern.Attached pattern) {
    return pattern;
  }

  @Override
  default FollowRule borrowed(BorrowedRhythm rule) {
    return rule.withNotes(rule.notes().stream().map(this::note).toList());
  }

  @Override
  default Pattern following(Pattern.Following pattern) {
    return new Pattern.Following(pattern.rule().accept(this));
  }
}
