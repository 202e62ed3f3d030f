package westtide.desktop.open;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/**
 * What is chosen in the open song, for all rooms, the tide chart and the player alike.
 *
 * @param section the chosen section
 * @param progression the name of the chosen progression; empty for that of the section
 * @param part the part chosen last, of whatever role
 * @param parts the part chosen last of each role
 * @param patterns the pattern in front of each part; a part without an entry has its usual one
 * @param bar the chosen bar, counted from 0 at the start of the section; it may lie beyond its end
 *     where a pattern is longer; empty until one is chosen
 * @param notes the chosen notes or hits of the pattern in front of the chosen part; places where
 *     none is any more stand for nothing
 */
public record Selection(
    SectionId section,
    Optional<String> progression,
    PartId part,
    Map<Role, PartId> parts,
    Map<PartId, String> patterns,
    OptionalInt bar,
    Set<NotePlace> notes) {
  /** Copies the maps and the notes. */
  public Selection {
    parts = Map.copyOf(parts);
    patterns = Map.copyOf(patterns);
    notes = Set.copyOf(notes);
  }

  /**
   * What is chosen when a song is opened: its first hook, what every part plays there first, and
   * its first part.
   */
  public static Selection of(Song song) {
    SectionId hook = firstHook(song.form());
    return new Selection(
            hook,
            Optional.empty(),
            song.parts().get(0).id(),
            Map.of(),
            Map.of(),
            OptionalInt.empty(),
            Set.of())
        .withSection(song, hook);
  }

  private static SectionId firstHook(Form form) {
    return form.sections().stream()
        .filter(section -> section.word().kind() == SectionKind.HOOK)
        .findFirst()
        .orElse(form.sections().get(0))
        .id();
  }

  /**
   * The same choice kept inside what a song has; {@code place} is where the section stood, so that
   * its neighbour is chosen when it is gone.
   */
  public Selection in(Song song, int place) {
    boolean there = song.form().place(section).isPresent();
    int last = song.form().sections().size() - 1;
    SectionId stays = there ? section : song.form().id(Math.max(0, Math.min(last, place)));
    Map<Role, PartId> kept = new EnumMap<>(Role.class);
    parts.forEach(
        (role, id) ->
            song.part(id).filter(p -> p.role() == role).ifPresent(p -> kept.put(role, id)));
    Map<PartId, String> inFront = new HashMap<>();
    patterns.forEach(
        (id, name) ->
            song.part(id)
                .filter(p -> p.find(name).isPresent())
                .ifPresent(p -> inFront.put(id, name)));
    PartId chosen = song.part(part).isPresent() ? part : song.parts().get(0).id();
    Optional<String> row = progression.filter(name -> named(song, name).isPresent());
    OptionalInt same = there ? bar : OptionalInt.empty();
    return new Selection(stays, row, chosen, kept, inFront, same, notes);
  }

  /** The part chosen of a role, or the first of that role; empty when the song has none. */
  public Optional<Part> part(Song song, Role role) {
    return part(song, List.of(role));
  }

  /** The part chosen last of several roles, or the first of any of them. */
  public Optional<Part> part(Song song, List<Role> roles) {
    Optional<Part> chosen = song.part(part).filter(p -> roles.contains(p.role()));
    if (chosen.isPresent()) {
      return chosen;
    }
    for (Role role : roles) {
      if (parts.containsKey(role)) {
        return song.part(parts.get(role));
      }
    }
    return song.parts().stream().filter(p -> roles.contains(p.role())).findFirst();
  }

  /** The chosen progression: one that was chosen by itself, or that of the chosen section. */
  public Progression progression(Song song) {
    return progression
        .flatMap(name -> named(song, name))
        .orElseGet(
            () -> {
              int place = song.form().place(section).orElse(0);
              return song.progression(song.form().sections().get(place).progression());
            });
  }

  private static Optional<Progression> named(Song song, String name) {
    return song.progressions().stream().filter(row -> row.name().equals(name)).findFirst();
  }

  /** The same with another progression. */
  public Selection withProgression(String name) {
    return new Selection(section, Optional.of(name), part, parts, patterns, bar, notes);
  }

  /** The name of the pattern in front of a part. */
  public String pattern(Part of) {
    return of.pattern(patterns.getOrDefault(of.id(), "")).name();
  }

  /** The same with another section; every part puts in front what it plays there first. */
  public Selection withSection(Song song, SectionId other) {
    Map<PartId, String> playing = new HashMap<>(patterns);
    song.form()
        .place(other)
        .ifPresent(
            place -> {
              Section there = song.form().sections().get(place);
              song.parts().forEach(p -> first(there, p).ifPresent(n -> playing.put(p.id(), n)));
            });
    return new Selection(
        other, Optional.empty(), part, parts, playing, OptionalInt.empty(), Set.of());
  }

  private static Optional<String> first(Section section, Part part) {
    return section.cells(part.id()).stream()
        .filter(cell -> cell.level() != Level.OUT)
        .findFirst()
        .map(Cell::pattern)
        .map(name -> part.pattern(name).name());
  }

  /** The same with another part. */
  public Selection withPart(Part other) {
    Map<Role, PartId> more = new EnumMap<>(Role.class);
    more.putAll(parts);
    more.put(other.role(), other.id());
    Set<NotePlace> kept = other.id().equals(part) ? notes : Set.of();
    return new Selection(section, progression, other.id(), more, patterns, bar, kept);
  }

  /** The same with another pattern in front of a part. */
  public Selection withPattern(PartId of, String name) {
    Map<PartId, String> more = new HashMap<>(patterns);
    more.put(of, name);
    return new Selection(section, progression, part, parts, more, bar, Set.of());
  }

  /** The same with another bar, counted from 0 at the start of the section. */
  public Selection withBar(int other) {
    OptionalInt chosen = OptionalInt.of(Math.max(0, other));
    return new Selection(section, progression, part, parts, patterns, chosen, notes);
  }

  /** The same with other notes. */
  public Selection withNotes(Set<NotePlace> other) {
    return new Selection(section, progression, part, parts, patterns, bar, other);
  }
}
