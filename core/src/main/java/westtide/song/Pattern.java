package westtide.song;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;

/**
 * What a part plays: drum lanes, written notes or a rule. It repeats from the start of its section.
 */
public sealed interface Pattern {
  /**
   * A groove.
   *
   * @param bars length in bars, 1 to 16
   * @param lanes the lanes, one a voice
   */
  record Drums(int bars, List<DrumLane> lanes) implements Pattern {
    /** Copies the lanes and checks that no voice stands twice. */
    public Drums {
      lanes = List.copyOf(lanes);
      checkBars(bars);
      long voices = lanes.stream().map(DrumLane::voice).distinct().count();
      if (voices != lanes.size()) {
        throw new IllegalArgumentException("a groove has one lane a voice");
      }
    }

    /** The lane of a voice, if there is one. */
    public Optional<StepLane> lane(DrumVoice voice) {
      return lanes.stream().filter(l -> l.voice() == voice).map(DrumLane::lane).findFirst();
    }

    /** How the lane of a voice is played; plainly when the groove lacks it. */
    public LaneFeel feel(DrumVoice voice) {
      return lanes.stream()
          .filter(lane -> lane.voice() == voice)
          .map(DrumLane::feel)
          .findFirst()
          .orElse(LaneFeel.PLAIN);
    }

    /** The groove with a lane changed; a voice it lacks stays lacking. */
    public Drums withLane(DrumVoice voice, UnaryOperator<StepLane> change) {
      return new Drums(
          bars,
          lanes.stream()
              .map(l -> l.voice() == voice ? l.withLane(change.apply(l.lane())) : l)
              .toList());
    }
  }

  /**
   * A written line.
   *
   * @param bars length in bars, 1 to 16
   * @param notes the notes, in order of start and height
   */
  record Written(int bars, List<Note> notes) implements Pattern {
    /** Sorts and copies the notes. */
    public Written {
      checkBars(bars);
      notes =
          notes.stream()
              .sorted(Comparator.comparingInt(Note::start).thenComparingInt(Note::key))
              .toList();
    }

    /** The same length with other notes. */
    public Written withNotes(List<Note> other) {
      return new Written(bars, other);
    }
  }

  /**
   * A part that follows.
   *
   * @param rule how
   */
  record Following(FollowRule rule) implements Pattern {}

  private static void checkBars(int bars) {
    if (bars < 1 || bars > 16) {
      throw new IllegalArgumentException("a pattern has 1 to 16 bars, but was " + bars);
    }
  }
}
