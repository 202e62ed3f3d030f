package westtide.style;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.StreamSupport;
import westtide.rhythm.Figure;
import westtide.song.id.PartId;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Master;
import westtide.song.pattern.Arpeggio;
import westtide.text.OneOf;
import westtide.theory.voicing.ChordMember;

/** Reads who plays in a style from its JSON document; whoever is not named does not play. */
final class EnsembleReader {
  private final JsonNode json;

  EnsembleReader(JsonNode json) {
    this.json = json;
  }

  EnsembleHabit read() {
    return new EnsembleHabit(
        list(json.path("members")).stream().map(this::member).toList(),
        map(json.path("mix"), PartId::of, EnsembleReader::mix),
        map(json.path("returns"), EnsembleReader::occasion, this::plans),
        json.path("timing").asInt(0),
        master(),
        heard(json.path("heard")));
  }

  private static Calibration heard(JsonNode node) {
    return new Calibration(
        node.path("lead").asInt(Calibration.USUAL.lead()),
        node.path("mix").asInt(Calibration.USUAL.mix()));
  }

  private Master master() {
    return new Master(
        json.path("gain").asInt(0),
        json.path("glue").asInt(0),
        json.path("drumGlue").asInt(0),
        json.path("drumAttack").asInt(0),
        json.path("drumSustain").asInt(0),
        json.path("target").asInt(0));
  }

  private EnsembleHabit.Member member(JsonNode node) {
    return new EnsembleHabit.Member(
        PartId.of(text(node, "id")),
        text(node, "name"),
        node.path("program").asInt(0),
        node.path("instrument").asText(""),
        job(node),
        mix(node.path("mix")),
        map(node.required("plays"), EnsembleReader::occasion, n -> new LevelPlan(n.asText())),
        text(node, "why"));
  }

  private static Job job(JsonNode node) {
    int octaves = node.path("octaves").asInt(0);
    String job = text(node, "job");
    return switch (job) {
      case "bed" ->
          new Job.Bed(
              octaves,
              without(node),
              Optional.of(node.path("figure").asText(""))
                  .filter(text -> !text.isEmpty())
                  .map(Figure::new),
              node.path("strum").asInt(0));
      case "double" ->
          new Job.Twin(
              PartId.of(text(node, "of")), octaves, node.path("velocity").asInt(0), without(node));
      case "broken" -> new Job.Broken(arpeggio(node));
      case "percussion" ->
          new Job.Percussion(node.required("bars").asInt(), StyleReader.lanes(node));
      default -> new Job.Beside(beside(job), octaves);
    };
  }

  private static Job.Beside.Kind beside(String job) {
    for (Job.Beside.Kind kind : Job.Beside.Kind.values()) {
      if (kind.name().equalsIgnoreCase(job)) {
        return kind;
      }
    }
    throw new IllegalArgumentException(
        "a job is bed, double, broken, percussion, counter, answer, ghost, stabs or riff, but was \""
            + job
            + "\"");
  }

  private static Arpeggio arpeggio(JsonNode node) {
    return new Arpeggio(
        OneOf.of(Arpeggio.Order.class, node.path("order").asText("UP")),
        OneOf.of(Arpeggio.Rate.class, node.path("rate").asText("EIGHTH")),
        node.path("span").asInt(1),
        node.path("gate").asInt(80),
        new Figure(node.path("figure").asText("x")),
        node.required("lowest").asInt(),
        node.path("swell").asInt(0),
        0,
        1);
  }

  private static Set<ChordMember> without(JsonNode node) {
    Set<ChordMember> out = EnumSet.noneOf(ChordMember.class);
    node.path("without").forEach(member -> out.add(OneOf.of(ChordMember.class, member.asText())));
    return out;
  }

  private static MixHabit mix(JsonNode node) {
    return new MixHabit(
        (int) Math.round(10 * node.path("level").asDouble(0)),
        node.path("pan").asInt(0),
        node.path("width").asInt(0),
        node.path("reverb").asInt(0),
        node.path("delay").asInt(0),
        OneOf.of(DelayTime.class, node.path("every").asText(DelayTime.DOTTED_EIGHTH.name())),
        node.path("lowCut").asInt(0),
        (int) Math.round(10 * node.path("clip").asDouble(0)));
  }

  private Map<PartId, LevelPlan> plans(JsonNode node) {
    return map(node, PartId::of, plan -> new LevelPlan(plan.asText()));
  }

  private static String occasion(String text) {
    EnsembleHabit.check(text);
    return text;
  }

  private static <K, V> Map<K, V> map(
      JsonNode node, Function<String, K> key, Function<JsonNode, V> value) {
    Map<K, V> out = new LinkedHashMap<>();
    node.properties()
        .forEach(entry -> out.put(key.apply(entry.getKey()), value.apply(entry.getValue())));
    return out;
  }

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  private static String text(JsonNode node, String field) {
    return node.required(field).asText();
  }
}
