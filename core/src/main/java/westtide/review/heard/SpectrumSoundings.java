package westtide.review.heard;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.MixEdits;
import westtide.song.mix.Duck;
import westtide.sound.Balance;
import westtide.sound.loudness.ThirdOctaves;
import westtide.style.Span;
import westtide.style.Style;

/** Where the spectrum of the mix leaves the band of its style, and whether kick and 808 help. */
final class SpectrumSoundings {
  private static final double CANCELS = -0.35;
  private static final double MOST_OUTSIDE = 1.5;

  /** A stretch of the spectrum that has a name among people who mix. */
  private record Region(String name, double from, double to, String hollow, String heavy) {}

  private static final List<Region> REGIONS =
      List.of(
          new Region(
              "below 80 Hz",
              31,
              80,
              "the low end has no weight: an octave lower, or a sub below the bass",
              "the low end covers the rest: turn it down or let it step back more"),
          new Region(
              "between 80 and 250 Hz",
              80,
              250,
              "there is no body: let the bass or the chords keep more of it",
              "it booms: cut the chords and lines below 200 Hz"),
          new Region(
              "between 250 Hz and 1 kHz",
              250,
              1000,
              "the middle is empty: chords an octave lower, or louder",
              "it is boxy: lower the middle of what plays there, or thin the chords"),
          new Region(
              "between 1 and 4 kHz",
              1000,
              4000,
              "chords have no upper layer: double them an octave up, or open their low-pass",
              "it is harsh: lower the lead there, or close its low-pass a little"),
          new Region(
              "between 4 and 12 kHz",
              4000,
              12_000,
              "hats and air are missing: raise the hats or the high band",
              "it hisses: turn the hats down or close their low-pass"));

  private final Song song;
  private final Style style;
  private final Balance balance;

  SpectrumSoundings(Song song, Style style, Balance balance) {
    this.style = style;
    this.song = song;
    this.balance = balance;
  }

  List<Finding> findings() {
    if (balance.mix().isEmpty()) {
      return List.of();
    }
    List<Finding> out = new ArrayList<>();
    StyleBand band = StyleBand.of(style.sound().tilt());
    List<Double> heard = StyleBand.against(balance.mix());
    for (Region region : REGIONS) {
      outside(region, band, heard).ifPresent(out::add);
    }
    return out;
  }

  private Optional<Finding> outside(Region region, StyleBand band, List<Double> heard) {
    double apart = 0;
    int count = 0;
    for (int i = 0; i < heard.size(); i++) {
      double hertz = ThirdOctaves.hertz(i);
      if (hertz >= region.from() && hertz < region.to()) {
        double under = Math.min(0, heard.get(i) - band.low().get(i));
        double over = Math.max(0, heard.get(i) - band.high().get(i));
        apart += under + over;
        count++;
      }
    }
    double mean = apart / Math.max(1, count);
    if (Math.abs(mean) < MOST_OUTSIDE) {
      return Optional.empty();
    }
    boolean hollow = mean < 0;
    String word = hollow ? "Hollow " : "Heavy ";
    return Optional.of(
        new Finding(
            FindingId.of(Check.LEVELS_SPECTRUM)
                .at((int) region.from(), hollow ? "hollow" : "heavy"),
            Severity.NOTE,
            word + region.name() + String.format(Locale.ROOT, ", by %.0f dB", Math.abs(mean)),
            "the mix",
            "Against the usual band of the style "
                + (hollow ? region.hollow() : region.heavy())
                + loudestThere(region)
                + ".",
            Optional.empty()));
  }

  /** The part that has most of its energy there. */
  private String loudestThere(Region region) {
    return song.parts().stream()
        .filter(part -> balance.parts().containsKey(part.id()))
        .max(Comparator.comparingDouble(part -> energy(part, region)))
        .map(part -> "; most of it there is " + part.name())
        .orElse("");
  }

  private double energy(Part part, Region region) {
    List<Double> levels = balance.parts().get(part.id());
    double sum = 0;
    for (int i = 0; i < levels.size(); i++) {
      double hertz = ThirdOctaves.hertz(i);
      sum += hertz >= region.from() && hertz < region.to() ? Math.pow(10, levels.get(i) / 10) : 0;
    }
    return sum;
  }

  /** How kick and 808 meet, as a measure of the low end. */
  Optional<Measure> phase() {
    OptionalDouble together = balance.kickWithSub();
    if (together.isEmpty()) {
      return Optional.empty();
    }
    double value = together.getAsDouble();
    String words = String.format(Locale.ROOT, "%+.2f", value).replace('-', '−');
    return Optional.of(
        new Measure("kick and 808 in phase", words, value, -1, 1, new Span(CANCELS, 1, CANCELS)));
  }

  /** What to do where kick and 808 cancel. */
  List<Finding> cancelling() {
    OptionalDouble together = balance.kickWithSub();
    Optional<Part> sub = song.parts(Role.SUB).stream().findFirst();
    if (together.isEmpty() || together.getAsDouble() > CANCELS || sub.isEmpty()) {
      return List.of();
    }
    Part part = sub.get();
    return List.of(
        new Finding(
            FindingId.of(Check.LOWEND_PHASE),
            Severity.NOTE,
            "Kick and " + part.name() + " cancel below 120 Hz",
            "whole song",
            "Their waves push against each other where both sound, so both are quieter than alone."
                + " Let the 808 step back longer under the kick, tune the kick to another note of"
                + " the key, or start the 808 a little later.",
            Optional.of(
                new Fix(
                    "step back under the kick",
                    MixEdits.mix(
                        part.id(),
                        "ducking",
                        mix ->
                            mix.withDuck(
                                mix.duck()
                                    .withTrigger(Duck.Trigger.KICK)
                                    .withHold(60)
                                    .withDepth(120)))))));
  }
}
