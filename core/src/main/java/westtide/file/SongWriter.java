package westtide.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import westtide.song.Brief;
import westtide.song.Cell;
import westtide.song.FollowRule;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.Variant;

/** Turns a song into the tree of its file, fields always in the same order. */
final class SongWriter {
  static final String FORMAT = "west-tide song";
  static final int VERSION = 1;

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
    ArrayNode form = out.putArray("form");
    song.form().sections().forEach(section -> form.add(section(section)));
    ArrayNode left = out.putArray("leftAlone");
    song.leftAlone().forEach(left::add);
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
    ObjectNode plan = out.putObject("plan").put("seconds", brief.plan().seconds());
    ObjectNode minutes = plan.putObject("minutes");
    brief.plan().minutes().forEach(minutes::put);
    return out;
  }

  private ObjectNode part(Part part) {
    ObjectNode out =
        nodes
            .objectNode()
            .put("id", part.id())
            .put("name", part.name())
            .put("role", part.role().name())
            .put("program", part.program());
    out.set("sound", SoundFields.write(part.patch()));
    out.set("mix", SoundFields.write(part.mix()));
    if (!part.lanes().isEmpty()) {
      out.set("laneSounds", DrumFields.write(part.lanes()));
    }
    ArrayNode patterns = out.putArray("patterns");
    part.variants().forEach(variant -> patterns.add(variant(variant)));
    return out;
  }

  private ObjectNode variant(Variant variant) {
    ObjectNode out = nodes.objectNode().put("name", variant.name());
    if (variant.pattern() instanceof Pattern.Drums drums) {
      DrumFields.write(drums, out);
    } else if (variant.pattern() instanceof Pattern.Varied varied) {
      DrumFields.write(varied, out);
    } else if (variant.pattern() instanceof Pattern.Written written) {
      out.put("kind", "written").put("bars", written.bars());
      ArrayNode notes = out.putArray("notes");
      written.notes().forEach(note -> notes.add(note(note)));
    } else {
      out.put("kind", "following");
      out.set("rule", rule(((Pattern.Following) variant.pattern()).rule()));
    }
    return out;
  }

  private ArrayNode note(Note note) {
    return nodes
        .arrayNode()
        .add(note.start())
        .add(note.ticks())
        .add(note.key())
        .add(note.velocity());
  }

  private ObjectNode rule(FollowRule rule) {
    ObjectNode out = nodes.objectNode();
    if (rule instanceof FollowRule.Chords chords) {
      return ChordFields.write(chords);
    }
    if (rule instanceof FollowRule.Sub sub) {
      return out.put("follows", "808")
          .put("link", sub.link().name())
          .put("figure", sub.figure().text())
          .put("lowest", sub.lowest());
    }
    FollowRule.Bass bass = (FollowRule.Bass) rule;
    return out.put("follows", "bass")
        .put("figure", bass.figure().text())
        .put("lowest", bass.lowest())
        .put("pickUp", bass.pickUp())
        .put("fifths", bass.fifths());
  }

  private ObjectNode section(Section section) {
    ObjectNode out =
        nodes
            .objectNode()
            .put("section", section.word().toString())
            .put("bars", section.bars())
            .put("progression", section.progression());
    ObjectNode cells = out.putObject("cells");
    section
        .cells()
        .forEach(
            (part, list) -> {
              ArrayNode array = cells.putArray(part);
              list.forEach(cell -> array.add(cell(cell)));
            });
    section.pedal().ifPresent(note -> out.put("pedal", note.toString()));
    if (!section.ramps().isEmpty()) {
      out.set("ramps", SoundFields.writeRamps(section.ramps()));
    }
    return out;
  }

  private ObjectNode cell(Cell cell) {
    return nodes
        .objectNode()
        .put("from", cell.fromBar())
        .put("level", cell.level().toString())
        .put("pattern", cell.variant());
  }
}
