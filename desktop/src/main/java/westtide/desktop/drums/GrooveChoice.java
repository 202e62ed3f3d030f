package westtide.desktop.drums;

import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import westtide.desktop.open.NotePlace;
import westtide.desktop.open.Selection;
import westtide.desktop.room.Desk;
import westtide.rhythm.Hit;
import westtide.rhythm.Velocity;
import westtide.score.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Seed;
import westtide.song.drum.LaneId;
import westtide.song.edit.DrumEdits;
import westtide.song.edit.Edit;
import westtide.sound.Audible;

/** Which groove, lane and step are chosen on the sheet, and changing and hearing them. */
final class GrooveChoice {
  /** Told where no section is long enough for a groove. */
  static final String TOO_LONG =
      "No section is as long as this groove; lengthen one in the form first.";

  private final Desk desk;
  private final Runnable refresh;
  private int lane;
  private int column;
  private long take;

  /** Choices on a desk; {@code refresh} shows the sheet anew. */
  GrooveChoice(Desk desk, Runnable refresh) {
    this.desk = desk;
    this.refresh = refresh;
  }

  Desk desk() {
    return desk;
  }

  /** The drum part in front; empty when the song has none. */
  Optional<Part> part() {
    return desk.open().part(Role.DRUMS);
  }

  /** The name of the groove in front. */
  String groove() {
    return part().map(desk.open().selection()::pattern).orElse("");
  }

  /** The scene as it is now; empty when the song has no drums. */
  Optional<GrooveScene> find() {
    return desk.open()
        .view()
        .flatMap(view -> part().map(p -> GrooveScene.of(view, p, groove(), lane, column)));
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
    part().ifPresent(part -> desk.open().select(part, name));
    if (desk.play().trying()) {
      trial().ifPresent(this::tryOut);
    }
    refresh.run();
  }

  void choose(int row, int at) {
    lane = row;
    column = at;
    Selection now = desk.open().selection();
    Set<NotePlace> hit =
        scene().hit().map(h -> Set.of(NotePlace.of(id(), h.step()))).orElse(Set.of());
    desk.open().select(now.withPart(scene().part()).withNotes(hit));
    refresh.run();
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
    desk.apply(edit);
  }

  /** Changes the hit on the chosen step and lets it sound. */
  void change(String name, UnaryOperator<Hit> change) {
    apply(edits().change(name, id(), scene().step(), change));
    hear();
  }

  /** As {@link #change}; turning one thing of a hit in one go is one edit. */
  void turn(String name, String thing, UnaryOperator<Hit> change) {
    int step = scene().step();
    apply(edits().change(name, id(), step, change).merging(thing + groove() + id() + step));
    hear();
  }

  void place() {
    apply(edits().place(id(), Hit.of(scene().step(), Velocity.HIT)));
    hear();
  }

  /** Takes the chosen hit along by steps; it stops where another one stands. */
  void carry(int steps) {
    GrooveScene scene = scene();
    scene
        .hit()
        .ifPresent(
            hit -> {
              long late = hit.nudge() + (long) steps * scene.chosen().grid().ticks();
              Hit next = scene.chosen().carried(hit, late, hit.step());
              if (next.step() == hit.step() + steps) {
                apply(edits().carry(id(), hit.step(), next.withNudge(hit.nudge())));
                choose(scene.lane(), scene.column() + steps);
              }
            });
  }

  void remove() {
    apply(edits().remove(id(), scene().step()));
  }

  /** A seed that was not used yet in this session. */
  Seed nextSeed() {
    take++;
    return new Seed(desk.open().song().seed() + take);
  }

  /** The seed that was used last. */
  Seed lastSeed() {
    return new Seed(desk.open().song().seed() + take);
  }

  /** The groove in front, ready to be played round and round. */
  Optional<GrooveTrial> trial() {
    return GrooveTrial.of(scene(), desk.open().section());
  }

  /** Plays the groove in front round and round, or stops that. */
  void hearGroove() {
    if (desk.play().trying()) {
      desk.play().stop();
      return;
    }
    trial().ifPresentOrElse(this::tryOut, () -> desk.messages().done(TOO_LONG));
  }

  private void tryOut(GrooveTrial trial) {
    desk.play().tryOut(trial.change(), trial.range());
  }

  /** Lets the chosen hit sound. */
  void hear() {
    scene().hit().ifPresent(hit -> hear(id(), hit.velocity(), hit.pitch()));
  }

  /** Lets a lane sound. */
  void hear(LaneId id, int velocity, int semitones) {
    desk.play().touch(scene().part(), new ScoredNote.Struck(id, semitones), velocity);
  }

  /** The name by which a lane is muted. */
  String audible(LaneId id) {
    return Audible.lane(scene().part().id(), id);
  }
}
