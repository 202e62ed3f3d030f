package westtide.song.edit.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.edit.BlankPattern;
import westtide.song.edit.Edit;
import westtide.song.edit.PartNames;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.line.NoteShapes;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.Transposition;
import westtide.theory.Interval;
import westtide.theory.voicing.ChordMember;

/**
 * Edits of which parts a song has: how many, in which order, under which names, and how each stands
 * to the others.
 *
 * @param part the part's id
 */
public record PartEdits(PartId part) {
  /** How far below its model a double begins, in tenths of a dB. */
  private static final int DOUBLE_BELOW = 60;

  /** How far apart two takes stand, and how much the second strays: our own choice, by ear. */
  private static final int SIDE = 55;

  private static final int TAKE_TICKS = 14;
  private static final int TAKE_VELOCITY = 8;

  /**
   * Adds a part as the last of its role; it plays in full in one section. A name that is taken gets
   * a number.
   */
  public static Edit add(Part added, SectionId plays) {
    return Edit.of(
        "Add " + added.name(),
        song -> {
          Part fitted = added.withName(PartNames.free(song, added.name()));
          List<Part> parts = new ArrayList<>(song.parts());
          parts.add(PartNames.behindRole(song, added.role()), fitted);
          return song.withParts(
              parts, song.form().with(plays, s -> s.withCells(fitted.id(), List.of(full()))));
        });
  }

  private static Cell full() {
    return new Cell(0, Level.FULL, "");
  }

  /**
   * Adds a copy behind it that plays where it plays and goes its own way from then on; its drums
   * differ from hit to hit in a way of their own.
   */
  public Edit duplicate(PartId copy) {
    return Edit.named(
        said("Duplicate "),
        song ->
            GrooveEdits.eachLane(
                with(song, p -> p.withId(copy).withName(PartNames.free(song, p.name()))),
                copy,
                lane -> lane.feel().differs() ? reseeded(lane, copy) : lane));
  }

  /**
   * Adds the same part once more as another take, one on each side, as guitars are doubled: its
   * written notes are a little elsewhere and otherwise loud, its chords vary otherwise, its drums
   * stray in their own way.
   */
  public Edit otherTake(PartId copy) {
    return Edit.named(
        said("Another take of "),
        song -> {
          Song doubled = duplicate(copy).apply(song);
          Song apart =
              doubled
                  .withPart(part, p -> p.withMix(p.mix().withPan(-SIDE)))
                  .withPart(copy, p -> p.withMix(p.mix().withPan(SIDE)));
          return apart.withPart(
              copy, p -> p.withPatterns(p.patterns().stream().map(n -> taken(n, copy)).toList()));
        });
  }

  private static NamedPattern taken(NamedPattern named, PartId copy) {
    if (named.pattern() instanceof Pattern.Written line) {
      return named.withPattern(
          line.withNotes(
              NoteShapes.humanised(line.notes(), TAKE_TICKS, TAKE_VELOCITY, copy.seed())));
    }
    return named.withRule(
        FollowRule.Chords.class,
        rule ->
            rule.withVary(
                new FollowRule.Vary(Math.max(TAKE_VELOCITY, rule.vary().amount()), copy.seed())));
  }

  private static DrumLane reseeded(DrumLane lane, PartId part) {
    return lane.withFeel(lane.feel().withSeed(part.seed()));
  }

  /**
   * Adds a part behind it that plays exactly the same, octaves away and with members of the chords
   * left out, and stays in step until it is changed itself.
   */
  public Edit doubled(PartId copy, String name, int octaves, Set<ChordMember> without) {
    FollowRule rule = new FollowRule.Doubling(part, octaves, 0, without);
    return Edit.named(
        said("Double "),
        song ->
            with(
                song,
                p ->
                    p.withId(copy)
                        .withName(PartNames.free(song, name))
                        .withTransposition(Transposition.NONE)
                        .withMix(quieter(p.mix()))
                        .withPatterns(
                            List.of(
                                new NamedPattern(p.usual().name(), new Pattern.Following(rule))))));
  }

  private static Mix quieter(Mix mix) {
    return mix.withLevel(Math.max(Mix.SILENT, mix.level() - DOUBLE_BELOW));
  }

  /** The song with a part made from this one behind it, playing where this one plays. */
  private Song with(Song song, UnaryOperator<Part> making) {
    Part model = song.part(part).orElseThrow();
    Part made = making.apply(model);
    List<Part> parts = new ArrayList<>(song.parts());
    parts.add(parts.indexOf(model) + 1, made);
    Set<String> names =
        made.patterns().stream()
            .map(NamedPattern::name)
            .collect(java.util.stream.Collectors.toSet());
    return song.withEachForm(
        song.progressions(),
        parts,
        form ->
            form.each(
                s ->
                    s.withLike(part, made.id())
                        .withEachCell(
                            made.id(), c -> names.contains(c.pattern()) ? c : c.withPattern(""))));
  }

  /** Calls the part something else; a name that is taken gets a number. */
  public Edit rename(String name) {
    String wanted = name.strip();
    if (wanted.isEmpty()) {
      throw new IllegalArgumentException("a part needs a name, such as Plucked guitar");
    }
    return Edit.named(
        before -> "Rename " + name(before) + " to " + wanted,
        song ->
            song.withPart(
                part, p -> p.name().equals(wanted) ? p : p.withName(PartNames.free(song, wanted))));
  }

