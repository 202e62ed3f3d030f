package westtide.score.event;

/**
 * Where a note comes from.
 *
 * @param pattern the name of the pattern of its part
 * @param index of a written line the place of the note in it, of a groove the step of its lane, of
 *     a rule the place among what the rule plays over its section; counted from 0
 */
public record Source(String pattern, int index) {
  /** A note nobody asked for the source of. */
  public static final Source NONE = new Source("", 0);

  /** A note that a transition makes; it is in no pattern. */
  public static final Source TRANSITION = new Source("", -1);

  /** Whether a transition makes the note. */
  public boolean transition() {
    return index < 0;
  }
}
