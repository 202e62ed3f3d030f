package westtide.sound.effect;

/** Rounds off what comes near full scale: {@code x − 4x³/27} up to 1.5, where it stays at 1. */
public final class SoftClip {
  private SoftClip() {}

  /** Drives samples by a factor and bends what is too loud. */
  public static void push(float[] samples, int frames, float gain) {
    float back = 1 / gain;
    for (int i = 0; i < frames; i++) {
      float held = Math.max(-1.5f, Math.min(1.5f, samples[i] * gain));
      samples[i] = (held - held * held * held * (4f / 27f)) * back;
    }
  }
}
