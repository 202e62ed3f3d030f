package westtide.song.edit.line;

import java.util.function.UnaryOperator;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Edits of an arpeggio.
 *
 * @param part the part's id
 * @param pattern the pattern's name
 */
public record ArpeggioEdits(PartId part, String pattern) {
  private static final int FREE_PAN = 35;
  private static final int HIGHEST = 108;

  /** Lets an arpeggio take the place of what the pattern plays. */
  public Edit begin(Arpeggio rule) {
    return Edit.named(
        song -> "Arpeggio in " + pattern + ", " + name(song),
        song ->
            song.withPart(
                part, p -> p.with(new NamedPattern(pattern, new Pattern.Following(rule)))));
  }

  /** Changes the arpeggio; a pattern that is none stays. */
  public Edit change(String what, UnaryOperator<Arpeggio> change) {
    return Edit.named(
        song -> what + " of the arpeggio, " + name(song),
        song ->
            song.withPart(part, p -> p.with(p.pattern(pattern).withRule(Arpeggio.class, change))));
  }

  /**
   * Adds a second arpeggio as another part: an octave above, on the other side, so that the two
   * share neither register nor side; it plays wherever the first does.
   */
  public Edit second(PartId id) {
    return Edit.named(
        song -> "Second arpeggio beside " + name(song),
        song -> {
          Song two = new PartEdits(part).duplicate(id).apply(song);
          int pan = song.part(part).orElseThrow().mix().pan();
          int side = pan > 0 ? -FREE_PAN : FREE_PAN;
          return two.withPart(
              id,
              p -> p.withMix(p.mix().withPan(side)).withRule(Arpeggio.class, ArpeggioEdits::above));
        });
  }

  private static Arpeggio above(Arpeggio rule) {
    int lowest = rule.lowest() + 12 * rule.octaves();
    Arpeggio.Order other =
        rule.order() == Arpeggio.Order.DOWN ? Arpeggio.Order.UP : Arpeggio.Order.DOWN;
    return rule.withLowest(Math.min(HIGHEST, lowest)).withOrder(other).withSeed(rule.seed() + 1);
  }

  private String name(Song song) {
    return song.part(part).map(Part::name).orElse("a part");
  }
}
