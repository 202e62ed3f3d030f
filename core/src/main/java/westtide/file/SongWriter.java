package westtide.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.mix.Master;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;
import westtide.song.pattern.Transposition;

/** Turns a song into the tree of its file, fields always in the same order. */
final class SongWriter {
  static final String FORMAT = "west-tide song";
  static final int VERSION = 4;

  private final JsonNodeFactory nodes = JsonNodeFactory.instance;

  ObjectNode write(Song song) {
    ObjectNode out = nodes.objectNode();
    out.put("format", FORMAT).put("version", VERSION);
    out.put("title", song.title()).put("project", song.project()).put("seed", song.seed());
    out.set("brief", brief(song.brief()));
    ArrayNode progressions = out.putArray("progressions");
    song.progressions().forEach(row -> progressions.add(ChordFields.write(row)));
    ArrayNode parts = out.putArray("parts");
    song.parts().forEach(part -> parts.add(part(part)));
    FormFields.write(song, out);
    if (!song.master().equals(Master.PLAIN)) {
      out.set("master", MixFields.write(song.master()));
    }
    ArrayNode left = out.putArray("leftAlone");
    song.dismissed().forEach(left::add);
    return out;
  }

  private ObjectNode brief(Brief brief) {
    ObjectNode out = nodes.objectNode();
    out.put("style", brief.style())
        .put("tempo", brief.tempo().toString())
        .put("feel", brief.feel().toString())
        .put("meter", brief.meter().toString())
        .put("key", brief.key().toString())
        .put("swing", brief.swing().toString())
        .put("swings", brief.swing().grid().name())
        .put("cents", brief.cents());
    if (brief.moved() != 0) {
      out.put("moved", brief.moved());
    }
    ObjectNode plan = out.putObject("plan").put("seconds", brief.plan().seconds());
    ObjectNode minutes = plan.putObject("minutes");
    brief.plan().minutes().forEach(minutes::put);
    if (!brief.plan().decided().isEmpty()) {
      ArrayNode decided = plan.putArray("decided");
      brief.plan().decided().forEach(decided::add);
    }
    return out;
  }

  private ObjectNode part(Part part) {
    ObjectNode out =
        nodes
            .objectNode()
            .put("id", part.id().value())
            .put("name", part.name())
            .put("role", part.role().name())
            .put("program", part.program());
    out.set("sound", SoundFields.write(part.patch()));
    out.set("mix", MixFields.write(part.mix()));
    Transposition away = part.transposition();
    if (!away.equals(Transposition.NONE)) {
      out.putObject("transpose").put("semitones", away.semitones()).put("cents", away.cents());
    }
    if (!part.borrowed().isEmpty()) {
      out.set("laneRhythms", DrumFields.writeBorrowed(part.borrowed()));
    }
    if (!part.lanes().isEmpty()) {
      out.set("laneSounds", DrumFields.write(part.lanes()));
    }
    ArrayNode patterns = out.putArray("patterns");
    part.patterns().forEach(named -> patterns.add(pattern(named)));
    return out;
  }

  private ObjectNode pattern(NamedPattern named) {
    ObjectNode out = nodes.objectNode().put("name", named.name());
    named.pattern().accept(new Written(out));
    return out;
  }

  /** Each kind of pattern and rule as fields of an object. */
  private final class Written implements Pattern.Kinds<ObjectNode>, FollowRule.Kinds<ObjectNode> {
    private final ObjectNode out;

    Written(ObjectNode out) {
      this.out = out;
    }

    @Override
    public ObjectNode drums(Pattern.Drums pattern) {
      DrumFields.write(pattern, out);
      return out;
    }

    @Override
    public ObjectNode varied(Pattern.Varied pattern) {
      DrumFields.write(pattern, out);
      return out;
    }

    @Override
    public ObjectNode written(Pattern.Written pattern) {
      out.put("kind", "written").put("bars", pattern.bars());
      if (!pattern.cycle().equals(LineCycle.NONE)) {
        out.put("cycle", pattern.cycle().steps()).put("restart", pattern.cycle().restartBars());
      }
      ArrayNode notes = out.putArray("notes");
      pattern.notes().forEach(note -> notes.add(note(note)));
      return out;
    }

