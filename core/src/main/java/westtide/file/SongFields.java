package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import java.util.Set;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.rhythm.Feel;
import westtide.rhythm.Meter;
import westtide.rhythm.Tempo;
import westtide.song.Alternatives;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.PartSound;
import westtide.song.Plan;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.mix.Master;
import westtide.song.pattern.Transposition;
import westtide.theory.Key;

/** The song of a file: each of its fields, for reading and writing. */
final class SongFields {
  static final String FORMAT = "west-tide song";
  static final int VERSION = 4;

  private static final RecordShape<Plan> PLAN =
      RecordShape.of(
          Plan.class,
          Field.number("seconds").earlier(0),
          Field.of("minutes", Shape.map(stage -> stage, stage -> stage, Shape.NUMBER))
              .earlier(Map.of()),
          Field.of("decided", Shape.set(Shape.TEXT)).or(Set.of()));

  private static final RecordShape<Brief> BRIEF =
      RecordShape.of(
          Brief.class,
          Field.text("style"),
          Field.of("tempo", Shape.text(Tempo::parse)),
          Field.of("feel", Shape.found("feel", Feel::find, Feel::toString)),
          Field.of("meter", Shape.text(Meter::parse)),
          Field.of("key", Shape.text(Key::parse)),
          Field.spread("swing", DrumFields.SWING),
          Field.number("cents").earlier(0),
          Field.number("moved").or(0),
          Field.of("plan", PLAN).earlier(Plan.NONE));

  private static final Field<Role> ROLE = Field.named("role", Role.class);

  /** Parts of earlier files sound as their role usually does. */
  private static final Shape<Part> PART =
      RecordShape.of(
              Part.class,
              Field.of("id", SongShapes.PART),
              Field.text("name"),
              ROLE,
              Field.number("program"),
              Field.of("sound", MixFields.PATCH)
                  .earlier(node -> PartSound.patch(ROLE.read().apply(node)))
                  .holds("patch"),
              Field.of("mix", MixFields.MIX)
                  .earlier(node -> PartSound.mix(ROLE.read().apply(node))),
              Field.of(
                      "transpose",
                      RecordShape.of(
                          Transposition.class, Field.number("semitones"), Field.number("cents")))
                  .or(Transposition.NONE)
                  .holds("transposition"),
              Field.of("laneRhythms", DrumFields.BORROWED).or(Map.of()).holds("borrowed"),
              Field.of("laneSounds", DrumFields.SOUNDS).or(Map.of()).holds("lanes"),
              Field.of("patterns", Shape.list(PatternFields.NAMED)),
              Field.maybe("found", FoundFields.FOUND))
          .placed("part", "name");

  private static final RecordShape<Song> SONG =
      RecordShape.of(
          Song.class,
          Field.text("title"),
          Field.text("project"),
          Field.of("seed", Shape.LONG),
          Field.of("brief", BRIEF),
          Field.of(
              "progressions", Shape.list(ChordFields.PROGRESSION.placed("progression", "name"))),
          Field.of("parts", Shape.list(PART)),
          Field.of("form", FormFields.FORM),
          Field.maybe("mainPart", SongShapes.PART).holds("main"),
          Field.of("alternatives", FormFields.ALTERNATIVES).or(Alternatives.NONE),
          Field.of("master", MixFields.MASTER).or(Master.PLAIN),
          Field.of("leftAlone", Shape.set(Shape.TEXT)).holds("dismissed"),
          Field.unwritten("extras", "{}"));

  private SongFields() {}

  /** The document of a song, fields always in the same order. */
  static ObjectNode write(Song song) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.put("format", FORMAT).put("version", VERSION);
    SONG.write(song, out);
    return out;
  }

  /**
   * The song of a document.
   *
   * @throws IllegalArgumentException when something does not fit; the message names it
   */
  static Song read(JsonNode json) {
    if (!FORMAT.equals(json.path("format").asText())) {
      throw new IllegalArgumentException("it is not a West Tide song");
    }
    return SONG.read(json);
  }
}
