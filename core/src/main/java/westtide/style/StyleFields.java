package westtide.style;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import westtide.json.Field;
import westtide.json.ObjectShape;
import westtide.json.RecordShape;
import westtide.json.RowShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.rhythm.Feel;
import westtide.song.chord.RhythmText;
import westtide.song.form.SectionKind;
import westtide.song.form.SectionWord;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.mix.Duck;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.LowLine;
import westtide.theory.ChordQuality;
import westtide.theory.Key;
import westtide.theory.voicing.VoicingKind;

/** The document of a style: each of its fields, for reading and writing. */
final class StyleFields {
  private record Pair(double low, double high) {}

  /** A range alone. */
  private static final Shape<Span> PAIR =
      RowShape.of(Pair.class, Shape.DECIMAL, Shape.DECIMAL)
          .as(
              pair -> new Span(pair.low(), pair.high(), pair.low()),
              span -> new Pair(span.low(), span.high()));

  private static final RecordShape<ChordHabit> CHORDS =
      RecordShape.of(
          ChordHabit.class,
          Field.of("progressions", Shape.some(Shape.TEXT)),
          Field.flag("second"),
          Field.flag("pedal"),
          Field.of("figures", Shape.some(Shape.TEXT.as(RhythmText::parse, RhythmText::format)))
              .holds("rhythms"),
          Field.named("spread", VoicingKind.class),
          Field.number("strum"),
          Field.number("vary"),
          Field.of("colours", Shape.list(Shape.TEXT.as(ChordQuality::parse, ChordQuality::suffix))),
          Field.of("sevenths", PAIR));

  private static final RecordShape<GrooveHabit> GROOVE =
      RecordShape.of(
          GrooveHabit.class,
          Field.number("bars"),
          Field.spread(
              "schools",
              RecordShape.of(
                  GrooveHabit.Schools.class,
                  Field.of("velocity", either("full", "shaped")).holds("full"),
                  Field.of("eightBars", either("differ", "stay")).holds("throughWritten"),
                  Field.number("vary"))),
          Field.of("lanes", HabitShapes.LANES),
          Field.of("thin", Shape.list(SongShapes.LANE)),
          Field.of("fills", Shape.list(SongShapes.byLane(Shape.TEXT))),
          Field.of("hitsPerBar", PAIR));

  private static final RecordShape<LowHabit> GRAMMAR =
      RecordShape.of(
          LowHabit.class,
          Field.named("rhythm", LowLine.Rhythm.class),
          Field.named("pitches", LowLine.Pitches.class),
          Field.named("pickUp", LowLine.PickUp.class),
          Field.number("phraseBars"),
          Field.of("rest", PAIR),
          Field.flag("shaped"),
          Field.flag("slides"));

  private static final RecordShape<PartHabit.Bass808> SUB =
      RecordShape.of(
          PartHabit.Bass808.class,
          Field.text("name"),
          Field.number("program"),
          Field.named("link", KickLink.class),
          Field.number("lowest"),
          Field.of("figures", Shape.some(SongShapes.FIGURE)),
          Field.of("grammar", GRAMMAR).earlier(node -> plain(node, 20)));

  private static final RecordShape<PartHabit.Bass> BASS =
      RecordShape.of(
          PartHabit.Bass.class,
          Field.text("name"),
          Field.number("program"),
          Field.number("lowest"),
          Field.of("figures", Shape.some(SongShapes.FIGURE)),
          Field.of("grammar", GRAMMAR).earlier(node -> plain(node, 0)));

  private static final RecordShape<PartHabit.Keys> KEYS =
      RecordShape.of(
          PartHabit.Keys.class,
          Field.text("name"),
          Field.number("program"),
          Field.spread("range", SongShapes.RANGE));

  private static final RecordShape<LineLanguage> LANGUAGE =
      RecordShape.of(
          LineLanguage.class,
          Field.of("opens", Shape.some(SongShapes.FIGURE)),
          Field.of("answers", Shape.some(SongShapes.FIGURE)),
          Field.of("closes", Shape.some(SongShapes.FIGURE)),
          Field.named("pitches", LineLanguage.Pitches.class),
          Field.of("cycles", Shape.list(Shape.NUMBER)),
          Field.flag("triplets"));

  private static final RecordShape<PartHabit.Lead> LEAD =
      RecordShape.of(
          PartHabit.Lead.class,
          Field.text("name"),
          Field.number("program"),
          Field.number("low"),
          Field.number("high"),
          Field.of("mood", either("bright", "sad")).holds("bright"),
          Field.of("language", LANGUAGE).earlier(LineLanguage.PLAIN));

