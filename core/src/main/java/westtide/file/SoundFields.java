package westtide.file;

import static westtide.file.Fields.field;
import static westtide.file.Fields.named;
import static westtide.file.Fields.number;
import static westtide.file.Fields.text;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;
import westtide.rhythm.Figure;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Duck;
import westtide.song.mix.Gate;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;

/** The part of a song file that says how parts sound: instrument and mix. */
final class SoundFields {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private SoundFields() {}

  static ObjectNode write(Patch patch) {
    ObjectNode out = NODES.objectNode().put("instrument", patch.instrument());
    ObjectNode settings = out.putObject("settings");
    patch.settings().forEach(settings::put);
    return out;
  }

  static Patch patch(JsonNode node) {
    Map<String, Integer> settings = new LinkedHashMap<>();
    JsonNode values = field(node, "settings");
    values.fieldNames().forEachRemaining(name -> settings.put(name, number(values, name)));
    return new Patch(text(node, "instrument"), settings);
  }

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
    out.putObject("duck")
        .put("trigger", mix.duck().trigger().name())
        .put("depth", mix.duck().depth())
        .put("millis", mix.duck().millis())
        .put("below", mix.duck().below());
    if (!mix.gate().equals(Gate.OPEN)) {
      out.putObject("gate")
          .put("figure", mix.gate().figure().text())
          .put("depth", mix.gate().depth());
    }
    return out;
  }

  static Mix mix(JsonNode node) {
    JsonNode duck = field(node, "duck");
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
        new Duck(
            named(Duck.Trigger.class, duck, "trigger"),
            number(duck, "depth"),
            number(duck, "millis"),
            number(duck, "below")),
        node.has("gate") ? gate(field(node, "gate")) : Gate.OPEN);
  }

  private static Gate gate(JsonNode node) {
    return new Gate(new Figure(text(node, "figure")), number(node, "depth"));
  }
}
