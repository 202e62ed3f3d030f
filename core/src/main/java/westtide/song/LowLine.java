package westtide.song;

import westtide.rhythm.Figure;

/**
 * A low line by a grammar: a rhythm said in phrases, on notes of the chords heard. The first
 * downbeat of every chord is its bass; a phrase is a statement, the same with one change, an answer
 * and a turn; it leaves rests, and what leads into another bass is never that same note.
 *
 * @param rhythm where its notes start
 * @param figure the rhythm when it is drawn; of a length of its own
 * @param pitches which notes it goes to
 * @param pickUp how it leads into the next bass
 * @param phraseBars bars of a phrase: 1 for the same in every bar, 2 or 4
 * @param rest share of every note's time that is left free, 0 to 80 %
 * @param shaped whether velocities follow the beat; else all are full
 * @param slides whether it slides into the octave at the end of a phrase, and from there home
 * @param lowest MIDI note from which the octave of its basses begins, 12 to 60
 * @param seed what the changes of a phrase are drawn from
 */
public record LowLine(
    Rhythm rhythm,
    Figure figure,
    Pitches pitches,
    PickUp pickUp,
    int phraseBars,
    int rest,
    boolean shaped,
    boolean slides,
    int lowest,
    long seed)
    implements FollowRule {
  /** Where the notes of a low line start. */
  public enum Rhythm {
    KICK("with the kick"),
    ANSWER("answering the kick"),
    OFF_BEAT("off the beat"),
    EIGHTHS("eighths"),
    DRAWN("drawn");

    private final String title;

    Rhythm(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Which notes a low line goes to beside the basses. */
  public enum Pitches {
    ROOTS("roots"),
    OCTAVES("roots and octaves"),
    FIFTHS("fifths on weak beats"),
    WALKING("walking");

    private final String title;

    Pitches(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** How a low line leads into the next bass. */
  public enum PickUp {
    NONE("none"),
    STEP("by step"),
    CHROMATIC("by semitone");

    private final String title;

    PickUp(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks every range. */
  public LowLine {
    if (phraseBars != 1 && phraseBars != 2 && phraseBars != 4) {
      throw new IllegalArgumentException("a phrase has 1, 2 or 4 bars, but was " + phraseBars);
    }
    if (rest < 0 || rest > 80) {
      throw new IllegalArgumentException("a low line rests 0 to 80 %, but was " + rest);
    }
    if (lowest < 12 || lowest > 60) {
      throw new IllegalArgumentException("a low line begins at 12 to 60, but was " + lowest);
    }
  }

  /** Roots with the kick in phrases of four bars, a quarter of the time at rest. */
  public static LowLine of(int lowest) {
    return new LowLine(
        Rhythm.KICK,
        new Figure("x-----x---x-----"),
        Pitches.ROOTS,
        PickUp.STEP,
        4,
        25,
        false,
        false,
        lowest,
        1);
  }

  /** The same in another rhythm. */
  public LowLine withRhythm(Rhythm other) {
    return new LowLine(
        other, figure, pitches, pickUp, phraseBars, rest, shaped, slides, lowest, seed);
  }

  /** The same in a rhythm that is drawn. */
  public LowLine withFigure(Figure drawn) {
    return new LowLine(
        Rhythm.DRAWN, drawn, pitches, pickUp, phraseBars, rest, shaped, slides, lowest, seed);
  }

  /** The same on other notes. */
  public LowLine withPitches(Pitches other) {
    return new LowLine(
        rhythm, figure, other, pickUp, phraseBars, rest, shaped, slides, lowest, seed);
  }

  /** The same leading otherwise into the next bass. */
  public LowLine withPickUp(PickUp other) {
    return new LowLine(
        rhythm, figure, pitches, other, phraseBars, rest, shaped, slides, lowest, seed);
  }

  /** The same in phrases of other lengths. */
  public LowLine withPhraseBars(int bars) {
    return new LowLine(rhythm, figure, pitches, pickUp, bars, rest, shaped, slides, lowest, seed);
  }

  /** The same with more or less rest. */
  public LowLine withRest(int percent) {
    return new LowLine(
        rhythm, figure, pitches, pickUp, phraseBars, percent, shaped, slides, lowest, seed);
  }

  /** The same with velocities shaped, or full. */
  public LowLine withShaped(boolean other) {
    return new LowLine(
        rhythm, figure, pitches, pickUp, phraseBars, rest, other, slides, lowest, seed);
  }

  /** The same with slides, or without. */
  public LowLine withSlides(boolean other) {
    return new LowLine(
        rhythm, figure, pitches, pickUp, phraseBars, rest, shaped, other, lowest, seed);
  }

  /** The same in another octave or from another note. */
  public LowLine withLowest(int midi) {
    return new LowLine(
        rhythm, figure, pitches, pickUp, phraseBars, rest, shaped, slides, midi, seed);
  }

  /** The same with its changes drawn from another seed. */
  public LowLine withSeed(long other) {
    return new LowLine(
        rhythm, figure, pitches, pickUp, phraseBars, rest, shaped, slides, lowest, other);
  }

  @Override
  public <R> R accept(Kinds<R> kinds) {
    return kinds.lowLine(this);
  }
}
