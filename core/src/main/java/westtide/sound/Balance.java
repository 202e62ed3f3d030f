package westtide.sound;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import westtide.song.id.PartId;

/**
 * How the sound of a song is shared out.
 *
 * @param mix level of the mix in each third of an octave, in dB, from {@link
 *     westtide.sound.loudness.ThirdOctaves#LOWEST}; empty when nothing was measured
 * @param parts the same of each part that sounds
 * @param kickWithSub whether the drums and the 808 push together below 120 Hz while both sound, 1,
 *     or cancel, −1; empty where they do not meet
 * @param lowsUnderKick how far the strongest lows of 808 and bass lie under those of the drums,
 *     below 120 Hz, in dB; empty without either
 */
public record Balance(
    List<Double> mix,
    Map<PartId, List<Double>> parts,
    OptionalDouble kickWithSub,
    OptionalDouble lowsUnderKick) {
  /** Nothing was measured. */
  public static final Balance NONE =
      new Balance(List.of(), Map.of(), OptionalDouble.empty(), OptionalDouble.empty());

  /** Copies the levels. */
  public Balance {
    mix = List.copyOf(mix);
    parts = Map.copyOf(parts);
  }
}
