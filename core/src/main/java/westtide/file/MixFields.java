package westtide.file;

import static westtide.file.Fields.field;
import static westtide.file.Fields.named;
import static westtide.file.Fields.number;
import static westtide.file.Fields.text;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import westtide.rhythm.Figure;
import westtide.rhythm.NoteValue;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Duck;
import westtide.song.mix.Effects;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Gate;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;
import westtide.song.mix.ReverbKind;
import westtide.song.mix.Space;
import westtide.song.mix.Tremolo;

/** The mix of a part, its effects and the whole mix in a song file. What is usual is left out. */
final class MixFields {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private MixFields() {}

  static ObjectNode write(Mix mix) {
    ObjectNode out =
        NODES
            .objectNode()
            .put("level", mix.level())
            .put("pan", mix.pan())
            .put("lowCut", mix.lowCut())
            .put("lowPass", mix.lowPass())
            .put("reverb", mix.reverb())
            .put("delay", mix.delay())
            .put("delayTime", mix.delayTime().name())
            .put("width", mix.width())
            .put("clip", mix.clip());
    out.set("duck", write(mix.duck()));
    if (!mix.gate().equals(Gate.OPEN)) {
      out.putObject("gate")
          .put("figure", mix.gate().figure().text())
          .put("depth", mix.gate().depth());
    }
    if (!mix.space().equals(Space.USUAL)) {
      out.putObject("space")
          .put("room", mix.space().room().name())
          .put("feedback", mix.space().feedback())
          .put("pingPong", mix.space().pingPong())
          .put("repeatsFrom", mix.space().repeatsFrom())
          .put("repeatsTo", mix.space().repeatsTo());
    }
    writeEffects(out, mix.effects());
    return out;
  }

  private static ObjectNode write(Duck duck) {
    ObjectNode out =
        NODES
            .objectNode()
            .put("trigger", duck.trigger().name())
            .put("depth", duck.depth())
            .put("millis", duck.millis())
            .put("below", duck.below());
    if (!duck.lane().isEmpty()) {
      out.put("lane", duck.lane());
    }
    if (duck.hold() > 0) {
      out.put("hold", duck.hold());
    }
    if (duck.curve() != Duck.Return.SOON) {
      out.put("curve", duck.curve().name());
    }
    return out;
  }

  /** Writes effects under their name, unless there are none. */
  static void writeEffects(ObjectNode to, Effects effects) {
    if (effects.equals(Effects.NONE)) {
      return;
    }
    ObjectNode out = to.putObject("effects");
    Equaliser bands = effects.equaliser();
    out.putObject("equaliser")
        .put("low", bands.low())
        .put("mid", bands.mid())
        .put("midHertz", bands.midHertz())
        .put("high", bands.high());
    out.put("attack", effects.attack())
        .put("sustain", effects.sustain())
        .put("tape", effects.tape())
        .put("grain", effects.grain())
        .put("phaser", effects.phaser())
        .put("chorus", effects.chorus());
    out.putObject("tremolo")
        .put("depth", effects.tremolo().depth())
        .put("rate", effects.tremolo().rate().name())
        .put("swing", effects.tremolo().swing())
        .put("stereo", effects.tremolo().stereo());
  }

  static ObjectNode write(Master master) {
    return NODES
        .objectNode()
        .put("gain", master.gain())
        .put("glue", master.glue())
        .put("drumGlue", master.drumGlue())
        .put("drumAttack", master.drumAttack())
        .put("drumSustain", master.drumSustain())
        .put("target", master.target());
  }

  static Mix mix(JsonNode node) {
    return new Mix(
        number(node, "level"),
        number(node, "pan"),
        number(node, "lowCut"),
        number(node, "lowPass"),
        number(node, "reverb"),
        number(node, "delay"),
        named(DelayTime.class, node, "delayTime"),
        number(node, "width"),
        number(node, "clip"),
        duck(field(node, "duck")),
        node.has("gate") ? gate(field(node, "gate")) : Gate.OPEN,
        node.has("space") ? space(field(node, "space")) : Space.USUAL,
        effects(node));
  }

  private static Duck duck(JsonNode node) {
    return new Duck(
        named(Duck.Trigger.class, node, "trigger"),
        node.path("lane").asText(),
        number(node, "depth"),
        node.path("hold").asInt(0),
        number(node, "millis"),
        node.has("curve") ? named(Duck.Return.class, node, "curve") : Duck.Return.SOON,
        number(node, "below"));
  }

  private static Gate gate(JsonNode node) {
    return new Gate(new Figure(text(node, "figure")), number(node, "depth"));
  }

  private static Space space(JsonNode node) {
    return new Space(
        named(ReverbKind.class, node, "room"),
        number(node, "feedback"),
        node.path("pingPong").asBoolean(true),
        number(node, "repeatsFrom"),
        number(node, "repeatsTo"));
  }

  /** The effects of a part or a lane; none where there is no word of them. */
  static Effects effects(JsonNode of) {
    if (!of.has("effects")) {
      return Effects.NONE;
    }
    JsonNode node = field(of, "effects");
    JsonNode bands = field(node, "equaliser");
    JsonNode tremolo = field(node, "tremolo");
    return new Effects(
        new Equaliser(
            number(bands, "low"),
            number(bands, "mid"),
            number(bands, "midHertz"),
            number(bands, "high")),
        number(node, "attack"),
        number(node, "sustain"),
        number(node, "tape"),
        number(node, "grain"),
        number(node, "phaser"),
        number(node, "chorus"),
        new Tremolo(
            number(tremolo, "depth"),
            named(NoteValue.class, tremolo, "rate"),
            number(tremolo, "swing"),
            number(tremolo, "stereo")));
  }

  static Master master(JsonNode node) {
    return new Master(
        number(node, "gain"),
        number(node, "glue"),
        number(node, "drumGlue"),
        number(node, "drumAttack"),
        number(node, "drumSustain"),
        number(node, "target"));
  }
}
