package westtide.song.edit.part;

import java.util.List;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.line.DegreeText;
import westtide.song.mix.Patch;
import westtide.song.pattern.AttachedText;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.WrittenText;
import westtide.text.Reading;
import westtide.theory.Key;

/**
 * Typed lines put into the hooks of a song: into the part of a name, where its other sections keep
 * what they play, or into a new part of that name.
 */
public final class TypedLines {
  /** The pattern a typed line becomes. */
  public static final String PATTERN = "typed";

  private static final int LOWEST = 28;
  private static final int MIDDLE = 60;

  /** General MIDI programs, counted from 0: synth bass 1 and tubular bells. */
  private static final int SUB_PROGRAM = 38;

  private static final int BELL_PROGRAM = 14;

  private TypedLines() {}

  /** Puts a line in degrees of the key into the hooks. */
  public static Reading<Edit> line(Song song, String part, String text) {
    Key key = song.brief().key();
    int home = MIDDLE + Math.floorMod(key.tonic().pitchClass() - MIDDLE, 12);
    WrittenText degrees = new WrittenText(new DegreeText(key, home), song.brief().meter());
    return edit(part, Role.LINE, degrees.changed(new Pattern.Written(1, List.of()), text));
  }

  /** Puts a line in members of the chords heard and degrees of the key into the hooks. */
  public static Reading<Edit> low(Song song, String part, String text) {
    AttachedText chords = new AttachedText(song.brief().meter());
    return edit(part, Role.SUB, chords.changed(new Pattern.Attached(1, LOWEST, List.of()), text));
  }

  private static Reading<Edit> edit(String part, Role role, Reading<? extends Pattern> typed) {
    if (typed instanceof Reading.Problem<? extends Pattern> problem) {
      return Reading.problem(problem.column(), problem.message());
    }
    Pattern pattern = typed.orElseThrow();
    return new Reading.Understood<>(
        Edit.named(song -> "Write a line for " + part, song -> into(song, part, role, pattern)));
  }

  private static Song into(Song song, String name, Role role, Pattern pattern) {
    Optional<Part> found = find(song, name);
    if (found.isEmpty()) {
      Part blank = blank(song, role, name);
      return hooks(PartEdits.add(blank, song.form().id(0)).apply(song), blank.id(), pattern);
    }
    if (found.get().role() == Role.DRUMS) {
      throw new IllegalArgumentException(name + " is drums; type its lanes instead");
    }
    return hooks(song, found.get().id(), pattern);
  }

  private static Part blank(Song song, Role role, String name) {
    return role == Role.SUB
        ? PartEdits.blank(song, role, name, Patch.of("808"), SUB_PROGRAM)
        : PartEdits.blank(song, role, name, Patch.of("bell"), BELL_PROGRAM);
  }

  /** The part a typed name means: by its name in any case, or its id. */
  public static Optional<Part> find(Song song, String name) {
    return song.parts().stream()
        .filter(part -> part.name().equalsIgnoreCase(name) || part.id().value().equals(name))
        .findFirst();
  }

  /** The part plays the pattern through every hook, as full as it was there. */
  private static Song hooks(Song song, PartId part, Pattern pattern) {
    Song written = song.withPart(part, p -> p.with(new NamedPattern(PATTERN, pattern)));
    return written.withForm(written.form().each(section -> hook(section, part)));
  }

  private static Section hook(Section section, PartId part) {
    if (section.word().kind() != SectionKind.HOOK) {
      return section;
    }
    List<Cell> cells = section.cells().getOrDefault(part, List.of());
    boolean out = cells.stream().allMatch(cell -> cell.level() == Level.OUT);
    return cells.isEmpty() || out
        ? section.withCells(part, List.of(new Cell(0, Level.FULL, PATTERN)))
        : section.withEachCell(part, cell -> cell.withPattern(PATTERN));
  }
}
