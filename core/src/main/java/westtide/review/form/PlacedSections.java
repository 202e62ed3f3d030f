package westtide.review.form;

import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;

/**
 * The sections of a song where they stand, with how full they are. Places are counted from 0.
 *
 * @param song the song
 * @param energy its energy
 */
record PlacedSections(Song song, Energy energy) {
  Form form() {
    return song.form();
  }

  int count() {
    return form().sections().size();
  }

  Section at(int place) {
    return form().sections().get(place);
  }

  SectionKind kind(int place) {
    return at(place).word().kind();
  }

  /** The mean energy of a section. */
  double mean(int place) {
    return energy.mean(form().startBar(place), at(place).bars());
  }

  /** Its bars in words, such as {@code "bars 9–24"}. */
  String bars(int place) {
    int first = form().startBar(place) + 1;
    return "bars " + first + "–" + (first + at(place).bars() - 1);
  }

  /** The bars of a section at which some part changes, its first and the one after it included. */
  SortedSet<Integer> partChanges(int place) {
    SortedSet<Integer> changes = new TreeSet<>(List.of(0, at(place).bars()));
    for (Part part : song.parts()) {
      at(place).cells(part.id()).forEach(cell -> changes.add(cell.fromBar()));
    }
    return changes;
  }

  /** Whether a part enters with a section: out in the last bar before it, in on its first beat. */
  boolean enters(Part part, int place) {
    Section before = at(place - 1);
    boolean was = before.cell(part.id(), before.bars() - 1).level() != Level.OUT;
    return !was && at(place).cell(part.id(), 0).level() != Level.OUT;
  }

  /** How many parts enter with a section. */
  long entering(int place) {
    return song.parts().stream().filter(part -> enters(part, place)).count();
  }

  /** A finding of the form that is worth a note. */
  static Finding note(FindingId id, String title, String where, String why, Optional<Fix> fix) {
    return new Finding(id, Severity.NOTE, title, where, why, fix);
  }
}
