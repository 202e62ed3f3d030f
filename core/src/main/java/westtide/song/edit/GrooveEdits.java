package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.song.Cell;
import westtide.song.Form;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.song.drum.Restart;

/**
 * Edits of a groove as a whole, and of the grooves of its part. A groove that follows another goes
 * on following it wherever an edit leaves it as it was.
 *
 * @param part the part's id
 * @param variant the groove's name
 */
public record GrooveEdits(String part, String variant) {
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
            "Make groove " + variant + " " + words + " long",
            (groove, meter) -> groove.over(bars, meter))
        .merging("bars " + part + variant);
  }

  /** Restarts lanes of their own length elsewhere. */
  public Edit restart(Restart restart) {
    return change("Restart lanes", groove -> groove.withRestart(restart));
  }

  /** Adds a copy of this groove under another name. */
  public Edit copyAs(String name) {
    return inPart(
        "Copy groove " + variant + " as " + name,
        (p, meter) -> p.with(new Variant(name, p.variant(variant).pattern())));
  }

  /** Adds another groove to the part, or puts it in the place of the one of this name. */
  public Edit add(Pattern.Drums groove) {
    return inPart("Add groove " + variant, (p, meter) -> p.with(new Variant(variant, groove)));
  }

  /** Adds a groove that follows this one except where it differs. */
  public Edit grow(String name, Pattern.Drums grown) {
    return inPart(
        "Add groove " + name,
        (p, meter) ->
            p.with(
                new Variant(
                    name,
                    new Pattern.Varied(variant, grown.bars(), List.of())
                        .leadingTo(grown, p.groove(variant, meter).orElseThrow(), meter))));
  }

  /** Lets a groove that follows another stand alone, as it is now. */
  public Edit unlink() {
    return inPart(
        "Let groove " + variant + " stand alone",
        (p, meter) -> p.with(alone(p, p.variant(variant), meter)));
  }

  /** Lets a groove follow its parent again wherever it differed. */
  public Edit follow() {
    return inPart(
        "Let groove " + variant + " follow again",
        (p, meter) ->
            p.variant(variant).pattern() instanceof Pattern.Varied varied
                ? p.with(new Variant(variant, varied.withChanges(List.of())))
                : p);
  }

  /**
   * Takes a groove away; grooves that followed it stand alone, cells that used it play the first.
   * The last groove stays.
   */
  public Edit drop() {
    return inPart(
        "Take groove " + variant + " away",
        (p, meter) -> p.variants().size() == 1 ? p : dropped(p, meter));
  }

  /**
   * Calls the groove by another name wherever it is used; applied, it throws {@link
   * IllegalArgumentException} when the name is empty or taken.
   */
  public Edit rename(String name) {
    return Edit.of("Call groove " + variant + " " + name, song -> renamed(song, name.strip()));
  }

  private Edit inPart(String name, BiFunction<Part, Meter, Part> change) {
    return Edit.of(name, song -> song.withPart(part, p -> change.apply(p, meter(song))));
  }

  private static Meter meter(Song song) {
    return song.brief().meter();
  }

  private Part changed(
      Part p, BiFunction<Pattern.Drums, Meter, Pattern.Drums> change, Meter meter) {
    Variant old = p.variant(variant);
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

  private Part dropped(Part p, Meter meter) {
    List<Variant> left = new ArrayList<>();
    for (Variant other : p.variants()) {
      if (!other.name().equals(variant)) {
        left.add(follows(other) ? alone(p, other, meter) : other);
      }
    }
    return p.withVariants(left);
  }

  private boolean follows(Variant other) {
    return other.pattern() instanceof Pattern.Varied varied && varied.parent().equals(variant);
  }

  private static Variant alone(Part p, Variant other, Meter meter) {
    return p.groove(other.name(), meter).map(other::withPattern).orElse(other);
  }

  private Song renamed(Song song, String name) {
    Part old = song.part(part).orElseThrow();
    if (name.isEmpty() || !name.equals(variant) && old.find(name).isPresent()) {
      throw new IllegalArgumentException(
          "a groove needs a name that no other has, but was \"" + name + "\"");
    }
    List<Variant> variants = old.variants().stream().map(v -> renamed(v, name)).toList();
    List<Section> sections =
        song.form().sections().stream().map(section -> renamed(section, name)).toList();
    return song.withPart(part, p -> p.withVariants(variants)).withForm(new Form(sections));
  }

  private Variant renamed(Variant other, String name) {
    Pattern pattern =
        follows(other) ? ((Pattern.Varied) other.pattern()).withParent(name) : other.pattern();
    return new Variant(other.name().equals(variant) ? name : other.name(), pattern);
  }

  private Section renamed(Section section, String name) {
    List<Cell> cells = section.cells().getOrDefault(part, List.of());
    return section.withCells(
        part,
        cells.stream()
            .map(c -> c.variant().equals(variant) ? new Cell(c.fromBar(), c.level(), name) : c)
            .toList());
  }
}
