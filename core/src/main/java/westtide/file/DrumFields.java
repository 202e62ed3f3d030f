package westtide.file;

import static westtide.file.Fields.at;
import static westtide.file.Fields.field;
import static westtide.file.Fields.list;
import static westtide.file.Fields.named;
import static westtide.file.Fields.number;
import static westtide.file.Fields.text;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.Roll;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.When;
import westtide.song.drum.BorrowedLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.drum.PanSweep;
import westtide.song.drum.Restart;
import westtide.song.id.PartId;
import westtide.song.pattern.GrooveChange;
import westtide.song.pattern.Pattern;

/** The part of a song file that says what drums play: grooves, lanes, hits and how lanes sound. */
final class DrumFields {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final int NEVER = -1;

  private DrumFields() {}

  static void write(Pattern.Drums drums, ObjectNode out) {
    out.put("kind", "drums").put("bars", drums.bars());
    if (!drums.restart().equals(Restart.WITH_GROOVE)) {
      out.put("restart", restart(drums.restart()));
    }
    ArrayNode lanes = out.putArray("lanes");
    drums.lanes().forEach(lane -> lanes.add(lane(lane)));
  }

  static void write(Pattern.Varied varied, ObjectNode out) {
    out.put("kind", "varied").put("from", varied.parent()).put("bars", varied.bars());
    ArrayNode changes = out.putArray("changes");
    varied.changes().forEach(change -> changes.add(change(change)));
  }

  static Pattern.Drums drums(JsonNode node) {
    return new Pattern.Drums(
        number(node, "bars"),
        restart(node.path("restart").asInt(0)),
        list(field(node, "lanes"), DrumFields::lane));
  }

  static Pattern.Varied varied(JsonNode node) {
    return new Pattern.Varied(
        text(node, "from"), number(node, "bars"), list(field(node, "changes"), DrumFields::change));
  }

  private static int restart(Restart restart) {
    return restart.equals(Restart.NEVER) ? NEVER : restart.steps();
  }

  private static Restart restart(int steps) {
    return steps == NEVER ? Restart.NEVER : new Restart(steps);
  }

  private static ObjectNode change(GrooveChange change) {
    ObjectNode out = NODES.objectNode();
    if (change instanceof GrooveChange.OnStep step) {
      out.put("lane", step.lane().code()).put("step", step.step());
      step.hit().ifPresent(hit -> out.set("hit", hit(hit)));
    } else if (change instanceof GrooveChange.WholeLane whole) {
      out.set("whole", lane(whole.lane()));
    } else if (change instanceof GrooveChange.Without without) {
      out.put("without", without.lane().code());
    } else {
      out.put("restart", restart(((GrooveChange.Restarting) change).restart()));
    }
    return out;
  }

  private static GrooveChange change(JsonNode node) {
    if (node.has("whole")) {
      return new GrooveChange.WholeLane(lane(field(node, "whole")));
    }
    if (node.has("without")) {
      return new GrooveChange.Without(LaneId.parse(text(node, "without")));
    }
    if (node.has("restart")) {
      return new GrooveChange.Restarting(restart(number(node, "restart")));
    }
    Optional<Hit> hit = node.has("hit") ? Optional.of(hit(field(node, "hit"))) : Optional.empty();
    return new GrooveChange.OnStep(LaneId.parse(text(node, "lane")), number(node, "step"), hit);
  }

  private static ObjectNode lane(DrumLane lane) {
    ObjectNode out =
        NODES.objectNode().put("voice", lane.id().code()).put("steps", lane.lane().length());
    if (lane.grid() != StepGrid.SIXTEENTHS) {
      out.put("grid", lane.grid().name());
    }
    lane.swing()
        .ifPresent(swing -> out.put("swing", swing.toString()).put("swings", swing.grid().name()));
    lane.accents().ifPresent(accents -> out.put("accents", accents.toString()));
    lane.restart().ifPresent(own -> out.put("restart", restart(own)));
    if (!lane.feel().equals(LaneFeel.PLAIN)) {
      out.put("nudge", lane.feel().nudge())
          .put("varyVelocity", lane.feel().velocity())
          .put("varyTicks", lane.feel().ticks())
          .put("seed", lane.feel().seed());
    }
    ArrayNode hits = out.putArray("hits");
    lane.lane().hits().forEach(hit -> hits.add(hit(hit)));
    return out;
  }

  private static DrumLane lane(JsonNode node) {
    LaneFeel feel =
        new LaneFeel(
            node.path("nudge").asInt(0),
            node.path("varyVelocity").asInt(0),
            node.path("varyTicks").asInt(0),
            node.path("seed").asLong(1));
    return new DrumLane(
        LaneId.parse(text(node, "voice")),
        new StepLane(number(node, "steps"), list(field(node, "hits"), DrumFields::hit)),
        node.has("grid") ? named(StepGrid.class, node, "grid") : StepGrid.SIXTEENTHS,
        node.has("swing") ? Optional.of(swing(node)) : Optional.empty(),
        node.has("accents") ? Optional.of(StepLane.parse(text(node, "accents"))) : Optional.empty(),
        feel,
        node.has("restart") ? Optional.of(restart(number(node, "restart"))) : Optional.empty());
  }

