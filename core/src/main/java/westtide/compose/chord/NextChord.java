package westtide.compose.chord;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.style.Style;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.RomanNumeral;
import westtide.theory.Scale;
import westtide.theory.voicing.VoiceLeading;

/**
 * Suggests what may follow a chord: chords of the key, borrowed ones, and passing chords towards
 * the chord behind. They are ranked by how roots usually move (a fifth down before a step before a
 * third), by how little the voices move and by how fresh they are in the row. The weights are our
 * own.
 */
public final class NextChord {
  private static final int MOST = 10;
  private static final Map<Integer, Double> ROOT_MOVES =
      Map.ofEntries(
          Map.entry(5, 3.0),
          Map.entry(2, 2.2),
          Map.entry(10, 2.0),
          Map.entry(9, 2.0),
          Map.entry(8, 2.2),
          Map.entry(7, 1.8),
          Map.entry(3, 1.2),
          Map.entry(4, 1.0),
          Map.entry(1, 0.8),
          Map.entry(11, 0.8),
          Map.entry(6, 0.2),
          Map.entry(0, 0.0));

  private final Key key;
  private final Palette palette;
  private final List<Chord> row;

  /** Suggestions for a row of chords in a key, in the colours of a style. */
  public NextChord(Key key, Style style, List<Chord> row) {
    this.key = key;
    this.palette = new Palette(key, style.chords().colours());
    this.row = List.copyOf(row);
  }

  /** What may follow the chord at an index, best first, at most ten. */
  public List<ChordSuggestion> after(int index) {
    Chord here = row.get(index);
    Optional<Chord> next =
        row.size() > 1 ? Optional.of(row.get((index + 1) % row.size())) : Optional.empty();
    Map<Chord, Scored> found = new LinkedHashMap<>();
    for (int degree = 1; degree <= 7; degree++) {
      add(found, inKey(here, palette.on(degree).get(0), degree));
    }
    borrowed().forEach((chord, why) -> add(found, foreign(here, chord, why)));
    next.filter(chord -> !chord.equals(here)).ifPresent(goal -> addPassing(found, here, goal));
    found.remove(here);
    return found.values().stream()
        .sorted(Comparator.comparingDouble(Scored::score).reversed())
        .limit(MOST)
        .map(Scored::suggestion)
        .toList();
  }

  private static void add(Map<Chord, Scored> found, Scored scored) {
    found.merge(
        scored.suggestion.chord(), scored, (old, other) -> old.score >= other.score ? old : other);
  }

  private Scored inKey(Chord here, Chord chord, int degree) {
    double score = 2 + weight(here, chord);
    return scored(here, chord, function(degree), motion(here, chord), false, score);
  }

  private Scored foreign(Chord here, Chord chord, String why) {
    return scored(here, chord, "borrowed", why, false, 0.6 + weight(here, chord));
  }

  private void addPassing(Map<Chord, Scored> found, Chord here, Chord goal) {
    Chord dominant = Chord.of(up(goal, "5"), ChordQuality.parse("7"));
    add(
        found,
        passing(here, goal, dominant, "The dominant of " + goal + ": it falls a fifth into it."));
    Chord below = Chord.of(up(goal, "7"), ChordQuality.parse("dim7"));
    add(
        found,
        passing(here, goal, below, "A semitone below " + goal + ", every note leads into it."));
    Chord above = Chord.of(up(goal, "b2"), ChordQuality.parse("7"));
    add(
        found,
        passing(here, goal, above, "A semitone above " + goal + ": it slides down into it."));
    int rise = Math.floorMod(goal.root().pitchClass() - here.root().pitchClass(), 12);
    if (rise == 3 || rise == 4 || rise == 8 || rise == 9) {
      palette.on(between(here, goal)).stream()
          .findFirst()
          .ifPresent(
              step ->
                  add(
                      found,
                      passing(
                          here, goal, step, "The step between " + here + " and " + goal + ".")));
    }
  }

  /** The degree whose root lies between two roots a third apart. */
  private int between(Chord here, Chord goal) {
    int from = RomanNumeral.of(here, key).degree();
    int to = RomanNumeral.of(goal, key).degree();
    boolean up = Math.floorMod(to - from, 7) == 2;
    return Math.floorMod(from - 1 + (up ? 1 : -1), 7) + 1;
  }

  private static NoteName up(Chord chord, String degree) {
    return chord.root().plus(Interval.ofDegree(degree)).simplest();
  }

  private Scored passing(Chord here, Chord goal, Chord chord, String why) {
    double smooth =
        (VoiceLeading.smallest(here, chord) + VoiceLeading.smallest(chord, goal)) * 0.12;
    return scored(here, chord, "passing to " + goal, why, true, 3.4 - smooth);
  }

  private static Scored scored(
      Chord here, Chord chord, String function, String why, boolean passing, double score) {
    int held = VoiceLeading.commonTones(here, chord);
    int movement = VoiceLeading.smallest(here, chord);
    return new Scored(new ChordSuggestion(chord, function, why, held, movement, passing), score);
  }

  private double weight(Chord here, Chord chord) {
    int rise = Math.floorMod(chord.root().pitchClass() - here.root().pitchClass(), 12);
    long used = row.stream().filter(c -> c.root().equals(chord.root())).count();
    return ROOT_MOVES.get(rise) - 0.15 * VoiceLeading.smallest(here, chord) - 0.6 * used;
  }

  private static String function(int degree) {
    return switch (degree) {
      case 1 -> "home";
      case 3, 6 -> "near home";
      case 2, 4 -> "moves away";
      default -> "pulls home";
    };
  }

  private static String motion(Chord here, Chord chord) {
    int rise = Math.floorMod(chord.root().pitchClass() - here.root().pitchClass(), 12);
    int held = VoiceLeading.commonTones(here, chord);
    String notes = held == 1 ? "one note stays" : held + " notes stay";
    return switch (rise) {
      case 5 -> "The root falls a fifth, the strongest move there is; " + notes + ".";
      case 7 -> "The root falls a fourth, which opens rather than closes; " + notes + ".";
      case 1, 2 -> "The root rises a step; " + notes + ".";
      case 10, 11 -> "The root falls a step; " + notes + ".";
      case 8, 9 -> "The root falls a third and most of the chord stays: " + notes + ".";
      case 3, 4 -> "The root rises a third, a change of light; " + notes + ".";
      default -> "The root leaps as far as it can; " + notes + ".";
    };
  }

  private Map<Chord, String> borrowed() {
    Map<Chord, String> out = new LinkedHashMap<>();
    Key other = new Key(key.tonic(), key.minor() ? Scale.MAJOR : Scale.MINOR);
    Palette lent = new Palette(other, palette.colours());
    if (key.minor()) {
      out.put(
          lent.on(4).get(0), "The major four of " + other + " lifts the sixth: a moment of light.");
      out.put(
          Chord.of(key.degree(5).simplest(), ChordQuality.parse("7")),
          "The five with a raised seventh pulls back to " + key.tonic() + ".");
    } else {
      out.put(lent.on(4).get(0), "The minor four of " + other + " lets the sixth sink: a sigh.");
      out.put(lent.on(6).get(0), "The flat six of " + other + ": dark and wide.");
      out.put(lent.on(7).get(0), "The flat seven of " + other + ", softer than the five.");
    }
    out.put(
        Chord.of(key.tonic().plus(Interval.ofDegree("b2")).simplest(), ChordQuality.parse("maj7")),
        "A chord a semitone above home: a borrowed darkness.");
    out.keySet().removeIf(palette::inside);
    return out;
  }

  private record Scored(ChordSuggestion suggestion, double score) {}
}
