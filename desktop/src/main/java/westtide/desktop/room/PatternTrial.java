package westtide.desktop.room;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import westtide.desktop.play.PlayDesk;
import westtide.rhythm.Meter;
import westtide.song.Song;
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
    List<Section> sections = song.form().sections();
    return IntStream.concat(IntStream.of(selected), IntStream.range(0, sections.size()))
        .filter(i -> sections.get(i).bars() >= bars)
        .boxed()
        .findFirst()
        .map(section -> at(song, section, part, new Cell(0, Level.FULL, pattern), bars));
  }

  /** The song as it is, looped over a range. */
  public static PatternTrial asItIs(PlayDesk.Range range) {
    return new PatternTrial(UnaryOperator.identity(), range);
  }

  private static PatternTrial at(Song song, int section, PartId part, Cell cell, int bars) {
    Meter meter = song.brief().meter();
    int from = song.form().startTick(section, meter);
    int to =
        from
            + Math.min(
                bars * meter.ticksPerBar(), song.form().sections().get(section).ticks(meter));
    return new PatternTrial(
        heard -> playing(heard, section, part, cell), new PlayDesk.Range(from, to));
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
