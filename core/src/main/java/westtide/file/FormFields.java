package westtide.file;

import static westtide.file.Fields.at;
import static westtide.file.Fields.field;
import static westtide.file.Fields.list;
import static westtide.file.Fields.named;
import static westtide.file.Fields.number;
import static westtide.file.Fields.text;
import static westtide.file.Fields.unknown;

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
import java.util.stream.Stream;
import westtide.song.Alternatives;
import westtide.song.Song;
import westtide.song.drum.LaneId;
import westtide.song.form.Cell;
import westtide.song.form.CellSound;
import westtide.song.form.ChordOption;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Mark;
import westtide.song.form.Section;
import westtide.song.form.SectionLink;
import westtide.song.form.SectionWord;
import westtide.song.form.Thinning;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.song.mix.CurveShape;
import westtide.theory.NoteName;

/** The part of a song file that says how the song is laid out: sections, cells, curves, marks. */
final class FormFields {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final int WHOLE = 100;

  private FormFields() {}

  static void write(Song song, ObjectNode out) {
    write(song.form(), out.putArray("form"));
    song.main().ifPresent(main -> out.put("mainPart", main.value()));
    if (song.alternatives().count() > 1) {
      ObjectNode waiting = out.putObject("alternatives");
      write(song.alternatives().before(), waiting.putArray("before"));
      write(song.alternatives().after(), waiting.putArray("after"));
    }
  }

  private static void write(List<Form> forms, ArrayNode out) {
    forms.forEach(form -> write(form, out.addArray()));
  }

  static void write(Form form, ArrayNode out) {
    form.sections().forEach(section -> out.add(section(section)));
  }

  static Form form(JsonNode array) {
    return new Form(list(array, FormFields::section));
  }

  static Optional<PartId> main(JsonNode json) {
    return json.has("mainPart") ? Optional.of(PartId.of(text(json, "mainPart"))) : Optional.empty();
  }

  static Alternatives alternatives(JsonNode json) {
    if (!json.has("alternatives")) {
      return Alternatives.NONE;
    }
    JsonNode waiting = field(json, "alternatives");
    return new Alternatives(
        list(field(waiting, "before"), FormFields::form),
        list(field(waiting, "after"), FormFields::form));
  }

  private static ObjectNode section(Section section) {
    ObjectNode out =
        NODES
            .objectNode()
            .put("id", section.id().number())
            .put("section", section.word().toString())
            .put("bars", section.bars())
            .put("progression", section.progression());
    writeByPart(section.cells(), FormFields::cell, out.putObject("cells"));
    section.pedal().ifPresent(note -> out.put("pedal", note.toString()));
    if (!section.options().isEmpty()) {
      ArrayNode options = out.putArray("chordOptions");
      section.options().stream().sorted().forEach(option -> options.add(option.name()));
    }
    if (!section.curves().isEmpty()) {
      writeByPart(section.curves(), FormFields::curve, out.putObject("curves"));
    }
    if (section.lastBeats() > 0) {
      out.put("lastBeats", section.lastBeats());
    }
    section.name().ifPresent(name -> out.put("name", name));
    if (!section.marks().isEmpty()) {
      ArrayNode marks = out.putArray("marks");
      section.marks().forEach(mark -> marks.add(mark(mark)));
    }
    section.link().ifPresent(link -> out.set("link", link(link)));
    return out;
  }

  private static <T> void writeByPart(
      Map<PartId, List<T>> lists, Function<T, ObjectNode> written, ObjectNode out) {
    lists.forEach(
        (part, list) -> {
          ArrayNode array = out.putArray(part.value());
          list.forEach(each -> array.add(written.apply(each)));
        });
  }

  static Section section(JsonNode node) {
    String word = text(node, "section");
    Map<PartId, List<Cell>> cells = new LinkedHashMap<>();
    field(node, "cells")
        .properties()
        .forEach(e -> cells.put(PartId.of(e.getKey()), list(e.getValue(), FormFields::cell)));
    Map<PartId, List<Curve>> curves = new LinkedHashMap<>();
    node.path("curves")
        .properties()
        .forEach(e -> curves.put(PartId.of(e.getKey()), list(e.getValue(), FormFields::curve)));
    return new Section(
        SectionId.of(number(node, "id")),
        SectionWord.find(word).orElseThrow(() -> unknown("section", word)),
        number(node, "bars"),
        node.has("lastBeats") ? number(node, "lastBeats") : 0,
        text(node, "progression"),
        cells,
        curves,
        node.has("pedal") ? Optional.of(NoteName.parse(text(node, "pedal"))) : Optional.empty(),
        options(node.path("chordOptions")),
        node.has("name") ? Optional.of(text(node, "name")) : Optional.empty(),
        node.has("marks") ? list(field(node, "marks"), FormFields::mark) : List.of(),
        node.has("link") ? Optional.of(link(field(node, "link"))) : Optional.empty());
  }

  private static Set<ChordOption> options(JsonNode array) {
    Set<ChordOption> out = new LinkedHashSet<>();
    for (JsonNode node : array) {
      out.add(
          Stream.of(ChordOption.values())
              .filter(option -> option.name().equals(node.asText()))
              .findFirst()
              .orElseThrow(() -> unknown("way of chords", node.asText())));
    }
    return out;
  }

