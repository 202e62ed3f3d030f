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
 */
public record SoundHabit(
    Map<String, String> instruments, Set<String> ducked, Duck.Trigger trigger) {
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
