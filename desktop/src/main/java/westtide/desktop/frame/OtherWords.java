package westtide.desktop.frame;

import java.util.ArrayList;
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

  /** How alike two texts are, 0 to 1: the share of pairs of letters they have in common. */
  static double alike(String one, String other) {
    List<String> mine = pairs(one);
    List<String> theirs = pairs(other);
    int all = mine.size() + theirs.size();
    long shared = mine.stream().filter(theirs::remove).count();
    return all == 0 ? 0 : 2.0 * shared / all;
  }

  private static List<String> pairs(String text) {
    int[] letters =
        text.toLowerCase(Locale.ROOT).chars().filter(OtherWords::isLetterOrDigit).toArray();
    List<String> out = new ArrayList<>();
    for (int i = 0; i + 1 < letters.length; i++) {
      out.add("" + (char) letters[i] + (char) letters[i + 1]);
    }
    return out;
  }

  private static boolean isLetterOrDigit(int c) {
    return c >= 'a' && c <= 'z' || c >= '0' && c <= '9';
  }
}
