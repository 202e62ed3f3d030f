package westtide.theory.voicing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import westtide.theory.Chord;
import westtide.theory.NoteName;
import westtide.theory.Pitch;

/**
 * Reads a laid-out chord from the bottom up as people who do not name chords say it: "root doubled
 * an octave up, a minor triad above, one more note on top".
 */
public final class StackDescription {
  private final Voicing voicing;
  private final Chord chord;
  private final List<String> words = new ArrayList<>();
  private int at;

  private StackDescription(Voicing voicing, Chord chord) {
    this.voicing = voicing;
    this.chord = chord;
  }

  /** The words for a voicing of a chord, without a full stop. */
  public static String of(Voicing voicing, Chord chord) {
    return new StackDescription(voicing, chord).read();
  }

  private String read() {
    List<Integer> keys = voicing.keys();
    words.add(ChordMemberWord.of(keys.get(0), chord) + " at the bottom");
    at = 1;
    readDoubling();
    while (at < keys.size()) {
      readTriadOrNote();
    }
    return String.join(", ", words);
  }

  private void readDoubling() {
    List<Integer> keys = voicing.keys();
    if (at < keys.size() && (keys.get(at) - keys.get(0)) % 12 == 0) {
      boolean more = keys.size() - at > 3;
      int octaves = (keys.get(at) - keys.get(0)) / 12;
      words.add("doubled " + (octaves == 1 ? "an octave" : octaves + " octaves") + " up");
      at += more || triadAt(at).isEmpty() ? 1 : 0;
    }
  }

  private void readTriadOrNote() {
    Optional<String> triad = triadAt(at);
    if (triad.isPresent()) {
      words.add(triad.get() + " above");
      at += 3;
      return;
    }
    int key = voicing.keys().get(at);
    boolean top = at == voicing.keys().size() - 1;
    words.add(ChordMemberWord.of(key, chord) + (top ? " on top" : " above"));
    at++;
  }

  /** Three notes from here up that make a triad of their own, in words. */
  private Optional<String> triadAt(int from) {
    if (from + 3 > voicing.keys().size()) {
      return Optional.empty();
    }
    List<Integer> three = voicing.keys().subList(from, from + 3);
    if (three.get(2) - three.get(0) > 12) {
      return Optional.empty();
    }
    for (int root : three) {
      Set<Integer> above = new TreeSet<>();
      three.forEach(key -> above.add(Math.floorMod(key - root, 12)));
      Optional<String> name = triad(above);
      if (name.isPresent()) {
        NoteName on = spelled(root);
        String turned = root == three.get(0) ? "" : " turned over";
        return Optional.of(name.get() + " on " + on + turned);
      }
    }
    return Optional.empty();
  }

  private NoteName spelled(int key) {
    return chord.notes().stream()
        .filter(note -> note.pitchClass() == Math.floorMod(key, 12))
        .findFirst()
        .orElseGet(() -> Pitch.of(key).name());
  }

  private static Optional<String> triad(Set<Integer> above) {
    if (above.equals(Set.of(0, 4, 7))) {
      return Optional.of("a major triad");
    }
    if (above.equals(Set.of(0, 3, 7))) {
      return Optional.of("a minor triad");
    }
    if (above.equals(Set.of(0, 3, 6))) {
      return Optional.of("a diminished triad");
    }
    return Optional.empty();
  }
}
