package westtide.song.edit;

import java.util.List;
import java.util.function.UnaryOperator;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.id.PartId;
import westtide.song.mix.Effects;
import westtide.song.mix.Master;
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

  /**
   * Gives parts what was set about another's sound on its way: cuts, effects, room, delay, drive,
   * width and ducking. Level, pan and the rhythmic volume stay their own.
   */
  public static Edit copyStrip(PartId from, List<PartId> to) {
    return Edit.named(
        song ->
            "Copy the strip of "
                + name(song, from)
                + " to "
                + (to.size() == 1 ? name(song, to.get(0)) : to.size() + " parts"),
        song -> {
          Mix strip = song.part(from).map(Part::mix).orElse(Mix.PLAIN);
          Song out = song;
          for (PartId part : to) {
            out = out.withPart(part, p -> p.withMix(strip.withPlace(p.mix())));
          }
          return out;
        });
  }

  /**
   * Gives lanes of a drum part what was set about another's sound on its way: effects, room and
   * delay. Instrument, tuning, level and side stay their own.
   */
  public static Edit copyLane(PartId drums, LaneId from, List<LaneId> to) {
    return Edit.named(
        song ->
            "Copy the effects of "
                + from
                + " to "
                + (to.size() == 1 ? to.get(0).toString() : to.size() + " lanes"),
        song ->
            song.withPart(
                drums,
                part -> {
                  LaneSound given = part.sound(from);
                  Part out = part;
                  for (LaneId lane : to) {
                    LaneSound own =
                        out.sound(lane)
                            .withEffects(given.effects())
                            .withReverb(given.reverb())
                            .withDelay(given.delay());
                    out = out.withSound(lane, own);
                  }
                  return out;
                }));
  }

  /** Changes one of the effects of a drum lane. */
  public static Edit laneEffects(
      PartId drums, LaneId lane, String what, UnaryOperator<Effects> to) {
    return Edit.named(
        song -> "Set " + what + " of " + lane + " of " + name(song, drums),
        song ->
            song.withPart(
                drums,
                part -> {
                  LaneSound sound = part.sound(lane);
                  return part.withSound(lane, sound.withEffects(to.apply(sound.effects())));
                }));
  }

  /** Changes one thing about the whole mix, or about all drums together. */
  public static Edit master(String what, UnaryOperator<Master> change) {
    return Edit.of("Set " + what, song -> song.withMaster(change.apply(song.master())));
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
