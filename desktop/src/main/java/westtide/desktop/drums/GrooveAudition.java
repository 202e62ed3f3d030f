package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import westtide.desktop.play.PlayDesk;
import westtide.song.Cell;
import westtide.song.Form;
import westtide.song.Level;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.id.PartId;

/**
 * A groove played in full, round and round, in a section that is long enough for it, whatever the
 * form has there.
 *
 * @param change the song as it is then heard
 * @param range the bars that are looped
 */
record GrooveAudition(UnaryOperator<Song> change, PlayDesk.Range range) {
  /**
   * The trial of a groove in the selected section, or in the first that is long enough; empty where
   * none is.
   */
  static Optional<GrooveAudition> of(GrooveScene scene, int selected) {
    List<Section> sections = scene.song().form().sections();
    int bars = scene.groove().bars();
    return IntStream.concat(IntStream.of(selected), IntStream.range(0, sections.size()))
        .filter(i -> sections.get(i).bars() >= bars)
        .boxed()
        .findFirst()
        .map(section -> of(scene, section, bars));
  }

  private static GrooveAudition of(GrooveScene scene, int section, int bars) {
    int bar = scene.meter().ticksPerBar();
    int from = scene.song().form().startBar(section) * bar;
    PartId part = scene.part().id();
    Cell cell = new Cell(0, Level.FULL, scene.pattern().name());
    return new GrooveAudition(
        song -> playing(song, section, part, cell), new PlayDesk.Range(from, from + bars * bar));
  }

  private static Song playing(Song song, int index, PartId part, Cell cell) {
    List<Section> sections = new ArrayList<>(song.form().sections());
    if (index >= sections.size()) {
      return song;
    }
    sections.set(index, sections.get(index).withCells(part, List.of(cell)));
    return song.withForm(new Form(sections));
  }
}
