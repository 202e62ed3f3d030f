package westtide.review.lines;

import westtide.score.ScoredPart;

/** Where two parts stand: on different sides they are told apart in one register too. */
final class Sides {
  /** How far apart two sides are that tell lines apart (common practice, our figure). */
  private static final int APART = 25;

  private Sides() {}

  static boolean differ(ScoredPart one, ScoredPart other) {
    return Math.abs(one.part().mix().pan() - other.part().mix().pan()) >= APART;
  }
}
