package westtide.found;

/**
 * A reading of a sound as a loop.
 *
 * @param downbeat seconds from the file's first sample to the first beat of the first bar
 * @param bpm its tempo
 * @param bars how many bars of four beats it has, 1 or more
 * @param score how well the reading fits, in no unit
 */
record Loop(double downbeat, double bpm, int bars, double score) {
  double barSeconds() {
    return 240 / bpm;
  }

  double end() {
    return downbeat + bars * barSeconds();
  }

  /** The same reading at another score. */
  Loop withScore(double other) {
    return new Loop(downbeat, bpm, bars, other);
  }
}
