package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.LaneShapes;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** Four stick hits, a beat apart, that open a song (common practice). */
public final class StickCount {
  /** The name of the groove that has them. */
  public static final String NAME = "stick count";

  private StickCount() {}

  /** Adds the groove and lets the first bar of the song play it. */
  public static Edit in(PartId part) {
    return Edit.of("Open with a stick count", song -> opened(song, part));
  }

  private static Song opened(Song song, PartId part) {
    Meter meter = song.brief().meter();
    int beat = meter.ticksPerBeat() / Ticks.PER_STEP;
    Pattern.Drums sticks =
        new Pattern.Drums(
            1, List.of(DrumLane.of(DrumVoice.STICK, LaneShapes.every(beat, meter.stepsPerBar()))));
    Song with = new PatternEdits(part, NAME).add(sticks).apply(song);
    List<Section> sections = new ArrayList<>(with.form().sections());
    sections.set(0, opened(sections.get(0), part));
    return with.withForm(new Form(sections));
  }

  private static Section opened(Section section, PartId part) {
    List<Cell> cells = new ArrayList<>();
    cells.add(new Cell(0, Level.FULL, NAME));
    if (section.bars() > 1) {
      Cell second = section.cell(part, 1);
      cells.add(second.withFromBar(1));
    }
    section.cells(part).stream().filter(cell -> cell.fromBar() > 1).forEach(cells::add);
    return section.withCells(part, cells);
  }
}
