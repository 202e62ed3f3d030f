package westtide.file;

import static westtide.file.Fields.at;
import static westtide.file.Fields.field;
import static westtide.file.Fields.list;
import static westtide.file.Fields.named;
import static westtide.file.Fields.number;
import static westtide.file.Fields.text;
import static westtide.file.Fields.unknown;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import westtide.rhythm.Feel;
import westtide.rhythm.Figure;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Plan;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.BorrowedLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.form.Form;
import westtide.song.id.PartId;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.mix.Master;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;
import westtide.song.pattern.Transposition;
import westtide.theory.Key;

/**
 * Turns the tree of a song file into a song. Whatever does not fit is an {@link
 * IllegalArgumentException} whose message names it.
 */
final class SongReader {
  private final JsonNode json;

  SongReader(JsonNode json) {
    this.json = json;
  }

  Song read() {
    if (!SongWriter.FORMAT.equals(json.path("format").asText())) {
      throw new IllegalArgumentException("it is not a West Tide song");
    }
    return new Song(
        text(json, "title"),
        text(json, "project"),
        field(json, "seed").asLong(),
        brief(field(json, "brief")),
        list(field(json, "progressions"), n -> placed("progression", n, ChordFields::progression)),
        list(field(json, "parts"), n -> placed("part", n, SongReader::part)),
        new Form(list(field(json, "form"), n -> placed("section", n, FormFields::section))),
        FormFields.main(json),
        FormFields.alternatives(json),
        json.has("master") ? MixFields.master(field(json, "master")) : Master.PLAIN,
        left(),
        "{}");
  }

  private Set<String> left() {
    return new LinkedHashSet<>(list(field(json, "leftAlone"), JsonNode::asText));
  }

  /** Reads a piece; what does not fit names the piece it was found in. */
  private static <T> T placed(String kind, JsonNode node, Function<JsonNode, T> read) {
    try {
      return read.apply(node);
    } catch (IllegalArgumentException e) {
      String name = node.path(node.has("name") ? "name" : "section").asText();
      throw new IllegalArgumentException(
          "in the " + kind + " \"" + name + "\" " + e.getMessage(), e);
    }
  }

  private static Brief brief(JsonNode node) {
    return new Brief(
        text(node, "style"),
        Tempo.parse(text(node, "tempo")),
        Feel.find(text(node, "feel")).orElseThrow(() -> unknown("feel", text(node, "feel"))),
        Meter.parse(text(node, "meter")),
        Key.parse(text(node, "key")),
        swing(node),
        node.path("cents").asInt(0),
        node.path("moved").asInt(0),
        plan(node.path("plan")));
  }

  private static Swing swing(JsonNode node) {
    Swing swing = Swing.parse(text(node, "swing"));
    return node.has("swings") ? swing.on(named(Swing.Grid.class, node, "swings")) : swing;
  }

  private static Plan plan(JsonNode node) {
    Map<String, Integer> minutes = new LinkedHashMap<>();
    node.path("minutes").properties().forEach(e -> minutes.put(e.getKey(), e.getValue().asInt()));
    Set<String> decided = new TreeSet<>();
    node.path("decided").forEach(stage -> decided.add(stage.asText()));
    return new Plan(node.path("seconds").asInt(0), minutes, decided);
  }

  private static Part part(JsonNode node) {
    Part part =
        Part.of(
            PartId.of(text(node, "id")),
            text(node, "name"),
            named(Role.class, node, "role"),
            number(node, "program"),
            list(field(node, "patterns"), p -> new NamedPattern(text(p, "name"), pattern(p))));
    if (node.has("sound")) {
      part = part.withPatch(SoundFields.patch(field(node, "sound")), part.program());
    }
    JsonNode away = node.path("transpose");
    if (!away.isMissingNode()) {
      part =
          part.withTransposition(
              new Transposition(number(away, "semitones"), number(away, "cents")));
    }
    Map<LaneId, LaneSound> lanes = DrumFields.sounds(node.path("laneSounds"));
    for (Map.Entry<LaneId, BorrowedLane> lane :
        DrumFields.borrowed(node.path("laneRhythms")).entrySet()) {
      part = part.withBorrowed(lane.getKey(), Optional.of(lane.getValue()));
    }
    for (Map.Entry<LaneId, LaneSound> lane : lanes.entrySet()) {
      part = part.withSound(lane.getKey(), lane.getValue());
    }
    return node.has("mix") ? part.withMix(MixFields.mix(field(node, "mix"))) : part;
  }

