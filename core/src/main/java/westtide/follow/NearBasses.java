package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.TreeSet;
import westtide.song.chord.PlacedChord;
import westtide.theory.Pitch;

/**
 * The octave each bass of a low line is played in. A low line has room for an octave and a fourth
 * above its lowest note, so that six of the twelve basses have two places; of all ways to choose
 * them the one is taken in which the line leaps least, and of those the lowest. A bass is at the
 * same place whenever its chord comes round (common practice: the nearest octave).
 */
final class NearBasses {
  private static final int ROOM = 17;
  private static final int FIFTH = 7;
  private static final int OCTAVE = 12;
  private static final int LEAP_COST = 12;
  private static final int HIGH_COST = 15;

  private final int lowest;
  private final OptionalInt pedal;
  private final int raised;

  private NearBasses(int lowest, OptionalInt pedal, int raised) {
    this.lowest = lowest;
    this.pedal = pedal;
    this.raised = raised;
  }

  /** The basses of all that is heard, or the one note of a pedal. */
  static NearBasses of(Harmony harmony, int lowest, OptionalInt pedal) {
    NearBasses low = new NearBasses(lowest, pedal, 0);
    List<Integer> basses = new ArrayList<>();
    harmony.chords().forEach(chord -> basses.add(chord.chord().bass().pitchClass()));
    TreeSet<Integer> free = new TreeSet<>();
    basses.forEach(
        pitchClass -> {
          if (Pitch.atOrAbove(lowest, pitchClass) + OCTAVE <= lowest + ROOM) {
            free.add(pitchClass);
          }
        });
    if (pedal.isPresent() || free.isEmpty()) {
      return low;
    }
    return low.cheapest(basses, List.copyOf(free));
  }

  private NearBasses cheapest(List<Integer> basses, List<Integer> free) {
    NearBasses best = this;
    int least = Integer.MAX_VALUE;
    for (int choice = 0; choice < 1 << free.size(); choice++) {
      int up = 0;
      for (int i = 0; i < free.size(); i++) {
        up |= (choice >> i & 1) << free.get(i);
      }
      NearBasses tried = new NearBasses(lowest, pedal, up);
      int cost = tried.cost(basses);
      if (cost < least) {
        least = cost;
        best = tried;
      }
    }
    return best;
  }

  private int cost(List<Integer> basses) {
    int cost = 0;
    int before = key(basses.get(0));
    for (int pitchClass : basses) {
      int here = key(pitchClass);
      int leap = Math.abs(here - before);
      cost += leap + (leap > FIFTH ? LEAP_COST : 0) + (here > lowest + OCTAVE ? HIGH_COST : 0);
      before = here;
    }
    return cost;
  }

  private int key(int pitchClass) {
    return Pitch.atOrAbove(lowest, pitchClass) + (raised >> pitchClass & 1) * OCTAVE;
  }

  /** The highest MIDI note a low line goes to. */
  int highest() {
    return lowest + ROOM;
  }

  /** Where the bass of a chord is played, as a MIDI note. */
  int of(PlacedChord chord) {
    return key(pedal.orElseGet(() -> chord.chord().bass().pitchClass()));
  }
}
