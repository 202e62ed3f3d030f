package westtide.song;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.Position;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;

/**
 * Where in the song a place of a pattern or of a row of chords is heard first, in bars of the song;
 * where the form has it nowhere, its place in the pattern or row itself.
 *
 * @param song the song
 */
public record HeardPlace(Song song) {
  /** A tick of a pattern of a part, such as {@code "17.3.1"}. */
  public String of(PartId part, String pattern, int tick) {
    return tick(part, pattern, tick)
        .map(at -> song.barLines().position(at).toString())
        .orElse(Position.of(tick, song.brief().meter()) + " of " + pattern);
  }

  /** A tick of a row of chords, such as {@code "bar 17.3"}. */
  public String of(Progression row, int tick) {
    Optional<Position> heard = row(row, tick).map(song.barLines()::position);
    Position at = heard.orElse(Position.of(tick, song.brief().meter()));
    return "bar " + at.bar() + "." + at.beat() + (heard.isPresent() ? "" : " of the row");
  }

  /** The first tick of the song at which a tick of a pattern is heard, itself or varied. */
  public Optional<Integer> tick(PartId part, String pattern, int tick) {
    Optional<Part> of = song.part(part);
    if (of.isEmpty()) {
      return Optional.empty();
    }
    Set<String> names = Set.of(pattern);
    Set<String> varied = new HashSet<>(new HeardBars(song, of.get()).followers(pattern));
    return tick(of.get(), names, tick).or(() -> tick(of.get(), varied, tick));
  }

  private Optional<Integer> tick(Part part, Set<String> names, int tick) {
    for (int place = 0; place < song.form().sections().size(); place++) {
      Section section = song.form().sections().get(place);
      int start = song.form().startTick(place, song.brief().meter());
      for (CellSpan span : section.spans(part.id())) {
        Cell cell = span.cell();
        boolean heard =
            cell.level() != Level.OUT && names.contains(part.pattern(cell.pattern()).name());
        if (heard && inside(span, tick)) {
          return Optional.of(start + tick);
        }
      }
    }
    return Optional.empty();
  }

  private boolean inside(CellSpan span, int tick) {
    return tick >= span.from(song.brief().meter()) && tick < span.to(song.brief().meter());
  }

  private Optional<Integer> row(Progression row, int tick) {
    for (int place = 0; place < song.form().sections().size(); place++) {
      Section section = song.form().sections().get(place);
      boolean plays = section.progression().equals(row.name());
      if (plays && tick < section.ticks(song.brief().meter())) {
        return Optional.of(song.form().startTick(place, song.brief().meter()) + tick);
      }
    }
    return Optional.empty();
  }
}