  private static Pattern pattern(JsonNode node) {
    String kind = text(node, "kind");
    return switch (kind) {
      case "drums" -> DrumFields.drums(node);
      case "varied" -> DrumFields.varied(node);
      case "written" ->
          new Pattern.Written(
              number(node, "bars"),
              list(field(node, "notes"), SongReader::note),
              new LineCycle(node.path("cycle").asInt(0), node.path("restart").asInt(0)));
      case "phrase" ->
          new Pattern.Phrase(
              number(node, "unitBars"),
              list(field(node, "motif"), SongReader::note),
              list(field(node, "units"), SongReader::unit));
      case "attached" ->
          new Pattern.Attached(
              number(node, "bars"),
              number(node, "lowest"),
              list(field(node, "notes"), SongReader::chordNote));
      case "following" -> new Pattern.Following(rule(field(node, "rule")));
      default -> throw unknown("kind of pattern", kind);
    };
  }

  private static Note note(JsonNode node) {
    int slide = node.size() > 4 ? at(node, 4) : 0;
    int every = node.size() > 5 ? at(node, 5) : 1;
    return new Note(at(node, 0), at(node, 1), at(node, 2), at(node, 3), slide, every);
  }

  private static PhraseUnit unit(JsonNode node) {
    PhraseUnit unit = PhraseUnit.of(named(PhraseUnit.Change.class, node, "change"));
    return node.has("own") ? unit.withOwn(list(field(node, "own"), SongReader::note)) : unit;
  }

  private static ChordNote chordNote(JsonNode node) {
    return new ChordNote(
        at(node, 0),
        at(node, 1),
        ChordDegree.parse(node.path(2).asText()),
        at(node, 3),
        at(node, 4),
        at(node, 5));
  }

  private static FollowRule rule(JsonNode node) {
    String follows = text(node, "follows");
    return switch (follows) {
      case "chords" -> ChordFields.rule(node);
      case "808" ->
          new FollowRule.Bass808(
              named(KickLink.class, node, "link"),
              new Figure(text(node, "figure")),
              number(node, "lowest"));
      case "bass" ->
          new FollowRule.Bass(
              new Figure(text(node, "figure")),
              number(node, "lowest"),
              field(node, "pickUp").asBoolean(),
              field(node, "fifths").asBoolean());
      case "arpeggio" ->
          new Arpeggio(
              named(Arpeggio.Order.class, node, "order"),
              named(Arpeggio.Rate.class, node, "rate"),
              number(node, "octaves"),
              number(node, "gate"),
              new Figure(text(node, "steps")),
              number(node, "lowest"),
              number(node, "swellBars"),
              number(node, "flourishBars"),
              field(node, "seed").asLong());
      case "low line" ->
          new LowLine(
              named(LowLine.Rhythm.class, node, "rhythm"),
              new Figure(text(node, "figure")),
              node.has("model") ? Optional.of(PartId.of(text(node, "model"))) : Optional.empty(),
              named(LowLine.Pitches.class, node, "pitches"),
              named(LowLine.PickUp.class, node, "pickUp"),
              number(node, "phraseBars"),
              number(node, "rest"),
              field(node, "shaped").asBoolean(),
              field(node, "slides").asBoolean(),
              number(node, "lowest"),
              field(node, "seed").asLong());
      case "rhythm" ->
          new BorrowedRhythm(
              PartId.of(text(node, "part")), list(field(node, "notes"), SongReader::note));
      case "part" ->
          new FollowRule.Doubling(
              PartId.of(text(node, "part")),
              number(node, "octaves"),
              number(node, "velocity"),
              ChordFields.members(field(node, "without")));
      default -> throw unknown("following rule", follows);
    };
  }
}
