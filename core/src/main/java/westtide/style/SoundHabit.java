package westtide.style;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import westtide.song.Part;
import westtide.song.mix.Duck;
import westtide.song.mix.Patch;

/**
 * What a style sounds like in the preview.
 *
 * @param instruments for each part id of a draft, the name of its instrument or kit
 * @param ducked ids of the parts that step back
 * @param trigger what they step back for
 * @param tilt how its mixes lean against those of most styles
 */
public record SoundHabit(
    Map<String, String> instruments, Set<String> ducked, Duck.Trigger trigger, Tilt tilt) {
  /**
   * How the mixes of a style lean against the usual slope (common practice): more below 80 Hz where
   * it has an 808, less above 5 kHz where it is old and soft, more where it is for clubs.
   *
   * @param low dB below 80 Hz, −12 to 12
   * @param high dB above 5 kHz, −12 to 12
   */
  public record Tilt(double low, double high) {
    /** A style that leans nowhere. */
    public static final Tilt NONE = new Tilt(0, 0);

    private static final double MOST = 12;

    /** Checks both. */
    public Tilt {
      if (!(Math.abs(low) <= MOST && Math.abs(high) <= MOST)) {
        throw new IllegalArgumentException(
            "a tilt is −12 to 12 dB, but was " + low + " and " + high);
      }
    }
  }

  /** Copies both, in their order. */
  public SoundHabit {
    instruments = Collections.unmodifiableMap(new LinkedHashMap<>(instruments));
    ducked = Collections.unmodifiableSet(new LinkedHashSet<>(ducked));
  }

  /** A part as the style lets it sound. */
  public Part dress(Part part) {
    String instrument = instruments.getOrDefault(part.id().value(), part.patch().instrument());
    Duck duck = ducked.contains(part.id().value()) ? usual() : Duck.NONE;
    return part.withPatch(Patch.of(instrument), part.program()).withMix(part.mix().withDuck(duck));
  }

  /** A quarter-note curve is deep and slow, a dip for the kick short (common practice). */
  private Duck usual() {
    return trigger == Duck.Trigger.QUARTERS
        ? new Duck(trigger, 90, 260, 0)
        : new Duck(trigger, 60, 120, 0);
  }
}
