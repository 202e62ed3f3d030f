package westtide.song.form;

/**
 * A transition at a bar of a section.
 *
 * @param bar the bar it announces or lands, from 0, the first of the section; the bars of the
 *     section stand for its end
 * @param transition what happens there
 */
public record Mark(int bar, Transition transition) {
  /** Checks the bar. */
  public Mark {
    if (bar < 0 || bar > Section.MOST_BARS) {
      throw new IllegalArgumentException("a mark is at bar 0 to 128, but was " + bar);
    }
  }

  /** The same at another bar. */
  public Mark withBar(int other) {
    return new Mark(other, transition);
  }
}
