package westtide.song.edit.line;

import westtide.song.Part;
import westtide.song.edit.Edit;
import westtide.song.edit.PitchChange;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;

/**
 * Edits of how high a pattern stands, whatever its kind.
 *
 * @param part the part's id
 * @param pattern the pattern's name
 */
public record RegisterEdits(PartId part, String pattern) {
  /**
   * Lifts what sounds below a MIDI note by an octave: single notes of a written line, a whole
   * pattern that follows.
   */
  public Edit liftBelow(int midi) {
    return Edit.named(
        song -> "Lift " + song.part(part).map(Part::name).orElse("a part") + " an octave",
        song ->
            song.withPart(
                part,
                p ->
                    p.find(pattern)
                        .map(v -> p.with(v.withPattern(v.pattern().accept(new Lift(p, midi)))))
                        .orElse(p)));
  }

  /** Each kind of pattern and rule an octave up. */
  private record Lift(Part part, int below) implements PitchChange {
    @Override
    public Note note(Note note) {
      boolean low = part.transposition().key(note.key()) < below;
      return low ? note.withKey(Math.min(127, note.key() + 12)) : note;
    }

    @Override
    public FollowRule chords(FollowRule.Chords rule) {
      int octaves = Math.min(3, rule.layer().octaves() + 1);
      return rule.withLayer(new FollowRule.Layer(octaves, rule.layer().without()));
    }

    @Override
    public FollowRule sub(FollowRule.Bass808 rule) {
      return rule.withLowest(Math.min(60, rule.lowest() + 12));
    }

    @Override
    public FollowRule bass(FollowRule.Bass rule) {
      return rule.withLowest(Math.min(72, rule.lowest() + 12));
    }

    @Override
    public FollowRule arpeggio(Arpeggio rule) {
      return rule.withLowest(Math.min(108, rule.lowest() + 12));
    }

    @Override
    public Pattern attached(Pattern.Attached line) {
      return line.withLowest(Math.min(72, line.lowest() + 12));
    }

    @Override
    public FollowRule lowLine(LowLine rule) {
      return rule.withLowest(Math.min(60, rule.lowest() + 12));
    }

    @Override
    public FollowRule doubling(FollowRule.Doubling rule) {
      return rule.withOctaves(Math.min(3, rule.octaves() + 1));
    }
  }
}
