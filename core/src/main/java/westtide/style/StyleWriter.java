package westtide.style;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import westtide.rhythm.Figure;
import westtide.song.chord.RhythmText;
import westtide.song.drum.LaneId;
import westtide.song.form.SectionKind;
import westtide.song.form.SectionWord;
import westtide.theory.ChordQuality;

/** Turns a style into the JSON document {@link StyleReader} reads. */
final class StyleWriter {
  private static final String NO_REASON = "No reason was given yet.";

  private final JsonNodeFactory nodes = JsonNodeFactory.instance;
  private final Style style;

  StyleWriter(Style style) {
    this.style = style;
  }

  ObjectNode write() {
    ObjectNode out = nodes.objectNode();
    out.put("id", style.id()).put("name", style.name()).put("summary", style.summary());
    out.set("tempo", span(style.tempo(), "Tempo"));
    out.putObject("feel").put("value", style.feel().toString()).put("why", why("Feel"));
    out.set("swing", span(style.swing(), "Swing"));
    ObjectNode keys = out.putObject("keys");
    keys.set("values", texts(style.keys().stream().map(Object::toString).toList()));
    keys.put("why", why("Keys"));
    out.set("chords", chords());
    out.set("drums", drums());
    out.set("sub", sub());
    out.set("bass", bass());
    out.set("keys-part", keysPart());
    out.set("lead", lead());
    out.set("sound", sound());
    out.set("forms", forms());
    ObjectNode transitions = out.putObject("transitions");
    transitions.put("why", why("Transitions"));
    ObjectNode at = transitions.putObject("at");
    style
        .boundaries()
        .forEach(
            (kind, habits) -> {
              ArrayNode array = at.putArray(EnsembleHabit.word(kind));
              habits.forEach(
                  habit -> array.addObject().put("marks", habit.line()).put("why", habit.why()));
            });
    out.set("ensemble", new EnsembleWriter(style.ensemble()).write());
    out.set("checklist", texts(style.checklist()));
    return out;
  }

  private ObjectNode span(Span span, String topic) {
    return nodes
        .objectNode()
        .put("low", span.low())
        .put("high", span.high())
        .put("start", span.start())
        .put("why", why(topic));
  }

  private ArrayNode pair(Span span) {
    return nodes.arrayNode().add(span.low()).add(span.high());
  }

  private static ArrayNode texts(Collection<String> values) {
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    values.forEach(out::add);
    return out;
  }

  private String why(String topic) {
    return style.why(topic).orElse(NO_REASON);
  }

  private ObjectNode chords() {
    ChordHabit habit = style.chords();
    ObjectNode out = nodes.objectNode();
    out.set("progressions", texts(habit.progressions()));
    out.put("second", habit.second()).put("pedal", habit.pedal());
    out.set("figures", texts(habit.rhythms().stream().map(RhythmText::format).toList()));
    out.put("spread", habit.spread().name()).put("strum", habit.strum()).put("vary", habit.vary());
    out.set("colours", texts(habit.colours().stream().map(ChordQuality::suffix).toList()));
    out.set("sevenths", pair(habit.sevenths()));
    return out.put("why", why("Chords"));
  }

  private ObjectNode drums() {
    GrooveHabit habit = style.groove();
    ObjectNode out = nodes.objectNode().put("bars", habit.bars());
    out.put("velocity", habit.schools().full() ? "full" : "shaped");
    out.put("eightBars", habit.schools().throughWritten() ? "differ" : "stay");
    out.put("vary", habit.schools().vary());
    out.set("lanes", lanes(habit.lanes(), id -> why(id.toString())));
    out.set("thin", texts(habit.thin().stream().map(LaneId::code).toList()));
    ArrayNode fills = out.putArray("fills");
    habit
        .fills()
        .forEach(
            fill -> {
              ObjectNode node = fills.addObject();
              fill.forEach((id, text) -> node.put(id.code(), text));
            });
    out.set("hitsPerBar", pair(habit.hitsPerBar()));
    return out.put("why", why("Drums"));
  }

