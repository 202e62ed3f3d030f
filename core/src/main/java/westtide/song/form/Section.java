package westtide.song.form;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.theory.NoteName;

/**
 * A stretch of the form.
 *
 * @param id by what the form knows it
 * @param word what it is called
 * @param bars length in bars, 1 to 128
 * @param lastBeats beats of the last bar where a tag or a gap cuts it short, 1 to 15; 0 for a whole
 *     bar
 * @param progression the name of the progression it uses
 * @param cells for each part id, what the part does from beat to beat; a part without cells is out
 * @param curves for each part id, what moves from here on
 * @param pedal the note the bass stays on below the chords; empty lets it move with them
 * @param options how the chords run through it where not as usual
 * @param name what people call it where that is not the word; 1 to 24 letters
 * @param marks what announces and lands its bars, one of each kind a bar
 * @param link what keeps it the same as other sections
 */
public record Section(
    SectionId id,
    SectionWord word,
    int bars,
    int lastBeats,
    String progression,
    Map<PartId, List<Cell>> cells,
    Map<PartId, List<Curve>> curves,
    Optional<NoteName> pedal,
    Set<ChordOption> options,
    Optional<String> name,
    List<Mark> marks,
    Optional<SectionLink> link) {
  /** Letters of the longest name of a section's own. */
  public static final int LONGEST_NAME = 24;

  /** The longest section, in bars. */
  public static final int MOST_BARS = 128;

  /** The most beats of a last bar that is cut short. */
  public static final int MOST_BEATS = 15;

  /** Bars that count as the end of a section: what happens there stays there at another length. */
  private static final int ENDING = 2;

  /** Copies the cells in their order and checks the length. */
  public Section {
    if (bars < 1 || bars > MOST_BARS) {
      throw new IllegalArgumentException("a section has 1 to 128 bars, but was " + bars);
    }
    if (lastBeats < 0 || lastBeats > MOST_BEATS) {
      throw new IllegalArgumentException(
          "a section's last bar has 1 to 15 beats, or 0 for a whole bar, but was " + lastBeats);
    }
    name = name.map(String::strip).filter(own -> !own.isEmpty() && !own.equals(word.toString()));
    if (name.filter(own -> own.length() > LONGEST_NAME).isPresent()) {
      throw new IllegalArgumentException(
          "a section's name has 1 to 24 letters, but was \"" + name.get() + "\"");
    }
    marks = ordered(marks);
    options = options.isEmpty() ? Set.of() : Set.copyOf(options);
    Map<PartId, List<Cell>> copy = new LinkedHashMap<>();
    cells.forEach((part, list) -> copy.put(part, list.stream().sorted(Cell.ORDER).toList()));
    cells = Collections.unmodifiableMap(copy);
    Map<PartId, List<Curve>> moving = new LinkedHashMap<>();
    curves.forEach((part, list) -> moving.put(part, List.copyOf(list)));
    curves = Collections.unmodifiableMap(moving);
  }

  private static List<Mark> ordered(List<Mark> marks) {
    Map<Integer, List<Transition>> byBar =
        marks.stream()
            .collect(
                Collectors.groupingBy(
                    Mark::bar,
                    java.util.TreeMap::new,
                    Collectors.mapping(Mark::transition, Collectors.toList())));
    List<Mark> out = new ArrayList<>();
    byBar.forEach((bar, list) -> Transition.one(list).forEach(one -> out.add(new Mark(bar, one))));
    return List.copyOf(out);
  }

  /** A section over which nothing moves. */
  public static Section of(
      SectionWord word, int bars, String progression, Map<PartId, List<Cell>> cells) {
    return new Section(
        SectionId.NEW,
        word,
        bars,
        0,
        progression,
        cells,
        Map.of(),
        Optional.empty(),
        Set.of(),
        Optional.empty(),
        List.of(),
        Optional.empty());
  }

  /** What a part does on the first beat of a bar of this section, counted from 0. */
  public Cell cell(PartId part, int bar) {
    return cell(part, bar, 0);
  }

  /** What a part does on a beat of a bar of this section, both counted from 0. */
  public Cell cell(PartId part, int bar, int beat) {
    return Cell.during(cells.getOrDefault(part, List.of()), bar, beat).orElse(Cell.out());
  }

  /** The cells of a part that lie inside the section, beginning with bar 0. */
  public List<Cell> cells(PartId part) {
    List<Cell> out = new ArrayList<>();
    out.add(cell(part, 0));
    for (Cell cell : cells.getOrDefault(part, List.of())) {
      if (!cell.opens() && inside(cell)) {
        out.add(cell);
      }
    }
    return out;
  }

  private boolean inside(Cell cell) {
    boolean cut = lastBeats > 0 && cell.fromBar() == bars - 1 && cell.beat() >= lastBeats;
    return cell.fromBar() < bars && !cut;
  }

  /** The cells of {@link #cells(PartId)}, each with where it ends. */
  public List<CellSpan> spans(PartId part) {
    List<Cell> inside = cells(part);
    List<CellSpan> out = new ArrayList<>();
    for (int i = 0; i < inside.size(); i++) {
      boolean last = i + 1 == inside.size();
      out.add(
          last
              ? new CellSpan(inside.get(i), lastBeats > 0 ? bars - 1 : bars, lastBeats)
              : new CellSpan(inside.get(i), inside.get(i + 1).fromBar(), inside.get(i + 1).beat()));
    }
    return out;
  }

  /**
   * The section at another length. Cells, curves and marks of its last two bars, such as a fill,
   * stay as far from the end; cells beyond the end are kept for when the section grows again.
   */
  public Section withBars(int other) {
    Map<PartId, List<Cell>> moved = new LinkedHashMap<>();
    cells.forEach(
        (part, list) -> moved.put(part, list.stream().map(cell -> moved(cell, other)).toList()));
    Map<PartId, List<Curve>> moving = new LinkedHashMap<>();
    curves.forEach(
        (part, list) -> moving.put(part, list.stream().map(curve -> moved(curve, other)).toList()));
    List<Mark> kept =
        marks.stream()
            .map(mark -> mark.withBar(movedBar(mark.bar(), other)))
            .filter(mark -> mark.bar() <= other)
            .toList();
    return new Section(
        id, word, other, 0, progression, moved, moving, pedal, options, name, kept, link);
  }

  /** The section with a last bar of so many beats, or a whole one for 0. */
  public Section withLastBeats(int other) {
    return with(copy -> copy.lastBeats = other);
  }

  /** The bars of the section, the last of them as long as it is. */
  public BarLines.Stretch length() {
    return new BarLines.Stretch(bars, lastBeats);
  }

  /** Length in beats. */
  public int beats(Meter meter) {
    return length().beats(meter);
  }

  /** The section at another length; what is near its end stays near it. */
  public Section withLength(BarLines.Stretch other) {
    return withBars(other.bars()).withLastBeats(other.lastBeats());
  }

  /** Length in ticks. */
  public int ticks(Meter meter) {
    return beats(meter) * meter.ticksPerBeat();
  }

  private Cell moved(Cell cell, int otherBars) {
    return cell.fromBar() < bars ? cell.withFromBar(movedBar(cell.fromBar(), otherBars)) : cell;
  }

  private Curve moved(Curve curve, int otherBars) {
    int end = curve.fromBar() + curve.bars();
    boolean ends = curve.bars() > 0 && curve.fromBar() > 0 && end == bars;
    return ends ? curve.over(movedBar(curve.fromBar(), otherBars), curve.bars()) : curve;
  }

  private int movedBar(int bar, int otherBars) {
    boolean ending = bar > 0 && bar >= bars - ENDING && bar <= bars;
    int from = otherBars - (bars - bar);
    return ending && from > 0 ? from : bar;
  }

  /** Whether a bar of the section, from 0, belongs to its end rather than to its start. */
  public boolean ending(int bar) {
    return bar > 0 && bar >= bars - ENDING;
  }

  /** The section with other cells for a part. */
  public Section withCells(PartId part, List<Cell> list) {
    Map<PartId, List<Cell>> more = new LinkedHashMap<>(cells);
    more.put(part, list);
    return with(copy -> copy.cells = more);
  }

  /** The section known by another id. */
  public Section withId(SectionId other) {
    return with(copy -> copy.id = other);
  }

  /** The section without a part. */
  public Section without(PartId part) {
    List<Mark> others =
        marks.stream()
            .filter(mark -> !mark.transition().parts().equals(java.util.Set.of(part)))
            .map(mark -> new Mark(mark.bar(), mark.transition().without(part)))
            .toList();
    return withoutArrangement(part)
        .withMarks(others)
        .withLink(link.map(group -> group.withoutOwn(part)));
  }

  /** The section with what one part does done by another too. */
  public Section withLike(PartId model, PartId other) {
    return withArrangement(
        other,
        cells.containsKey(model) ? Optional.of(cells.get(model)) : Optional.empty(),
        curves.getOrDefault(model, List.of()));
  }

  /** The section with what a part does in another section; where it has nothing there, out. */
  public Section withPartOf(Section model, PartId part) {
    Section out = withoutArrangement(part);
    return out.withArrangement(
        part,
        model.cells.containsKey(part) ? Optional.of(model.cells.get(part)) : Optional.empty(),
        model.curves.getOrDefault(part, List.of()));
  }

  private Section withoutArrangement(PartId part) {
    Map<PartId, List<Cell>> fewerCells = new LinkedHashMap<>(cells);
    Map<PartId, List<Curve>> fewerCurves = new LinkedHashMap<>(curves);
    fewerCells.remove(part);
    fewerCurves.remove(part);
    return with(
        copy -> {
          copy.cells = fewerCells;
          copy.curves = fewerCurves;
        });
  }

  private Section withArrangement(PartId part, Optional<List<Cell>> list, List<Curve> moves) {
    Map<PartId, List<Cell>> more = new LinkedHashMap<>(cells);
    Map<PartId, List<Curve>> moving = new LinkedHashMap<>(curves);
    list.ifPresent(own -> more.put(part, own));
    if (!moves.isEmpty()) {
      moving.put(part, moves);
    }
    return with(
        copy -> {
          copy.cells = more;
          copy.curves = moving;
        });
  }

  /** Whether a part does the same in another section. */
  public boolean same(Section other, PartId part) {
    return cells.getOrDefault(part, List.of()).equals(other.cells.getOrDefault(part, List.of()))
        && curves.getOrDefault(part, List.of()).equals(other.curves.getOrDefault(part, List.of()));
  }

  /** The section with the cells of a part changed one by one. */
  public Section withEachCell(PartId part, UnaryOperator<Cell> change) {
    List<Cell> old = cells.getOrDefault(part, List.of());
    return old.isEmpty() ? this : withCells(part, old.stream().map(change).toList());
  }

  /** The section called something else. */
  public Section withWord(SectionWord other) {
    return with(
        copy -> {
          copy.word = other;
          copy.name = Optional.empty();
        });
  }

  /** The section over another progression. */
  public Section withProgression(String other) {
    return with(copy -> copy.progression = other);
  }

  /** The section with other movements of a part; an empty list takes them away. */
  public Section withCurves(PartId part, List<Curve> list) {
    Map<PartId, List<Curve>> more = new LinkedHashMap<>(curves);
    more.put(part, list);
    more.values().removeIf(List::isEmpty);
    return with(copy -> copy.curves = more);
  }

  /** The section over a bass note that stays, or without one. */
  public Section withPedal(Optional<NoteName> other) {
    return with(copy -> copy.pedal = other);
  }

  /** Whether the chords run through it in a way. */
  public boolean has(ChordOption option) {
    return options.contains(option);
  }

  /** The section with chords that run through it in a way, or no longer. */
  public Section with(ChordOption option, boolean on) {
    Set<ChordOption> other = EnumSet.noneOf(ChordOption.class);
    other.addAll(options);
    if (on) {
      other.add(option);
    } else {
      other.remove(option);
    }
    return with(copy -> copy.options = other);
  }

  /** What people call it: a name of its own, or the word. */
  public String title() {
    return name.orElse(word.toString());
  }

  /** The section under a name of its own, or its word's again. */
  public Section withName(Optional<String> other) {
    return with(copy -> copy.name = other);
  }

  /** What announces and lands the section. */
  public List<Transition> entry() {
    return at(0);
  }

  /** What announces and lands a bar of the section, counted from 0. */
  public List<Transition> at(int bar) {
    return marks.stream().filter(mark -> mark.bar() == bar).map(Mark::transition).toList();
  }

  /** The transitions at a bar and one more, as long as it usually is. */
  public List<Transition> atWith(int bar, TransitionKind more) {
    return Stream.concat(at(bar).stream(), Stream.of(Transition.of(more))).toList();
  }

  /** The section announced and landed otherwise. */
  public Section withEntry(List<Transition> other) {
    return withTransitions(0, other);
  }

  /** The section with a bar, counted from 0, announced and landed otherwise. */
  public Section withTransitions(int bar, List<Transition> other) {
    List<Mark> more = new ArrayList<>(marks.stream().filter(mark -> mark.bar() != bar).toList());
    other.forEach(transition -> more.add(new Mark(bar, transition)));
    return withMarks(more);
  }

  /** The section with other marks. */
  public Section withMarks(List<Mark> other) {
    return with(copy -> copy.marks = other);
  }

  /** The section kept the same as others, or standing alone. */
  public Section withLink(Optional<SectionLink> other) {
    return with(copy -> copy.link = other);
  }

  private Section with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private SectionId id;
    private SectionWord word;
    private int bars;
    private int lastBeats;
    private String progression;
    private Map<PartId, List<Cell>> cells;
    private Map<PartId, List<Curve>> curves;
    private Optional<NoteName> pedal;
    private Set<ChordOption> options;
    private Optional<String> name;
    private List<Mark> marks;
    private Optional<SectionLink> link;

    Copy(Section from) {
      id = from.id;
      word = from.word;
      bars = from.bars;
      lastBeats = from.lastBeats;
      progression = from.progression;
      cells = from.cells;
      curves = from.curves;
      pedal = from.pedal;
      options = from.options;
      name = from.name;
      marks = from.marks;
      link = from.link;
    }

    Section made() {
      return new Section(
          id, word, bars, lastBeats, progression, cells, curves, pedal, options, name, marks, link);
    }
  }
}
