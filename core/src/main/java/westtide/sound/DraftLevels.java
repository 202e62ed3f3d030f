package westtide.sound;

import westtide.song.Song;

/**
 * Sets the levels of a draft by hearing it: the lead over the chords, then the gain of the mix to
 * the loudness it aims at. It takes a second or two, so not where a person waits.
 */
public final class DraftLevels {
  private DraftLevels() {}

  /** The draft with these levels; everything else about it stays. */
  public static Song heard(Song draft) {
    return TargetLoudness.reached(LeadLevel.reached(draft));
  }
}
