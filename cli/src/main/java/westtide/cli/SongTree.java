package westtide.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import westtide.file.midi.MidiPlan;
import westtide.review.form.Energy;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Brief;
import westtide.song.HeardBars;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.Notation;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.song.form.Section;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.Pitch;
import westtide.theory.RomanNumeral;

/** What is in a song, as a tree with names people and programs can read. */
final class SongTree {
  private final Score score;
  private final Song song;
  private final Meter meter;
  private final BarLines lines;

  SongTree(Score score) {
    this.score = score;
    this.song = score.song();
    this.meter = song.brief().meter();
    this.lines = song.barLines();
  }

  /** The tree, with every note when they are asked for, on the keys that MIDI says. */
  ObjectNode json(boolean notes) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.put("title", song.title()).put("project", song.project());
    out.set("brief", brief());
    ArrayNode rows = out.putArray("progressions");
    song.progressions().forEach(row -> rows.add(progression(row)));
    ArrayNode parts = out.putArray("parts");
    score.parts().forEach(part -> parts.add(part(part)));
    ArrayNode form = out.putArray("form");
    for (int i = 0; i < song.form().sections().size(); i++) {
      form.add(section(i));
    }
    song.main().flatMap(song::part).ifPresent(main -> out.put("mainPart", main.name()));
    if (song.alternatives().count() > 1) {
      out.put("forms", song.alternatives().count());
      out.put("presentForm", song.alternatives().present() + 1);
    }
    ArrayNode energy = out.putArray("energy");
    Energy.of(score).bars().forEach(bar -> energy.add(Math.round(bar)));
    if (notes) {
      ArrayNode all = out.putArray("notes");
      MidiPlan plan = MidiPlan.of(score.parts());
      for (ScoredPart part : score.parts()) {
        plan.written(part).forEach(note -> all.add(note(part.part(), note)));
      }
    }
    return out;
  }

  private static ObjectNode node() {
    return JsonNodeFactory.instance.objectNode();
  }

  private ObjectNode brief() {
    Brief brief = song.brief();
    return node()
        .put("style", brief.style())
        .put("tempo", brief.tempo().toString())
        .put("feel", brief.feel().toString())
        .put("meter", meter.toString())
        .put("key", brief.key().toString())
        .put("swing", brief.swing().toString())
        .put("cents", brief.cents())
        .put("bars", song.form().bars())
        .put("seconds", Math.round(song.millis()) / 1000.0);
  }

  private ObjectNode progression(Progression row) {
    ChordLine line = ChordLine.in(song.brief().key(), meter);
    ObjectNode out =
        node()
            .put("name", row.name())
            .put("bars", row.bars(meter))
            .put("names", line.format(row.withNotation(Notation.NAMES)))
            .put("numerals", line.format(row.withNotation(Notation.NUMERALS)));
    ArrayNode chords = out.putArray("chords");
    for (PlacedChord chord : row.placed()) {
      chords
          .addObject()
          .put("at", at(chord.start()))
          .put("ticks", chord.ticks())
          .put("chord", chord.chord().toString())
          .put("numeral", RomanNumeral.of(chord.chord(), song.brief().key()).toString())
          .put("rest", chord.span().articulation().rest());
    }
    return out;
  }

  private ObjectNode part(ScoredPart scored) {
    Part part = scored.part();
    ObjectNode out =
        node()
            .put("name", part.name())
            .put("role", part.role().toString())
            .put("instrument", part.patch().instrument())
            .put("program", part.program())
            .put("levelDb", part.mix().level() / 10.0)
            .put("pan", part.mix().pan())
            .put("semitones", part.transposition().semitones())
            .put("cents", part.transposition().cents())
            .put("notes", scored.notes().size());
    ArrayNode patterns = out.putArray("patterns");
    part.patterns().forEach(named -> pattern(patterns.addObject(), part, named));
    return out;
  }

  private void pattern(ObjectNode out, Part part, NamedPattern named) {
    out.put("name", named.name()).put("plays", PatternDescription.of(named.pattern(), song));
    ArrayNode heard = out.putArray("heard");
    for (HeardBars.Span span : new HeardBars(song, part).of(named.name())) {
      heard.addArray().add(span.first()).add(span.last());
    }
    if (named.pattern() instanceof Pattern.Varied varied) {
      out.put("follows", varied.parent());
    }
  }

  private ObjectNode section(int place) {
    Section section = song.form().sections().get(place);
    ObjectNode out =
        node()
            .put("section", song.form().label(place))
            .put("fromBar", song.form().startBar(place) + 1)
            .put("bars", section.bars());
    if (section.length().cut(meter)) {
      out.put("beats", section.beats(meter));
    }
    out.put("progression", section.progression());
    section.pedal().ifPresent(pedal -> out.put("pedal", pedal.toString()));
    if (!section.entry().isEmpty()) {
      ArrayNode entry = out.putArray("enteredBy");
      section.entry().forEach(transition -> entry.add(transition.toString()));
    }
    addMarks(section, out);
    addCurves(section, out);
    ArrayNode plays = out.putArray("plays");
    for (ScoredPart part : score.parts()) {
      for (Passage passage : part.passages()) {
        if (passage.place() == place) {
          plays
              .addObject()
              .put("part", part.part().name())
              .put("fromBar", lines.bar(passage.start()) + 1)
              .put("toBar", lines.bar(passage.end() - 1) + 1)
              .put("level", passage.level().toString())
              .put("pattern", passage.name());
        }
      }
    }
    return out;
  }

  private static void addMarks(Section section, ObjectNode out) {
    if (section.marks().stream().anyMatch(mark -> mark.bar() > 0)) {
      ArrayNode marks = out.putArray("marks");
      section.marks().stream()
          .filter(mark -> mark.bar() > 0)
          .forEach(mark -> marks.add("bar " + (mark.bar() + 1) + ": " + mark.transition()));
    }
  }

  private void addCurves(Section section, ObjectNode out) {
    if (section.curves().isEmpty()) {
      return;
    }
    ArrayNode curves = out.putArray("moves");
    section
        .curves()
        .forEach(
            (part, list) ->
                list.forEach(
                    curve ->
                        curves.add(
                            song.part(part).map(Part::name).orElse("")
                                + ": "
                                + curve
                                + " from bar "
                                + (curve.fromBar() + 1)
                                + ", "
                                + curve.barsIn(section.bars())
                                + " bars")));
  }

  private ObjectNode note(Part part, ScoredNote note) {
    ObjectNode out =
        node()
            .put("at", at(note.start()))
            .put("part", part.name())
            .put("key", note.key())
            .put(
                "name",
                note.struck()
                    .map(struck -> struck.lane().toString())
                    .orElseGet(() -> Pitch.of(note.key()).toString()))
            .put("velocity", note.velocity())
            .put("start", note.start())
            .put("ticks", note.ticks())
            .put("written", note.written());
    if (note.source().transition()) {
      ObjectNode made = out.putObject("source").put("pattern", "a transition");
      note.struck().ifPresent(struck -> made.put("lane", struck.lane().toString()));
      return out;
    }
    ObjectNode source = out.putObject("source").put("pattern", note.source().pattern());
    note.struck().ifPresent(struck -> source.put("lane", struck.lane().toString()));
    source.put(note.struck().isPresent() ? "step" : "note", note.source().index() + 1);
    return out;
  }

  /** Bar, beat and tick of the beat, all from 1 but the tick. */
  private String at(int tick) {
    int bar = lines.bar(tick);
    int within = tick - lines.tick(bar);
    return (bar + 1)
        + "."
        + (within / meter.ticksPerBeat() + 1)
        + "."
        + within % meter.ticksPerBeat();
  }
}
