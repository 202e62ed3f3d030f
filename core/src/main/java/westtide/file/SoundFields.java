package westtide.file;

import static westtide.file.Fields.field;
import static westtide.file.Fields.number;
import static westtide.file.Fields.text;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;
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
}
