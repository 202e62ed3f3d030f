package westtide.desktop.drums;

import westtide.desktop.kit.sheet.Axis;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;

/**
 * Where lanes and beads stand: lanes share the height, the one that is looked at closely taking
 * three shares; ticks of what is in view share the width.
 *
 * @param scene what is shown
 * @param close place of the lane that is looked at closely, or −1
 * @param time ticks to pixels
 * @param height height of the sheet
 */
record BeadScale(GrooveScene scene, int close, Axis time, double height) {
  /** Height kept above the lanes. */
  static final double TOP = 26;

  /** The least a lane takes. */
  static final double LEAST = 20;

  /** Height kept below the lanes for the pulls. */
  static final double FOOT = 18;

  private static final double MOST = 62;
  private static final int CLOSE_SHARES = 3;

  /** Pixels of a step from which beads have their full size. */
  private static final double FULL_STEP = 19;

  private static final double MOST_CLOSE = 1.5;

  private int shares() {
    return scene.groove().lanes().size() + (close < 0 ? 0 : CLOSE_SHARES - 1);
  }

  private double share() {
    return Math.max(LEAST, Math.min(MOST, (height - TOP - FOOT) / shares()));
  }

  /** The height of a lane. */
  double tall(int lane) {
    return share() * (lane == close ? CLOSE_SHARES : 1);
  }

  /** The top edge of a lane. */
  double top(int lane) {
    int before = lane + (close >= 0 && lane > close ? CLOSE_SHARES - 1 : 0);
    return TOP + share() * before;
  }

  /** The line of a lane. */
  double y(int lane) {
    return top(lane) + tall(lane) / 2;
  }

  /** The lower edge of the last lane. */
  double bottom() {
    return TOP + share() * shares();
  }

  /** The lane at a height; one before the first or after the last where there is none. */
  int lane(double y) {
    for (int lane = 0; lane < scene.groove().lanes().size(); lane++) {
      if (y < top(lane) + tall(lane)) {
        return y < TOP ? -1 : lane;
      }
    }
    return scene.groove().lanes().size();
  }

  /** Where the step of a column sounds when nothing is early or late. */
  double x(int lane, int column) {
    DrumLane of = scene.groove().lanes().get(lane);
    return time.at(of.swing(scene.swing()).at((long) column * of.grid().ticks()));
  }

  /**
   * The column whose sounding place is nearest, so that a swung bead is found where it is drawn.
   */
  int column(int lane, double pixel) {
    int columns = scene.columns(lane);
    int grid = scene.groove().lanes().get(lane).grid().ticks();
    int guess = (int) (time.value(pixel) / grid);
    int nearest = Math.max(0, Math.min(columns - 1, guess));
    for (int c = Math.max(0, guess - 1); c <= Math.min(columns - 1, guess + 1); c++) {
      if (Math.abs(x(lane, c) - pixel) < Math.abs(x(lane, nearest) - pixel)) {
        nearest = c;
      }
    }
    return nearest;
  }

  /** The size of a bead by its velocity, smaller where steps are near together. */
  double radius(int lane, int velocity) {
    double wide = time.length(Ticks.PER_STEP) / FULL_STEP;
    double most = lane == close ? MOST_CLOSE : 1;
    double room = Math.min(most, Math.min(wide, tall(lane) / 26));
    return (2.5 + 7.5 * velocity / Velocity.HIGHEST) * room;
  }

  /** How far a bead lies above its line for semitones. */
  double lift(int lane, int semitones) {
    return semitones * Math.min(tall(lane) / 2 - 4, 13) / 24.0;
  }
}
