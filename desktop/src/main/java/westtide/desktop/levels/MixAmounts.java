package westtide.desktop.levels;

import java.util.List;
import java.util.Set;
import westtide.desktop.room.Amount;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;

/** The numbers of a part's place in the mix, and of the whole mix, in the order they are shown. */
final class MixAmounts {
  private static final Set<String> FRONT_IDS =
      Set.of("mix-reverb", "mix-delay", "mix-clip", "mix-duck-depth");

  static final List<Amount<Mix>> STRIP =
      List.of(
          new Amount<>("mix-level", "level, dB", Mix.SILENT, 60, 5, 1, Mix::level, Mix::withLevel),
          new Amount<>("mix-pan", "pan, left − right +", -100, 100, 5, 0, Mix::pan, Mix::withPan),
          new Amount<>("mix-width", "width, %", 0, 100, 5, 0, Mix::width, Mix::withWidth),
          new Amount<>(
              "mix-low-cut",
              "high-pass (low cut), Hz",
              0,
              Mix.HIGHEST_CUT,
              10,
              0,
              Mix::lowCut,
              Mix::withLowCut),
          new Amount<>(
              "mix-low-pass",
              "low-pass, Hz",
              Mix.LOWEST_PASS,
              Mix.OPEN,
              200,
              0,
              Mix::lowPass,
              Mix::withLowPass),
          new Amount<>("mix-clip", "drive, dB", 0, 180, 5, 1, Mix::clip, Mix::withClip),
          new Amount<>("mix-reverb", "reverb, %", 0, 100, 2, 0, Mix::reverb, Mix::withReverb),
          new Amount<>("mix-delay", "delay, %", 0, 100, 2, 0, Mix::delay, Mix::withDelay),
          new Amount<>(
              "mix-feedback",
              "delay feedback, %",
              0,
              90,
              2,
              0,
              mix -> mix.space().feedback(),
              (mix, v) -> mix.withSpace(mix.space().withFeedback(v))),
          new Amount<>(
              "mix-repeats-from",
              "repeats' low cut, Hz",
              20,
              2000,
              10,
              0,
              mix -> mix.space().repeatsFrom(),
              (mix, v) -> mix.withSpace(mix.space().withRepeats(v, mix.space().repeatsTo()))),
          new Amount<>(
              "mix-repeats-to",
              "repeats' low-pass, Hz",
              500,
              Mix.OPEN,
              100,
              0,
              mix -> mix.space().repeatsTo(),
              (mix, v) -> mix.withSpace(mix.space().withRepeats(mix.space().repeatsFrom(), v))),
          new Amount<>(
              "mix-duck-depth",
              "ducking depth, dB",
              0,
              400,
              5,
              1,
              mix -> mix.duck().depth(),
              (mix, v) -> mix.withDuck(mix.duck().withDepth(v))),
          new Amount<>(
              "mix-duck-hold",
              "ducking hold, ms",
              0,
              500,
              10,
              0,
              mix -> mix.duck().hold(),
              (mix, v) -> mix.withDuck(mix.duck().withHold(v))),
          new Amount<>(
              "mix-duck-time",
              "ducking release, ms",
              20,
              1000,
              10,
              0,
              mix -> mix.duck().millis(),
              (mix, v) -> mix.withDuck(mix.duck().withMillis(v))),
          new Amount<>(
              "mix-duck-below",
              "duck only below, Hz (0: all)",
              0,
              2000,
              10,
              0,
              mix -> mix.duck().below(),
              (mix, v) -> mix.withDuck(mix.duck().withBelow(v))));

  /** Those that matter most, beside the band. */
  static final List<Amount<Mix>> FRONT =
      STRIP.stream()
          .filter(amount -> FRONT_IDS.contains(amount.id()))
          .map(amount -> amount.withId("front" + amount.id().substring("mix".length())))
          .toList();

  static final List<Amount<Master>> WHOLE =
      List.of(
          new Amount<>(
              "whole-gain", "gain of the mix, dB", -240, 240, 2, 1, Master::gain, Master::withGain),
          new Amount<>(
              "whole-glue", "glue of the mix, %", 0, 100, 5, 0, Master::glue, Master::withGlue),
          new Amount<>(
              "drums-glue",
              "glue of all drums, %",
              0,
              100,
              5,
              0,
              Master::drumGlue,
              Master::withDrumGlue),
          new Amount<>(
              "drums-attack",
              "attack of all drums",
              -100,
              100,
              5,
              0,
              Master::drumAttack,
              Master::withDrumAttack),
          new Amount<>(
              "drums-sustain",
              "sustain of all drums",
              -100,
              100,
              5,
              0,
              Master::drumSustain,
              Master::withDrumSustain));

  private MixAmounts() {}
}
