package westtide.song.form;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import westtide.song.drum.LaneId;
import westtide.song.id.PartId;
import westtide.song.mix.Range;

/**
 * What announces or lands a bar, most often the first of a section. The score makes notes, silences
 * and movements of it, so that it is the same in preview, stems and MIDI.
 *
 * @param kind what happens
 * @param beats how long, 1 to 32; 0 to the end of the bar or section where the kind allows it
 * @param depth how far it goes, 10 to 100 %: how silent, how loud, how closed
 * @param parts which parts it is for; empty for those the kind usually takes
 * @param lanes which lanes of the drums fall out; empty for all of them
 */
public record Transition(
    TransitionKind kind, int beats, int depth, Set<PartId> parts, Set<LaneId> lanes) {
  /** The longest transition, in beats. */
  public static final int MOST_BEATS = 32;

  private static final int WHOLE = 100;
  private static final int LEAST_DEPTH = 10;
  private static final Pattern WORD =
      Pattern.compile("([a-z][a-z-]*)(?::(\\d{1,2}))?(?::(\\d{1,3})%?)?");

  /** Copies the sets and checks the ranges. */
  public Transition {
    if (beats < kind.least() || beats > MOST_BEATS) {
      throw new IllegalArgumentException(
          kind + " lasts " + kind.least() + " to " + MOST_BEATS + " beats, but was " + beats);
    }
    Range.check("the depth of a transition", depth, LEAST_DEPTH, WHOLE, "%");
    parts = Collections.unmodifiableSet(new LinkedHashSet<>(parts));
    lanes = Collections.unmodifiableSet(new LinkedHashSet<>(lanes));
  }

  /** A transition as long and as deep as it usually is. */
  public static Transition of(TransitionKind kind) {
    return of(kind, kind.usual());
  }

  /** A transition of so many beats. */
  public static Transition of(TransitionKind kind, int beats) {
    return new Transition(kind, beats, WHOLE, Set.of(), Set.of());
  }

  /** The same lasting another number of beats, held inside what its kind allows. */
  public Transition withBeats(int other) {
    int held = Math.max(kind.least(), Math.min(MOST_BEATS, other));
    return new Transition(kind, held, depth, parts, lanes);
  }

  /** The same going further or less far, in percent, held inside 10 to 100. */
  public Transition withDepth(int percent) {
    int held = Math.max(LEAST_DEPTH, Math.min(WHOLE, percent));
    return new Transition(kind, beats, held, parts, lanes);
  }

  /** The same for other parts; none for those the kind usually takes. */
  public Transition withParts(Set<PartId> other) {
    return new Transition(kind, beats, depth, other, lanes);
  }

  /** The same for other lanes of the drums; none for all. */
  public Transition withLanes(Set<LaneId> other) {
    return new Transition(kind, beats, depth, parts, other);
  }

  /** The same without a part that is no longer there. */
  Transition without(PartId part) {
    Set<PartId> left = new LinkedHashSet<>(parts);
    left.remove(part);
    return left.size() == parts.size() ? this : withParts(left);
  }

  /** The word it is typed by, with its beats and depth where those are not the usual ones. */
  public String word() {
    if (depth != WHOLE) {
      return kind.word() + ":" + beats + ":" + depth;
    }
    return beats == kind.usual() ? kind.word() : kind.word() + ":" + beats;
  }

  /** The words transitions are typed by. */
  public static String words() {
    return Arrays.stream(TransitionKind.values())
            .map(TransitionKind::word)
            .collect(Collectors.joining(", "))
        + " or none, with beats such as riser:8 or bars such as gap 2";
  }

  /**
   * The transition of a word, such as {@code "stop"}, {@code "riser:8"} or {@code "open:16:60"}.
   */
  public static Optional<Transition> parse(String word) {
    Matcher matcher = WORD.matcher(word.strip().toLowerCase(Locale.ROOT));
    if (!matcher.matches()) {
      return Optional.empty();
    }
    Optional<TransitionKind> kind = TransitionKind.find(matcher.group(1));
    int beats = number(matcher.group(2), kind.map(TransitionKind::usual).orElse(1));
    int depth = number(matcher.group(3), WHOLE);
    boolean fits = depth >= LEAST_DEPTH && depth <= WHOLE && beats <= MOST_BEATS;
    return kind.filter(k -> fits && beats >= k.least())
        .map(k -> new Transition(k, beats, depth, Set.of(), Set.of()));
  }

  private static int number(String text, int usual) {
    return text == null ? usual : Integer.parseInt(text);
  }

  /** What it is, with its length: {@code "riser over 8 beats"}. */
  @Override
  public String toString() {
    String chosen = parts.isEmpty() && lanes.isEmpty() ? "" : ", chosen " + whatIsChosen();
    String far = depth == WHOLE ? "" : ", " + depth + " %";
    return length() + chosen + far;
  }

  private String whatIsChosen() {
    return parts.isEmpty()
        ? lanes.stream().map(LaneId::toString).collect(Collectors.joining(" and "))
        : parts.size() == 1 ? "part" : parts.size() + " parts";
  }

  private String length() {
    return switch (kind.told()) {
      case UNTOLD -> kind.toString();
      case LAST -> kind + " for the last " + counted();
      case LATE -> "enters " + counted() + " late";
      case HELD -> "the last " + counted() + " held";
      case OVER -> kind + " over " + article();
      case TO_END_OF_BAR -> kind + (beats == 0 ? ", to the end of the bar" : " for " + article());
      case TO_END -> beats == 0 ? kind + " to the end" : kind + " over " + counted();
    };
  }

  private String article() {
    return beats == 1 ? "a beat" : counted();
  }

  private String counted() {
    return beats == 1 ? "beat" : beats + " beats";
  }

  /** One of each kind and choice of parts at most, the last counting. */
  static List<Transition> one(List<Transition> transitions) {
    Map<List<Object>, Transition> kinds = new LinkedHashMap<>();
    transitions.forEach(one -> kinds.put(List.of(one.kind(), one.parts()), one));
    return List.copyOf(kinds.values());
  }
}
