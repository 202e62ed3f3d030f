package westtide.song.edit;

import java.util.function.UnaryOperator;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.id.PartId;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;

/** Edits of how parts sound. */
public final class MixEdits {
  private MixEdits() {}

  /** Hears a part with another instrument and gives it the General MIDI program nearest to it. */
  public static Edit instrument(PartId part, String instrument, int program) {
    return Edit.named(
        song -> "Hear " + name(song, part) + " as " + instrument,
        song -> song.withPart(part, p -> p.withPatch(Patch.of(instrument), program)));
  }

  /** Changes a setting of a part's instrument; turning it on in one go is one step of undo. */
  public static Edit setting(PartId part, String setting, int value) {
    return Edit.named(
        song -> "Set " + setting + " of " + name(song, part),
        song -> song.withPart(part, p -> p.withPatch(p.patch().with(setting, value), p.program())));
  }

  /** Changes one thing about a part's place in the mix; moving on in one go is one step of undo. */
  public static Edit mix(PartId part, String what, UnaryOperator<Mix> change) {
    return Edit.named(
        song -> "Set " + what + " of " + name(song, part),
        song -> song.withPart(part, p -> p.withMix(change.apply(p.mix()))));
  }

  /** Turns every part down by tenths of a dB; what is silent stays silent. */
  public static Edit allQuieter(int tenths) {
    return Edit.of(
        "Lower every part by " + tenths / 10.0 + " dB",
        song ->
            song.withParts(
                song.parts().stream()
                    .map(part -> part.withMix(quieter(part.mix(), tenths)))
                    .toList()));
  }

  private static Mix quieter(Mix mix, int tenths) {
    return mix.withLevel(Math.max(Mix.SILENT, mix.level() - tenths));
  }

  private static String name(Song song, PartId part) {
    return song.part(part).map(Part::name).orElse("a part");
  }
}
