package westtide.theory;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads the text after a chord's root: a family (m, dim, aug, maj), a number (5 6 69 7 9 11 13),
 * then any of suspension, altered and added notes, and notes left out.
 *
 * <p>Readings where usage differs: an eleventh over a major third drops the third; a thirteenth
 * leaves the eleventh out; {@code alt} is ♯5 ♯9; {@code 2} is an added ninth.
 */
final class QualityParser {
  private static final Pattern HEAD =
      Pattern.compile(
          "(min|mi|m(?!aj)|-|dim|°|o|ø|aug|\\+)?(maj|Maj|ma|M|Δ|\\^)?(69|6/9|13|11|9|7|6|5|2)?");
  private static final Pattern CHANGE =
      Pattern.compile("(sus24|sus2|sus4|sus|alt|add[b#]?\\d{1,2}|no[35]|[b#]\\d{1,2})");

  private final String text;
  private final TreeSet<Interval> tones = new TreeSet<>();
  private final TreeSet<Interval> altered = new TreeSet<>();
  private final TreeSet<Interval> added = new TreeSet<>();
  private String family = "";
  private boolean major7;
  private String number = "";
  private String suspension = "";
  private String omitted = "";

  QualityParser(String suffix) {
    this.text = Accidentals.typed(suffix).replaceAll("[(), ]", "").replaceFirst("^m[mM]aj", "mMaj");
  }

  Optional<ChordQuality> parse() {
    Matcher head = HEAD.matcher(text);
    if (!head.lookingAt()) {
      return Optional.empty();
    }
    readHead(head);
    if (!understoodHead() || !readChanges(text.substring(head.end()))) {
      return Optional.empty();
    }
    return Optional.of(new ChordQuality(canonical(), List.copyOf(tones)));
  }

  private void readHead(Matcher head) {
    family = family(head.group(1));
    major7 = head.group(2) != null;
    number = head.group(3) == null ? "" : head.group(3).replace("/", "");
    if ("ø".equals(head.group(1))) {
      number = number.isEmpty() ? "7" : number;
      alter(Interval.ofDegree(5, -1));
    }
    if ("Δ".equals(head.group(2)) || "^".equals(head.group(2))) {
      number = number.isEmpty() ? "7" : number;
    }
    addTriad();
    addNumber();
  }

  private static String family(String sign) {
    if (sign == null) {
      return "";
    }
    return switch (sign) {
      case "dim", "°", "o" -> "dim";
      case "aug", "+" -> "aug";
      default -> "m";
    };
  }

  private boolean understoodHead() {
    return switch (family) {
      case "dim" -> (number.isEmpty() && !major7) || number.equals("7");
      case "aug", "m" ->
          !number.equals("5")
              && !number.equals("2")
              && !(major7 && number.isEmpty() && !family.isEmpty());
      default -> !(major7 && (number.equals("5") || number.equals("2")));
    };
  }

  private void addTriad() {
    tones.add(Interval.ofDegree(1, 0));
    boolean minor = family.equals("m") || family.equals("dim");
    if (!number.equals("5")) {
      tones.add(Interval.ofDegree(3, minor ? -1 : 0));
    }
    int fifth = family.equals("dim") ? -1 : family.equals("aug") ? 1 : 0;
    if (altered.isEmpty()) {
      tones.add(Interval.ofDegree(5, fifth));
    }
    tones.addAll(altered);
  }

  private void addNumber() {
    switch (number) {
      case "2" -> add(Interval.ofDegree(9, 0));
      case "6" -> tones.add(Interval.ofDegree(6, 0));
      case "69" -> addAll("6", "9");
      case "7" -> tones.add(seventh());
      case "9" -> addStack(9);
      case "11" -> addStack(9, 11);
      case "13" -> addStack(9, 13);
      default -> {}
    }
    if (number.equals("11") && !family.equals("m")) {
      tones.removeIf(tone -> tone.degree() == 3);
    }
  }

  private Interval seventh() {
    if (major7) {
      return Interval.ofDegree(7, 0);
    }
    return Interval.ofDegree(7, family.equals("dim") ? -2 : -1);
  }

  private void addStack(int... degrees) {
    tones.add(seventh());
    for (int degree : degrees) {
      tones.add(Interval.ofDegree(degree, 0));
    }
  }

  private void addAll(String... degrees) {
    for (String degree : degrees) {
      tones.add(Interval.ofDegree(degree));
    }
  }

  private boolean readChanges(String rest) {
    Matcher change = CHANGE.matcher(rest);
    int at = 0;
    while (at < rest.length()) {
      if (!change.find(at) || change.start() != at || !apply(change.group())) {
        return false;
      }
      at = change.end();
    }
    return true;
  }

  private boolean apply(String change) {
    if (change.startsWith("sus")) {
      return suspend(change.equals("sus") ? "sus4" : change);
    }
    if (change.equals("alt")) {
      return number.equals("7") && alter(Interval.ofDegree(5, 1)) && alter(Interval.ofDegree(9, 1));
    }
    if (change.startsWith("no")) {
      omitted += change;
      return tones.removeIf(tone -> tone.toString().equals(change.substring(2)));
    }
    boolean adds = change.startsWith("add");
    String degree = adds ? change.substring(3) : change;
    if (Integer.parseInt(degree.replaceAll("\\D", "")) > 13 || degree.endsWith("0")) {
      return false;
    }
    Interval tone = Interval.ofDegree(degree);
    return adds ? addNamed(tone) : alterNamed(tone);
  }

  private boolean addNamed(Interval tone) {
    return switch (tone.degree()) {
      case 2 -> add(Interval.ofDegree(9, tone.shift()));
      case 4, 6, 9, 11, 13 -> add(tone);
      default -> false;
    };
  }

  private boolean alterNamed(Interval tone) {
    return switch (tone.degree()) {
      case 5, 9, 11, 13 -> alter(tone);
      case 4 -> tone.shift() == 1 && alter(Interval.ofDegree(11, 1));
      case 6 -> tone.shift() == -1 && alter(Interval.ofDegree(13, -1));
      default -> false;
    };
  }

  private boolean add(Interval tone) {
    return tones.add(tone) && added.add(tone);
  }

  private boolean alter(Interval tone) {
    tones.removeIf(t -> t.degree() == tone.degree() && !altered.contains(t));
    return tones.add(tone) && altered.add(tone);
  }

  private boolean suspend(String word) {
    suspension = word;
    boolean replaced = tones.removeIf(tone -> tone.degree() == 3);
    if (word.contains("2")) {
      tones.add(Interval.ofDegree(2, 0));
    }
    if (word.contains("4")) {
      tones.add(Interval.ofDegree(4, 0));
    }
    return replaced;
  }

  private String canonical() {
    String shownFamily = suspension.isEmpty() || !family.equals("m") ? family : "";
    boolean sixth = number.equals("6") || number.equals("69");
    boolean plainMajor = number.isEmpty() || sixth;
    String major = !major7 || plainMajor ? "" : shownFamily.isEmpty() ? "maj" : "Maj";
    String shownNumber = number.equals("2") ? "" : number;
    StringBuilder out = new StringBuilder(shownFamily + major + shownNumber + suspension);
    altered.forEach(tone -> out.append(Accidentals.typed(tone.toString())));
    added.forEach(tone -> out.append("add").append(Accidentals.typed(tone.toString())));
    String suffix = out.append(omitted).toString();
    return suffix.startsWith("b") || suffix.startsWith("#") ? "(" + suffix + ")" : suffix;
  }
}
