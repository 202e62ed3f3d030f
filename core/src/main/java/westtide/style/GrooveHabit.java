package westtide.style;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import westtide.song.DrumVoice;

/**
 * What drums a style plays.
 *
 * @param bars length of its groove
 * @param lanes what each voice plays
 * @param thin voices left out where the groove is thinner
 * @param fills one-bar fills, each a lane text by voice
 * @param hitsPerBar usual number of hits in a full bar
 * @param full whether kick and backbeat are all at full velocity; otherwise they are shaped
 */
public record GrooveHabit(
    int bars,
    Map<DrumVoice, LaneHabit> lanes,
    List<DrumVoice> thin,
    List<Map<DrumVoice, String>> fills,
    Span hitsPerBar,
    boolean full) {
  /** Copies, keeping the order. */
  public GrooveHabit {
    lanes = Collections.unmodifiableMap(new LinkedHashMap<>(lanes));
    thin = List.copyOf(thin);
    fills = List.copyOf(fills);
  }
}
