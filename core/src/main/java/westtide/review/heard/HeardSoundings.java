package westtide.review.heard;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;
import westtide.sound.Listening;
import westtide.style.Style;

/**
 * What the rendered song measures: loudness, peak, lows, kick against 808. The expected ranges are
 * common practice for previews.
 */
public final class HeardSoundings {
  private static final double MOST_PUSHED = 4;
  private static final double MOST_OVERLAP = 0.75;
  private static final double LEAST_UNDER_KICK = -3;
  private static final double MOST_UNDER_KICK = 8;

  /** LU an intro lies under the hook at most (common practice). */
  private static final double MOST_UNDER = 9;

  private final Song song;
  private final Style style;
  private final Listening heard;

  /** Of a rendering of a song in its style. */
  public HeardSoundings(Song song, Style style, Listening heard) {
    this.style = style;
    this.song = song;
    this.heard = heard;
  }

  /** What was measured of the whole mix. */
  public StageSoundings whole() {
    List<Measure> measures = new ArrayList<>();
    measures.add(Measure.level("loudness, LUFS", heard.integrated(), -40, 0, -18, -9));
    measures.add(Measure.level("loudest 3 s, LUFS", heard.loudestShort(), -40, 0, -16, -7));
    measures.add(Measure.level("peak, dBFS", heard.peak(), -20, 0, -6, -1));
    measures.add(Measure.level("gain reduction, dB", heard.pushed(), 0, 12, 0, MOST_PUSHED));
    measures.add(lows());
    underKick().ifPresent(measures::add);
    List<Finding> findings = new ArrayList<>(pushed());
    findings.addAll(spectrum().findings());
    return new StageSoundings(measures, findings);
  }

  /** How far the intro lies under the hooks, where there are both. */
  public StageSoundings form() {
    Form form = song.form();
    OptionalDouble hook =
        IntStream.range(0, Math.min(form.sections().size(), heard.sections().size()))
            .filter(i -> form.sections().get(i).word().kind() == SectionKind.HOOK)
            .mapToDouble(i -> heard.sections().get(i))
            .max();
    boolean intro =
        !heard.sections().isEmpty() && form.sections().get(0).word().kind() == SectionKind.INTRO;
    if (hook.isEmpty() || !intro) {
      return new StageSoundings(List.of(), List.of());
    }
    double under = hook.getAsDouble() - heard.sections().get(0);
    Measure measure = Measure.level("intro under the hook, LU", under, 0, 30, 2, MOST_UNDER);
    return new StageSoundings(List.of(measure), under > MOST_UNDER ? quiet(under) : List.of());
  }

  private List<Finding> quiet(double under) {
    Section intro = song.form().sections().get(0);
    List<Edit> fuller = new ArrayList<>();
    for (Part part : song.parts()) {
      for (Cell cell : intro.cells(part.id())) {
        if (cell.level() != Level.OUT) {
          fuller.add(
              FormEdits.level(
                  intro.id(), part.id(), cell.fromBar(), cell.beat(), cell.level().fuller()));
        }
      }
    }
    Optional<Fix> fix =
        fuller.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Fix(
                    "one level up", Edit.together("Let the intro play a level fuller", fuller)));
    return List.of(
        new Finding(
            FindingId.of(Check.FORM_QUIETINTRO).at(Math.round(under)),
            Severity.NOTE,
            String.format(Locale.ROOT, "The intro is %.0f LU under the hook", under),
            "the intro",
            "More than 9 LU make people turn it up before the hook comes, and then it is too loud.",
            fix));
  }

  /** What was measured of the low end. */
  public StageSoundings lowEnd() {
    List<Measure> measures = new ArrayList<>(List.of(lows()));
    heard
        .overlap()
        .ifPresent(
            share ->
                measures.add(
                    Measure.of(
                        "kick with 808 as loud", percent(share), share, 1, 0, MOST_OVERLAP)));
    underKick().ifPresent(measures::add);
    spectrum().phase().ifPresent(measures::add);
    List<Finding> findings = new ArrayList<>(overlapping());
    findings.addAll(spectrum().cancelling());
    return new StageSoundings(measures, findings);
  }

  private SpectrumSoundings spectrum() {
    return new SpectrumSoundings(song, style, heard.balance());
  }

  private Measure lows() {
    String name = "energy under " + Listening.LOWS_HERTZ + " Hz";
    return Measure.of(name, percent(heard.lows()), heard.lows(), 1, 0.3, 0.85);
  }

  private Optional<Measure> underKick() {
    OptionalDouble under = heard.balance().lowsUnderKick();
    return under.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Measure.level(
                "low end under kick, dB",
                under.getAsDouble(),
                -12,
                18,
                LEAST_UNDER_KICK,
                MOST_UNDER_KICK));
  }

  private List<Finding> pushed() {
    if (heard.pushed() <= MOST_PUSHED) {
      return List.of();
    }
    int tenths = (int) Math.ceil((heard.pushed() - MOST_PUSHED / 2) * 10);
    return List.of(
        new Finding(
            FindingId.of(Check.LEVELS_PUSHED),
            Severity.NOTE,
            String.format(Locale.ROOT, "The limiter reduces gain by %.0f dB", heard.pushed()),
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
            FindingId.of(Check.LOWEND_OVERLAP),
            Severity.NOTE,
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
