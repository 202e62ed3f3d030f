package westtide.follow;

import java.util.List;
import westtide.song.FollowRule;
import westtide.song.Note;
import westtide.theory.Key;

/** Turns a following rule into notes. */
public final class Follower {
  private Follower() {}

  /** The notes a rule plays over a section, in order, inside the section. */
  public static List<Note> resolve(FollowRule rule, Harmony harmony, Key key) {
    if (rule instanceof FollowRule.Chords chords) {
      return new ChordFollower(chords, harmony).resolve();
    }
    if (rule instanceof FollowRule.Sub sub) {
      return new SubFollower(sub).resolve(harmony);
    }
    return new BassFollower((FollowRule.Bass) rule, key).resolve(harmony);
  }
}
