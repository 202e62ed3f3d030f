package westtide.sound;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.id.PartId;
import westtide.sound.loudness.Loudness;

/**
 * How far a lead stands over the chords where it leads: the mean of its momentary loudness (400 ms,
 * ITU-R BS.1770) against that of all chords together, in the moments in which it is within 10 LU of
 * its own mean. Only these parts are rendered, the whole song long: excerpts and half the sample
 * rate were up to 3 LU off.
 */
final class LeadOverChords {
  private static final int RATE = 48_000;
  private static final double SILENT = -70;
  private static final double LEADS = 10;

  /** How loud both are at a time, in LUFS. */
  private record Moment(double lead, double chords) {}

  private final Loudness lead = new Loudness(RATE);
  private final Loudness chords = new Loudness(RATE);
  private final List<Moment> moments = new ArrayList<>();

  private LeadOverChords() {}

  /** Hears a part of a score over its chords, in LU; empty where one of them is silent. */
  static OptionalDouble of(Score score, PartId leading) {
    LeadOverChords ear = new LeadOverChords();
    Set<PartId> beds =
        score.song().parts(Role.CHORDS).stream().map(Part::id).collect(Collectors.toSet());
    try {
      Mixdown.of(score, RATE)
          .aloneAndTogether(leading, ear.lead::hear, beds, ear::hearChords, Mixdown.Watch.NOBODY);
    } catch (IOException e) {
      throw new IllegalStateException("nothing is written while listening", e);
    }
    return ear.apart();
  }

  private void hearChords(float[] left, float[] right, int frames) {
    chords.hear(left, right, frames);
    moments.add(new Moment(lead.momentary(), chords.momentary()));
  }

  private OptionalDouble apart() {
    List<Moment> sounding = moments.stream().filter(now -> now.lead() > SILENT).toList();
    double gate = mean(sounding, Moment::lead) - LEADS;
    List<Moment> leading =
        sounding.stream().filter(now -> now.lead() > gate && now.chords() > SILENT).toList();
    return leading.isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(mean(leading, Moment::lead) - mean(leading, Moment::chords));
  }

  /** The mean energy in LUFS; not a number of nothing. */
  private static double mean(List<Moment> moments, ToDoubleFunction<Moment> level) {
    double energy =
        moments.stream()
            .mapToDouble(level)
            .map(lufs -> Math.pow(10, lufs / 10))
            .average()
            .orElse(Double.NaN);
    return 10 * Math.log10(energy);
  }
}
