package westtide.sound.voice;

/** White noise from a seed, the same on every machine. */
public final class Noise {
  private int state;

  /** Noise from a seed. */
  public Noise(int seed) {
    this.state = seed * 0x9E3779B1 | 1;
  }

  /** The next sample, −1 to 1. */
  public double next() {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return state * (1.0 / (1L << 31));
  }
}
