package westtide.song.edit.form;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.HalfTime;
import westtide.song.edit.LinkedSections;
import westtide.song.edit.MarksPart;
import westtide.song.form.Cell;
import westtide.song.form.CellSound;
import westtide.song.form.ChordOption;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/**
 * What producers do with whole sections and their arrangement, to one of them, to every one of its
 * kind, or to all.
 *
 * @param id the section in front
 * @param scope which sections an edit of the arrangement is for
 */
public record SectionEdits(SectionId id, Scope scope) {
  /** Which sections an edit is for. */
  public enum Scope {
    THIS("this section"),
    KIND("every one of its kind"),
    ALL("all sections");

    private final String title;

    Scope(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Plays the section once more after itself, with its arrangement. */
  public Edit repeat() {
    return Edit.named(
        song -> "Repeat the " + called(song),
        song -> {
          List<Section> list = new ArrayList<>(song.form().sections());
          song.form()
              .place(id)
              .ifPresent(place -> list.add(place + 1, list.get(place).withId(SectionId.NEW)));
          return song.withForm(new Form(list));
        });
  }

  /** Plays the last hook twice. */
  public static Edit doubleLastHook() {
    return Edit.of(
        "Double the last hook",
        song -> {
          OptionalInt last = song.form().last(SectionKind.HOOK);
          return last.isPresent()
              ? new SectionEdits(song.form().id(last.getAsInt()), Scope.THIS).repeat().apply(song)
              : song;
        });
  }

  /** Makes the section half as long: its first half, with what happened near its end at the end. */
  public Edit halve() {
    return Edit.named(
        song -> "Halve the " + called(song),
        song -> changed(song, section -> halved(section, song.brief().meter())));
  }

  /** Makes the section twice as long, its arrangement played twice, an ending only once. */
  public Edit doubleLength() {
    return Edit.named(
        song -> "Double the " + called(song),
        song -> changed(song, section -> doubled(section, song.brief().meter())));
  }

  /** A section that is so many beats long is halved and doubled in beats. */
  private static Section halved(Section section, Meter meter) {
    return section.length().cut(meter)
        ? ofBeats(section, Math.max(1, section.beats(meter) / 2), meter)
        : resized(section, section.bars() / 2);
  }

  private static Section doubled(Section section, Meter meter) {
    return section.length().cut(meter)
        ? ofBeats(section, 2 * section.beats(meter), meter)
        : doubled(section);
  }

  private static Section ofBeats(Section section, int beats, Meter meter) {
    return section.withLength(BarLines.Stretch.ofBeats(beats, meter));
  }

  private static Section doubled(Section section) {
    int bars = section.bars();
    if (2 * bars > Section.MOST_BARS) {
      return section;
    }
    Map<PartId, List<Cell>> cells = new LinkedHashMap<>();
    for (PartId part : section.cells().keySet()) {
      List<Cell> inside = section.cells(part);
      List<Cell> out = new ArrayList<>();
      inside.stream().filter(cell -> !section.ending(cell.fromBar())).forEach(out::add);
      inside.forEach(cell -> out.add(cell.withFromBar(cell.fromBar() + bars)));
      cells.put(part, merged(out));
    }
    Section out = section.withBars(2 * bars);
    for (Map.Entry<PartId, List<Cell>> part : cells.entrySet()) {
      out = out.withCells(part.getKey(), part.getValue());
    }
    return out;
  }

  private static Section resized(Section section, int bars) {
    return bars < 1 ? section : section.withBars(bars);
  }

  private static List<Cell> merged(List<Cell> cells) {
    List<Cell> out = new ArrayList<>();
    for (Cell cell : cells) {
      if (out.isEmpty() || !out.get(out.size() - 1).same(cell)) {
        out.add(cell);
      }
    }
    return out;
  }

  /**
   * Gives the section the arrangement of another: who plays what, from the start where it was near
   * the start, from the end where it was near the end.
   */
  public Edit arrangedLike(SectionId model) {
    return Edit.named(
        song -> "Arrange the " + called(song) + " like the " + called(song, model),
        song -> {
          Optional<Section> like = song.form().find(model);
          return like.isEmpty() ? song : changed(song, section -> like(section, like.get()));
        });
  }

  private static Section like(Section section, Section model) {
    Section laid = model.bars() == section.bars() ? model : resized(model, section.bars());
    Set<PartId> parts = new LinkedHashSet<>(section.cells().keySet());
    parts.addAll(section.curves().keySet());
    parts.addAll(laid.cells().keySet());
    parts.addAll(laid.curves().keySet());
    Section out = section;
    for (PartId part : parts) {
      out = out.withPartOf(laid, part);
    }
    return out;
  }

  /** Takes every drum out. */
  public Edit stripDrums() {
    return silenced("Strip the drums of ", Role.DRUMS::equals, Section.MOST_BARS);
  }

  /** Leaves every 808 out of the first so many bars. */
  public Edit withoutSub(int bars) {
    return silenced("Leave the 808 out of the first " + bars + " bars of ", Role.SUB::equals, bars);
  }

  private Edit silenced(String name, Predicate<Role> roles, int bars) {
    return Edit.named(
        song -> name + scope.title,
        song -> {
          List<PartId> parts =
              song.parts().stream().filter(part -> roles.test(part.role())).map(Part::id).toList();
          return changed(song, section -> silent(section, parts, bars));
        });
  }

  private static Section silent(Section section, List<PartId> parts, int bars) {
    Section out = section;
    for (PartId part : parts) {
      if (!section.cells().containsKey(part)) {
        continue;
      }
      List<Cell> cells = new ArrayList<>();
      cells.add(section.cell(part, 0).withLevel(Level.OUT));
      if (bars < section.bars()) {
        cells.add(section.cell(part, bars).withFromBar(bars));
        section.cells(part).stream().filter(cell -> cell.fromBar() > bars).forEach(cells::add);
      }
      out = out.withCells(part, cells);
    }
    return out;
  }

  /** Lets lines and chords of the section sound an octave lower. */
  public Edit octaveDown() {
    return Edit.named(
        song -> "An octave down in " + called(song),
        song -> changed(song, section -> sounding(section, pitched(song), SectionEdits::lower)));
  }

  private static CellSound lower(CellSound sound) {
    return sound.withOctave(Math.max(-CellSound.FARTHEST, sound.octave() - 1));
  }

  private static List<PartId> pitched(Song song) {
    return song.parts().stream()
        .filter(part -> part.role() == Role.LINE || part.role() == Role.CHORDS)
        .map(Part::id)
        .toList();
  }

  private static Section sounding(
      Section section, List<PartId> parts, UnaryOperator<CellSound> change) {
    Section out = section;
    for (PartId part : parts) {
      out = out.withEachCell(part, cell -> cell.withSound(change));
    }
    return out;
  }

  /** Lets the drums of the section play at half time: kick and backbeat twice as far apart. */
  public Edit halfTime() {
    return Edit.named(
        song -> "Half-time drums in " + called(song),
        song -> {
          Song out = song;
          for (Part part : song.parts(Role.DRUMS)) {
            out = HalfTime.of(part, out);
          }
          Song with = out;
          return changed(with, section -> HalfTime.played(section, with.parts(Role.DRUMS)));
        });
  }

  /** Lets the chords go on where the section before left them, or begin anew. */
  public Edit chordsGoOn(boolean on) {
    return Edit.named(
        song -> (on ? "Go on with the chords in " : "Begin the chords anew in ") + called(song),
        song -> changed(song, section -> section.with(ChordOption.GOES_ON, on)));
  }

  /** Holds each chord of the last bars of the section from its change on. */
  public Edit heldEnd(int bars) {
    return Edit.named(
        song -> "Hold the last " + bars + " bars of " + called(song),
        song -> {
          int beats = Math.min(Transition.MOST_BEATS, bars * song.brief().meter().beats());
          return changed(
              song,
              section -> {
                List<Transition> end = new ArrayList<>(section.at(section.bars()));
                end.add(Transition.of(TransitionKind.HOLD, beats));
                return section.withTransitions(section.bars(), end);
              });
        });
  }

  /** Keeps the section the same as another from now on: it takes that one's arrangement. */
  public Edit linkTo(SectionId model) {
    return Edit.named(
        song -> "Link the " + called(song, id) + " to the " + called(song, model),
        song -> LinkedSections.linked(song, id, model));
  }

  /** Lets the section stand alone; it stays as it is. */
  public Edit unlink() {
    return Edit.named(
        song -> "Unlink the " + called(song, id),
        song -> song.withForm(song.form().with(id, s -> s.withLink(Optional.empty()))));
  }

  /** Lets edits of the section stay with it, or reach the sections it is linked to again. */
  public Edit different(boolean different) {
    return Edit.named(
        song ->
            different
                ? "Make the " + called(song, id) + " different"
                : "Let edits of the " + called(song, id) + " reach the linked sections",
        song ->
            song.withForm(
                song.form()
                    .with(
                        id, s -> s.withLink(s.link().map(link -> link.withDifferent(different))))));
  }

  /** Lets a part do what it does in the linked sections again. */
  public Edit sameAgain(PartId part) {
    return Edit.named(
        song ->
            song.part(part).map(Part::name).orElse("A part") + " as in the linked sections again",
        song -> LinkedSections.sameAgain(song, id, part));
  }

  /** Lets the first hook and the first verse change places. */
  public static Edit swapOpening() {
    return Edit.of(
        "Swap verse first and hook first",
        song -> {
          List<Section> list = new ArrayList<>(song.form().sections());
          int hook = first(list, SectionKind.HOOK);
          int verse = first(list, SectionKind.VERSE);
          if (hook < 0 || verse < 0) {
            return song;
          }
          Section moved = list.get(hook);
          list.set(hook, list.get(verse));
          list.set(verse, moved);
          return song.withForm(new Form(list));
        });
  }

  private static int first(List<Section> list, SectionKind kind) {
    for (int i = 0; i < list.size(); i++) {
      if (list.get(i).word().kind() == kind) {
        return i;
      }
    }
    return -1;
  }

  /** Lets the sections be announced and landed like that. */
  public Edit enter(List<Transition> entry) {
    String words =
        entry.isEmpty()
            ? "nothing"
            : entry.stream().map(Transition::toString).collect(Collectors.joining(", "));
    return Edit.named(
        song -> "Enter the " + called(song) + " by " + words,
        song -> MarksPart.with(changed(song, section -> section.withEntry(entry))));
  }

  /** Gives the section a name of its own; an empty one lets it be called by its word. */
  public Edit name(String name) {
    Optional<String> own = Optional.of(name.strip()).filter(n -> !n.isEmpty());
    return Edit.of(
        own.map(n -> "Call the section " + n).orElse("Call the section by its word"),
        song -> song.withForm(song.form().with(id, section -> section.withName(own))));
  }

  private Song changed(Song song, UnaryOperator<Section> change) {
    Optional<Section> front = song.form().find(id);
    if (front.isEmpty()) {
      return song;
    }
    SectionKind kind = front.get().word().kind();
    return song.withForm(
        song.form().each(section -> meant(section, kind) ? change.apply(section) : section));
  }

  private boolean meant(Section section, SectionKind kind) {
    return switch (scope) {
      case THIS -> section.id().equals(id);
      case KIND -> section.word().kind() == kind;
      case ALL -> true;
    };
  }

  private String called(Song song) {
    return scope == Scope.THIS ? called(song, id) : scope.title;
  }

  private static String called(Song song, SectionId id) {
    return song.form().place(id).stream()
        .mapToObj(song.form()::label)
        .findFirst()
        .orElse("section");
  }
}