  private static ObjectNode cell(Cell cell) {
    ObjectNode out = NODES.objectNode().put("from", cell.fromBar());
    if (cell.beat() > 0) {
      out.put("beat", cell.beat());
    }
    out.put("level", cell.level().toString()).put("pattern", cell.pattern());
    CellSound sound = cell.sound();
    if (!sound.equals(CellSound.USUAL)) {
      ObjectNode node = out.putObject("sound");
      node.put("octave", sound.octave()).put("lowPass", sound.lowPass());
      node.put("instrument", sound.instrument());
      Thinning thinning = sound.thinning();
      if (!thinning.equals(Thinning.NONE)) {
        ChordFields.write(thinning.without(), node.putArray("without"));
        lanes(thinning.lanes(), node.putArray("lanesOut"));
        node.put("softest", thinning.softest());
      }
    }
    return out;
  }

  private static Cell cell(JsonNode node) {
    return new Cell(
        number(node, "from"),
        node.has("beat") ? number(node, "beat") : 0,
        Level.parse(text(node, "level")),
        text(node, "pattern"),
        node.has("sound") ? sound(field(node, "sound")) : CellSound.USUAL);
  }

  private static CellSound sound(JsonNode node) {
    Thinning thinning =
        node.has("softest")
            ? new Thinning(
                ChordFields.members(field(node, "without")),
                lanes(field(node, "lanesOut")),
                number(node, "softest"))
            : Thinning.NONE;
    return new CellSound(
        number(node, "octave"), thinning, number(node, "lowPass"), text(node, "instrument"));
  }

  private static ObjectNode mark(Mark mark) {
    Transition what = mark.transition();
    ObjectNode out =
        NODES
            .objectNode()
            .put("bar", mark.bar())
            .put("is", what.kind().word())
            .put("beats", what.beats());
    if (what.depth() != WHOLE) {
      out.put("depth", what.depth());
    }
    if (!what.parts().isEmpty()) {
      ArrayNode parts = out.putArray("parts");
      what.parts().forEach(part -> parts.add(part.value()));
    }
    if (!what.lanes().isEmpty()) {
      lanes(what.lanes(), out.putArray("lanes"));
    }
    return out;
  }

  private static Mark mark(JsonNode node) {
    String word = text(node, "is");
    Set<PartId> parts = new LinkedHashSet<>();
    node.path("parts").forEach(part -> parts.add(PartId.of(part.asText())));
    return new Mark(
        number(node, "bar"),
        new Transition(
            TransitionKind.find(word).orElseThrow(() -> unknown("transition", word)),
            number(node, "beats"),
            node.has("depth") ? number(node, "depth") : WHOLE,
            parts,
            node.has("lanes") ? lanes(field(node, "lanes")) : Set.of()));
  }

  private static void lanes(Set<LaneId> lanes, ArrayNode out) {
    lanes.forEach(lane -> out.add(lane.code()));
  }

  private static Set<LaneId> lanes(JsonNode array) {
    return new LinkedHashSet<>(list(array, node -> LaneId.parse(node.asText())));
  }

  private static ObjectNode link(SectionLink link) {
    ObjectNode out =
        NODES.objectNode().put("group", link.group()).put("different", link.different());
    ArrayNode own = out.putArray("own");
    link.own().forEach(part -> own.add(part.value()));
    return out;
  }

  private static SectionLink link(JsonNode node) {
    return new SectionLink(
        number(node, "group"),
        field(node, "different").asBoolean(),
        new LinkedHashSet<>(list(field(node, "own"), part -> PartId.of(part.asText()))));
  }

  private static ObjectNode curve(Curve curve) {
    ObjectNode out =
        NODES
            .objectNode()
            .put("moves", curve.kind().name())
            .put("from", curve.fromBar())
            .put("bars", curve.bars());
    if (curve.shape() instanceof CurveShape.Cycle cycle) {
      out.putObject("cycle")
          .put("low", cycle.low())
          .put("high", cycle.high())
          .put("ticks", cycle.ticks())
          .put("wave", cycle.wave().name());
    } else if (curve.shape() instanceof CurveShape.Points points) {
      ArrayNode array = out.putArray("points");
      for (CurveShape.Point point : points.points()) {
        array.addArray().add(point.at()).add(point.value()).add(point.bend().name());
      }
    }
    return out;
  }

  private static Curve curve(JsonNode node) {
    return new Curve(
        named(Curve.Kind.class, node, "moves"),
        number(node, "from"),
        number(node, "bars"),
        node.has("cycle")
            ? cycle(field(node, "cycle"))
            : new CurveShape.Points(list(field(node, "points"), FormFields::point)));
  }

  private static CurveShape cycle(JsonNode node) {
    return new CurveShape.Cycle(
        number(node, "low"),
        number(node, "high"),
        number(node, "ticks"),
        named(CurveShape.Wave.class, node, "wave"));
  }

  private static CurveShape.Point point(JsonNode node) {
    String bend = node.path(2).asText();
    for (CurveShape.Bend one : CurveShape.Bend.values()) {
      if (one.name().equals(bend)) {
        return new CurveShape.Point(at(node, 0), at(node, 1), one);
      }
    }
    throw unknown("bend of a curve", bend);
  }
}
