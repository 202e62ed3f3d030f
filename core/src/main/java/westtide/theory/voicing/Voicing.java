package westtide.theory.voicing;

import java.util.ArrayList;
import java.util.List;

/**
 * A chord laid out as sounding notes: MIDI notes from the bass up.
 *
 * @param keys MIDI notes 0 to 127, ascending, at least one
 */
public record Voicing(List<Integer> keys) {
  private static final int MUD_BELOW = 52;
  private static final int FOURTH = 5;

  /** Sorts and copies the notes. */
  public Voicing {
    if (keys.isEmpty()) {
      throw new IllegalArgumentException("a voicing has at least one note");
    }
    keys = keys.stream().distinct().sorted().toList();
  }

  /** The lowest note. */
  public int bass() {
    return keys.get(0);
  }

  /** The highest note. */
  public int top() {
    return keys.get(keys.size() - 1);
  }

  /** The notes above the bass. */
  public List<Integer> upper() {
    return keys.subList(1, keys.size());
  }

  /**
   * The notes that stand less than a fourth below the next one while they lie under E3 (MIDI 52):
   * small intervals so low are heard as mud (common practice).
   */
  public List<Integer> muddy() {
    List<Integer> out = new ArrayList<>();
    for (int i = 1; i < keys.size(); i++) {
      int below = keys.get(i - 1);
      if (below < MUD_BELOW && keys.get(i) - below < FOURTH) {
        out.add(below);
      }
    }
    return out;
  }

  /** The distance from the lowest to the highest note, in semitones. */
  public int spread() {
    return top() - bass();
  }

  /** The voicing moved by semitones; notes that would leave 0 to 127 stay an octave nearer. */
  public Voicing plus(int semitones) {
    return new Voicing(keys.stream().map(key -> held(key + semitones)).toList());
  }

  /** A key inside 0 to 127: one that would leave them stays as many octaves nearer as it takes. */
  public static int held(int key) {
    int low = Math.max(key, Math.floorMod(key, 12));
    return low > 127 ? low - 12 * ((low - 127 + 11) / 12) : low;
  }
}
