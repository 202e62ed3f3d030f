package westtide.desktop.drums;

import java.util.List;
import javafx.scene.shape.QuadCurve;
import westtide.review.drums.GroovePulls;
import westtide.rhythm.Syncopation;
import westtide.rhythm.Ticks;

/**
 * An arc below the lanes from a strike to the stronger place it leans on: the further it hangs, the
 * stronger the pull.
 *
 * @param pull from where to where, and how strongly
 * @param left where it begins, in pixels
 * @param right where it ends
 * @param y its height at both ends
 * @param words what it says
 */
record PullMark(Syncopation.Pull pull, double left, double right, double y, String words) {
  private static final double BELOW = 5;
  private static final double HANGS = 8;
  private static final double STEEPER = 7;
  private static final double FLAT = 0.7;

  /** The arcs of what is in view; one that leads out of it ends at its edge. */
  static List<PullMark> of(BeadScale scale) {
    return GroovePulls.of(scale.scene().groove(), scale.scene().meter()).stream()
        .filter(pull -> inView(scale, Ticks.ofSteps(pull.from())))
        .map(pull -> of(pull, scale))
        .toList();
  }

  private static boolean inView(BeadScale scale, int tick) {
    return tick >= scale.time().low() && tick < scale.time().high();
  }

  private static PullMark of(Syncopation.Pull pull, BeadScale scale) {
    long from = Ticks.ofSteps(pull.from());
    long to = Ticks.ofSteps(pull.to());
    double left = scale.time().at(scale.scene().swing().at(from));
    double right = scale.time().at(Math.min(to, scale.time().high()));
    String words =
        "what stands at "
            + scale.scene().position(from)
            + " leans on "
            + scale.scene().position(to)
            + " by "
            + pull.weight();
    return new PullMark(pull, left, right, scale.bottom() + BELOW, words);
  }

  String id() {
    return "pull-" + (pull.from() + 1);
  }

  QuadCurve arc() {
    double low = y + Math.min(HANGS + STEEPER * pull.weight(), BELOW + (right - left) * FLAT);
    QuadCurve arc = new QuadCurve(left, y, (left + right) / 2, low, right, y);
    arc.setStrokeWidth(0.8 + 0.5 * pull.weight());
    return arc;
  }
}
