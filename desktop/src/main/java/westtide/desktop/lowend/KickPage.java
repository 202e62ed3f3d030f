package westtide.desktop.lowend;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.line.HeardLine;
import westtide.desktop.line.LineBench;
import westtide.desktop.line.LineScene;
import westtide.desktop.room.RoomContext;
import westtide.review.lowend.KickOverlap;
import westtide.rhythm.Ticks;
import westtide.score.ScoredPart;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.line.Note;
import westtide.song.mix.Duck;
import westtide.sound.instrument.DrumTuning;

/** Where the part in front sounds with the kick, for how long, and three ways out of it. */
final class KickPage implements Page<LineScene> {
  private static final int APART = 2 * Ticks.PER_STEP;
  private static final int SHORTEST = Ticks.PER_STEP / 2;

  private final RoomContext context;
  private final LineBench bench;
  private final Label told = Controls.wrapped("", "small");
  private final VBox box;
  private final Node ways;
  private LineScene scene;

  KickPage(RoomContext context, LineBench bench) {
    this.context = context;
    this.bench = bench;
    told.setId("kick-told");
    this.ways =
        Controls.flow(
            Controls.explained(
                Controls.action("kick-duck", "duck", this::duck),
                "The part steps back under every kick; how far is set in Levels"),
            Controls.explained(
                Controls.action("kick-shorten", "shorten", this::shorten),
                "Notes that sound on into a kick end where it starts"),
            Controls.explained(
                Controls.action("kick-move", "move", this::move),
                "Notes that start with a kick start an eighth later"));
    this.box = Controls.column(5, told, ways);
  }

  private List<KickOverlap> overlaps() {
    HeardLine line = scene.line();
    Optional<ScoredPart> part =
        context.open().view().flatMap(view -> view.score().part(line.part().id()));
    int from = line.songTick();
    return part.map(p -> KickOverlap.of(context.open().view().orElseThrow().score(), p)).stream()
        .flatMap(List::stream)
        .filter(o -> o.kick() >= from && o.kick() < from + line.ticks())
        .toList();
  }

  private void duck() {
    context.apply(LowEndEdits.duck(scene.line().part().id()));
  }

  /** A rule leaves more of every note free; written notes end at the kick. */
  private void shorten() {
    HeardLine line = scene.line();
    if (!line.written()) {
      context.apply(
          LowEndEdits.grammar(
              line.part().id(),
              line.pattern(),
              "Rest",
              rule -> rule.withRest(Math.min(80, rule.rest() + 10))));
      return;
    }
    change(
        "Shorten before the kick",
        (note, kick) ->
            kick > note.start() && note.end() > kick
                ? note.withTicks(Math.max(SHORTEST, kick - note.start()))
                : note);
  }

  private void move() {
    HeardLine line = scene.line();
    if (!line.written()) {
      context.apply(LowEndEdits.offTheKick(line.part().id(), line.pattern()));
      return;
    }
    change(
        "Move off the kick",
        (note, kick) ->
            note.start() == kick && note.start() + APART < line.ticks()
                ? note.withStart(kick + APART).withTicks(Math.max(SHORTEST, note.ticks() - APART))
                : note);
  }

  private void change(String name, BiFunction<Note, Integer, Note> change) {
    HeardLine line = scene.line();
    List<Integer> kicks = overlaps().stream().map(o -> o.kick() - line.songTick()).toList();
    List<Note> before = new ArrayList<>();
    List<Note> after = new ArrayList<>();
    for (Note note : scene.meant()) {
      Note now = note;
      for (int kick : kicks) {
        now = now.equals(note) ? change.apply(now, kick) : now;
      }
      if (!now.equals(note)) {
        before.add(note);
        after.add(now);
      }
    }
    if (before.isEmpty()) {
      context.messages().done("No note does that here.");
    } else {
      bench.put(name + ", " + before.size() + " notes", before, after);
    }
  }

  @Override
  public String title() {
    return "with the kick";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    scene = shown;
    List<KickOverlap> found = overlaps();
    ways.setDisable(found.isEmpty());
    if (found.isEmpty()) {
      told.setText(shown.line().part().name() + " and kick never sound at once in these bars.");
      return;
    }
    long together = found.stream().filter(KickOverlap::together).count();
    double longest = found.stream().mapToDouble(KickOverlap::millis).max().orElse(0);
    boolean ducks = shown.line().part().mix().duck().trigger() == Duck.Trigger.KICK;
    told.setText(
        found.size()
            + " kicks in this pass sound with "
            + shown.line().part().name()
            + ", up to "
            + Math.round(longest)
            + " ms each: "
            + together
            + " start together, "
            + (found.size() - together)
            + " come while it is held. "
            + (ducks ? "It ducks under the kick." : "Nothing steps back yet.")
            + tuned(found));
  }

  /** What the kick is tuned to, and what that means where the part plays the same note. */
  private String tuned(List<KickOverlap> found) {
    Song song = scene.line().song();
    Optional<DrumTuning> tuning =
        new PlayedBars(song)
            .part(Role.DRUMS)
            .flatMap(part -> DrumTuning.of(part, DrumVoice.KICK.lane()));
    if (tuning.isEmpty()) {
      return "";
    }
    int nearest = tuning.get().nearest();
    boolean same = found.stream().anyMatch(o -> o.note().key() == nearest);
    return " The kick's rings stand at "
        + song.brief().key().pitch(nearest)
        + ", "
        + Math.round(tuning.get().hertz())
        + " Hz"
        + (same
            ? ": on the same note the two double or cancel; another note of the key is safer."
            : ".");
  }
}
