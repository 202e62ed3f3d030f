package westtide.style;

import java.util.Optional;
import java.util.Random;
import westtide.rhythm.Figure;
import westtide.song.id.PartId;
import westtide.song.pattern.LowLine;

/**
 * The grammar by which a low part of a style speaks.
 *
 * @param rhythm where its notes start
 * @param pitches which notes it goes to
 * @param pickUp how it leads into the next bass
 * @param phraseBars bars of a phrase: 1, 2 or 4
 * @param rest share of each note's time left free, from and to, in percent
 * @param shaped whether velocities follow the beat
 * @param slides whether it slides at the end of a phrase
 */
public record LowHabit(
    LowLine.Rhythm rhythm,
    LowLine.Pitches pitches,
    LowLine.PickUp pickUp,
    int phraseBars,
    Span rest,
    boolean shaped,
    boolean slides) {
  /** The grammar of a rule. */
  public static LowHabit of(LowLine rule) {
    return new LowHabit(
        rule.rhythm(),
        rule.pitches(),
        rule.pickUp(),
        rule.phraseBars(),
        new Span(rule.rest(), rule.rest(), rule.rest()),
        rule.shaped(),
        rule.slides());
  }

  /**
   * A low line in this grammar, its rests and changes drawn.
   *
   * @param beside the part it listens to where the grammar listens to one
   */
  public LowLine draw(Figure figure, PartId beside, int lowest, Random random) {
    int more = (int) (rest.high() - rest.low()) / 5;
    int share = (int) rest.low() + 5 * random.nextInt(more + 1);
    return new LowLine(
        rhythm,
        figure,
        Optional.of(beside).filter(part -> rhythm.borrowed()),
        pitches,
        pickUp,
        phraseBars,
        share,
        shaped,
        slides,
        lowest,
        1 + random.nextInt(9999));
  }
}
