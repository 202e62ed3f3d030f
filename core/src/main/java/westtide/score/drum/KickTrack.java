package westtide.score.drum;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import westtide.rhythm.Swing;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.drum.DrumVoice;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.pattern.Pattern;

/**
 * The kick hits of a section, bar by bar from the grooves that play there, of whichever drum part.
 * In a bar without a kick that plays, the first drum part that has one stands in though it is out,
 * so that an 808 without drums keeps its rhythm. Kicks that swing otherwise than the song are told
 * where the song's swing takes them to the same place.
 */
public final class KickTrack {
  private final List<Part> drums;
  private final Section section;
  private final Brief brief;
  private final int bar;

  /** The kicks of a section, of all drums that play in it. */
  public KickTrack(List<Part> drums, Section section, Brief brief) {
    this.drums = drums;
    this.section = section;
    this.brief = brief;
    this.bar = brief.meter().ticksPerBar();
  }

  /** Where kicks are written, in ticks from the section's start. */
  public List<Integer> ticks() {
    TreeSet<Integer> playing = new TreeSet<>();
    boolean[] covered = new boolean[section.bars()];
    for (Part part : drums) {
      for (CellSpan span : section.spans(part.id())) {
        if (span.cell().level() != Level.OUT && addKicks(part, span, playing)) {
          java.util.Arrays.fill(covered, span.fromBar(), span.fromBar() + span.bars(), true);
        }
      }
    }
    drums.stream()
        .filter(part -> section.spans(part.id()).stream().anyMatch(span -> kicks(part, span)))
        .findFirst()
        .ifPresent(part -> standIn(part, covered, playing));
    return List.copyOf(playing);
  }

  private void standIn(Part part, boolean[] covered, TreeSet<Integer> playing) {
    TreeSet<Integer> out = new TreeSet<>();
    section.spans(part.id()).forEach(span -> addKicks(part, span, out));
    out.removeIf(tick -> covered[Math.min(covered.length - 1, tick / bar)]);
    playing.addAll(out);
  }

  private boolean kicks(Part part, CellSpan span) {
    return groove(part, span)
        .map(groove -> groove.lanes().stream().anyMatch(l -> l.voice() == DrumVoice.KICK))
        .orElse(false);
  }

  private Optional<Pattern.Drums> groove(Part part, CellSpan span) {
    return part.groove(span.cell().pattern(), brief.meter());
  }

  /** Adds the kicks of a stretch; false when its groove has no kick lane. */
  private boolean addKicks(Part part, CellSpan span, TreeSet<Integer> out) {
    if (!kicks(part, span)) {
      return false;
    }
    Groove groove =
        new Groove(groove(part, span).orElseThrow(), part, "", brief.meter(), brief.swing());
    groove.over(
        span,
        DrumVoice.KICK,
        (lane, laid, start, ticks, velocity, semitones) -> out.add(written(lane.swing(), start)));
    return true;
  }

  private int written(Swing own, int start) {
    Swing song = brief.swing();
    return own.equals(song) ? start : (int) song.written(own.at(start));
  }
}
