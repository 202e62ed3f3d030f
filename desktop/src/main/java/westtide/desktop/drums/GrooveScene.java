package westtide.desktop.drums;

import java.util.Optional;
import westtide.desktop.open.SongView;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.song.NamedPattern;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneSound;

/**
 * What the sheet shows: one groove of the drum part, with a place on one of its lanes chosen.
 *
 * @param view the song
 * @param part the drum part
 * @param pattern the groove as the part has it
 * @param groove the groove, worked out where it follows another
 * @param parent what it follows, laid out over its bars; empty when it stands alone
 * @param lane the chosen lane, by its place
 * @param column the chosen step, counted in steps of that lane from the start of the groove
 */
record GrooveScene(
    SongView view,
    Part part,
    NamedPattern pattern,
    Pattern.Drums groove,
    Optional<Pattern.Drums> parent,
    int lane,
    int column) {
  /** A groove of a drum part. */
  static GrooveScene of(SongView view, Part part, String name, int lane, int column) {
    Meter meter = view.song().brief().meter();
    NamedPattern pattern = part.pattern(name);
    Pattern.Drums groove = part.groove(pattern.name(), meter).orElseThrow();
    Optional<Pattern.Drums> parent =
        pattern.pattern() instanceof Pattern.Varied varied
            ? part.groove(varied.parent(), meter).map(p -> p.over(groove.bars(), meter))
            : Optional.empty();
    int row = Math.max(0, Math.min(groove.lanes().size() - 1, lane));
    int last = groove.ticks(meter) / groove.lanes().get(row).grid().ticks() - 1;
    int at = Math.max(0, Math.min(last, column));
    return new GrooveScene(view, part, pattern, groove, parent, row, at);
  }

  Song song() {
    return view.song();
  }

  Meter meter() {
    return song().brief().meter();
  }

  Swing swing() {
    return song().brief().swing();
  }

  /** Ticks of the groove. */
  int ticks() {
    return groove.ticks(meter());
  }

  DrumLane chosen() {
    return groove.lanes().get(lane);
  }

  LaneSound sound() {
    return part.sound(chosen().id());
  }

  /** The first tick of the chosen step. */
  int tick() {
    return column * chosen().grid().ticks();
  }

  /** The chosen step within its lane. */
  int step() {
    return step(lane, column);
  }

  /** The step of a lane that plays on one of its columns, after restarts and passes. */
  int step(int row, int at) {
    DrumLane of = groove.lanes().get(row);
    int grid = of.grid().ticks();
    int run = at * grid % groove.restartTicks(of, meter()) / grid;
    return run % of.lane().length();
  }

  /** The hit on the chosen step. */
  Optional<Hit> hit() {
    return chosen().lane().at(step());
  }

  /** Columns of a lane in the groove. */
  int columns(int row) {
    return ticks() / groove.lanes().get(row).grid().ticks();
  }
}
