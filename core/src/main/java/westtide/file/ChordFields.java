package westtide.file;

import static westtide.file.Fields.field;
import static westtide.file.Fields.list;
import static westtide.file.Fields.named;
import static westtide.file.Fields.number;
import static westtide.file.Fields.text;
import static westtide.file.Fields.whole;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import westtide.rhythm.Figure;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.chord.Strum;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.theory.Chord;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;
import westtide.theory.voicing.VoicingRange;

/**
 * The part of a song file that says what chords there are and how they are played. What is as usual
 * is not written.
 */
final class ChordFields {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final String HELD = "held";

  private ChordFields() {}

  static ObjectNode write(Progression row) {
    ObjectNode out =
        NODES.objectNode().put("name", row.name()).put("notation", row.notation().name());
    row.rhythm().ifPresent(rhythm -> out.set("rhythm", write(rhythm)));
    if (row.octave() != 0) {
      out.put("octave", row.octave());
    }
    ArrayNode chords = out.putArray("chords");
    row.spans().forEach(span -> chords.add(write(span)));
    return out;
  }

  static Progression progression(JsonNode node) {
    return new Progression(
        text(node, "name"),
        named(Notation.class, node, "notation"),
        list(field(node, "chords"), ChordFields::span),
        optional(node, "rhythm", ChordFields::rhythm),
        node.path("octave").asInt(0));
  }

  static ObjectNode write(FollowRule.Chords rule) {
    ObjectNode out =
        NODES
            .objectNode()
            .put("follows", "chords")
            .put("bassLow", rule.range().bassLow())
            .put("low", rule.range().low())
            .put("high", rule.range().high())
            .put("figure", figure(rule.figure()))
            .put("spread", rule.kind().name())
            .put("octaves", rule.layer().octaves());
    write(rule.layer().without(), out.putArray("without"));
    out.put("vary", rule.vary().amount()).put("varySeed", rule.vary().seed());
    if (!rule.own().equals(FollowRule.Own.NOTHING)) {
      out.set("own", write(rule.own()));
    }
    return out;
  }

  private static ObjectNode write(FollowRule.Own own) {
    ObjectNode out = NODES.objectNode();
    own.rhythm().ifPresent(rhythm -> out.set("rhythm", write(rhythm)));
    own.strum().ifPresent(strum -> out.set("strum", write(strum)));
    own.progression().ifPresent(row -> out.put("progression", row));
    if (!own.kept().isEmpty()) {
      ArrayNode kept = out.putArray("kept");
      for (FollowRule.Kept one : own.kept()) {
        ObjectNode node =
            kept.addObject()
                .put("progression", one.progression())
                .put("chord", one.chord().toString());
        one.voicing().keys().forEach(node.putArray("notes")::add);
      }
    }
    return out;
  }

  private static FollowRule.Own own(JsonNode node) {
    return new FollowRule.Own(
        optional(node, "rhythm", ChordFields::rhythm),
        optional(node, "strum", ChordFields::strum),
        node.has("progression") ? Optional.of(text(node, "progression")) : Optional.empty(),
        node.has("kept") ? list(field(node, "kept"), ChordFields::kept) : List.of());
  }

  private static FollowRule.Kept kept(JsonNode node) {
    return new FollowRule.Kept(
        text(node, "progression"), Chord.parse(text(node, "chord")), voicing(field(node, "notes")));
  }

  private static Voicing voicing(JsonNode keys) {
    return new Voicing(
        list(
            keys,
            key -> {
              int midi = whole(key, "a chord note");
              if (midi < 0 || midi > 127) {
                throw new IllegalArgumentException("a chord note is 0 to 127, but was " + midi);
              }
              return midi;
            }));
  }

  static void write(Set<ChordMember> members, ArrayNode out) {
    members.forEach(member -> out.add(member.name()));
  }

  static Set<ChordMember> members(JsonNode array) {
    return new LinkedHashSet<>(list(array, ChordFields::member));
  }

