package westtide.song.mix;

/**
 * What is done to all drums together and to the whole mix before its limiter.
 *
 * @param gain tenths of a dB, −240 to 240
 * @param glue how much of a gentle compressor holds the mix together, 0 to 100 %
 * @param drumGlue the same for all drum parts together, 0 to 100 %
 * @param drumAttack how much harder, or softer, the drums' starts are, −100 to 100
 * @param drumSustain how much longer, or shorter, they ring, −100 to 100
 * @param target the loudness the song is brought to, in whole LUFS, −24 to −6; 0 for none
 */
public record Master(
    int gain, int glue, int drumGlue, int drumAttack, int drumSustain, int target) {
  /** Nothing is done and nothing is aimed at. */
  public static final Master PLAIN = new Master(0, 0, 0, 0, 0, 0);

  /** Checks the ranges. */
  public Master {
    Range.check("the gain of the mix", gain, -240, 240, "tenths of a dB");
    Range.check("glue", glue, 0, 100, "%");
    Range.check("glue of the drums", drumGlue, 0, 100, "%");
    Range.check("attack of the drums", drumAttack, -100, 100, "(softer to harder)");
    Range.check("sustain of the drums", drumSustain, -100, 100, "(shorter to longer)");
    if (target != 0) {
      Range.check("a loudness target", target, -24, -6, "LUFS");
    }
  }

  /** The same louder or softer. */
  public Master withGain(int tenths) {
    return new Master(tenths, glue, drumGlue, drumAttack, drumSustain, target);
  }

  /** The same held together more or less. */
  public Master withGlue(int percent) {
    return new Master(gain, percent, drumGlue, drumAttack, drumSustain, target);
  }

  /** The same with its drums held together more or less. */
  public Master withDrumGlue(int percent) {
    return new Master(gain, glue, percent, drumAttack, drumSustain, target);
  }

  /** The same with the starts of the drums harder or softer. */
  public Master withDrumAttack(int amount) {
    return new Master(gain, glue, drumGlue, amount, drumSustain, target);
  }

  /** The same with drums that ring longer or shorter. */
  public Master withDrumSustain(int amount) {
    return new Master(gain, glue, drumGlue, drumAttack, amount, target);
  }

  /** The same with another loudness to be brought to; 0 for none. */
  public Master withTarget(int lufs) {
    return new Master(gain, glue, drumGlue, drumAttack, drumSustain, lufs);
  }

  /** Whether anything is done to the drums together. */
  public boolean shapesDrums() {
    return drumGlue > 0 || drumAttack != 0 || drumSustain != 0;
  }
}
