package westtide.score;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Swing;
import westtide.song.Brief;
import westtide.song.CellSpan;
import westtide.song.Part;
import westtide.song.Section;
import westtide.song.drum.DrumVoice;

/**
 * The kick hits of a section, bar by bar from the groove each bar plays. Where the drums are out
 * the first groove stands in, so that an 808 without drums keeps its rhythm. Kicks that swing
 * otherwise than the song are told where the song's swing takes them to the same place.
 */
final class KickTrack {
  private final Part drums;
  private final Section section;
  private final Brief brief;

  KickTrack(Part drums, Section section, Brief brief) {
    this.drums = drums;
    this.section = section;
    this.brief = brief;
  }

  List<Integer> ticks() {
    List<Integer> out = new ArrayList<>();
    for (CellSpan span : section.spans(drums.id())) {
      drums
          .groove(span.cell().variant(), brief.meter())
          .map(groove -> new Groove(groove, drums, brief.meter(), brief.swing()))
          .ifPresent(
              groove ->
                  groove.over(
                      span,
                      DrumVoice.KICK,
                      (lane, start, ticks, velocity, semitones) ->
                          out.add(written(lane.swing(), start))));
    }
    return out.stream().sorted().distinct().toList();
  }

  private int written(Swing own, int start) {
    Swing song = brief.swing();
    return own.equals(song) ? start : (int) song.written(own.at(start));
  }
}
