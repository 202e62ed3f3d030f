package westtide.desktop.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** Words of the trade that mean the same, so that an action is found by any of them. */
final class OtherWords {
  private static final List<List<String>> SAME =
      List.of(
          List.of("side-chain", "sidechain", "ducking", "duck", "pump", "pumping"),
          List.of("humanise", "humanize", "vary", "wander", "feel"),
          List.of("transpose", "semitone", "octave", "pitch"),
          List.of("bounce", "render", "wav", "audio", "write the mix", "stems"),
          List.of("pan", "side", "stereo", "width"),
          List.of("loop", "cycle", "repeat"),
          List.of("loop", "sample", "found sound", "break", "chop", "slice", "flip"),
          List.of("clearance", "cleared", "rights", "licence", "license", "credit"),
          List.of("stick", "sticks", "stick count", "count in", "count-in"),
          List.of("pattern", "groove", "variation", "clip"),
          List.of("hook", "chorus", "refrain", "drop"),
          List.of("bass", "808", "low end", "sub"),
          List.of("clap", "claps", "snare", "backbeat"),
          List.of("tempo", "bpm", "speed"),
          List.of("quantise", "quantize", "grid", "tighten"),
          List.of("swing", "shuffle", "groove timing"),
          List.of("reverb", "room", "space"),
          List.of("drive", "saturation", "distortion", "soft clip"),
          List.of("filter", "low-pass", "high-pass", "cutoff", "low cut"),
          List.of("velocity", "volume", "loudness", "level"),
          List.of("scale", "mode", "key"),
          List.of("shortcut", "shortcuts", "keys", "keyboard"),
          List.of("solo", "alone"),
          List.of("euclid", "euclidean", "even spread"),
          List.of("section", "arrangement", "form"),
          List.of("export", "write", "deliver"),
          List.of("undo", "history", "back"));

  private OtherWords() {}

  /** Whether a text has a word, or one that means the same. */
  static boolean has(String text, String word) {
    return meaning(word).stream().anyMatch(text::contains);
  }

  private static List<String> meaning(String word) {
    List<String> out = new ArrayList<>(List.of(word));
    for (List<String> group : SAME) {
      boolean mine =
          group.stream().anyMatch(w -> w.equals(word) || word.length() >= 4 && w.startsWith(word));
      if (mine) {
        out.addAll(group);
      }
    }
    return out;
  }

  /**
   * The pairs of letters of a text, in order, by which it is compared with others: made once for a
   * title, since a search compares it at every key.
   */
  static int[] pairs(String text) {
    int[] letters =
        text.toLowerCase(Locale.ROOT).chars().filter(OtherWords::isLetterOrDigit).toArray();
    int[] out = new int[Math.max(0, letters.length - 1)];
    for (int i = 0; i < out.length; i++) {
      out[i] = letters[i] << Character.SIZE | letters[i + 1];
    }
    Arrays.sort(out);
    return out;
  }

  /** How alike two texts are, 0 to 1: the share of {@link #pairs} they have in common. */
  static double alike(int[] one, int[] other) {
    int shared = 0;
    int i = 0;
    int j = 0;
    while (i < one.length && j < other.length) {
      int order = Integer.compare(one[i], other[j]);
      shared += order == 0 ? 1 : 0;
      i += order <= 0 ? 1 : 0;
      j += order >= 0 ? 1 : 0;
    }
    int all = one.length + other.length;
    return all == 0 ? 0 : 2.0 * shared / all;
  }

  private static boolean isLetterOrDigit(int c) {
    return c >= 'a' && c <= 'z' || c >= '0' && c <= '9';
  }
}
