package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Section;
import westtide.song.form.Transition;

/**
 * What is chosen on the sheet of tanks: the tank that is in front, the tanks, name, head or sign
 * that are marked, and the cursor at which a part is to do something else.
 */
final class TankChoice {
  private Optional<Song> song = Optional.empty();
  private TankMark here = new TankMark(0, 0, 0);
  private TankLayout.Place cursor = new TankLayout.Place(0, 0, 0);
  private Set<TankMark> marks = Set.of();

  /** Another song is opened: what was chosen in the one before is chosen no longer. */
  void forget() {
    song = Optional.empty();
    here = new TankMark(0, 0, 0);
    cursor = new TankLayout.Place(0, 0, 0);
    marks = Set.of();
  }

  boolean empty() {
    return song.isEmpty();
  }

  Song song() {
    return song.orElseThrow();
  }

  List<Section> sections() {
    return song().form().sections();
  }

  Meter meter() {
    return song().brief().meter();
  }

  int beats() {
    return meter().beats();
  }

  /** The tank in front: it is shown below the sheet. */
  TankMark here() {
    return here;
  }

  Section section() {
    return sections().get(here.section());
  }

  Part part() {
    return part(here);
  }

  Part part(TankMark mark) {
    return song().parts().get(mark.row());
  }

  Cell cell() {
    return cell(here);
  }

  Cell cell(TankMark mark) {
    return sections().get(mark.section()).cell(part(mark).id(), mark.fromBar(), mark.beat());
  }

  /** Where the part in front is to do something else. */
  TankLayout.Place cursor() {
    return cursor;
  }

  void cursorAt(TankLayout.Place place) {
    cursor = place;
  }

  /** The marked tanks, or the name, head or sign that is marked. */
  Set<TankMark> marks() {
    return marks;
  }

  /** The marked tanks, or the one in front. */
  List<TankMark> tanks() {
    List<TankMark> tanks = marks.stream().filter(TankMark::isTank).toList();
    return tanks.isEmpty() ? List.of(here) : tanks;
  }

  /** The marked sign, if one is marked. */
  Optional<TankMark> sign() {
    return marks.stream().filter(mark -> mark.is() == TankMark.Kind.SIGN).findFirst();
  }

  /** The transition a sign stands for. */
  Optional<Transition> transition(TankMark sign) {
    return sections().get(sign.section()).at(sign.fromBar()).stream()
        .filter(one -> one.kind() == sign.sign().orElseThrow())
        .findFirst();
  }

  /** The tank that is in front once these are marked: that of the last of them that was not. */
  TankMark after(Set<TankMark> marked) {
    TankMark out = here;
    for (TankMark mark : marked) {
      if (!marks.contains(mark) || marked.size() == 1) {
        out = inFront(mark, out);
      }
    }
    return out;
  }

  private static TankMark inFront(TankMark mark, TankMark before) {
    return switch (mark.is()) {
      case TANK -> mark;
      case NAME -> new TankMark(before.section(), mark.row(), 0);
      case HEAD, SIGN -> new TankMark(mark.section(), before.row(), 0);
    };
  }

  void take(TankMark inFront, Set<TankMark> marked) {
    here = inFront;
    marks = Set.copyOf(marked);
  }

  /**
   * Goes on with a song in which a section and a part are selected; what is gone is no longer
   * marked, nor anything where the form, the parts or the style are others. True when section or
   * part are others than before.
   */
  boolean follow(Song shown, int section, Part part) {
    TankMark was = here;
    boolean first = song.isEmpty();
    if (!first && !alike(song(), shown)) {
      marks = Set.of();
    }
    song = Optional.of(shown);
    int row = Math.max(0, shown.parts().indexOf(part));
    Cell cell = cell(new TankMark(section, row, was.fromBar(), was.beat()));
    here = new TankMark(section, row, cell.fromBar(), cell.beat());
    Set<TankMark> left = marks.stream().filter(this::there).collect(Collectors.toSet());
    boolean other = left.size() == 1 && left.stream().noneMatch(TankMark::isTank);
    marks = other || left.contains(here) ? left : Set.of(here);
    return first || section != was.section() || row != was.row();
  }

  /** Whether marks of one song mean the same in the other. */
  private static boolean alike(Song one, Song other) {
    return one.form() == other.form()
        || one.alternatives().sameForm(other.alternatives())
            && one.brief().style().equals(other.brief().style())
            && ids(one).equals(ids(other));
  }

  private static List<Object> ids(Song song) {
    List<Object> out = new ArrayList<>();
    song.form().sections().forEach(section -> out.add(section.id()));
    song.parts().forEach(part -> out.add(part.id()));
    return out;
  }

  private boolean there(TankMark mark) {
    boolean section = mark.section() < sections().size();
    return switch (mark.is()) {
      case NAME -> mark.row() == here.row();
      case TANK -> section && mark.row() < song().parts().size();
      case HEAD -> section && mark.section() == here.section();
      case SIGN -> section && transition(mark).isPresent();
    };
  }
}
