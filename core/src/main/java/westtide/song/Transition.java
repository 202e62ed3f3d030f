package westtide.song;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What announces or lands a section where it meets the one before it. The score makes real notes
 * and silences of it, so that it is the same in preview, stems and MIDI.
 */
public sealed interface Transition {
  /** The longest transition, in beats. */
  int MOST_BEATS = 32;

  /** Does what fits the kind of transition. */
  <R> R accept(Kinds<R> kinds);

  /** The word it is typed by, with its length where that is not the usual one. */
  String word();

  /**
   * One answer a kind of transition, so that none is forgotten.
   *
   * @param <R> what is answered
   */
  interface Kinds<R> {
    /** For drums that fall out. */
    R drumsOut(DrumsOut transition);

    /** For everything that stops. */
    R stop(Stop transition);

    /** For everything that stops on the first snare. */
    R snareStop(SnareStop transition);

    /** For a crash on the one. */
    R crash(Crash transition);
  }

  /**
   * The drums fall out before the section.
   *
   * @param beats for how many beats, 1 to 32
   */
  record DrumsOut(int beats) implements Transition {
    private static final int USUAL = 1;

    /** Checks the length. */
    public DrumsOut {
      check(beats, 1);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.drumsOut(this);
    }

    @Override
    public String word() {
      return Transition.typed("drums-out", beats, USUAL);
    }

    @Override
    public String toString() {
      return "drums out for the last " + counted(beats);
    }
  }

  /**
   * Everything stops before the section.
   *
   * @param beats for how many beats, 1 to 32
   */
  record Stop(int beats) implements Transition {
    private static final int USUAL = 1;

    /** Checks the length. */
    public Stop {
      check(beats, 1);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.stop(this);
    }

    @Override
    public String word() {
      return Transition.typed("stop", beats, USUAL);
    }

    @Override
    public String toString() {
      return "everything stops for the last " + counted(beats);
    }
  }

  /**
   * Everything stops on the first snare of the section but that snare.
   *
   * @param beats for how many beats; 0 to the end of its bar
   */
  record SnareStop(int beats) implements Transition {
    private static final int USUAL = 1;

    /** Checks the length. */
    public SnareStop {
      check(beats, 0);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.snareStop(this);
    }

    @Override
    public String word() {
      return Transition.typed("snare-stop", beats, USUAL);
    }

    @Override
    public String toString() {
      return "all stop on the first snare"
          + (beats == 0
              ? ", to the end of the bar"
              : beats == 1 ? " for a beat" : " for " + counted(beats));
    }
  }

  /** A crash on the first beat of the section. */
  record Crash() implements Transition {
    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.crash(this);
    }

    @Override
    public String word() {
      return "crash";
    }

    @Override
    public String toString() {
      return "crash on the one";
    }
  }

  /** The words transitions are typed by. */
  static String words() {
    return "drums-out, stop, snare-stop, crash or none, with beats such as drums-out:4";
  }

  /** The transition of a word, such as {@code "stop"} or {@code "drums-out:4"}. */
  static Optional<Transition> parse(String word) {
    String[] parts = word.strip().toLowerCase(Locale.ROOT).split(":", 2);
    if (parts.length == 2 && !parts[1].matches("\\d{1,2}")) {
      return Optional.empty();
    }
    int beats = parts.length == 2 ? Integer.parseInt(parts[1]) : 1;
    boolean fits = beats <= MOST_BEATS && (beats >= 1 || parts[0].equals("snare-stop"));
    if (!fits) {
      return Optional.empty();
    }
    return switch (parts[0]) {
      case "drums-out" -> Optional.of(new DrumsOut(beats));
      case "stop" -> Optional.of(new Stop(beats));
      case "snare-stop" -> Optional.of(new SnareStop(beats));
      case "crash" -> parts.length == 1 ? Optional.of(new Crash()) : Optional.empty();
      default -> Optional.empty();
    };
  }

  /**
   * What a sentence of a style says about where sections meet; empty where it says something else.
   *
   * @param sentence such as "drums out for the last beat"
   */
  static Optional<Transition> said(String sentence) {
    String text = sentence.toLowerCase(Locale.ROOT);
    if (text.contains("first snare")) {
      return Optional.of(new SnareStop(1));
    }
    if (text.contains("drums out") || text.contains("drums fall out")) {
      return Optional.of(new DrumsOut(beats(text)));
    }
    if (text.matches(".*\\bstops?\\b.*")) {
      return Optional.of(new Stop(beats(text)));
    }
    boolean crash = Arrays.asList(text.split("[^a-z]+")).contains("crash");
    return crash && !text.contains("reversed") && !text.contains("no ")
        ? Optional.of(new Crash())
        : Optional.empty();
  }

  private static int beats(String text) {
    if (text.contains("two bars")) {
      return 8;
    }
    if (text.contains("half bar") || text.contains("half a bar")) {
      return 2;
    }
    return text.matches(".*\\b(a|last|whole) bar\\b.*") ? 4 : 1;
  }

  private static String typed(String word, int beats, int usual) {
    return beats == usual ? word : word + ":" + beats;
  }

  private static String counted(int beats) {
    return beats == 1 ? "beat" : beats + " beats";
  }

  private static void check(int beats, int least) {
    if (beats < least || beats > MOST_BEATS) {
      throw new IllegalArgumentException(
          "a transition lasts " + least + " to 32 beats, but was " + beats);
    }
  }

  /** One of each kind at most, the last of a kind counting. */
  static List<Transition> one(List<Transition> transitions) {
    Map<Class<?>, Transition> kinds = new LinkedHashMap<>();
    transitions.forEach(transition -> kinds.put(transition.getClass(), transition));
    return List.copyOf(kinds.values());
  }
}
