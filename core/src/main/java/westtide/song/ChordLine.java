package westtide.song;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import westtide.rhythm.Meter;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.RomanNumeral;

/**
 * The typed form of a progression, such as {@code "i9 | VImaj7 . . III | iv7"}.
 *
 * <p>One bar stands between bar lines; its words share it equally, and {@code .} holds the chord
 * before it for one more share, also across a bar line. Names and Roman numerals may be mixed.
 */
public final class ChordLine {
  private static final Pattern WORD = Pattern.compile("[^\\s|]+|\\|");
  private static final int MOST_SHARES = 64;

  private final Key key;
  private final Meter meter;

  private ChordLine(Key key, Meter meter) {
    this.key = key;
    this.meter = meter;
  }

  /** Lines read and written in a key and meter. */
  public static ChordLine in(Key key, Meter meter) {
    return new ChordLine(key, meter);
  }

  /** Lines in the key and meter of a brief. */
  public static ChordLine in(Brief brief) {
    return in(brief.key(), brief.meter());
  }

  /** Reads a line into chords with lengths that fill whole bars. */
  public Reading<List<ChordSpan>> parse(String line) {
    List<ChordSpan> spans = new ArrayList<>();
    List<Word> bar = new ArrayList<>();
    boolean barLineLast = false;
    Matcher matcher = WORD.matcher(line);
    while (matcher.find()) {
      Word word = new Word(matcher.group(), matcher.start() + 1);
      barLineLast = word.text.equals("|");
      if (!barLineLast) {
        bar.add(word);
        continue;
      }
      if (bar.isEmpty() && !spans.isEmpty()) {
        return Reading.problem(word.column, "this bar is empty; type a chord or . to hold");
      }
      Optional<Reading<List<ChordSpan>>> problem = close(bar, spans);
      if (problem.isPresent()) {
        return problem.get();
      }
    }
    Optional<Reading<List<ChordSpan>>> problem = close(bar, spans);
    if (problem.isPresent()) {
      return problem.get();
    }
    if (spans.isEmpty()) {
      return Reading.problem(1, "type chords such as F#m9 | Dmaj7 or numerals such as i9 | VImaj7");
    }
    return new Reading.Understood<>(List.copyOf(spans));
  }

  /** Writes chords as a line that {@link #parse} reads back to the same chords and lengths. */
  public String format(Progression progression) {
    List<PlacedChord> placed = progression.placed();
    int bars = progression.bars(meter);
    StringBuilder out = new StringBuilder();
    for (int bar = 0; bar < bars; bar++) {
      out.append(bar == 0 ? "" : " | ").append(formatBar(bar, placed, progression.notation()));
    }
    return out.toString();
  }

  private Optional<Reading<List<ChordSpan>>> close(List<Word> bar, List<ChordSpan> spans) {
    for (int share = 0; share < bar.size(); share++) {
      Word word = bar.get(share);
      int ticks = edge(share + 1, bar.size()) - edge(share, bar.size());
      if (word.text.equals(".")) {
        if (spans.isEmpty()) {
          return Optional.of(
              Reading.problem(word.column, "there is no chord before this . to hold"));
        }
        ChordSpan held = spans.remove(spans.size() - 1);
        spans.add(new ChordSpan(held.chord(), held.ticks() + ticks));
        continue;
      }
      Optional<Chord> chord = chord(word.text);
      if (chord.isEmpty()) {
        return Optional.of(Reading.problem(word.column, unknown(word.text)));
      }
      spans.add(new ChordSpan(chord.get(), ticks));
    }
    bar.clear();
    return Optional.empty();
  }

  private Optional<Chord> chord(String word) {
    return Chord.find(word).or(() -> RomanNumeral.find(word).flatMap(numeral -> numeral.in(key)));
  }

  private static String unknown(String word) {
    char first = word.charAt(0);
    String what = "\"" + word + "\" is no chord: ";
    if (first >= 'A' && first <= 'G') {
      return what + "after the note " + first + " write a quality such as m9, maj7, 7, sus4 or 6";
    }
    if ("IViv".indexOf(first) >= 0) {
      return what + "write a numeral from i to vii or I to VII and a quality such as 9 or maj7";
    }
    return what + "begin with a note A to G or a numeral I to VII";
  }

  private int edge(int share, int shares) {
    return (int) Math.round((double) share * meter.ticksPerBar() / shares);
  }

  private String formatBar(int bar, List<PlacedChord> placed, Notation notation) {
    int from = bar * meter.ticksPerBar();
    for (int shares = 1; shares < MOST_SHARES; shares++) {
      String text = formatShares(from, shares, placed, notation);
      if (!text.isEmpty()) {
        return text;
      }
    }
    return formatShares(from, meter.ticksPerBar(), placed, notation);
  }

  /** The bar in that many shares, or nothing when a chord starts between two of them. */
  private String formatShares(int from, int shares, List<PlacedChord> placed, Notation notation) {
    List<String> words = new ArrayList<>();
    int found = 0;
    for (int share = 0; share < shares; share++) {
      int tick = from + edge(share, shares);
      Optional<PlacedChord> starting =
          placed.stream().filter(chord -> chord.start() == tick).findFirst();
      found += starting.isPresent() ? 1 : 0;
      words.add(starting.map(chord -> notation.write(chord.chord(), key)).orElse("."));
    }
    long wanted =
        placed.stream()
            .filter(c -> c.start() >= from && c.start() < from + meter.ticksPerBar())
            .count();
    return found == wanted ? String.join(" ", words) : "";
  }

  private record Word(String text, int column) {}
}
