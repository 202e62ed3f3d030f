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
import westtide.song.form.TransitionEffect.Fill;
import westtide.song.form.TransitionEffect.Held;
import westtide.song.form.TransitionEffect.Run;
import westtide.song.form.TransitionEffect.Silence;
import westtide.song.form.TransitionEffect.Sound;
import westtide.song.form.TransitionEffect.StopOnBackbeat;
import westtide.song.form.TransitionEffect.Sweep;
import westtide.song.form.TransitionEffect.Who;
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
public record Transition(Kind kind, int beats, int depth, Set<PartId> parts, Set<LaneId> lanes) {
  /** The longest transition, in beats. */
  public static final int MOST_BEATS = 32;

  private static final int WHOLE = 100;
  private static final int LEAST_DEPTH = 10;
  private static final Pattern WORD =
      Pattern.compile("([a-z][a-z-]*)(?::(\\d{1,2}))?(?::(\\d{1,3})%?)?");

  /** Where a transition lies. */
  public enum Place {
    /** Up to the bar. */
    BEFORE,
    /** From the bar on. */
    AFTER
  }

  /** What a song must have for a transition to be heard. */
  public enum Need {
    NOTHING,
    /** A part of drums. */
    DRUMS,
    /** Drums that play before the boundary. */
    DRUMS_BEFORE,
    /** A snare or clap behind it. */
    BACKBEAT,
    /** An 808 that plays before it. */
    SUB_BEFORE,
    /** A bass on one side of it, or an 808 instead. */
    BASS_NEAR,
    /** A line that plays before it. */
    LINE_BEFORE
  }

  /** The sign a transition is drawn as. */
  public enum Sign {
    /** Something is not there. */
    HOLLOW,
    /** Nothing sounds. */
    BLOCK,
    /** Nothing sounds after the first stroke. */
    BLOCK_AFTER,
    HELD,
    STROKES,
    BURST,
    BURST_BACK,
    RISING,
    FALLING,
    STAIRS,
    OPENING,
    CLOSING
  }

  /** How the length of a transition is told. */
  public enum Length {
    UNTOLD,
    LAST,
    LATE,
    HELD,
    OVER,
    TO_END_OF_BAR,
    TO_END
  }

