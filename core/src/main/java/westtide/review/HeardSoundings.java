package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.MixEdits;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;
import westtide.sound.Listening;

/**
 * What the rendered song measures: loudness, peak, lows, kick against 808. The expected ranges are
 * common practice for previews.
 */
final class HeardSoundings {
  private static final double MOST_PUSHED = 4;
  private static final double MOST_OVERLAP = 0.75;

  private final Song song;
  private final Listening heard;

  HeardSoundings(Song song, Listening heard) {
    this.song = song;
    this.heard = heard;
  }

  StageSoundings whole() {
    List<Measure> measures = new ArrayList<>();
    measures.add(Measure.level("loudness, LUFS", heard.integrated(), -40, 0, -18, -9));
    measures.add(Measure.level("loudest 3 s, LUFS", heard.loudestShort(), -40, 0, -16, -7));
    measures.add(Measure.level("peak, dBFS", heard.peak(), -20, 0, -6, -1));
    measures.add(Measure.level("limiter takes, dB", heard.pushed(), 0, 12, 0, MOST_PUSHED));
    measures.add(lows());
    return new StageSoundings(measures, pushed());
  }

  StageSoundings lowEnd() {
    List<Measure> measures = new ArrayList<>(List.of(lows()));
    heard
        .overlap()
        .ifPresent(
            share ->
                measures.add(
                    Measure.of(
                        "kick with 808 as loud", percent(share), share, 1, 0, MOST_OVERLAP)));
    return new StageSoundings(measures, overlapping());
  }

  private Measure lows() {
    String name = "energy under " + Listening.LOWS_HERTZ + " Hz";
    return Measure.of(name, percent(heard.lows()), heard.lows(), 1, 0.3, 0.85);
  }

  private List<Finding> pushed() {
    if (heard.pushed() <= MOST_PUSHED) {
      return List.of();
    }
    int tenths = (int) Math.ceil((heard.pushed() - MOST_PUSHED / 2) * 10);
    return List.of(
        new Finding(
            "levels.pushed",
            Weight.NOTE,
            String.format(Locale.ROOT, "The limiter takes %.0f dB", heard.pushed()),
            "loudest beat",
            "Beyond 4 dB the limiter decides the levels instead of you, and drums lose their edge.",
            Optional.of(new Fix("turn every part down", MixEdits.allQuieter(tenths)))));
  }

  private List<Finding> overlapping() {
    Optional<Part> sub =
        song.parts(Role.SUB).stream()
            .filter(part -> part.mix().duck().trigger() == Duck.Trigger.NONE)
            .findFirst();
    if (sub.isEmpty() || heard.overlap().orElse(0.0) <= MOST_OVERLAP) {
      return List.of();
    }
    PartId id = sub.get().id();
    return List.of(
        new Finding(
            "lowend.overlap",
            Weight.NOTE,
            percent(heard.overlap().orElseThrow()) + " of each kick lies under " + sub.get().name(),
            "whole song",
            "Where both sound, either the kick dips the 808 for a moment or their lows fight.",
            Optional.of(
                new Fix(
                    "dip " + sub.get().name() + " under the kick",
                    MixEdits.mix(
                        id,
                        "ducking",
                        mix -> mix.withDuck(new Duck(Duck.Trigger.KICK, 60, 120, 0)))))));
  }

  private static String percent(double share) {
    return Math.round(100 * share) + " %";
  }
}