    @Override
    public ObjectNode phrase(Pattern.Phrase pattern) {
      out.put("kind", "phrase").put("unitBars", pattern.unitBars());
      ArrayNode motif = out.putArray("motif");
      pattern.motif().forEach(note -> motif.add(note(note)));
      ArrayNode units = out.putArray("units");
      for (PhraseUnit unit : pattern.units()) {
        ObjectNode written = units.addObject().put("change", unit.change().name());
        unit.own()
            .ifPresent(
                own -> {
                  ArrayNode notes = written.putArray("own");
                  own.forEach(note -> notes.add(note(note)));
                });
      }
      return out;
    }

    @Override
    public ObjectNode attached(Pattern.Attached pattern) {
      out.put("kind", "attached").put("bars", pattern.bars()).put("lowest", pattern.lowest());
      ArrayNode notes = out.putArray("notes");
      pattern.notes().forEach(note -> notes.add(note(note)));
      return out;
    }

    @Override
    public ObjectNode following(Pattern.Following pattern) {
      out.put("kind", "following");
      return out.set("rule", pattern.rule().accept(this));
    }

    @Override
    public ObjectNode chords(FollowRule.Chords rule) {
      return ChordFields.write(rule);
    }

    @Override
    public ObjectNode sub(FollowRule.Bass808 rule) {
      return nodes
          .objectNode()
          .put("follows", "808")
          .put("link", rule.link().name())
          .put("figure", rule.figure().text())
          .put("lowest", rule.lowest());
    }

    @Override
    public ObjectNode bass(FollowRule.Bass rule) {
      return nodes
          .objectNode()
          .put("follows", "bass")
          .put("figure", rule.figure().text())
          .put("lowest", rule.lowest())
          .put("pickUp", rule.pickUp())
          .put("fifths", rule.fifths());
    }

    @Override
    public ObjectNode arpeggio(Arpeggio rule) {
      return nodes
          .objectNode()
          .put("follows", "arpeggio")
          .put("order", rule.order().name())
          .put("rate", rule.rate().name())
          .put("octaves", rule.octaves())
          .put("gate", rule.gate())
          .put("steps", rule.steps().text())
          .put("lowest", rule.lowest())
          .put("swellBars", rule.swellBars())
          .put("flourishBars", rule.flourishBars())
          .put("seed", rule.seed());
    }

    @Override
    public ObjectNode lowLine(LowLine rule) {
      ObjectNode node = nodes.objectNode().put("follows", "low line");
      rule.model().ifPresent(model -> node.put("model", model.value()));
      return node.put("rhythm", rule.rhythm().name())
          .put("figure", rule.figure().text())
          .put("pitches", rule.pitches().name())
          .put("pickUp", rule.pickUp().name())
          .put("phraseBars", rule.phraseBars())
          .put("rest", rule.rest())
          .put("shaped", rule.shaped())
          .put("slides", rule.slides())
          .put("lowest", rule.lowest())
          .put("seed", rule.seed());
    }

    @Override
    public ObjectNode borrowed(BorrowedRhythm rule) {
      ObjectNode node =
          nodes.objectNode().put("follows", "rhythm").put("part", rule.model().value());
      ArrayNode notes = node.putArray("notes");
      rule.notes().forEach(note -> notes.add(note(note)));
      return node;
    }

    @Override
    public ObjectNode doubling(FollowRule.Doubling rule) {
      ObjectNode node =
          nodes
              .objectNode()
              .put("follows", "part")
              .put("part", rule.model().value())
              .put("octaves", rule.octaves())
              .put("velocity", rule.velocity());
      ChordFields.write(rule.without(), node.putArray("without"));
      return node;
    }
  }

  /** The slide stands last, and only where there is one. */
  private ArrayNode note(Note note) {
    ArrayNode out =
        nodes.arrayNode().add(note.start()).add(note.ticks()).add(note.key()).add(note.velocity());
    if (note.every() > 1) {
      return out.add(note.slide()).add(note.every());
    }
    return note.slide() == 0 ? out : out.add(note.slide());
  }

  private ArrayNode note(ChordNote note) {
    return nodes
        .arrayNode()
        .add(note.start())
        .add(note.ticks())
        .add(note.degree().toString())
        .add(note.octave())
        .add(note.velocity())
        .add(note.slide());
  }
}