  private static ChordMember member(JsonNode node) {
    try {
      return ChordMember.valueOf(node.asText());
    } catch (IllegalArgumentException e) {
      throw Fields.unknown("member of a chord", node.asText());
    }
  }

  static FollowRule.Chords rule(JsonNode node) {
    FollowRule.Chords plain =
        FollowRule.Chords.of(
            new VoicingRange(number(node, "bassLow"), number(node, "low"), number(node, "high")),
            figure(text(node, "figure")));
    if (!node.has("spread")) {
      return plain;
    }
    Set<ChordMember> without = members(field(node, "without"));
    return plain
        .withKind(named(VoicingKind.class, node, "spread"))
        .withLayer(new FollowRule.Layer(number(node, "octaves"), without))
        .withVary(new FollowRule.Vary(number(node, "vary"), field(node, "varySeed").asLong()))
        .withOwn(node.has("own") ? own(field(node, "own")) : FollowRule.Own.NOTHING);
  }

  private static ObjectNode write(ChordSpan span) {
    ObjectNode out =
        NODES.objectNode().put("chord", span.chord().toString()).put("ticks", span.ticks());
    ChordArticulation articulation = span.articulation();
    if (articulation.push() > 0) {
      out.put("early", articulation.push());
    }
    if (articulation.rest()) {
      out.put("rest", true);
    }
    articulation.kind().ifPresent(kind -> out.put("spread", kind.name()));
    articulation.inversion().ifPresent(turns -> out.put("inversion", turns));
    articulation
        .own()
        .ifPresent(
            own -> {
              ArrayNode keys = out.putArray("notes");
              own.keys().forEach(keys::add);
            });
    articulation.strum().ifPresent(strum -> out.set("strum", write(strum)));
    if (!articulation.without().isEmpty()) {
      ObjectNode leaves = out.putObject("without");
      articulation
          .without()
          .forEach((part, members) -> write(members, leaves.putArray(part.value())));
    }
    return out;
  }

  private static ChordSpan span(JsonNode node) {
    ChordArticulation articulation =
        new ChordArticulation(
            node.path("early").asInt(0),
            node.path("rest").asBoolean(false),
            node.has("spread")
                ? Optional.of(named(VoicingKind.class, node, "spread"))
                : Optional.empty(),
            optional(node, "inversion", turns -> whole(turns, "an inversion")),
            optional(node, "notes", ChordFields::voicing),
            optional(node, "strum", ChordFields::strum),
            without(node.path("without")));
    return new ChordSpan(Chord.parse(text(node, "chord")), number(node, "ticks"), articulation);
  }

  private static Map<PartId, Set<ChordMember>> without(JsonNode node) {
    Map<PartId, Set<ChordMember>> out = new LinkedHashMap<>();
    node.properties().forEach(e -> out.put(PartId.of(e.getKey()), members(e.getValue())));
    return out;
  }

  private static ObjectNode write(Strum strum) {
    return NODES
        .objectNode()
        .put("up", strum.up())
        .put("millis", strum.millis())
        .put("curve", strum.curve());
  }

  private static Strum strum(JsonNode node) {
    return new Strum(field(node, "up").asBoolean(), number(node, "millis"), number(node, "curve"));
  }

  private static ObjectNode write(ChordRhythm rhythm) {
    return NODES.objectNode().put("figure", figure(rhythm.figure())).put("push", rhythm.push());
  }

  private static ChordRhythm rhythm(JsonNode node) {
    return new ChordRhythm(figure(text(node, "figure")), number(node, "push"));
  }

  private static String figure(Optional<Figure> figure) {
    return figure.map(Figure::text).orElse(HELD);
  }

  private static Optional<Figure> figure(String text) {
    return text.equals(HELD) ? Optional.empty() : Optional.of(new Figure(text));
  }

  private static <T> Optional<T> optional(JsonNode node, String name, Function<JsonNode, T> read) {
    return node.has(name) ? Optional.of(read.apply(node.get(name))) : Optional.empty();
  }
}