  private static Swing swing(JsonNode node) {
    Swing swing = Swing.parse(text(node, "swing"));
    return node.has("swings") ? swing.on(named(Swing.Grid.class, node, "swings")) : swing;
  }

  private static ArrayNode hit(Hit hit) {
    ArrayNode out =
        NODES.arrayNode().add(hit.step()).add(hit.velocity()).add(hit.nudge()).add(hit.strokes());
    if (!hit.equals(new Hit(hit.step(), hit.velocity(), hit.nudge(), hit.strokes()))) {
      out.addObject()
          .put("pitch", hit.pitch())
          .put("over", hit.roll().steps())
          .put("ramp", hit.roll().ramp())
          .put("rise", hit.roll().rise())
          .put("flam", hit.flam())
          .put("turn", hit.when().turn().name())
          .put("every", hit.when().every())
          .put("on", hit.when().on())
          .put("percent", hit.when().percent())
          .put("seed", hit.when().seed());
    }
    return out;
  }

  private static Hit hit(JsonNode node) {
    Hit plain = new Hit(at(node, 0), at(node, 1), at(node, 2), at(node, 3));
    JsonNode more = node.path(4);
    if (more.isMissingNode()) {
      return plain;
    }
    When when =
        new When(
            more.has("turn") ? named(When.Turn.class, more, "turn") : When.Turn.COUNTED,
            more.path("every").asInt(1),
            more.path("on").asInt(1),
            more.path("percent").asInt(100),
            more.path("seed").asLong(1));
    Roll roll =
        new Roll(
            plain.strokes(),
            more.path("over").asInt(1),
            more.path("ramp").asInt(Roll.USUAL_RAMP),
            more.path("rise").asInt(0));
    return plain
        .withPitch(more.path("pitch").asInt(0))
        .withRoll(roll)
        .withFlam(more.path("flam").asInt(0))
        .withWhen(when);
  }

  static ObjectNode write(Map<LaneId, LaneSound> sounds) {
    ObjectNode out = NODES.objectNode();
    sounds.forEach(
        (lane, sound) -> {
          ObjectNode node =
              out.putObject(lane.code())
                  .put("instrument", sound.instrument())
                  .put("cents", sound.cents())
                  .put("level", sound.level())
                  .put("pan", sound.pan())
                  .put("choke", sound.choke())
                  .put("note", sound.note());
          if (sound.reverb() > 0 || sound.delay() > 0) {
            node.put("reverb", sound.reverb()).put("delay", sound.delay());
          }
          MixFields.writeEffects(node, sound.effects());
          if (sound.sweep().moves()) {
            node.put("panTo", sound.sweep().to()).put("panSteps", sound.sweep().steps());
          }
          if (sound.reversed()) {
            node.put("reversed", true);
          }
        });
    return out;
  }

  static Map<LaneId, LaneSound> sounds(JsonNode node) {
    Map<LaneId, LaneSound> out = new LinkedHashMap<>();
    node.properties()
        .forEach(entry -> out.put(LaneId.parse(entry.getKey()), sound(entry.getValue())));
    return out;
  }

  private static LaneSound sound(JsonNode node) {
    return new LaneSound(
        text(node, "instrument"),
        number(node, "cents"),
        number(node, "level"),
        number(node, "pan"),
        number(node, "choke"),
        number(node, "note"),
        node.path("reverb").asInt(0),
        node.path("delay").asInt(0),
        MixFields.effects(node),
        new PanSweep(node.path("panTo").asInt(0), node.path("panSteps").asInt(0)),
        node.path("reversed").asBoolean(false));
  }

  static ObjectNode writeBorrowed(Map<LaneId, BorrowedLane> lanes) {
    ObjectNode out = NODES.objectNode();
    lanes.forEach(
        (lane, borrowed) -> {
          if (borrowed.isEverywhere()) {
            out.put(lane.code(), borrowed.model().value());
          } else {
            ArrayNode grooves =
                out.putObject(lane.code())
                    .put("part", borrowed.model().value())
                    .putArray("grooves");
            borrowed.grooves().forEach(grooves::add);
          }
        });
    return out;
  }

  static Map<LaneId, BorrowedLane> borrowed(JsonNode node) {
    Map<LaneId, BorrowedLane> out = new LinkedHashMap<>();
    node.properties()
        .forEach(entry -> out.put(LaneId.parse(entry.getKey()), borrowedLane(entry.getValue())));
    return out;
  }

  private static BorrowedLane borrowedLane(JsonNode node) {
    return node.isObject()
        ? new BorrowedLane(
            PartId.of(text(node, "part")), list(field(node, "grooves"), JsonNode::asText))
        : BorrowedLane.everywhere(PartId.of(node.asText()));
  }
}
