package westtide.desktop.open;

import westtide.song.drum.LaneId;
import westtide.song.line.Note;

/**
 * Where a note or a hit stands in its pattern. It says which one is chosen, and goes on saying it
 * while length and velocity change.
 *
 * @param lane the name of the lane of a hit; empty for a note
 * @param start for a note its first tick, for a hit the step of its lane
 * @param key the MIDI note; 0 for a hit
 */
public record NotePlace(String lane, int start, int key) {
  /** The place of a note of a line. */
  public static NotePlace of(Note note) {
    return new NotePlace("", note.start(), note.key());
  }

  /** The place of a hit of a lane. */
  public static NotePlace of(LaneId lane, int step) {
    return new NotePlace(lane.toString(), step, 0);
  }
}
