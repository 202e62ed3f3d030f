package westtide.song.pattern;

import java.util.Optional;
import java.util.function.Consumer;
import westtide.rhythm.Figure;
import westtide.song.id.PartId;

/**
 * A low line by a grammar: a rhythm said in phrases, on notes of the chords heard. The first
 * downbeat of every chord is its bass; a phrase is a statement, the same with one change, an answer
 * and a turn; it leaves rests, and what leads into another bass is never that same note.
 *
 * @param rhythm where its notes start
 * @param figure the rhythm when it is drawn, with the lengths of its notes; of a length of its own
 * @param model the part whose rhythm it borrows or whose gaps it fills, where its rhythm says so
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
    Optional<PartId> model,
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
    ROLLING("rolling"),
    LOG_DRUM("log drum"),
    DRAWN("drawn"),
    PART("as another part"),
    GAPS("in the gaps of another part");

    private final String title;

    Rhythm(String title) {
      this.title = title;
    }

    /** Whether it listens to another part. */
    public boolean borrowed() {
      return this == PART || this == GAPS;
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
    WALKING("walking"),
    ANSWERS("fifths, octaves in answers"),
    PEDAL("pedal");

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
    if (rhythm.borrowed() && model.isEmpty()) {
      throw new IllegalArgumentException(
          "a rhythm " + rhythm + " needs the part it listens to, but none was named");
    }
  }

  /** Roots with the kick in phrases of four bars, a quarter of the time at rest. */
  public static LowLine of(int lowest) {
    return new LowLine(
        Rhythm.KICK,
        new Figure("x-----x---x-----"),
        Optional.empty(),
        Pitches.ROOTS,
        PickUp.STEP,
        4,
        25,
        false,
        false,
        lowest,
        1);
  }

  /** What an 808 of the plain kind plays, said in the grammar. */
  public static LowLine from(FollowRule.Bass808 rule) {
    Rhythm rhythm = rule.link() == KickLink.LOCKED ? Rhythm.KICK : Rhythm.DRAWN;
    return plain(rhythm, rule.figure(), Pitches.ROOTS, PickUp.NONE, rule.lowest());
  }

  /** What a bass of the plain kind plays, said in the grammar. */
  public static LowLine from(FollowRule.Bass rule) {
    return plain(
        Rhythm.DRAWN,
        rule.figure(),
        rule.fifths() ? Pitches.FIFTHS : Pitches.ROOTS,
        rule.pickUp() ? PickUp.STEP : PickUp.NONE,
        Math.min(60, rule.lowest()));
  }

  private static LowLine plain(
      Rhythm rhythm, Figure figure, Pitches pitches, PickUp pickUp, int lowest) {
    return new LowLine(
        rhythm, figure, Optional.empty(), pitches, pickUp, 1, 0, false, false, lowest, 1);
  }

  /** The same in another rhythm. */
  public LowLine withRhythm(Rhythm other) {
    return with(copy -> copy.rhythm = other);
  }

  /** The same in a rhythm that is drawn. */
  public LowLine withFigure(Figure drawn) {
    return with(
        copy -> {
          copy.rhythm = Rhythm.DRAWN;
          copy.figure = drawn;
        });
  }

  /** The same in the rhythm of another part, or in its gaps. */
  public LowLine listening(Rhythm other, PartId part) {
    return with(
        copy -> {
          copy.rhythm = other;
          copy.model = Optional.of(part);
        });
  }

  @Override
  public Optional<PartId> hears() {
    return model.filter(part -> rhythm.borrowed());
  }

  /** The same on other notes. */
  public LowLine withPitches(Pitches other) {
    return with(copy -> copy.pitches = other);
  }

  /** The same leading otherwise into the next bass. */
  public LowLine withPickUp(PickUp other) {
    return with(copy -> copy.pickUp = other);
  }

  /** The same in phrases of other lengths. */
  public LowLine withPhraseBars(int bars) {
    return with(copy -> copy.phraseBars = bars);
  }

  /** The same with more or less rest. */
  public LowLine withRest(int percent) {
    return with(copy -> copy.rest = percent);
  }

  /** The same with velocities shaped, or full. */
  public LowLine withShaped(boolean other) {
    return with(copy -> copy.shaped = other);
  }

  /** The same with slides, or without. */
  public LowLine withSlides(boolean other) {
    return with(copy -> copy.slides = other);
  }

  /** The same in another octave or from another note. */
  public LowLine withLowest(int midi) {
    return with(copy -> copy.lowest = midi);
  }

  /** The same with its changes drawn from another seed. */
  public LowLine withSeed(long other) {
    return with(copy -> copy.seed = other);
  }

  @Override
  public <R> R accept(Kinds<R> kinds) {
    return kinds.lowLine(this);
  }

  private LowLine with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private Rhythm rhythm;
    private Figure figure;
    private Optional<PartId> model;
    private Pitches pitches;
    private PickUp pickUp;
    private int phraseBars;
    private int rest;
    private boolean shaped;
    private boolean slides;
    private int lowest;
    private long seed;

    Copy(LowLine from) {
      rhythm = from.rhythm;
      figure = from.figure;
      model = from.model;
      pitches = from.pitches;
      pickUp = from.pickUp;
      phraseBars = from.phraseBars;
      rest = from.rest;
      shaped = from.shaped;
      slides = from.slides;
      lowest = from.lowest;
      seed = from.seed;
    }

    LowLine made() {
      return new LowLine(
          rhythm, figure, model, pitches, pickUp, phraseBars, rest, shaped, slides, lowest, seed);
    }
  }
}
