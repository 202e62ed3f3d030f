package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Bounds;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.desktop.open.NotePlace;
import westtide.rhythm.Hit;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.edit.Edit;

/**
 * The hits of a groove as marks: a drag over empty steps paints; a drag from a bead up or down sets
 * its velocity, sideways its time and then its step; of several they go together.
 */
final class BeadMarks implements SheetGestures.Sheet<NotePlace> {
  private static final double AROUND = 4;

  private final HitSheet sheet;
  private final GrooveChoice choice;
  private final KeyTable keys;
  private final Consumer<Boolean> zoom;

  BeadMarks(HitSheet sheet, GrooveChoice choice, KeyTable keys, Consumer<Boolean> zoom) {
    this.sheet = sheet;
    this.choice = choice;
    this.keys = keys;
    this.zoom = zoom;
  }

  @Override
  public void zoom(boolean closer) {
    zoom.accept(closer);
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  @Override
  public Optional<NotePlace> at(double x, double y) {
    BeadScale scale = sheet.scale();
    int lane = scale.lane(y);
    if (x < HitSheet.LEFT - 14 || lane < 0 || lane >= lanes().size()) {
      return Optional.empty();
    }
    int step = scale.scene().step(lane, scale.column(lane, x));
    DrumLane of = lanes().get(lane);
    return of.lane()
        .at(step)
        .filter(hit -> Math.abs(y - scale.y(lane)) <= scale.radius(lane, hit.velocity()) + AROUND)
        .map(hit -> NotePlace.of(of.id(), step));
  }

  private List<DrumLane> lanes() {
    return choice.scene().groove().lanes();
  }

  @Override
  public Set<NotePlace> chosen() {
    Set<NotePlace> out = new HashSet<>();
    choice
        .chosenHits()
        .forEach((id, hits) -> hits.forEach(hit -> out.add(NotePlace.of(id, hit.step()))));
    return out;
  }

  @Override
  public void choose(Set<NotePlace> marks) {
    choice.chooseHits(marks);
    if (marks.size() == 1) {
      choice.hear();
    }
  }

  @Override
  public void cursor(double x, double y) {
    BeadScale scale = sheet.scale();
    int lane = Math.max(0, Math.min(lanes().size() - 1, scale.lane(y)));
    boolean name = x < HitSheet.LEFT - 14;
    choice.choose(lane, name ? choice.scene().column() : scale.column(lane, x));
  }

  @Override
  public Set<NotePlace> within(Bounds frame) {
    BeadScale scale = sheet.scale();
    Set<NotePlace> out = new HashSet<>();
    for (int lane = 0; lane < lanes().size(); lane++) {
      for (Hit hit : lanes().get(lane).lane().hits()) {
        if (frame.contains(scale.x(lane, hit.step()), scale.y(lane))) {
          out.add(NotePlace.of(lanes().get(lane).id(), hit.step()));
        }
      }
    }
    return out;
  }

  @Override
  public void write(double x, double y) {
    cursor(x, y);
    if (x >= HitSheet.LEFT - 14 && choice.scene().hit().isEmpty()) {
      choice.place();
    }
  }

  @Override
  public Optional<Pull> grab(NotePlace mark, double x, double y, boolean alt) {
    return Optional.of(new Carrying(x, y));
  }

  @Override
  public Optional<Pull> draw(double x, double y) {
    boolean lane = x >= HitSheet.LEFT - 14 && sheet.scale().lane(y) < lanes().size();
    return lane ? Optional.of(new Painting()) : Optional.empty();
  }

  /** Every step on the way is painted, also when the mouse is fast. */
  private final class Painting implements Pull {
    private final Set<NotePlace> painted = new HashSet<>();

    @Override
    public String to(double x, double y) {
      int lane = choice.scene().lane();
      int to = sheet.scale().column(lane, x);
      paintHere();
      int way = Integer.signum(to - choice.scene().column());
      while (choice.scene().column() != to) {
        choice.choose(lane, choice.scene().column() + way);
        paintHere();
      }
      return painted.size() + " × velocity " + Velocity.HIT;
    }

    private void paintHere() {
      if (choice.scene().hit().isEmpty()) {
        painted.add(NotePlace.of(choice.id(), choice.scene().step()));
        choice.place();
      }
    }
  }

  /** A drag of the chosen hits: up and down velocity, sideways time. */
  private final class Carrying implements Pull {
    private final double fromX;
    private final double fromY;
    private final Map<LaneId, List<Hit>> hits = choice.chosenHits();
    private final boolean single = hits.values().stream().mapToInt(List::size).sum() == 1;
    private final Hit first = hits.values().iterator().next().get(0);
    private Hit carried = first;
    private int steps;
    private boolean decided;
    private boolean sideways;

    Carrying(double fromX, double fromY) {
      this.fromX = fromX;
      this.fromY = fromY;
    }

    @Override
    public String to(double x, double y) {
      if (!decided) {
        decided = true;
        sideways = Math.abs(x - fromX) > Math.abs(y - fromY);
      }
      if (!sideways) {
        return shade(fromY - y);
      }
      return single ? move(x - fromX) : moveAll(x - fromX);
    }

    private String shade(double up) {
      List<Edit> edits = new ArrayList<>();
      hits.forEach(
          (id, all) ->
              all.forEach(
                  hit ->
                      edits.add(
                          choice.edits().velocity(id, hit.step(), shaded(hit.velocity(), up)))));
      choice.apply(
          single ? edits.get(0) : Edit.together("Set " + edits.size() + " velocities", edits));
      choice.hear();
      return "velocity " + shaded(first.velocity(), up);
    }

    private static int shaded(int velocity, double up) {
      return Velocity.held(Math.round(velocity + up));
    }

    /** The bead follows the mouse, from step to step; it stops beside one that stands there. */
    private String move(double right) {
      GrooveScene scene = choice.scene();
      long by = Math.round(right / sheet.scale().time().length(1));
      Hit next = scene.chosen().carried(first, first.nudge() + by, carried.step());
      if (!next.equals(carried)) {
        choice.apply(choice.edits().carry(scene.chosen().id(), carried.step(), next));
        int columns = next.step() - carried.step();
        carried = next;
        choice.choose(scene.lane(), scene.column() + columns);
      }
      double ms = scene.song().brief().tempo().millis(1) * carried.nudge();
      return "step " + (carried.step() + 1) + ", offset " + Math.round(ms) + " ms";
    }

    private String moveAll(double right) {
      double grid = sheet.scale().time().length(choice.scene().chosen().grid().ticks());
      int wanted = (int) Math.round(right / grid);
      if (wanted != steps) {
        int before = steps;
        choice.carry(wanted - before);
        steps = wanted;
      }
      return (steps > 0 ? "+" : "") + steps + " steps";
    }
  }
}
