package westtide.song.chord;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import westtide.rhythm.Ticks;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.RomanNumeral;

/**
 * One word of a chord line: a chord with its signs, a hold or a rest.
 *
 * @param text the chord as typed; {@code "."} holds and {@code "-"} rests
 * @param column where the word begins, from 1
 * @param push ticks by which the change is pushed
 * @param inversion the inversion asked for
 * @param steps its length in sixteenths, where it has one of its own
 */
record ChordWord(
    String text, int column, int push, Optional<Integer> inversion, Optional<Integer> steps) {
  static final String HOLD = ".";
  static final String REST = "-";
  private static final Pattern SIGNS =
      Pattern.compile("(<{0,4})(.+?)(?:@([0-6]))?(?::(\\d{1,3}))?");

  /** Splits a word into chord and signs; a word of signs alone has an empty chord. */
  static ChordWord of(String word, int column) {
    Matcher matcher = SIGNS.matcher(word);
    if (!matcher.matches()) {
      return new ChordWord("", column, 0, Optional.empty(), Optional.empty());
    }
    return new ChordWord(
        matcher.group(2),
        column,
        Ticks.ofSteps(matcher.group(1).length()),
        Optional.ofNullable(matcher.group(3)).map(Integer::valueOf),
        Optional.ofNullable(matcher.group(4)).map(Integer::valueOf));
  }

  boolean holds() {
    return text.equals(HOLD);
  }

  boolean rests() {
    return text.equals(REST);
  }

  /** The chord a name or a numeral stands for in a key. */
  Optional<Chord> chord(Key key) {
    return Chord.find(text).or(() -> RomanNumeral.find(text).flatMap(numeral -> numeral.in(key)));
  }

  /** How the signs say the chord is played. */
  ChordArticulation articulation() {
    return ChordArticulation.PLAIN.withPush(push).withInversion(inversion);
  }

  /** What is wrong with a word that is no chord. */
  String unknown() {
    char first = text.isEmpty() ? ' ' : text.charAt(0);
    String what = "\"" + text + "\" is no chord: ";
    if (first >= 'A' && first <= 'G') {
      return what + "after the note " + first + " write a quality such as m9, maj7, 7, sus4 or 6";
    }
    if (first >= 'a' && first <= 'g' && Chord.find(capital()).isPresent()) {
      return what + "note names are capitals, so type " + capital();
    }
    if ("IViv".indexOf(first) >= 0) {
      return what + "write a numeral from i to vii or I to VII and a quality such as 9 or maj7";
    }
    return what + "begin with a note A to G or a numeral I to VII";
  }

  private String capital() {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }
}
