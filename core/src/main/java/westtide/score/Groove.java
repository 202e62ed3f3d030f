package westtide.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Note;
import westtide.song.Pattern;

/**
 * A drum pattern laid out over a section: lanes repeated, rolls split, nudges applied, and the
 * closed hat silent where the open one starts.
 */
final class Groove {
  private static final int STROKE = Ticks.PER_STEP / 2;

  private final Pattern.Drums drums;
  private final Meter meter;

  Groove(Pattern.Drums drums, Meter meter) {
    this.drums = drums;
    this.meter = meter;
  }

  List<Note> over(int bars) {
    int patternSteps = drums.bars() * meter.stepsPerBar();
    int steps = bars * meter.stepsPerBar();
    List<Note> out = new ArrayList<>();
    for (DrumLane lane : drums.lanes()) {
      Set<Integer> choked =
          lane.voice() == DrumVoice.CLOSED_HAT ? openHats(patternSteps, steps) : Set.of();
      for (Hit hit : lane.lane().over(steps, patternSteps)) {
        if (!choked.contains(hit.step())) {
          addStrokes(out, lane, hit);
        }
      }
    }
    out.sort(Comparator.comparingInt(Note::start).thenComparingInt(Note::key));
    return out;
  }

  private Set<Integer> openHats(int patternSteps, int steps) {
    Set<Integer> out = new HashSet<>();
    drums
        .lane(DrumVoice.OPEN_HAT)
        .ifPresent(lane -> lane.over(steps, patternSteps).forEach(hit -> out.add(hit.step())));
    return out;
  }

  private static void addStrokes(List<Note> out, DrumLane lane, Hit hit) {
    int note = lane.voice().note();
    int late = Ticks.ofSteps(hit.step()) + lane.feel().late(hit.step());
    int length = Math.max(1, STROKE / hit.strokes());
    int first = late + hit.offset(0) - hit.flam();
    if (hit.flam() > 0 && first >= 0) {
      out.add(new Note(first, Math.min(length, hit.flam()), note, hit.flamVelocity()));
    }
    for (int stroke = 0; stroke < hit.strokes(); stroke++) {
      int start = Math.max(0, late + hit.offset(stroke));
      out.add(new Note(start, length, note, lane.feel().played(hit.velocity(stroke), hit.step())));
    }
  }
}
