package westtide.score.drum;

import java.util.Optional;
import westtide.rhythm.Swing;
import westtide.score.event.ScoredNote;
import westtide.score.event.Source;
import westtide.song.Part;
import westtide.song.drum.DrumLane;

/** What the strokes of a lane have in common: its note, its swing, and where each comes from. */
public final class StruckLane {
  private final DrumLane lane;
  private final int key;
  private final Swing swing;
  private final String pattern;
  private final Optional<ScoredNote.Struck> plain;
  private final Source[] sources;

  private StruckLane(DrumLane lane, int key, Swing swing, String pattern) {
    this.lane = lane;
    this.key = key;
    this.swing = swing;
    this.pattern = pattern;
    this.plain = Optional.of(new ScoredNote.Struck(lane.id(), 0));
    this.sources = new Source[lane.lane().length()];
  }

  /** A lane of a pattern of a part in a song of that swing. */
  static StruckLane of(DrumLane lane, Part part, String pattern, Swing song) {
    return new StruckLane(lane, part.sound(lane.id()).note(), lane.swing(song), pattern);
  }

  /** The lane that is struck. */
  public DrumLane lane() {
    return lane;
  }

  /** The MIDI note it is written as. */
  public int key() {
    return key;
  }

  /** The swing it plays with. */
  public Swing swing() {
    return swing;
  }

  /** The lane struck some semitones away. */
  public Optional<ScoredNote.Struck> struck(int semitones) {
    return semitones == 0 ? plain : Optional.of(new ScoredNote.Struck(lane.id(), semitones));
  }

  /** The step of the pattern its strokes come from. */
  public Source source(int step) {
    if (sources[step] == null) {
      sources[step] = new Source(pattern, step);
    }
    return sources[step];
  }
}
