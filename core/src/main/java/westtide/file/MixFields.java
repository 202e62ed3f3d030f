package westtide.file;

import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.rhythm.NoteValue;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Duck;
import westtide.song.mix.Effects;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Gate;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.mix.ReverbKind;
import westtide.song.mix.Space;
import westtide.song.mix.Tremolo;

/** How parts sound in a song file: instrument, mix, effects, and the whole mix. */
final class MixFields {
  static final RecordShape<Patch> PATCH =
      RecordShape.of(
          Patch.class,
          Field.text("instrument"),
          Field.of("settings", Shape.map(name -> name, name -> name, Shape.NUMBER)));

  private static final RecordShape<Duck> DUCK =
      RecordShape.of(
          Duck.class,
          Field.named("trigger", Duck.Trigger.class),
          Field.number("depth"),
          Field.number("millis"),
          Field.number("below"),
          Field.text("lane").or(""),
          Field.number("hold").or(0),
          Field.named("curve", Duck.Return.class).or(Duck.Return.SOON));

  private static final RecordShape<Gate> GATE =
      RecordShape.of(Gate.class, Field.of("figure", SongShapes.FIGURE), Field.number("depth"));

  private static final RecordShape<Space> SPACE =
      RecordShape.of(
          Space.class,
          Field.named("room", ReverbKind.class),
          Field.number("feedback"),
          Field.flag("pingPong").earlier(true),
          Field.number("repeatsFrom"),
          Field.number("repeatsTo"));

  private static final RecordShape<Equaliser> EQUALISER =
      RecordShape.of(
          Equaliser.class,
          Field.number("low"),
          Field.number("mid"),
          Field.number("midHertz"),
          Field.number("high"));

  private static final RecordShape<Tremolo> TREMOLO =
      RecordShape.of(
          Tremolo.class,
          Field.number("depth"),
          Field.named("rate", NoteValue.class),
          Field.number("swing"),
          Field.number("stereo"));

  /** The effects of a part or a lane, said only where there are some. */
  static final Field<Effects> EFFECTS =
      Field.of(
              "effects",
              RecordShape.of(
                  Effects.class,
                  Field.of("equaliser", EQUALISER),
                  Field.number("attack"),
                  Field.number("sustain"),
                  Field.number("tape"),
                  Field.number("grain"),
                  Field.number("phaser"),
                  Field.number("chorus"),
                  Field.of("tremolo", TREMOLO)))
          .or(Effects.NONE);

  static final RecordShape<Mix> MIX =
      RecordShape.of(
          Mix.class,
          Field.number("level"),
          Field.number("pan"),
          Field.number("lowCut"),
          Field.number("lowPass"),
          Field.number("reverb"),
          Field.number("delay"),
          Field.named("delayTime", DelayTime.class),
          Field.number("width"),
          Field.number("clip"),
          Field.of("duck", DUCK),
          Field.of("gate", GATE).or(Gate.OPEN),
          Field.of("space", SPACE).or(Space.USUAL),
          EFFECTS);

  static final RecordShape<Master> MASTER =
      RecordShape.of(
          Master.class,
          Field.number("gain"),
          Field.number("glue"),
          Field.number("drumGlue"),
          Field.number("drumAttack"),
          Field.number("drumSustain"),
          Field.number("target"));

  private MixFields() {}
}
