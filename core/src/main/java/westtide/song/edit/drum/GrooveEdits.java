package westtide.song.edit.drum;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.Restart;
import westtide.song.edit.Edit;
import westtide.song.edit.PatternEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Edits of a groove as a whole, and of the grooves of its part. A groove that follows another goes
 * on following it wherever an edit leaves it as it was.
 *
 * @param part the part's id
 * @param pattern the groove's name
 */
public record GrooveEdits(PartId part, String pattern) {
  /** Changes every lane of every groove of a part, where it has any, as {@link #change} does. */
  public static Song eachLane(Song song, PartId part, UnaryOperator<DrumLane> change) {
    Song out = song;
    for (NamedPattern named : song.part(part).orElseThrow().patterns()) {
      out = new GrooveEdits(part, named.name()).change("", g -> g.each(change)).apply(out);
    }
    return out;
  }

  /** Changes the groove as it plays, worked out where it follows another. */
  public Edit change(String name, UnaryOperator<Pattern.Drums> change) {
    return change(name, (groove, meter) -> change.apply(groove));
  }

  /** As {@link #change(String, UnaryOperator)}, in the meter of the song. */
  Edit change(String name, BiFunction<Pattern.Drums, Meter, Pattern.Drums> change) {
    return Edit.of(name, song -> song.withPart(part, p -> changed(p, change, meter(song))));
  }

  /** Puts another groove in its place. */
  public Edit replace(String name, Pattern.Drums groove) {
    return change(name, old -> groove);
  }

  /** Repeats or cuts the groove to a number of bars, 1 to 16; lanes of their own length stay. */
  public Edit bars(int bars) {
    String words = bars + (bars == 1 ? " bar" : " bars");
    return change(
        "Make groove " + pattern + " " + words + " long",
        (groove, meter) -> groove.over(bars, meter));
  }

  /** Restarts lanes of their own length elsewhere. */
  public Edit restart(Restart restart) {
    return change("Restart lanes", groove -> groove.withRestart(restart));
  }

  /** Edits of it as one of the patterns of its part. */
  public PatternEdits asPattern() {
    return new PatternEdits(part, pattern);
  }

  /** Adds a groove with the lanes of this one and nothing in them, which follows none. */
  public Edit blank(String name) {
    return inPart(
        "Add empty groove " + name,
        (p, meter) ->
            p.groove(pattern, meter)
                .map(
                    groove ->
                        groove.each(lane -> lane.withLane(StepLane.empty(lane.lane().length()))))
                .map(empty -> p.with(new NamedPattern(name, empty)))
                .orElse(p));
  }

  /** Adds a groove that follows this one except where it differs. */
  public Edit grow(String name, Pattern.Drums grown) {
    return inPart(
        "Add groove " + name,
        (p, meter) ->
            p.with(
                new NamedPattern(
                    name,
                    new Pattern.Varied(pattern, grown.bars(), List.of())
                        .leadingTo(grown, p.groove(pattern, meter).orElseThrow(), meter))));
  }

  /** Lets a groove that follows another stand alone, as it is now. */
  public Edit unlink() {
    return inPart(
        "Unlink groove " + pattern,
        (p, meter) -> p.with(PatternEdits.alone(p, p.pattern(pattern), meter)));
  }

  /** Lets a groove follow its parent again wherever it differed. */
  public Edit follow() {
    return inPart(
        "Link groove " + pattern + " again",
        (p, meter) ->
            p.pattern(pattern).pattern() instanceof Pattern.Varied varied
                ? p.with(new NamedPattern(pattern, varied.withChanges(List.of())))
                : p);
  }

  private Edit inPart(String name, BiFunction<Part, Meter, Part> change) {
    return Edit.of(name, song -> song.withPart(part, p -> change.apply(p, meter(song))));
  }

  private static Meter meter(Song song) {
    return song.brief().meter();
  }

  private Part changed(
      Part p, BiFunction<Pattern.Drums, Meter, Pattern.Drums> change, Meter meter) {
    NamedPattern old = p.pattern(pattern);
    Optional<Pattern.Drums> groove = p.groove(old.name(), meter);
    if (groove.isEmpty()) {
      return p;
    }
    Pattern.Drums next = change.apply(groove.get(), meter);
    if (old.pattern() instanceof Pattern.Varied varied) {
      Pattern.Drums parent = p.groove(varied.parent(), meter).orElseThrow();
      return p.with(old.withPattern(varied.leadingTo(next, parent, meter)));
    }
    return p.with(old.withPattern(next));
  }
}