  /** Moves the part to another place in the order of parts, counted from 0. */
  public Edit move(int to) {
    return Edit.named(
        said("Move "),
        song -> {
          List<Part> parts = new ArrayList<>(song.parts());
          Part moved = song.part(part).orElseThrow();
          parts.remove(moved);
          parts.add(Math.max(0, Math.min(parts.size(), to)), moved);
          return song.withParts(parts);
        });
  }

  /**
   * Deletes the part and everything that pointed to it; parts that doubled it play what it played
   * from then on by themselves. The last part stays.
   */
  public Edit remove() {
    return Edit.named(said("Delete "), song -> song.parts().size() == 1 ? song : removed(song));
  }

  private Song removed(Song song) {
    Song free = song;
    for (Part other : song.parts()) {
      free = new PartEdits(other.id()).alone(free, Optional.of(part));
    }
    List<Part> left = free.parts().stream().filter(p -> !p.id().equals(part)).toList();
    return free.with(
        free.progressions().stream()
            .map(
                row ->
                    row.withSpans(
                        row.spans().stream()
                            .map(s -> s.withArticulation(m -> m.withWithout(part, Set.of())))
                            .toList()))
            .toList(),
        left,
        free.form().each(section -> section.without(part)));
  }

  /** Lets a part that doubles another play the same by itself, to be changed from here on. */
  public Edit standAlone() {
    return Edit.named(song -> "Unlink " + name(song), song -> alone(song, Optional.empty()));
  }

  /** The song with this part playing by itself what it doubled, of that model or of any. */
  private Song alone(Song song, Optional<PartId> of) {
    Song out = song;
    for (NamedPattern named : song.part(part).orElseThrow().patterns()) {
      Optional<FollowRule.Doubling> rule =
          named
              .rule(FollowRule.Doubling.class)
              .filter(r -> of.isEmpty() || of.get().equals(r.model()));
      if (rule.isPresent()) {
        out = new DoubledPart(part, named.name(), rule.get()).alone(out);
      }
    }
    return of.isEmpty()
        ? out
        : out.withPart(part, p -> ownRhythm(p, of.get(), song).withoutBorrowed(of.get()));
  }

  /** What borrowed the rhythm of a part keeps one of its own. */
  private static Part ownRhythm(Part part, PartId model, Song song) {
    return part.withPatterns(
        part.patterns().stream()
            .map(
                named ->
                    named
                        .rule(BorrowedRhythm.class)
                        .filter(rule -> rule.model().equals(model))
                        .map(rule -> named.withPattern(rule.alone(song.brief().meter())))
                        .orElse(named))
            .map(
                named ->
                    named.withRule(
                        LowLine.class,
                        rule ->
                            rule.hears().filter(model::equals).isPresent()
                                ? rule.withRhythm(LowLine.Rhythm.DRAWN)
                                : rule))
            .toList());
  }

  /** Marks the part as the main one, which verses keep; marked already, it is one of many again. */
  public Edit main() {
    return Edit.named(
        song ->
            song.main().filter(part::equals).isPresent()
                ? "Let no part be the main one"
                : "Make " + name(song) + " the main part",
        song ->
            song.withMain(
                song.main().filter(part::equals).isPresent()
                    ? Optional.empty()
                    : Optional.of(part)));
  }

  /** Gives the part another job; grooves stay drums, found sound stays what it is. */
  public Edit role(Role role) {
    return Edit.named(
        song -> "Make " + name(song) + " a part for " + role,
        song -> song.withPart(part, p -> p.pitched() && role.pitched() ? p.withRole(role) : p));
  }

  /** Sounds the part elsewhere than it is written, −36 to 36 semitones; velocities stay. */
  public Edit transpose(int semitones) {
    int held = Math.max(-Transposition.FARTHEST, Math.min(Transposition.FARTHEST, semitones));
    return transposition(
        "Transpose ", " by " + Interval.semitones(held), t -> t.withSemitones(held), "transpose");
  }

  /** Tunes the part by cents, −100 to 100. */
  public Edit tune(int cents) {
    int held = Math.max(-100, Math.min(100, cents));
    return transposition("Tune ", " by " + held + " cents", t -> t.withCents(held), "tune");
  }

  private Edit transposition(
      String before, String after, UnaryOperator<Transposition> change, String what) {
    return Edit.named(
        song -> before + name(song) + after,
        song ->
            song.withPart(
                part,
                p ->
                    p.role() == Role.DRUMS
                        ? p
                        : p.withTransposition(change.apply(p.transposition()))));
  }

  /** Changes how the part doubles another; where it does not nothing happens. */
  public Edit doubling(UnaryOperator<FollowRule.Doubling> change) {
    return Edit.named(
        song -> "Change how " + name(song) + " doubles",
        song -> song.withPart(part, p -> p.withRule(FollowRule.Doubling.class, change)));
  }

  private Function<Song, String> said(String verb) {
    return song -> verb + name(song);
  }

  private String name(Song song) {
    return song.part(part).map(Part::name).orElse("a part");
  }

  /**
   * A part of a role that can be added: heard with an instrument, with one pattern to begin with.
   */
  public static Part blank(Song song, Role role, String name, Patch patch, int program) {
    Pattern pattern = BlankPattern.of(song, role);
    return Part.of(
            PartNames.freeId(song, role),
            name,
            role,
            program,
            List.of(new NamedPattern("A", pattern)))
        .withPatch(patch, program);
  }
}
