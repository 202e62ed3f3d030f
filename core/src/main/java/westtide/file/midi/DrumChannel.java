package westtide.file.midi;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.rhythm.Velocity;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.mix.Gate;

/**
 * Drum parts that share channel 10. The channel has level and side of the first; how much softer or
 * louder another is, and how the level of any of them moves, is in the velocities, read as General
 * MIDI reads them: 40·log10(velocity / 127) dB (from memory). What else moves is a controller where
 * it moves alike in all of them, and left out where it does not.
 *
 * @param parts the drum parts that play, in order
 */
public record DrumChannel(List<ScoredPart> parts) {
  private static final Set<AutomationTarget> SAID =
      Set.of(AutomationTarget.PAN, AutomationTarget.LOW_PASS, AutomationTarget.ROOM);
  private static final double CLOSED = -40;

  /** Whether there is more than one. */
  boolean shared() {
    return parts.size() > 1;
  }

  /** Whether a part gives the channel its level and side. */
  boolean leads(ScoredPart part) {
    return part.part().id().equals(parts.get(0).part().id());
  }

  /** A stroke of a part as strong as its level makes it. */
  ScoredNote led(ScoredPart part, ScoredNote stroke) {
    if (!shared()) {
      return stroke;
    }
    double tenths = part.part().mix().level() - parts.get(0).part().mix().level();
    double decibels =
        tenths / 10
            + part.motion(AutomationTarget.LEVEL).at(stroke.start(), 0)
            + part.motion(AutomationTarget.EXPRESSION).at(stroke.start(), 0)
            + gated(part.part().mix().gate(), stroke.start());
    int velocity = Velocity.held(Math.round(stroke.velocity() * Math.pow(10, decibels / 40)));
    return velocity == stroke.velocity() ? stroke : stroke.withVelocity(velocity);
  }

  private static double gated(Gate gate, int tick) {
    return gate.closes() ? Math.max(CLOSED, 20 * Math.log10(Math.max(1e-6, gate.gain(tick)))) : 0;
  }

  /**
   * The first part with what the channel says of all of them: its level, its side, what is alike.
   */
  ScoredPart said() {
    Map<AutomationTarget, Motion> alike = new EnumMap<>(AutomationTarget.class);
    SAID.forEach(what -> alike.put(what, motion(what)));
    Part first = parts.get(0).part();
    return new ScoredPart(
        first.withMix(first.mix().withGate(Gate.OPEN)), List.of(), List.of(), alike);
  }

  private Motion motion(AutomationTarget what) {
    Motion first = parts.get(0).motion(what);
    boolean alike = parts.stream().allMatch(part -> part.motion(what).equals(first));
    return SAID.contains(what) && alike ? first : Motion.STILL;
  }

  /** Whether a part moves in a way the channel cannot say. */
  boolean leavesOut(ScoredPart part) {
    return SAID.stream().anyMatch(what -> part.motion(what).any() && !motion(what).any());
  }
}