  /** Lanes with what is said of each; nothing is said where that is empty. */
  static ObjectNode lanes(Map<LaneId, LaneHabit> lanes, Function<LaneId, String> why) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    lanes.forEach(
        (id, lane) -> {
          ObjectNode node = out.putObject(id.code());
          node.set("texts", texts(lane.texts()));
          node.put("grid", lane.grid().name())
              .put("nudge", lane.nudge())
              .put("pan", lane.pan())
              .put("accents", lane.accents())
              .put("answers", lane.answers())
              .put("enters", lane.enters());
          lane.pitches().forEach(node.withArray("pitches")::add);
          if (!why.apply(id).isEmpty()) {
            node.put("why", why.apply(id));
          }
        });
    return out;
  }

  private ObjectNode part(PartHabit habit) {
    return nodes.objectNode().put("name", habit.name()).put("program", habit.program());
  }

  private ObjectNode sub() {
    PartHabit.Bass808 habit = style.sub();
    ObjectNode out = part(habit).put("link", habit.link().name()).put("lowest", habit.lowest());
    out.set("figures", texts(habit.figures().stream().map(Object::toString).toList()));
    out.set("grammar", grammar(habit.grammar()));
    return out.put("why", why("808"));
  }

  private ObjectNode bass() {
    PartHabit.Bass habit = style.bass();
    ObjectNode out = part(habit).put("lowest", habit.lowest());
    out.set("figures", texts(habit.figures().stream().map(Object::toString).toList()));
    out.set("grammar", grammar(habit.grammar()));
    return out.put("why", why("Bass"));
  }

  private ObjectNode grammar(LowHabit habit) {
    ObjectNode out =
        nodes
            .objectNode()
            .put("rhythm", habit.rhythm().name())
            .put("pitches", habit.pitches().name())
            .put("pickUp", habit.pickUp().name())
            .put("phraseBars", habit.phraseBars());
    out.set("rest", pair(habit.rest()));
    return out.put("shaped", habit.shaped()).put("slides", habit.slides());
  }

  private ObjectNode language(LineLanguage language) {
    ObjectNode out = nodes.objectNode();
    out.set("opens", halves(language.opens()));
    out.set("answers", halves(language.answers()));
    out.set("closes", halves(language.closes()));
    out.put("pitches", language.pitches().name());
    ArrayNode cycles = out.putArray("cycles");
    language.cycles().forEach(cycles::add);
    return out.put("triplets", language.triplets());
  }

  private ArrayNode halves(List<Figure> halves) {
    return texts(halves.stream().map(Figure::text).toList());
  }

  private ObjectNode keysPart() {
    PartHabit.Keys habit = style.keysPart();
    return part(habit)
        .put("bassLow", habit.range().bassLow())
        .put("low", habit.range().low())
        .put("high", habit.range().high())
        .put("why", why("Chord part"));
  }

  private ObjectNode lead() {
    PartHabit.Lead habit = style.lead();
    ObjectNode out =
        part(habit)
            .put("low", habit.low())
            .put("high", habit.high())
            .put("mood", habit.bright() ? "bright" : "sad");
    out.set("language", language(habit.language()));
    return out.put("why", why("Lead"));
  }

  private ObjectNode sound() {
    ObjectNode out = nodes.objectNode();
    ObjectNode instruments = out.putObject("instruments");
    style.sound().instruments().forEach(instruments::put);
    out.set("ducked", texts(style.sound().ducked()));
    SoundHabit.Tilt tilt = style.sound().tilt();
    if (!tilt.equals(SoundHabit.Tilt.NONE)) {
      out.putObject("tilt").put("low", tilt.low()).put("high", tilt.high());
    }
    return out.put("duck", style.sound().trigger().name()).put("why", why("Sound"));
  }

  private ObjectNode forms() {
    FormHabit habit = style.form();
    ObjectNode out = nodes.objectNode();
    ArrayNode templates = out.putArray("templates");
    habit
        .templates()
        .forEach(t -> templates.addObject().put("name", t.name()).put("line", t.line()));
    ObjectNode levels = out.putObject("levels");
    habit
        .levels()
        .forEach(
            (kind, plans) -> {
              ObjectNode node = levels.putObject(word(kind));
              plans.forEach((part, plan) -> node.put(part, plan.text()));
            });
    ObjectNode energy = out.putObject("energy");
    habit.energy().forEach((kind, value) -> energy.put(word(kind), value));
    return out.put("lastHook", habit.lastHook()).put("why", why("Form"));
  }

  /** The plainest word for a kind of section. */
  private static String word(SectionKind kind) {
    return List.of(SectionWord.values()).stream()
        .filter(word -> word.kind() == kind)
        .map(SectionWord::toString)
        .findFirst()
        .orElseThrow();
  }
}
