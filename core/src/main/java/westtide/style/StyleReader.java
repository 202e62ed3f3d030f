package westtide.style;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import westtide.rhythm.Feel;
import westtide.rhythm.Figure;
import westtide.rhythm.StepGrid;
import westtide.song.chord.RhythmText;
import westtide.song.drum.LaneId;
import westtide.song.form.SectionKind;
import westtide.song.form.SectionWord;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.mix.Duck;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.LowLine;
import westtide.text.OneOf;
import westtide.theory.ChordQuality;
import westtide.theory.Key;
import westtide.theory.voicing.VoicingKind;
import westtide.theory.voicing.VoicingRange;

/** Builds a style from its JSON document. */
final class StyleReader {
  private final JsonNode json;
  private final Function<String, JsonNode> families;

  /** A reader that finds the forms a style shares with others by their name. */
  StyleReader(JsonNode json, Function<String, JsonNode> families) {
    this.json = json;
    this.families = families;
  }

  Style read() {
    EnsembleHabit ensemble = new EnsembleReader(json.path("ensemble")).read();
    JsonNode keys = json.required("keys-part");
    JsonNode lead = json.required("lead");
    return new Style(
        json.required("id").asText(),
        json.required("name").asText(),
        json.required("summary").asText(),
        span(json.required("tempo")),
        Feel.find(json.required("feel").required("value").asText()).orElseThrow(),
        span(json.required("swing")),
        some(json.required("keys"), "values").stream().map(Key::parse).toList(),
        chords(json.required("chords")),
        groove(json.required("drums")),
        new PartHabit.Keys(text(keys, "name"), program(keys), range(keys)),
        new PartHabit.Lead(
            text(lead, "name"),
            program(lead),
            lead.required("low").asInt(),
            lead.required("high").asInt(),
            text(lead, "mood").equals("bright"),
            lead.has("language") ? language(lead.get("language")) : LineLanguage.PLAIN),
        sub(json.required("sub")),
        bass(json.required("bass")),
        sound(json.required("sound")),
        form(forms()),
        boundaries(json.required("transitions")),
        ensemble,
        texts(json.required("checklist")),
        reasons(ensemble));
  }

  /** Earlier documents said in words only what happens; those announce their hooks plainly. */
  private static Map<SectionKind, List<BoundaryHabit>> boundaries(JsonNode node) {
    Map<SectionKind, List<BoundaryHabit>> out = new LinkedHashMap<>();
    if (!node.has("at")) {
      List<Transition> plain =
          List.of(Transition.of(TransitionKind.DRUMS_OUT), Transition.of(TransitionKind.CRASH));
      out.put(SectionKind.HOOK, List.of(new BoundaryHabit(plain, text(node, "why"))));
      return out;
    }
    node.required("at")
        .properties()
        .forEach(
            at -> {
              List<BoundaryHabit> habits = new ArrayList<>();
              at.getValue().forEach(habit -> habits.add(boundary(habit)));
              out.put(SectionWord.find(at.getKey()).orElseThrow().kind(), List.copyOf(habits));
            });
    return out;
  }

