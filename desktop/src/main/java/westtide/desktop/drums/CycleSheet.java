package westtide.desktop.drums;

import java.util.List;
import java.util.stream.Stream;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.sheet.Axis;
import westtide.rhythm.LaneShapes;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;

/**
 * The whole cycle of a groove: how far into its pass each lane of its own length is as every bar
 * begins, until all begin with one again, and what a restart does to that.
 */
final class CycleSheet extends Drawing {
  private static final double LEFT = 110;
  private static final double RIGHT = 12;
  private static final double TOP = 14;
  private static final int MOST_BARS = 128;
  private static final int FEW_BARS = 8;
  private static final int ROUNDS = 3;

  private GrooveScene scene;

  CycleSheet() {
    super("When lanes of their own length start again", false);
    setId("cycle-sheet");
    setMinHeight(64);
    setPrefHeight(64);
  }

  void show(GrooveScene shown) {
    scene = shown;
    redraw();
  }

  /** Ticks after which lanes and their accents would all start together without a restart. */
  static long cycle(GrooveScene scene) {
    List<Integer> lengths =
        scene.groove().lanes().stream()
            .filter(lane -> !lane.lane().hits().isEmpty())
            .flatMap(lane -> Stream.of(lane.ticks(), accents(lane)))
            .filter(ticks -> ticks > 0)
            .distinct()
            .toList();
    return LaneShapes.meeting(lengths);
  }

  private static int accents(DrumLane lane) {
    return lane.accents().map(StepLane::length).orElse(0) * lane.grid().ticks();
  }

  /** Lanes that do not fit the groove, in which something goes on over its end. */
  static List<DrumLane> own(GrooveScene scene) {
    return scene.groove().lanes().stream()
        .filter(lane -> !lane.lane().hits().isEmpty())
        .filter(
            lane ->
                scene.ticks() % lane.ticks() != 0
                    || accents(lane) > 0 && scene.ticks() % accents(lane) != 0)
        .toList();
  }

  /** Ticks after which a restart sends the lanes back; the cycle itself when nothing does. */
  static long restart(GrooveScene scene) {
    return Math.min(cycle(scene), scene.groove().restart().ticks(scene.ticks()));
  }

  @Override
  protected void draw() {
    List<DrumLane> own = scene == null ? List.of() : own(scene);
    if (own.isEmpty()) {
      return;
    }
    int bar = scene.meter().ticksPerBar();
    long shown = shown(bar);
    Axis x = new Axis(0, shown, LEFT, getWidth() - RIGHT);
    double tall = (getHeight() - TOP) / own.size();
    int every = x.length(bar) > 26 ? 1 : x.length(bar) > 13 ? 2 : 8;
    for (int b = 0; (long) b * bar < shown; b += every) {
      text(x.at((double) b * bar) - 2, 10, String.valueOf(b + 1), "soft");
    }
    drawRestarts(x, shown);
    for (int i = 0; i < own.size(); i++) {
      drawLane(own.get(i), TOP + tall * i, tall, x);
    }
  }

  /** The cycle, or where a restart cuts it short a few rounds of that. */
  private long shown(int bar) {
    long restart = restart(scene);
    long some =
        restart < cycle(scene) ? Math.max((long) FEW_BARS * bar, ROUNDS * restart) : cycle(scene);
    return Math.min(Math.min(some, cycle(scene)), (long) MOST_BARS * bar);
  }

  /** Restarts, where they are far enough apart to be told from one another. */
  private void drawRestarts(Axis x, long shown) {
    long restart = restart(scene);
    for (long tick = restart; tick < shown && x.length(restart) > 6; tick += restart) {
      line(x.at(tick), TOP, x.at(tick), getHeight(), "restart");
    }
  }

  /**
   * For every bar a dot as high as the lane is far into its pass when the bar begins, over a line
   * of where it would be without restarts.
   */
  private void drawLane(DrumLane lane, double top, double tall, Axis x) {
    int bar = scene.meter().ticksPerBar();
    int length = scene.ticks() % lane.ticks() != 0 ? lane.ticks() : accents(lane);
    double foot = top + tall - 5;
    text(0, foot - tall / 2 + 8, lane.id() + " " + length / lane.grid().ticks(), "plain");
    line(LEFT, foot, getWidth() - RIGHT, foot, "rule", "lane");
    double step = (tall - 10) / length;
    for (long tick = 0; tick + bar < x.high(); tick += bar) {
      double from = foot - step * (tick % length);
      line(x.at(tick), from, x.at(tick + bar), foot - step * ((tick + bar) % length), "drift");
    }
    for (long tick = 0; tick < x.high(); tick += bar) {
      long phase = tick % restart(scene) % length;
      boolean begins = phase == 0;
      named(
          dot(
              x.at(tick),
              foot - step * phase,
              begins ? 3.6 : 2.4,
              "bead",
              begins ? "sounding" : "some"),
          "phase-" + lane.id().slug() + "-" + (tick / bar + 1),
          lane.id() + " is " + phase / lane.grid().ticks() + " steps in");
    }
  }
}
