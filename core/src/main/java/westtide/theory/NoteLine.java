package westtide.theory;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A typed row of notes or chords to find the key of, such as {@code "A C E:2 D"}, {@code "57 60
 * 64"} or {@code "Am7 | Dm G"}. A number behind a colon is how long a word lasts. Bare letters are
 * notes, unless another word can only be a chord; then all of them are.
 */
public final class NoteLine {
  private static final Pattern WORD = Pattern.compile("([^:\\s]+)(?::(\\d+(?:\\.\\d+)?|\\.\\d+))?");

  private NoteLine() {}

  /**
   * The notes of a line.
   *
   * @throws IllegalArgumentException when a word is neither note, MIDI number nor chord; the
   *     message names it
   */
  public static List<KeyFinder.Heard> parse(String text) {
    String[] words = text.replaceAll("[|,;]", " ").strip().split("\\s+");
    boolean chords = false;
    for (String word : words) {
      chords |= note(plain(word)).isEmpty() && Chord.find(plain(word)).isPresent();
    }
    List<KeyFinder.Heard> out = new ArrayList<>();
    for (String word : words) {
      add(out, word, chords);
    }
    return out;
  }

  private static void add(List<KeyFinder.Heard> out, String word, boolean chords) {
    Matcher matcher = WORD.matcher(word);
    if (!matcher.matches()) {
      throw unknown(word);
    }
    String name = matcher.group(1);
    double length = matcher.group(2) == null ? 1 : Double.parseDouble(matcher.group(2));
    Optional<Chord> chord = chords ? Chord.find(name) : Optional.empty();
    if (chord.isPresent()) {
      List<NoteName> notes = chord.get().notes();
      for (int i = notes.size() - 1; i >= 0; i--) {
        out.add(new KeyFinder.Heard(notes.get(i).pitchClass(), length));
      }
      return;
    }
    int pitchClass = note(name).orElseThrow(() -> unknown(word));
    out.add(new KeyFinder.Heard(pitchClass, length));
  }

  private static Optional<Integer> note(String word) {
    if (word.matches("\\d{1,3}") && Integer.parseInt(word) <= 127) {
      return Optional.of(Integer.parseInt(word) % 12);
    }
    return NoteName.find(word.replaceAll("-?\\d+$", "")).map(NoteName::pitchClass);
  }

  private static String plain(String word) {
    int colon = word.indexOf(':');
    return colon < 0 ? word : word.substring(0, colon);
  }

  private static IllegalArgumentException unknown(String word) {
    return new IllegalArgumentException(
        "type notes such as F#, F#2 or 54, or chords such as F#m7; \"" + word + "\" is neither");
  }
}
