package westtide.song;

/**
 * One way a part plays, such as groove A or the fill.
 *
 * @param name what cells call it by
 * @param pattern what is played
 */
public record Variant(String name, Pattern pattern) {
  /** The same name for another pattern. */
  public Variant withPattern(Pattern other) {
    return new Variant(name, other);
  }
}
