package westtide.compose.groove;

/** One way in which a drawn lane departs from the figure it grows from. */
@FunctionalInterface
interface LaneMove {
  /** The sketch after the move; the same one where the move has nothing to do. */
  LaneSketch on(LaneSketch sketch, LaneScene scene);
}
