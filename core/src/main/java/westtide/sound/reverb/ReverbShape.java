package westtide.sound.reverb;

import westtide.song.mix.ReverbKind;

/**
 * How a room is built.
 *
 * @param size factor of all its ways, 1 for a hall
 * @param seconds how long its lows and middles take to fall by 60 dB
 * @param highs how long its highest highs take, against that
 * @param lateMillis when the late part begins
 * @param early level of the single reflections before it
 * @param level level of the late part
 */
public record ReverbShape(
    double size, double seconds, double highs, double lateMillis, double early, double level) {
  /** The shape of a kind of reverb. */
  public static ReverbShape of(ReverbKind kind) {
    return switch (kind) {
      case SMALL -> new ReverbShape(0.32, 0.5, 0.35, 5.5, 0.42, 0.29);
      case PLATE -> new ReverbShape(0.55, 1.4, 0.45, 5.5, 0.22, 0.27);
      case HALL -> new ReverbShape(1, 2.6, 0.25, 18, 0.36, 0.32);
    };
  }
}
