package westtide.review.drums;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import westtide.rhythm.Meter;
import westtide.rhythm.StepGrid;
import westtide.rhythm.Syncopation;
import westtide.song.drum.DrumLane;
import westtide.song.pattern.Pattern;

/**
 * Why a groove moves: where kick, snare and clap, taken together as one rhythm, lean on a place on
 * which none of them plays. Counted in sixteenths from the start of the groove; see {@link
 * Syncopation}.
 */
public final class GroovePulls {
  private GroovePulls() {}

  /** The pulls of a groove, in order. */
  public static List<Syncopation.Pull> of(Pattern.Drums groove, Meter meter) {
    int bar = meter.stepsPerBar();
    return Syncopation.pulls(struck(groove, meter), groove.bars() * bar, bar);
  }

  /** The syncopation of the whole groove: the weights of all pulls. */
  static int syncopation(Pattern.Drums groove, Meter meter) {
    return of(groove, meter).stream().mapToInt(Syncopation.Pull::weight).sum();
  }

  private static Set<Integer> struck(Pattern.Drums groove, Meter meter) {
    Set<Integer> out = new HashSet<>();
    for (DrumLane lane : groove.lanes()) {
      if (lane.voice().backbone()) {
        groove
            .laid(lane, meter)
            .forEach(laid -> out.add(laid.tick() / StepGrid.SIXTEENTHS.ticks()));
      }
    }
    return out;
  }
}
