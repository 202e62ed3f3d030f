package westtide.song;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Ramp;
import westtide.theory.NoteName;

/**
 * A stretch of the form.
 *
 * @param id by what the form knows it
 * @param word what it is called
 * @param bars length in bars, 1 to 128
 * @param progression the name of the progression it uses
 * @param cells for each part id, what the part does bar by bar; a part without cells is out
 * @param ramps for each part id, what moves over the section; one a kind
 * @param pedal the note the bass stays on below the chords; empty lets it move with them
 * @param name what people call it where that is not the word; 1 to 24 letters
 * @param entry what announces and lands it, one of each kind
 */
public record Section(
    SectionId id,
    SectionWord word,
    int bars,
    String progression,
    Map<PartId, List<Cell>> cells,
    Map<PartId, List<Ramp>> ramps,
    Optional<NoteName> pedal,
    Optional<String> name,
    List<Transition> entry) {
  /** Letters of the longest name of a section's own. */
  public static final int LONGEST_NAME = 24;

  /** The longest section, in bars. */
  public static final int MOST_BARS = 128;

  /** Copies the cells in order of bar and checks the length. */
  public Section {
    if (bars < 1 || bars > MOST_BARS) {
      throw new IllegalArgumentException("a section has 1 to 128 bars, but was " + bars);
    }
    name = name.map(String::strip).filter(own -> !own.isEmpty() && !own.equals(word.toString()));
    if (name.filter(own -> own.length() > LONGEST_NAME).isPresent()) {
      throw new IllegalArgumentException(
          "a section's name has 1 to 24 letters, but was \"" + name.get() + "\"");
    }
    entry = Transition.one(entry);
    Map<PartId, List<Cell>> copy = new LinkedHashMap<>();
    cells.forEach(
        (part, list) ->
            copy.put(part, list.stream().sorted(Comparator.comparingInt(Cell::fromBar)).toList()));
    cells = Collections.unmodifiableMap(copy);
    Map<PartId, List<Ramp>> moving = new LinkedHashMap<>();
    ramps.forEach((part, list) -> moving.put(part, List.copyOf(list)));
    ramps = Collections.unmodifiableMap(moving);
  }

  /** A section over which nothing moves. */
  public static Section of(
      SectionWord word, int bars, String progression, Map<PartId, List<Cell>> cells) {
    return new Section(
        SectionId.NEW,
        word,
        bars,
        progression,
        cells,
        Map.of(),
        Optional.empty(),
        Optional.empty(),
        List.of());
  }

  /** What a part does in a bar of this section, counted from 0. */
  public Cell cell(PartId part, int bar) {
    Cell found = Cell.out();
    for (Cell cell : cells.getOrDefault(part, List.of())) {
      found = cell.fromBar() <= bar ? cell : found;
    }
    return found;
  }

  /** The cells of a part that lie inside the section, beginning with bar 0. */
  public List<Cell> cells(PartId part) {
    List<Cell> out = new ArrayList<>();
    out.add(cell(part, 0));
    for (Cell cell : cells.getOrDefault(part, List.of())) {
      if (cell.fromBar() > 0 && cell.fromBar() < bars) {
        out.add(cell);
      }
    }
    return out;
  }

  /** The cells of {@link #cells(String)}, each with the bar it ends before. */
  public List<CellSpan> spans(PartId part) {
    List<Cell> inside = cells(part);
    List<CellSpan> out = new ArrayList<>();
    for (int i = 0; i < inside.size(); i++) {
      int end = i + 1 < inside.size() ? inside.get(i + 1).fromBar() : bars;
      out.add(new CellSpan(inside.get(i), end));
    }
    return out;
  }

  /**
   * The section at another length. A cell of the last bar, such as a fill, stays with the last bar;
   * cells beyond the end are kept for when the section grows again.
   */
  public Section withBars(int other) {
    Map<PartId, List<Cell>> moved = new LinkedHashMap<>();
    cells.forEach(
        (part, list) -> moved.put(part, list.stream().map(cell -> moved(cell, other)).toList()));
    return new Section(id, word, other, progression, moved, ramps, pedal, name, entry);
  }

  private Cell moved(Cell cell, int otherBars) {
    boolean last = cell.fromBar() > 0 && cell.fromBar() == bars - 1 && otherBars > 1;
    return last ? new Cell(otherBars - 1, cell.level(), cell.pattern()) : cell;
  }

  /** The section with other cells for a part. */
  public Section withCells(PartId part, List<Cell> list) {
    Map<PartId, List<Cell>> more = new LinkedHashMap<>(cells);
    more.put(part, list);
    return new Section(id, word, bars, progression, more, ramps, pedal, name, entry);
  }

  /** The section known by another id. */
  public Section withId(SectionId other) {
    return new Section(other, word, bars, progression, cells, ramps, pedal, name, entry);
  }

  /** The section without a part. */
  public Section without(PartId part) {
    Map<PartId, List<Cell>> fewerCells = new LinkedHashMap<>(cells);
    Map<PartId, List<Ramp>> fewerRamps = new LinkedHashMap<>(ramps);
    fewerCells.remove(part);
    fewerRamps.remove(part);
    return new Section(id, word, bars, progression, fewerCells, fewerRamps, pedal, name, entry);
  }

  /** The section with what one part does done by another too. */
  public Section withLike(PartId model, PartId other) {
    Map<PartId, List<Cell>> more = new LinkedHashMap<>(cells);
    Map<PartId, List<Ramp>> moving = new LinkedHashMap<>(ramps);
    if (cells.containsKey(model)) {
      more.put(other, cells.get(model));
    }
    if (ramps.containsKey(model)) {
      moving.put(other, ramps.get(model));
    }
    return new Section(id, word, bars, progression, more, moving, pedal, name, entry);
  }

  /** The section with the cells of a part changed one by one. */
  public Section withEachCell(PartId part, UnaryOperator<Cell> change) {
    List<Cell> old = cells.getOrDefault(part, List.of());
    return old.isEmpty() ? this : withCells(part, old.stream().map(change).toList());
  }

  /** The section called something else. */
  public Section withWord(SectionWord other) {
    return new Section(id, other, bars, progression, cells, ramps, pedal, Optional.empty(), entry);
  }

  /** The section over another progression. */
  public Section withProgression(String other) {
    return new Section(id, word, bars, other, cells, ramps, pedal, name, entry);
  }

  /** The section with other movements of a part; an empty list takes them away. */
  public Section withRamps(PartId part, List<Ramp> list) {
    Map<PartId, List<Ramp>> more = new LinkedHashMap<>(ramps);
    more.put(part, list);
    more.values().removeIf(List::isEmpty);
    return new Section(id, word, bars, progression, cells, more, pedal, name, entry);
  }

  /** The section over a bass note that stays, or without one. */
  public Section withPedal(Optional<NoteName> other) {
    return new Section(id, word, bars, progression, cells, ramps, other, name, entry);
  }

  /** What people call it: a name of its own, or the word. */
  public String title() {
    return name.orElse(word.toString());
  }

  /** The section under a name of its own, or its word's again. */
  public Section withName(Optional<String> other) {
    return new Section(id, word, bars, progression, cells, ramps, pedal, other, entry);
  }

  /** The section announced and landed otherwise. */
  public Section withEntry(List<Transition> other) {
    return new Section(id, word, bars, progression, cells, ramps, pedal, name, other);
  }
}
