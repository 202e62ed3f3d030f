package westtide.score;

import java.util.Optional;
import westtide.rhythm.Swing;
import westtide.song.Part;
import westtide.song.drum.DrumLane;

/**
 * What the strokes of a lane have in common.
 *
 * @param lane the lane
 * @param key the MIDI note it is written as
 * @param swing the swing it plays with
 * @param plain the lane struck at its own pitch
 */
record StruckLane(DrumLane lane, int key, Swing swing, Optional<ScoredNote.Struck> plain) {
  /** A lane of a part in a song of that swing. */
  static StruckLane of(DrumLane lane, Part part, Swing song) {
    return new StruckLane(
        lane,
        part.sound(lane.id()).note(),
        lane.swing(song),
        Optional.of(new ScoredNote.Struck(lane.id(), 0)));
  }

  /** The lane struck some semitones away. */
  Optional<ScoredNote.Struck> struck(int semitones) {
    return semitones == 0 ? plain : Optional.of(new ScoredNote.Struck(lane.id(), semitones));
  }
}
