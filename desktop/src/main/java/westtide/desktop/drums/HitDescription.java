package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Hit;
import westtide.rhythm.Roll;
import westtide.rhythm.When;
import westtide.song.Brief;
import westtide.song.drum.DrumLane;
import westtide.theory.Interval;

/** A hit in words. */
final class HitDescription {
  private HitDescription() {}

  /** The sign beside a hit that does not always play. */
  static String mark(When when) {
    String passes =
        switch (when.turn()) {
          case COUNTED -> when.every() == 1 ? "" : "/" + when.every();
          case FIRST -> "first";
          case LAST -> "last";
          case FILL -> "fill";
        };
    return when.percent() == 100 ? passes : (passes + " " + when.percent() + "%").strip();
  }

  /** On which repeats of its lane a hit plays, and how likely. */
  static String when(When when) {
    String repeats =
        switch (when.turn()) {
          case COUNTED -> counted(when);
          default -> when.turn().toString();
        };
    String chance = when.percent() == 100 ? "" : "chance " + when.percent() + " %";
    return (repeats + (repeats.isEmpty() || chance.isEmpty() ? "" : ", ") + chance).strip();
  }

  private static String counted(When when) {
    if (when.every() == 1) {
      return "";
    }
    return when.on() == when.every()
        ? "every " + ordinal(when.every()) + " repeat"
        : "repeat " + when.on() + " of " + when.every();
  }

  private static String ordinal(int number) {
    boolean teen = number % 100 / 10 == 1;
    String end =
        switch (teen ? 0 : number % 10) {
          case 1 -> "st";
          case 2 -> "nd";
          case 3 -> "rd";
          default -> "th";
        };
    return number + end;
  }

  /** The chosen place and what stands there. */
  static String tell(GrooveScene scene, boolean choked) {
    DrumLane lane = scene.chosen();
    String at = scene.part().name(lane.id()) + " · " + scene.position(scene.tick()) + " · ";
    return at
        + scene
            .hit()
            .map(
                hit ->
                    tell(hit, scene)
                        + (choked ? " · silent, another of its choke group plays here" : ""))
            .orElse("no hit");
  }

  private static String tell(Hit hit, GrooveScene scene) {
    List<String> out = new ArrayList<>();
    out.add("velocity " + hit.velocity());
    out.add(timing(hit, scene));
    if (hit.pitch() != 0) {
      out.add((hit.pitch() > 0 ? "+" : "") + Interval.semitones(hit.pitch()));
    }
    out.add(roll(hit.roll()));
    if (hit.flam() > 0) {
      out.add("flam " + hit.flam() + " ticks before");
    }
    if (!hit.when().equals(When.ALWAYS)) {
      out.add(when(hit.when()));
    }
    return String.join(" · ", out);
  }

  private static String timing(Hit hit, GrooveScene scene) {
    DrumLane lane = scene.chosen();
    Brief brief = scene.song().brief();
    long late = lane.late(scene.column());
    long off = lane.swing(scene.swing()).at(scene.tick() + late + hit.nudge()) - scene.tick();
    long ms = Math.round(brief.tempo().millis(off));
    return off == 0
        ? "on the grid"
        : (off > 0 ? "+" : "") + off + " ticks off the grid (" + ms + " ms)";
  }

  private static String roll(Roll roll) {
    if (roll.strokes() == 1) {
      return "no roll";
    }
    String over = roll.steps() == 1 ? "" : " over " + roll.steps() + " steps";
    String ramp =
        roll.ramp() == 0 ? "" : roll.ramp() > 0 ? ", rising velocity" : ", falling velocity";
    String pitch =
        roll.rise() == 0
            ? ""
            : roll.rise() > 0 ? ", pitch up " + roll.rise() : ", pitch down " + -roll.rise();
    return "roll of " + roll.strokes() + over + ramp + pitch;
  }
}
