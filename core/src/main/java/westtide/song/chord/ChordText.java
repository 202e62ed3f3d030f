package westtide.song.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.theory.Key;

/** Writes a progression as the shortest plain line: equal shares where they do, lengths if not. */
final class ChordText {
  private static final int PLAIN_SHARES = 8;
  private static final int MOST_SHARES = 64;

  private final Progression progression;
  private final List<PlacedChord> placed;
  private final Key key;
  private final Meter meter;

  ChordText(Progression progression, Key key, Meter meter) {
    this.progression = progression;
    this.placed = progression.placed();
    this.key = key;
    this.meter = meter;
  }

  @Override
  public String toString() {
    List<String> bars = new ArrayList<>();
    for (int bar = 0; bar < progression.bars(meter); bar++) {
      String text = bar(bar * meter.ticksPerBar());
      boolean again = bar > 0 && !text.equals(ChordWord.HOLD) && text.equals(written(bars));
      bars.add(again ? "%" : text);
    }
    return String.join(" | ", bars);
  }

  private static String written(List<String> bars) {
    int last = bars.size() - 1;
    while (bars.get(last).equals("%")) {
      last--;
    }
    return bars.get(last);
  }

  private String bar(int from) {
    for (int shares = 1; shares <= PLAIN_SHARES; shares++) {
      Optional<String> text = inShares(from, shares);
      if (text.isPresent()) {
        return text.get();
      }
    }
    return inSteps(from).orElseGet(() -> inManyShares(from));
  }

  private String inManyShares(int from) {
    for (int shares = PLAIN_SHARES + 1; shares < MOST_SHARES; shares++) {
      Optional<String> text = inShares(from, shares);
      if (text.isPresent()) {
        return text.get();
      }
    }
    return inShares(from, meter.ticksPerBar()).orElseThrow();
  }

  /** The bar in that many shares, or nothing when a chord starts between two of them. */
  private Optional<String> inShares(int from, int shares) {
    List<String> words = new ArrayList<>();
    int found = 0;
    for (int share = 0; share < shares; share++) {
      int tick = from + (int) Math.round((double) share * meter.ticksPerBar() / shares);
      Optional<PlacedChord> starting =
          placed.stream().filter(chord -> chord.start() == tick).findFirst();
      found += starting.isPresent() ? 1 : 0;
      words.add(starting.map(this::word).orElse(ChordWord.HOLD));
    }
    return found == starting(from).size() ? Optional.of(String.join(" ", words)) : Optional.empty();
  }

  /** The bar with each length in sixteenths, or nothing when a chord starts between two. */
  private Optional<String> inSteps(int from) {
    int end = from + meter.ticksPerBar();
    List<Integer> edges = new ArrayList<>(starting(from).stream().map(PlacedChord::start).toList());
    if (edges.stream().anyMatch(edge -> (edge - from) % Ticks.PER_STEP != 0)) {
      return Optional.empty();
    }
    List<String> words = new ArrayList<>();
    if (edges.isEmpty() || edges.get(0) > from) {
      int first = edges.isEmpty() ? end : edges.get(0);
      words.add(ChordWord.HOLD + length(first - from));
    }
    edges.add(end);
    for (int i = 0; i + 1 < edges.size(); i++) {
      int start = edges.get(i);
      PlacedChord chord = placed.stream().filter(c -> c.start() == start).findFirst().orElseThrow();
      words.add(word(chord) + length(edges.get(i + 1) - start));
    }
    return Optional.of(words.stream().collect(Collectors.joining(" ")));
  }

  private List<PlacedChord> starting(int from) {
    return placed.stream()
        .filter(c -> c.start() >= from && c.start() < from + meter.ticksPerBar())
        .toList();
  }

  private static String length(int ticks) {
    return ":" + ticks / Ticks.PER_STEP;
  }

  private String word(PlacedChord chord) {
    ChordArticulation articulation = chord.span().articulation();
    if (articulation.rest()) {
      return ChordWord.REST;
    }
    return "<".repeat(articulation.push() / Ticks.PER_STEP)
        + progression.notation().write(chord.chord(), key)
        + articulation.inversion().map(turns -> "@" + turns).orElse("");
  }
}
