package westtide.style;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import westtide.song.mix.Master;
import westtide.song.pattern.Arpeggio;
import westtide.theory.voicing.ChordMember;

/** Turns who plays in a style into the JSON that {@link EnsembleReader} reads. */
final class EnsembleWriter {
  private final JsonNodeFactory nodes = JsonNodeFactory.instance;
  private final EnsembleHabit ensemble;

  EnsembleWriter(EnsembleHabit ensemble) {
    this.ensemble = ensemble;
  }

  ObjectNode write() {
    ObjectNode out = nodes.objectNode();
    Master master = ensemble.master();
    out.put("timing", ensemble.timing()).put("gain", master.gain()).put("glue", master.glue());
    out.put("drumGlue", master.drumGlue()).put("drumAttack", master.drumAttack());
    out.put("drumSustain", master.drumSustain()).put("target", master.target());
    out.putObject("heard").put("lead", ensemble.heard().lead()).put("mix", ensemble.heard().mix());
    ObjectNode mixes = out.putObject("mix");
    ensemble.mixes().forEach((part, mix) -> mixes.set(part.value(), mix(mix)));
    ObjectNode returns = out.putObject("returns");
    ensemble.returns().forEach((occasion, plans) -> returns.set(occasion, plans(plans)));
    ArrayNode members = out.putArray("members");
    ensemble.members().forEach(member -> members.add(member(member)));
    return out;
  }

  private ObjectNode member(EnsembleHabit.Member member) {
    ObjectNode out = nodes.objectNode();
    out.put("id", member.id().value()).put("name", member.name());
    out.put("program", member.program()).put("instrument", member.instrument());
    member.job().accept(new Written(out));
    out.set("mix", mix(member.mix()));
    out.set("plays", plans(member.plays()));
    return out.put("why", member.why());
  }

  /** Writes what a job is into the node of its member. */
  private record Written(ObjectNode out) implements Job.Kinds<ObjectNode> {
    @Override
    public ObjectNode bed(Job.Bed job) {
      out.put("job", "bed").put("octaves", job.octaves()).put("strum", job.strum());
      out.put("figure", job.figure().map(Object::toString).orElse(""));
      out.set("without", members(job.without()));
      return out;
    }

    @Override
    public ObjectNode twin(Job.Twin job) {
      out.put("job", "double").put("of", job.of().value()).put("octaves", job.octaves());
      out.put("velocity", job.velocity()).set("without", members(job.without()));
      return out;
    }

    @Override
    public ObjectNode broken(Job.Broken job) {
      Arpeggio rule = job.rule();
      out.put("job", "broken").put("order", rule.order().name()).put("rate", rule.rate().name());
      out.put("span", rule.octaves()).put("gate", rule.gate());
      out.put("figure", rule.steps().toString()).put("lowest", rule.lowest());
      return out.put("swell", rule.swellBars());
    }

    @Override
    public ObjectNode beside(Job.Beside job) {
      return out.put("job", job.kind().name().toLowerCase(Locale.ROOT))
          .put("octaves", job.octaves());
    }

    @Override
    public ObjectNode percussion(Job.Percussion job) {
      out.put("job", "percussion").put("bars", job.bars());
      out.set("lanes", StyleWriter.lanes(job.lanes(), lane -> ""));
      return out;
    }
  }

  private static ArrayNode members(Set<ChordMember> members) {
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    members.forEach(member -> out.add(member.name()));
    return out;
  }

  private ObjectNode mix(MixHabit mix) {
    return nodes
        .objectNode()
        .put("level", mix.level() / 10.0)
        .put("pan", mix.pan())
        .put("width", mix.width())
        .put("reverb", mix.reverb())
        .put("delay", mix.delay())
        .put("every", mix.delayTime().name())
        .put("lowCut", mix.lowCut())
        .put("clip", mix.clip() / 10.0);
  }

  private ObjectNode plans(Map<?, LevelPlan> plans) {
    ObjectNode out = nodes.objectNode();
    plans.forEach((key, plan) -> out.put(key.toString(), plan.text()));
    return out;
  }
}