  private static final RecordShape<SoundHabit> SOUND =
      RecordShape.of(
          SoundHabit.class,
          Field.of("instruments", Shape.map(part -> part, part -> part, Shape.TEXT)),
          Field.of("ducked", Shape.set(Shape.TEXT)),
          Field.of(
                  "tilt",
                  RecordShape.of(
                      SoundHabit.Tilt.class,
                      Field.of("low", Shape.DECIMAL),
                      Field.of("high", Shape.DECIMAL)))
              .or(SoundHabit.Tilt.NONE),
          Field.named("duck", Duck.Trigger.class).holds("trigger"));

  private static final RecordShape<FormHabit> FORM =
      RecordShape.of(
          FormHabit.class,
          Field.of(
              "templates",
              Shape.some(
                  RecordShape.of(
                      FormHabit.Template.class, Field.text("name"), Field.text("line")))),
          Field.of("levels", byKind(Shape.map(part -> part, part -> part, HabitShapes.PLAN))),
          Field.of("energy", byKind(Shape.NUMBER)),
          Field.number("lastHook"));

  private static final Shape<List<Transition>> MARKS =
      Shape.TEXT.as(
          StyleFields::marks,
          marks -> marks.stream().map(Transition::word).collect(Collectors.joining(" ")));

  private static final ObjectShape<Map<SectionKind, List<BoundaryHabit>>> AT =
      ObjectShape.within(
          "at",
          Shape.map(
              StyleFields::kind,
              EnsembleHabit::word,
              Shape.list(
                  RecordShape.of(
                      BoundaryHabit.class, Field.of("marks", MARKS), Field.text("why")))));

  private static final RecordShape<Style> STYLE =
      RecordShape.of(
          Style.class,
          Field.text("id"),
          Field.text("name"),
          Field.text("summary"),
          Field.of("tempo", HabitShapes.SPAN),
          Field.of(
              "feel", ObjectShape.within("value", Shape.found("feel", Feel::find, Feel::toString))),
          Field.of("swing", HabitShapes.SPAN),
          Field.of("keys", ObjectShape.within("values", Shape.some(Shape.text(Key::parse)))),
          Field.of("chords", CHORDS),
          Field.of("drums", GROOVE).holds("groove"),
          Field.of("sub", SUB),
          Field.of("bass", BASS),
          Field.of("keys-part", KEYS).holds("keysPart"),
          Field.of("lead", LEAD),
          Field.of("sound", SOUND),
          Field.of("forms", FORM).holds("form"),
          Field.of("transitions", Shape.of(AT::write, StyleFields::boundaries)).holds("boundaries"),
          Field.of("ensemble", EnsembleFields.ENSEMBLE).earlier(EnsembleHabit.NONE),
          Field.of("checklist", Shape.list(Shape.TEXT)),
          Field.unwritten("reasons", List.of()));

  private StyleFields() {}

  /** The document of a style. */
  static ObjectNode write(Style style) {
    ObjectNode out = STYLE.write(style);
    StyleReasons.write(style, out);
    return out;
  }

  /**
   * The style of a document.
   *
   * @throws IllegalArgumentException when something is missing or not understood; the message names
   *     it
   */
  static Style read(JsonNode json) {
    Style style = STYLE.read(json);
    return style.withReasons(StyleReasons.read(style, json));
  }

  private static Shape<Boolean> either(String yes, String no) {
    return Shape.TEXT.as(yes::equals, is -> is ? yes : no);
  }

  private static <T> Shape<Map<SectionKind, T>> byKind(Shape<T> each) {
    return Shape.map(StyleFields::kind, StyleFields::word, each).as(TreeMap::new, map -> map);
  }

  private static SectionKind kind(String word) {
    return SectionWord.find(word).orElseThrow(() -> Shape.unknown("section", word)).kind();
  }

  /** The plainest word for a kind of section. */
  private static String word(SectionKind kind) {
    return Stream.of(SectionWord.values())
        .filter(word -> word.kind() == kind)
        .map(SectionWord::toString)
        .findFirst()
        .orElseThrow();
  }

  private static List<Transition> marks(String line) {
    List<Transition> out = new ArrayList<>();
    for (String word : line.strip().split("\\s+")) {
      out.add(
          Transition.parse(word)
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "\"" + word + "\" is no transition; use " + Transition.words())));
    }
    return out;
  }

  /** Earlier documents said in words only what happens; those announce their hooks plainly. */
  private static Map<SectionKind, List<BoundaryHabit>> boundaries(JsonNode node, String called) {
    if (node.has("at")) {
      return AT.read(node, called);
    }
    List<Transition> plain =
        List.of(Transition.of(TransitionKind.DRUMS_OUT), Transition.of(TransitionKind.CRASH));
    String why = Field.text("why").read().apply(node);
    return Map.of(SectionKind.HOOK, List.of(new BoundaryHabit(plain, why)));
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
}
