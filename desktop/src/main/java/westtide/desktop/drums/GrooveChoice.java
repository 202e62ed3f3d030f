package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import westtide.desktop.open.NotePlace;
import westtide.desktop.open.Selection;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.Hit;
import westtide.rhythm.Velocity;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.edit.Edit;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.id.Seed;
import westtide.sound.Audible;

/** Which groove, lane and step are chosen on the sheet, and changing and hearing them. */
final class GrooveChoice {
  /** Told where no section is long enough for a groove. */
  static final String TOO_LONG =
      "No section is as long as this groove; lengthen one in the form first.";

  private final RoomContext context;
  private final Runnable refresh;
  private int lane;
  private int column;
  private long take;

  /** Choices on a desk; {@code refresh} shows the sheet anew. */
  GrooveChoice(RoomContext context, Runnable refresh) {
    this.context = context;
    this.refresh = refresh;
  }

  RoomContext context() {
    return context;
  }

  /** The drum part in front; empty when the song has none. */
  Optional<Part> part() {
    return context.open().part(Role.DRUMS);
  }

  /** The name of the groove in front. */
  String groove() {
    return part().map(context.open().selection()::pattern).orElse("");
  }

  /** The scene as it is now; empty when the song has no drums. */
  Optional<GrooveScene> find() {
    return context
        .open()
        .view()
        .flatMap(
            view ->
                part()
                    .map(
                        p ->
                            GrooveScene.of(
                                view, p, groove(), context.open().section(), lane, column)));
  }

  GrooveScene scene() {
    return find().orElseThrow();
  }

  /** Keeps the choice inside what the song has. */
  void settle(GrooveScene scene) {
    lane = scene.lane();
    column = scene.column();
  }

  /** Puts a groove in front; one that is being tried out gives way to it. */
  void chooseGroove(String name) {
    part().ifPresent(part -> context.open().select(part, name));
    if (context.play().trying()) {
      trial().ifPresent(this::tryOut);
    }
    refresh.run();
  }

  /** Sets the cursor, and chooses the hit that stands there, if one does. */
  void choose(int row, int at) {
    lane = row;
    column = at;
    select(scene().hit().map(hit -> Set.of(NotePlace.of(id(), hit.step()))).orElse(Set.of()));
    refresh.run();
  }

  /** Chooses hits; the cursor goes to one of them unless it stands on one. */
  void chooseHits(Set<NotePlace> hits) {
    GrooveScene scene = scene();
    boolean there = scene.hit().isPresent() && hits.contains(NotePlace.of(id(), scene.step()));
    if (!there && !hits.isEmpty()) {
      NotePlace first = hits.iterator().next();
      for (int row = 0; row < scene.groove().lanes().size(); row++) {
        if (scene.groove().lanes().get(row).id().toString().equals(first.lane())) {
          lane = row;
          column = first.start();
        }
      }
    }
    select(hits);
    refresh.run();
  }

  private void select(Set<NotePlace> hits) {
    Selection now = context.open().selection();
    context.open().select(now.withPart(scene().part()).withNotes(hits));
  }

  /** The chosen hits that are there, else the one at the cursor; lane by lane in order. */
  Map<LaneId, List<Hit>> chosenHits() {
    GrooveScene scene = scene();
    Set<NotePlace> places = context.open().selection().notes();
    Map<LaneId, List<Hit>> out = new LinkedHashMap<>();
    for (DrumLane of : scene.groove().lanes()) {
      List<Hit> hits =
          of.lane().hits().stream()
              .filter(hit -> places.contains(NotePlace.of(of.id(), hit.step())))
              .toList();
      if (!hits.isEmpty()) {
        out.put(of.id(), hits);
      }
    }
    if (out.isEmpty()) {
      scene.hit().ifPresent(hit -> out.put(scene.chosen().id(), List.of(hit)));
    }
    return out;
  }

  /** Walks by lanes, keeping the place in time, and by steps. */
  void walk(int lanes, int steps) {
    GrooveScene scene = scene();
    int row = Math.max(0, Math.min(scene.groove().lanes().size() - 1, scene.lane() + lanes));
    int grid = scene.groove().lanes().get(row).grid().ticks();
    choose(row, scene.tick() / grid + steps);
  }

  DrumEdits edits() {
    return new DrumEdits(scene().part().id(), groove());
  }

  LaneId id() {
    return scene().chosen().id();
  }

  void apply(Edit edit) {
    context.apply(edit);
  }

  /** Changes every chosen hit, or the one at the cursor, and lets that sound. */
  void change(String name, UnaryOperator<Hit> change) {
    List<Edit> edits = new ArrayList<>();
    chosenHits()
        .forEach(
            (id, hits) ->
                hits.forEach(hit -> edits.add(edits().change(name, id, hit.step(), change))));
    if (edits.isEmpty()) {
      return;
    }
    apply(Edit.together(edits.size() > 1 ? name + ", " + edits.size() + " hits" : name, edits));
    hear();
  }

  /** Writes a hit at the cursor and chooses it. */
  void place() {
    int step = scene().step();
    context
        .open()
        .apply(
            edits().place(id(), Hit.of(step, Velocity.HIT)),
            now -> now.withNotes(Set.of(NotePlace.of(id(), step))));
    hear();
  }

  /** Moves the chosen hits by steps of their lanes; hits they come upon give way. */
  void carry(int steps) {
    Map<LaneId, List<Hit>> hits = chosenHits();
    if (hits.isEmpty()) {
      return;
    }
    new MovedHits(scene().groove(), hits)
        .by(steps)
        .ifPresent(
            moved -> {
              lane = scene().lane();
              column = Math.max(0, scene().column() + steps);
              context
                  .open()
                  .apply(
                      edits().groove().replace("Move " + moved.count() + " hits", moved.groove()),
                      now -> now.withNotes(moved.places()));
              refresh.run();
            });
  }

  /** Deletes the chosen hits. */
  void remove() {
    List<Edit> edits = new ArrayList<>();
    chosenHits()
        .forEach((id, hits) -> hits.forEach(hit -> edits.add(edits().remove(id, hit.step()))));
    if (edits.size() == 1) {
      apply(edits.get(0));
    } else if (!edits.isEmpty()) {
      apply(Edit.together("Delete " + edits.size() + " hits", edits));
    }
  }

  /** A seed that was not used yet in this session. */
  Seed nextSeed() {
    take++;
    return new Seed(context.open().song().seed() + take);
  }

  /** The seed that was used last. */
  Seed lastSeed() {
    return new Seed(context.open().song().seed() + take);
  }

  /** The groove in front, ready to be played round and round. */
  Optional<PatternTrial> trial() {
    return PatternTrial.of(
        scene().song(),
        scene().part().id(),
        scene().pattern().name(),
        scene().groove().bars(),
        context.open().section());
  }

  /** Plays the groove in front round and round, or stops that. */
  void hearGroove() {
    if (context.play().trying()) {
      context.play().stop();
      return;
    }
    trial().ifPresentOrElse(this::tryOut, () -> context.messages().done(TOO_LONG));
  }

  private void tryOut(PatternTrial trial) {
    context.play().tryOut(trial.change(), trial.range());
  }

  /** Lets the chosen hit sound. */
  void hear() {
    scene().hit().ifPresent(hit -> hear(id(), hit.velocity(), hit.pitch()));
  }

  /** Lets a lane sound. */
  void hear(LaneId id, int velocity, int semitones) {
    context.play().touch(scene().part(), new ScoredNote.Struck(id, semitones), velocity);
  }

  /** The name by which a lane is muted. */
  String audible(LaneId id) {
    return Audible.lane(scene().part().id(), id);
  }
}
