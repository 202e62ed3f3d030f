package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import westtide.desktop.open.SongView;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Section;
import westtide.song.id.SectionId;

/**
 * What the pages below the tanks are about.
 *
 * @param view the open song
 * @param place the place of the selected section, from 0
 * @param part the selected part
 * @param tank the selected tank, which the pages show
 * @param tanks all that are chosen, which the pages change
 * @param sign the chosen sign, if one is chosen
 */
record FormScene(
    SongView view,
    int place,
    Part part,
    TankMark tank,
    List<TankMark> tanks,
    Optional<TankMark> sign) {
  /** Copies the tanks. */
  FormScene {
    tanks = List.copyOf(tanks);
  }

  /** The same with no sign chosen. */
  FormScene withoutSign() {
    return new FormScene(view, place, part, tank, tanks, Optional.empty());
  }

  Song song() {
    return view.song();
  }

  Section section() {
    return song().form().sections().get(place);
  }

  SectionId id() {
    return section().id();
  }

  String label() {
    return song().form().label(place);
  }

  Cell cell() {
    return section().cell(part.id(), tank.fromBar(), tank.beat());
  }

  int beats() {
    return song().brief().meter().beats();
  }
}
