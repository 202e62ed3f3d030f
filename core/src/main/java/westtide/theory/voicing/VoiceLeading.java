package westtide.theory.voicing;

import java.util.ArrayList;
import java.util.List;
import westtide.theory.Chord;

/**
 * How voices move between two chords. Sizes are the sum of semitones moved by all voices, as in
 * Tymoczko, "The Geometry of Musical Chords", Science 2006 (from memory).
 */
public final class VoiceLeading {
  private VoiceLeading() {}

  /**
   * The voices between two voicings, without crossings and with the least movement; where one chord
   * has more notes, two voices meet or part.
   */
  public static List<VoiceMove> moves(Voicing from, Voicing to) {
    return new Alignment(from.keys(), to.keys()).moves();
  }

  /** Semitones moved by all voices between two voicings. */
  public static int movement(Voicing from, Voicing to) {
    return size(moves(from, to));
  }

  /**
   * The smallest movement between two chords in any octave and inversion: C to F is 3, C to Am is
   * 2.
   */
  public static int smallest(Chord from, Chord to) {
    List<Integer> start = from.pitchClasses().stream().sorted().toList();
    List<Integer> goal = to.pitchClasses().stream().sorted().toList();
    int best = Integer.MAX_VALUE;
    for (int rotation = -goal.size(); rotation <= goal.size(); rotation++) {
      best = Math.min(best, size(new Alignment(start, rotated(goal, rotation)).moves()));
    }
    return best;
  }

  /** How many pitch classes two chords share, their basses included. */
  public static int commonTones(Chord from, Chord to) {
    return (int) from.sounding().stream().filter(to::contains).count();
  }

  private static List<Integer> rotated(List<Integer> classes, int rotation) {
    List<Integer> out = new ArrayList<>();
    for (int i = 0; i < classes.size(); i++) {
      int index = i + rotation;
      int octave = Math.floorDiv(index, classes.size());
      out.add(classes.get(Math.floorMod(index, classes.size())) + 12 * octave);
    }
    return out;
  }

  private static int size(List<VoiceMove> moves) {
    return moves.stream().mapToInt(move -> Math.abs(move.semitones())).sum();
  }
}
