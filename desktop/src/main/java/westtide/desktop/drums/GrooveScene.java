package westtide.desktop.drums;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import westtide.desktop.open.SongView;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.score.Passage;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneSound;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * What the sheet shows: one groove of the drum part, with a place on one of its lanes chosen.
 *
 * @param view the song
 * @param part the drum part
 * @param pattern the groove as the part has it
 * @param groove the groove, worked out where it follows another
 * @param parent what it follows, laid out over its bars; empty when it stands alone
 * @param section the place of the chosen section in the form
 * @param lane the chosen lane, by its place
 * @param column the chosen step, counted in steps of that lane from the start of the groove
 */
record GrooveScene(
    SongView view,
    Part part,
    NamedPattern pattern,
    Pattern.Drums groove,
    Optional<Pattern.Drums> parent,
    int section,
    int lane,
    int column) {
  /** A groove of a drum part. */
  static GrooveScene of(SongView view, Part part, String name, int section, int lane, int column) {
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
    return new GrooveScene(view, part, pattern, groove, parent, section, row, at);
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

  /**
   * Where a tick of the groove is heard, in bars of the song: in the chosen section, else where it
   * comes first; its place in the groove where it is nowhere heard.
   */
  Position position(long tick) {
    return passage()
        .map(
            heard -> {
              int length = ticks();
              int from = (heard.from() + length - 1) / length * length;
              int start = heard.sectionStart() + (from < heard.to() ? from : 0);
              return song().barLines().position((int) (start + tick));
            })
        .orElseGet(() -> Position.of(tick, meter()));
  }

  /** Where the groove is played, in the chosen section or else first; empty where nowhere. */
  Optional<Passage> passage() {
    List<Passage> all =
        view.score().part(part.id()).stream()
            .flatMap(scored -> scored.passages().stream())
            .filter(passage -> passage.name().equals(pattern.name()))
            .toList();
    return all.stream()
        .filter(passage -> passage.place() == section)
        .findFirst()
        .or(() -> all.stream().findFirst());
  }

  /**
   * The hits of a lane as they are heard; those of another part where it takes its rhythm there.
   */
  StepLane heard(DrumLane lane) {
    Optional<Passage> passage =
        part.rhythmOf(lane.id(), pattern.name()).flatMap(model -> passage());
    return passage.map(heard -> struck(lane, heard)).orElse(lane.lane());
  }

  /** Whether a lane takes its rhythm from another part. */
  boolean borrows(DrumLane lane) {
    return part.rhythmOf(lane.id(), pattern.name()).isPresent() && passage().isPresent();
  }

  private StepLane struck(DrumLane lane, Passage heard) {
    int grid = lane.grid().ticks();
    Map<Integer, Hit> hits = new TreeMap<>();
    for (ScoredNote note : heard.notes()) {
      int tick = note.written() - heard.start();
      boolean own = note.struck().filter(s -> s.lane().equals(lane.id())).isPresent();
      if (own && tick >= 0 && tick < ticks()) {
        int step = (tick + grid / 2) / grid;
        hits.putIfAbsent(step, Hit.of(step, note.velocity()));
      }
    }
    int length = ticks() / grid;
    return new StepLane(length, hits.values().stream().filter(hit -> hit.step() < length).toList());
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