  /** The kinds of transition: all there is to say of each. */
  public enum Kind {
    DRUMS_OUT(
        "drums-out",
        "drums out",
        Place.BEFORE,
        1,
        1,
        new Silence(Who.DRUMS),
        Need.DRUMS_BEFORE,
        Sign.HOLLOW,
        Length.LAST),
    STOP(
        "stop",
        "everything stops",
        Place.BEFORE,
        1,
        1,
        new Silence(Who.ALL),
        Need.NOTHING,
        Sign.BLOCK,
        Length.LAST),
    SNARE_STOP(
        "snare-stop",
        "all stop on the first snare",
        Place.AFTER,
        1,
        0,
        new StopOnBackbeat(),
        Need.BACKBEAT,
        Sign.BLOCK_AFTER,
        Length.TO_END_OF_BAR),
    GAP(
        "gap",
        "gap of the low end and drums",
        Place.BEFORE,
        8,
        1,
        new Silence(Who.LOW_END_AND_DRUMS),
        Need.NOTHING,
        Sign.HOLLOW,
        Length.OVER),
    LATE(
        "late",
        "enters late",
        Place.AFTER,
        2,
        1,
        new Silence(Who.MAIN_PART),
        Need.NOTHING,
        Sign.HOLLOW,
        Length.LATE),
    HOLD("hold", "held", Place.BEFORE, 8, 1, new Held(), Need.NOTHING, Sign.HELD, Length.HELD),
    FILL(
        "fill",
        "snare fill",
        Place.BEFORE,
        2,
        1,
        new Fill(Fill.Figure.SNARE),
        Need.DRUMS,
        Sign.STROKES,
        Length.OVER),
    TOM_FILL(
        "toms",
        "tom fill",
        Place.BEFORE,
        2,
        1,
        new Fill(Fill.Figure.TOMS),
        Need.DRUMS,
        Sign.STROKES,
        Length.OVER),
    HAT_FILL(
        "hat-roll",
        "hat roll",
        Place.BEFORE,
        1,
        1,
        new Fill(Fill.Figure.HATS),
        Need.DRUMS_BEFORE,
        Sign.STROKES,
        Length.OVER),
    KICKLESS(
        "kickless",
        "fill without kick",
        Place.BEFORE,
        2,
        1,
        new Fill(Fill.Figure.WITHOUT_KICK),
        Need.DRUMS_BEFORE,
        Sign.STROKES,
        Length.OVER),
    SNARE_BUILD(
        "build",
        "snare build 1/4 to 1/16",
        Place.BEFORE,
        16,
        2,
        new Fill(Fill.Figure.BUILD),
        Need.DRUMS,
        Sign.STROKES,
        Length.OVER),
    COUNT(
        "count",
        "stick count",
        Place.BEFORE,
        4,
        1,
        new Fill(Fill.Figure.STICKS),
        Need.DRUMS,
        Sign.STROKES,
        Length.UNTOLD),
    CRASH(
        "crash",
        "crash on the one",
        Place.AFTER,
        4,
        1,
        new Sound("crash", 69, true),
        Need.NOTHING,
        Sign.BURST,
        Length.UNTOLD),
    REVERSE(
        "reverse",
        "reversed crash",
        Place.BEFORE,
        4,
        1,
        new Sound("reversed crash", 67, false),
        Need.NOTHING,
        Sign.BURST_BACK,
        Length.OVER),
    RISER(
        "riser",
        "riser",
        Place.BEFORE,
        8,
        1,
        new Sound("riser", 60, false),
        Need.NOTHING,
        Sign.RISING,
        Length.OVER),
    SWEEP(
        "sweep",
        "sweep down",
        Place.AFTER,
        4,
        1,
        new Sound("sweep down", 62, false),
        Need.NOTHING,
        Sign.FALLING,
        Length.OVER),
    IMPACT(
        "impact",
        "impact",
        Place.AFTER,
        4,
        1,
        new Sound("impact", 64, false),
        Need.NOTHING,
        Sign.BURST,
        Length.UNTOLD),
    BASS_RUN(
        "run",
        "bass run",
        Place.BEFORE,
        2,
        1,
        new Run(Run.Way.BASS),
        Need.BASS_NEAR,
        Sign.STAIRS,
        Length.OVER),
    LINE_RUN(
        "line-run",
        "line run",
        Place.BEFORE,
        2,
        1,
        new Run(Run.Way.LINE),
        Need.LINE_BEFORE,
        Sign.STAIRS,
        Length.OVER),
    RAMP(
        "ramp",
        "808 ramp",
        Place.BEFORE,
        2,
        1,
        new Run(Run.Way.RAMP),
        Need.SUB_BEFORE,
        Sign.STAIRS,
        Length.OVER),
    TAIL(
        "tail",
        "tail at the tempo",
        Place.AFTER,
        4,
        1,
        new Run(Run.Way.TAIL),
        Need.LINE_BEFORE,
        Sign.FALLING,
        Length.OVER),
    OPEN(
        "open",
        "low-pass opens",
        Place.BEFORE,
        16,
        1,
        new Sweep(Sweep.Way.OPENING),
        Need.NOTHING,
        Sign.OPENING,
        Length.OVER),
    CLOSE(
        "close",
        "low-pass closes",
        Place.BEFORE,
        8,
        1,
        new Sweep(Sweep.Way.CLOSING),
        Need.NOTHING,
        Sign.CLOSING,
        Length.OVER),
    FADE(
        "fade",
        "fade out",
        Place.AFTER,
        0,
        0,
        new Sweep(Sweep.Way.FADING),
        Need.NOTHING,
        Sign.FALLING,
        Length.TO_END);

