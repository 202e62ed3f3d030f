package westtide.score;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Meter;
import westtide.song.Cell;
import westtide.song.CellSpan;
import westtide.song.DrumVoice;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Section;

/**
 * The kick hits of a section, bar by bar from the groove each bar plays. Where the drums are out
 * the first groove stands in, so that an 808 without drums keeps its rhythm.
 */
final class KickTrack {
  private final Part drums;
  private final Section section;
  private final Meter meter;

  KickTrack(Part drums, Section section, Meter meter) {
    this.drums = drums;
    this.section = section;
    this.meter = meter;
  }

  List<Integer> ticks() {
    List<Integer> out = new ArrayList<>();
    for (CellSpan span : section.spans(drums.id())) {
      int from = span.fromBar() * meter.ticksPerBar();
      int to = span.endBar() * meter.ticksPerBar();
      for (Note note : groove(span.cell())) {
        if (note.key() == DrumVoice.KICK.note() && note.start() >= from && note.start() < to) {
          out.add(note.start());
        }
      }
    }
    return out;
  }

  private List<Note> groove(Cell cell) {
    if (drums.variant(cell.variant()).pattern() instanceof Pattern.Drums groove) {
      return new Groove(groove, meter).over(section.bars());
    }
    return List.of();
  }
}
