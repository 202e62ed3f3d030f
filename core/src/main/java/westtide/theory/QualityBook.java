package westtide.theory;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The chord qualities people name, the plainer first. */
public final class QualityBook {
  private static final List<ChordQuality> COMMON =
      List.of(
              "", "m", "7", "m7", "maj7", "sus4", "sus2", "5", "dim", "aug", "6", "m6", "9", "m9",
              "maj9", "add9", "madd9", "7sus4", "m7b5", "dim7", "69", "m69", "9sus4", "11", "m11",
              "13", "m13", "maj13", "mMaj7", "mMaj9", "7b9", "7#9", "7b5", "7#5", "9#5", "maj7#11",
              "maj9#11", "maj7#5", "maj7b5", "7#11", "9#11", "7b13", "7b9b13", "13b9", "m7b9",
              "m9b5", "m11b5", "madd11", "add11", "mb6", "m7b13", "7b5b9", "m7#5", "sus24")
          .stream()
          .map(ChordQuality::find)
          .flatMap(Optional::stream)
          .toList();

  private QualityBook() {}

  /** All of them, the plainer first. */
  public static List<ChordQuality> common() {
    return COMMON;
  }

  /** The plainest quality whose tones are these semitones above the root, octaves aside. */
  public static Optional<ChordQuality> ofSemitones(Set<Integer> semitones) {
    return COMMON.stream().filter(quality -> semitones(quality).equals(semitones)).findFirst();
  }

  /** The tones of a quality in semitones above the root, 0 to 11. */
  public static Set<Integer> semitones(ChordQuality quality) {
    return quality.tones().stream()
        .map(tone -> Math.floorMod(tone.semitones(), 12))
        .collect(Collectors.toSet());
  }
}
