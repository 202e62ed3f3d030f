package westtide.theory.voicing;

import java.util.Map;
import westtide.theory.Chord;

/** What a sounding note is called in its chord, such as "the ninth". */
final class ChordMemberWord {
  private static final Map<Integer, String> NAMES =
      Map.ofEntries(
          Map.entry(1, "the root"),
          Map.entry(2, "the second"),
          Map.entry(3, "the third"),
          Map.entry(4, "the fourth"),
          Map.entry(5, "the fifth"),
          Map.entry(6, "the sixth"),
          Map.entry(7, "the seventh"),
          Map.entry(9, "the ninth"),
          Map.entry(11, "the eleventh"),
          Map.entry(13, "the thirteenth"));

  private ChordMemberWord() {}

  static String of(int key, Chord chord) {
    int above = Math.floorMod(key - chord.root().pitchClass(), 12);
    return chord.quality().tones().stream()
        .filter(tone -> Math.floorMod(tone.semitones(), 12) == above)
        .findFirst()
        .map(tone -> NAMES.getOrDefault(tone.degree(), "a note"))
        .orElse("a note from outside the chord");
  }
}
