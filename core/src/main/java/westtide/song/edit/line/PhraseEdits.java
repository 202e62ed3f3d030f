package westtide.song.edit.line;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;

/**
 * Edits that make a phrase of a line.
 *
 * @param part the part's id
 * @param pattern the pattern's name
 */
public record PhraseEdits(PartId part, String pattern) {
  /** How a phrase goes on from its motif. */
  public enum Plan {
    CLOSED("a a′ a b", "MOTIF LAST MOTIF ANSWER"),
    RONDO("a b a c", "MOTIF ANSWER MOTIF LOWER"),
    SONG("a a b a′", "MOTIF MOTIF ANSWER LAST"),
    OPEN("a – a b", "MOTIF REST MOTIF ANSWER"),
    RISING("a a+ a a′", "MOTIF HIGHER MOTIF LAST");

    private final String title;
    private final List<PhraseUnit> units;

    Plan(String title, String units) {
      this.title = title;
      List<PhraseUnit> out = new ArrayList<>();
      for (String unit : units.split(" ")) {
        out.add(PhraseUnit.of(PhraseUnit.Change.valueOf(unit)));
      }
      this.units = List.copyOf(out);
    }

    /** The units of the phrase. */
    public List<PhraseUnit> units() {
      return units;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /**
   * Makes a phrase of the first bars of what is written.
   *
   * @param unitBars bars of the motif, 1, 2 or 4
   */
  public Edit plan(Plan plan, int unitBars) {
    return Edit.named(
        song -> "Phrase " + plan + " from " + unitBars + " bars, " + name(song),
        song ->
            song.withPart(
                part,
                p -> {
                  NamedPattern old = p.pattern(pattern);
                  return p.with(old.withPattern(planned(song, old.pattern(), plan, unitBars)));
                }));
  }

  private static Pattern planned(Song song, Pattern old, Plan plan, int unitBars) {
    Meter meter = song.brief().meter();
    List<Note> notes =
        old instanceof Pattern.Written line
            ? line.notes()
            : old instanceof Pattern.Phrase phrase
                ? phrase.written(song.brief().key(), meter).notes()
                : List.of();
    int end = unitBars * meter.ticksPerBar();
    List<Note> motif =
        notes.stream()
            .filter(note -> note.start() < end)
            .map(note -> note.withTicks(Math.min(note.ticks(), end - note.start())))
            .toList();
    return new Pattern.Phrase(unitBars, motif, plan.units());
  }

  /** Lets a unit, counted from 0, make something else of the motif; what was its own goes. */
  public Edit unit(int index, PhraseUnit.Change change) {
    return Edit.named(
        song -> "Unit " + (index + 1) + " of the phrase: " + change + ", " + name(song),
        song -> song.withPart(part, p -> changed(p, index, change)));
  }

  private Part changed(Part p, int index, PhraseUnit.Change change) {
    NamedPattern old = p.pattern(pattern);
    if (!(old.pattern() instanceof Pattern.Phrase phrase) || index >= phrase.units().size()) {
      return p;
    }
    List<PhraseUnit> units = new ArrayList<>(phrase.units());
    units.set(index, PhraseUnit.of(change));
    return p.with(old.withPattern(new Pattern.Phrase(phrase.unitBars(), phrase.motif(), units)));
  }

  /** Lets the phrase stand as written notes of their own, no longer linked. */
  public Edit unlink() {
    return Edit.named(
        song -> "Unlink the phrase, " + name(song),
        song ->
            song.withPart(
                part,
                p -> {
                  NamedPattern old = p.pattern(pattern);
                  return old.pattern() instanceof Pattern.Phrase phrase
                      ? p.with(
                          old.withPattern(phrase.written(song.brief().key(), song.brief().meter())))
                      : p;
                }));
  }

  private String name(Song song) {
    return song.part(part).map(Part::name).orElse("a part");
  }
}