  private static BoundaryHabit boundary(JsonNode node) {
    List<Transition> marks = new ArrayList<>();
    for (String word : text(node, "marks").strip().split("\\s+")) {
      marks.add(
          Transition.parse(word)
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "\"" + word + "\" is no transition; use " + Transition.words())));
    }
    return new BoundaryHabit(marks, text(node, "why"));
  }

  private static Span span(JsonNode node) {
    return new Span(
        node.required("low").asDouble(),
        node.required("high").asDouble(),
        node.required("start").asDouble());
  }

  private static Span pair(JsonNode node) {
    return new Span(node.get(0).asDouble(), node.get(1).asDouble(), node.get(0).asDouble());
  }

  private static List<String> texts(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).map(JsonNode::asText).toList();
  }

  /** Texts of which a draft needs one at least. */
  private static List<String> some(JsonNode node, String field) {
    List<String> out = texts(node.required(field));
    if (out.isEmpty()) {
      throw new IllegalArgumentException("its list of " + field + " is empty");
    }
    return out;
  }

  private static String text(JsonNode node, String field) {
    return node.required(field).asText();
  }

  private static int program(JsonNode node) {
    return node.required("program").asInt();
  }

  private static VoicingRange range(JsonNode node) {
    return new VoicingRange(
        node.required("bassLow").asInt(),
        node.required("low").asInt(),
        node.required("high").asInt());
  }

  private static ChordHabit chords(JsonNode node) {
    return new ChordHabit(
        some(node, "progressions"),
        node.required("second").asBoolean(),
        node.required("pedal").asBoolean(),
        some(node, "figures").stream().map(RhythmText::parse).toList(),
        OneOf.of(VoicingKind.class, text(node, "spread")),
        node.required("strum").asInt(),
        node.required("vary").asInt(),
        texts(node.required("colours")).stream().map(ChordQuality::parse).toList(),
        pair(node.required("sevenths")));
  }

  private static GrooveHabit groove(JsonNode node) {
    Map<LaneId, LaneHabit> lanes = lanes(node);
    List<Map<LaneId, String>> fills = new ArrayList<>();
    node.required("fills").forEach(fill -> fills.add(fill(fill)));
    return new GrooveHabit(
        node.required("bars").asInt(),
        lanes,
        texts(node.required("thin")).stream().map(LaneId::parse).toList(),
        fills,
        pair(node.required("hitsPerBar")),
        new GrooveHabit.Schools(
            text(node, "velocity").equals("full"),
            text(node, "eightBars").equals("differ"),
            node.required("vary").asInt()));
  }

  /** The lanes of a groove. */
  static Map<LaneId, LaneHabit> lanes(JsonNode node) {
    Map<LaneId, LaneHabit> out = new LinkedHashMap<>();
    node.required("lanes")
        .properties()
        .forEach(entry -> out.put(LaneId.parse(entry.getKey()), lane(entry.getValue())));
    return out;
  }

  private static LaneHabit lane(JsonNode node) {
    return new LaneHabit(
        some(node, "texts"),
        OneOf.of(StepGrid.class, node.path("grid").asText(StepGrid.SIXTEENTHS.name())),
        node.path("nudge").asInt(0),
        node.path("pan").asInt(0),
        node.path("accents").asText(""),
        node.path("answers").asBoolean(false),
        node.path("enters").asInt(1),
        pitches(node.path("pitches")));
  }

  private static List<Integer> pitches(JsonNode array) {
    List<Integer> out = new ArrayList<>();
    array.forEach(semitones -> out.add(semitones.asInt()));
    return out;
  }

  private static Map<LaneId, String> fill(JsonNode node) {
    Map<LaneId, String> out = new LinkedHashMap<>();
    node.properties().forEach(f -> out.put(LaneId.parse(f.getKey()), f.getValue().asText()));
    return out;
  }

  private static PartHabit.Bass808 sub(JsonNode node) {
    return new PartHabit.Bass808(
        text(node, "name"),
        program(node),
        OneOf.of(KickLink.class, text(node, "link")),
        figures(node),
        node.required("lowest").asInt(),
        node.has("grammar") ? grammar(node.get("grammar")) : plain(node, 20));
  }

  private static PartHabit.Bass bass(JsonNode node) {
    return new PartHabit.Bass(
        text(node, "name"),
        program(node),
        figures(node),
        node.required("lowest").asInt(),
        node.has("grammar") ? grammar(node.get("grammar")) : plain(node, 0));
  }

  private static LowHabit grammar(JsonNode node) {
    return new LowHabit(
        OneOf.of(LowLine.Rhythm.class, text(node, "rhythm")),
        OneOf.of(LowLine.Pitches.class, text(node, "pitches")),
        OneOf.of(LowLine.PickUp.class, text(node, "pickUp")),
        node.required("phraseBars").asInt(),
        pair(node.required("rest")),
        node.required("shaped").asBoolean(),
        node.required("slides").asBoolean());
  }

  /** The grammar of a low part that was saved before low parts had one. */
  private static LowHabit plain(JsonNode node, int rest) {
    boolean locked = node.path("link").asText().equals(KickLink.LOCKED.name());
    return new LowHabit(
        locked ? LowLine.Rhythm.KICK : LowLine.Rhythm.DRAWN,
        node.path("fifths").asBoolean() ? LowLine.Pitches.FIFTHS : LowLine.Pitches.ROOTS,
        node.path("pickUp").asBoolean() ? LowLine.PickUp.STEP : LowLine.PickUp.NONE,
        2,
        new Span(rest, rest, rest),
        false,
        false);
  }

  private static LineLanguage language(JsonNode node) {
    return new LineLanguage(
        halves(node, "opens"),
        halves(node, "answers"),
        halves(node, "closes"),
        OneOf.of(LineLanguage.Pitches.class, text(node, "pitches")),
        texts(node.required("cycles")).stream().map(Integer::valueOf).toList(),
        node.required("triplets").asBoolean());
  }

  private static List<Figure> halves(JsonNode node, String field) {
    return some(node, field).stream().map(Figure::new).toList();
  }

  private static List<Figure> figures(JsonNode node) {
    return some(node, "figures").stream().map(Figure::new).toList();
  }

  private static SoundHabit sound(JsonNode node) {
    Map<String, String> instruments = new LinkedHashMap<>();
    node.required("instruments")
        .properties()
        .forEach(entry -> instruments.put(entry.getKey(), entry.getValue().asText()));
    return new SoundHabit(
        instruments,
        new LinkedHashSet<>(texts(node.required("ducked"))),
        OneOf.of(Duck.Trigger.class, text(node, "duck")),
        node.has("tilt") ? tilt(node.required("tilt")) : SoundHabit.Tilt.NONE);
  }

  private static SoundHabit.Tilt tilt(JsonNode node) {
    return new SoundHabit.Tilt(node.required("low").asDouble(), node.required("high").asDouble());
  }

  /** The forms of the style, or of the family it names. */
  private JsonNode forms() {
    JsonNode forms = json.required("forms");
    return forms.isTextual() ? families.apply(forms.asText()) : forms;
  }

  private static FormHabit form(JsonNode node) {
    List<FormHabit.Template> templates = new ArrayList<>();
    node.required("templates")
        .forEach(t -> templates.add(new FormHabit.Template(text(t, "name"), text(t, "line"))));
    Map<SectionKind, Map<String, LevelPlan>> levels = new EnumMap<>(SectionKind.class);
    node.required("levels")
        .properties()
        .forEach(k -> levels.put(kind(k.getKey()), plans(k.getValue())));
    Map<SectionKind, Integer> energy = new EnumMap<>(SectionKind.class);
    node.required("energy")
        .properties()
        .forEach(k -> energy.put(kind(k.getKey()), k.getValue().asInt()));
    return new FormHabit(templates, levels, energy, node.required("lastHook").asInt());
  }

  private static SectionKind kind(String word) {
    return SectionWord.find(word).orElseThrow().kind();
  }

  private static Map<String, LevelPlan> plans(JsonNode node) {
    Map<String, LevelPlan> out = new LinkedHashMap<>();
    node.properties().forEach(p -> out.put(p.getKey(), new LevelPlan(p.getValue().asText())));
    return out;
  }

  private static String ends(JsonNode span) {
    return plain(span.get("low")) + " to " + plain(span.get("high"));
  }

  private static String plain(JsonNode number) {
    return number.decimalValue().stripTrailingZeros().toPlainString();
  }

  private List<Reason> reasons(EnsembleHabit ensemble) {
    List<Reason> out = new ArrayList<>();
    JsonNode tempo = json.required("tempo");
    JsonNode swing = json.required("swing");
    out.add(reason("Tempo", ends(tempo) + " BPM", tempo));
    out.add(reason("Feel", text(json.required("feel"), "value"), json.required("feel")));
    out.add(reason("Swing", ends(swing) + " %", swing));
    List<String> keys =
        texts(json.required("keys").required("values")).stream()
            .map(text -> Key.parse(text).toString())
            .toList();
    out.add(
        reason(
            "Keys",
            String.join(", ", keys.subList(0, Math.min(3, keys.size()))),
            json.required("keys")));
    JsonNode chords = json.required("chords");
    out.add(reason("Chords", texts(chords.required("progressions")).get(0), chords));
    out.add(
        reason(
            "Drums",
            json.required("drums").required("bars").asText() + "-bar groove",
            json.required("drums")));
    json.required("drums")
        .required("lanes")
        .properties()
        .forEach(
            l ->
                out.add(
                    reason(
                        LaneId.parse(l.getKey()).toString(),
                        texts(l.getValue().required("texts")).get(0),
                        l.getValue())));
    out.add(
        reason(
            "808",
            OneOf.of(KickLink.class, text(json.required("sub"), "link")).toString(),
            json.required("sub")));
    out.add(reason("Bass", text(json.required("bass"), "name"), json.required("bass")));
    out.add(
        reason("Chord part", text(json.required("keys-part"), "name"), json.required("keys-part")));
    out.add(reason("Lead", text(json.required("lead"), "name"), json.required("lead")));
    JsonNode sound = json.required("sound");
    out.add(reason("Sound", String.join(", ", sound(sound).instruments().values()), sound));
    JsonNode transitions = json.required("transitions");
    out.add(
        reason(
            "Transitions",
            boundaries(transitions).getOrDefault(SectionKind.HOOK, List.of()).stream()
                .flatMap(habit -> habit.marks().stream())
                .distinct()
                .map(Transition::toString)
                .collect(Collectors.joining(", ")),
            transitions));
    JsonNode forms = forms();
    out.add(reason("Form", text(forms.required("templates").get(0), "line"), forms));
    ensemble.members().forEach(member -> out.add(member.reason()));
    return out;
  }

  private static Reason reason(String topic, String habit, JsonNode node) {
    return new Reason(topic, habit, text(node, "why"));
  }
}
