package westtide.desktop.room;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import westtide.desktop.play.PlayDesk;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;

/**
 * A pattern played in full, round and round, in a section that is long enough for it, whatever the
 * form has there.
 *
 * @param change the song as it is then heard
 * @param range the bars that are looped
 */
public record PatternTrial(UnaryOperator<Song> change, PlayDesk.Range range) {
  /**
   * The trial of a pattern in the selected section, or in the first that is long enough; empty
   * where none is.
   *
   * @param bars length of the pattern
   * @param selected place of the selected section
   */
  public static Optional<PatternTrial> of(
      Song song, PartId part, String pattern, int bars, int selected) {
    return place(song.form(), selected, section -> section.bars() >= bars)
        .map(
            place ->
                new PatternTrial(
                    heard -> playing(heard, place, part, new Cell(0, Level.FULL, pattern)),
                    range(song, place, bars * song.brief().meter().ticksPerBar())));
  }

  /**
   * A progression where the song plays it, as it is: in the selected section or in the first that
   * has it; empty where none does.
   *
   * @param selected place of the selected section
   */
  public static Optional<PatternTrial> of(Song song, Progression row, int selected) {
    return place(song.form(), selected, section -> section.progression().equals(row.name()))
        .map(place -> new PatternTrial(UnaryOperator.identity(), range(song, place, row.ticks())));
  }

  private static Optional<Integer> place(Form form, int selected, Predicate<Section> fits) {
    List<Section> sections = form.sections();
    return IntStream.concat(IntStream.of(selected), IntStream.range(0, sections.size()))
        .filter(i -> fits.test(sections.get(i)))
        .boxed()
        .findFirst();
  }

  private static PlayDesk.Range range(Song song, int place, int ticks) {
    PlayDesk.Range section = PlayDesk.Range.of(song, place);
    return new PlayDesk.Range(section.from(), Math.min(section.from() + ticks, section.to()));
  }

  private static Song playing(Song song, int index, PartId part, Cell cell) {
    List<Section> sections = new ArrayList<>(song.form().sections());
    if (index >= sections.size()) {
      return song;
    }
    sections.set(index, sections.get(index).withCells(part, List.of(cell)));
    return song.withForm(new Form(sections));
  }

  /** The same place heard after another change, such as a take that is not kept yet. */
  public PatternTrial with(UnaryOperator<Song> first) {
    return new PatternTrial(song -> change.apply(first.apply(song)), range);
  }
}
