package westtide.sound.voice;

/** The pitch of a gliding strike sample by sample: in a straight line of semitones, then held. */
public final class PitchPath {
  private final Strike strike;
  private final int glide;
  private int frame;
  private int next = 1;
  private double hertz;
  private double ratio = 1;
  private int left;

  /** A path whose glides last that many milliseconds. */
  public PitchPath(Strike strike, int glideMillis) {
    this.strike = strike;
    this.glide = Math.max(1, strike.samples(glideMillis));
    this.hertz = strike.hertz();
  }

  /** The pitch of the next sample, in Hz. */
  public double next() {
    if (next < strike.pitches().size() && frame == strike.pitches().get(next).frame()) {
      Strike.Pitched goal = strike.pitches().get(next);
      left = goal.glide() > 0 ? goal.glide() : glide;
      ratio = Math.pow(goal.hertz() / hertz, 1.0 / left);
      next++;
    }
    if (left > 0) {
      left--;
      hertz = left == 0 ? strike.pitches().get(next - 1).hertz() : hertz * ratio;
    }
    frame++;
    return hertz;
  }
}