    private final String word;
    private final String title;
    private final Place place;
    private final int usual;
    private final int least;
    private final TransitionEffect effect;
    private final Need need;
    private final Sign sign;
    private final Length told;

    Kind(
        String word,
        String title,
        Place place,
        int usual,
        int least,
        TransitionEffect effect,
        Need need,
        Sign sign,
        Length told) {
      this.word = word;
      this.title = title;
      this.place = place;
      this.usual = usual;
      this.least = least;
      this.effect = effect;
      this.need = need;
      this.sign = sign;
      this.told = told;
    }

    /** What it does. */
    public TransitionEffect effect() {
      return effect;
    }

    /** What the song must have for it. */
    public Need need() {
      return need;
    }

    /** How it is drawn. */
    public Sign sign() {
      return sign;
    }

    /** Whether some lanes of the drums alone can fall out of it. */
    public boolean takesLanes() {
      return effect instanceof Silence silence
          && (silence.who() == Who.DRUMS || silence.who() == Who.LOW_END_AND_DRUMS);
    }

    /** The word it is typed by. */
    public String word() {
      return word;
    }

    /** Where it lies. */
    public Place place() {
      return place;
    }

    /** How many beats it usually lasts. */
    public int usual() {
      return usual;
    }

    /** The fewest beats; 0 where it can last to the end of the bar or section. */
    public int least() {
      return least;
    }

    /** The kind of a typed word. */
    public static Optional<Kind> find(String word) {
      return Arrays.stream(values()).filter(kind -> kind.word.equals(word)).findFirst();
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Copies the sets and checks the ranges. */
  public Transition {
    if (beats < kind.least || beats > MOST_BEATS) {
      throw new IllegalArgumentException(
          kind.title + " lasts " + kind.least + " to " + MOST_BEATS + " beats, but was " + beats);
    }
    Range.check("the depth of a transition", depth, LEAST_DEPTH, WHOLE, "%");
    parts = Collections.unmodifiableSet(new LinkedHashSet<>(parts));
    lanes = Collections.unmodifiableSet(new LinkedHashSet<>(lanes));
  }

  /** A transition as long and as deep as it usually is. */
  public static Transition of(Kind kind) {
    return of(kind, kind.usual);
  }

  /** A transition of so many beats. */
  public static Transition of(Kind kind, int beats) {
    return new Transition(kind, beats, WHOLE, Set.of(), Set.of());
  }

  /** The same lasting another number of beats, held inside what its kind allows. */
  public Transition withBeats(int other) {
    int held = Math.max(kind.least, Math.min(MOST_BEATS, other));
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
      return kind.word + ":" + beats + ":" + depth;
    }
    return beats == kind.usual ? kind.word : kind.word + ":" + beats;
  }

  /** The words transitions are typed by. */
  public static String words() {
    return Arrays.stream(Kind.values()).map(Kind::word).collect(Collectors.joining(", "))
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
    Optional<Kind> kind = Kind.find(matcher.group(1));
    int beats = number(matcher.group(2), kind.map(Kind::usual).orElse(1));
    int depth = number(matcher.group(3), WHOLE);
    boolean fits = depth >= LEAST_DEPTH && depth <= WHOLE && beats <= MOST_BEATS;
    return kind.filter(k -> fits && beats >= k.least)
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
    return switch (kind.told) {
      case UNTOLD -> kind.title;
      case LAST -> kind.title + " for the last " + counted();
      case LATE -> "enters " + counted() + " late";
      case HELD -> "the last " + counted() + " held";
      case OVER -> kind.title + " over " + article();
      case TO_END_OF_BAR ->
          kind.title + (beats == 0 ? ", to the end of the bar" : " for " + article());
      case TO_END -> beats == 0 ? kind.title + " to the end" : kind.title + " over " + counted();
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
